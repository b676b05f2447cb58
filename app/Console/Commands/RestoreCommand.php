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

    protected $signature = 'metrum:restore {file : a copy that metrum:backup wrote}
        {--force : without asking}';

    protected $description = 'Bring a copy of the logbook back';

    public function handle(): int
    {
        $file = $this->input->getArgument('file');
        $before = dirname($file).'/before-restore-'.now()->format('Y-m-d-His-v').'.sqlite';
        if (
            ! (bool) $this->option('force') &&
            ! $this->confirm("All that is here now is replaced by $file. Go on?")
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
            "• {$rows['facts']} facts are back; what was there before: $before",
        );

        return self::SUCCESS;
    }
}
