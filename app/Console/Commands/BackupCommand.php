<?php

namespace App\Console\Commands;

use App\Records\Backup;
use App\Records\BackupFailed;
use App\Records\BackupFolder;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Copies the whole logbook while people go on working in it. */
final class BackupCommand extends Command
{
    protected $signature = 'metrum:backup
        {file : where to write: a new file, or a folder (named by date and time)}
        {--keep= : remove copies in that folder older than this many days}';

    protected $description = 'Back up the database (verified, while in use)';

    public function handle(): int
    {
        $given = $this->input->getArgument('file');
        $keep = $this->input->getOption('keep');
        $days = $keep === null ? null : filter_var($keep, FILTER_VALIDATE_INT, ['options' => ['min_range' => 1]]);
        $folder = is_dir($given) ? new BackupFolder(rtrim($given, '/')) : null;
        if ($days === false || ($days !== null && $folder === null)) {
            $this->error(
                $days === false
                    ? "--keep: got '$keep', expected whole days, 1 or more."
                    : "--keep needs a folder; $given is not one.",
            );

            return self::FAILURE;
        }
        $now = new \DateTimeImmutable();
        $file = $folder?->next($now) ?? $given;
        try {
            $rows = Backup::of(DB::connection())->to($file);
        } catch (BackupFailed $reason) {
            $this->error($reason->getMessage());

            return self::FAILURE;
        }
        $this->line("• {$rows['facts']} facts of {$rows['occasions']} visits and ledger days, checked: $file");
        if ($rows['attachments'] > 0) {
            $disk = config('filesystems.attachments');
            $count = $rows['attachments'];
            $this->line("• photos and voice notes ($count) are on disk $disk: back up its folder attachments as well");
        }
        // Only once a new one is there.
        foreach ($days === null ? [] : $folder->letGo($days, $now) as $gone) {
            $this->line("• $gone is older than $days days and was removed");
        }

        return self::SUCCESS;
    }
}
