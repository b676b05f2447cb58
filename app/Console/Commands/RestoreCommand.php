<?php

namespace App\Console\Commands;

use App\Records\Backup;
use App\Records\BackupFailed;
use App\Records\WritersLock;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Brings a copy of the logbook back; writers are shut out, what is there now is copied beside it first. */
final class RestoreCommand extends Command
{
    /** Seconds for which entries under way are waited for. */
    private const PATIENCE = 30.0;

    protected $signature = 'metrum:restore {file : a backup written by metrum:backup}
        {--force : do not ask}';

    protected $description = 'Restore a backup';

    public function handle(): int
    {
        $file = $this->input->getArgument('file');
        $before = dirname($file).'/before-restore-'.now()->format('Y-m-d-His-v').'.sqlite';
        if (
            ! (bool) $this->option('force') &&
            ! $this->confirm("This replaces all current data with $file. Go on?")
        ) {
            return self::FAILURE;
        }
        try {
            $backup = Backup::of(DB::connection());
            $rows = WritersLock::shut(self::PATIENCE, static function () use ($backup, $before, $file): array {
                $backup->to($before);

                return $backup->from($file);
            });
        } catch (BackupFailed $reason) {
            $this->error($reason->getMessage());

            return self::FAILURE;
        }
        $this->line(
            "• {$rows['facts']} facts restored; previous data kept in: $before",
        );

        return self::SUCCESS;
    }
}
