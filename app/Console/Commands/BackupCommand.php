<?php

namespace App\Console\Commands;

use App\Records\Backup;
use App\Records\BackupFailed;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Copies the whole logbook while people go on working in it. */
final class BackupCommand extends Command
{
    protected $signature = 'metrum:backup {file : where the copy goes; must not be there yet}';

    protected $description = 'Write a checked copy of the logbook, at any time';

    public function handle(): int
    {
        $file = $this->input->getArgument('file');
        try {
            $rows = Backup::of(DB::connection())->to($file);
        } catch (BackupFailed $reason) {
            $this->error($reason->getMessage());

            return self::FAILURE;
        }
        $this->line("• {$rows['visits']} visits, {$rows['facts']} facts, checked: $file");

        return self::SUCCESS;
    }
}
