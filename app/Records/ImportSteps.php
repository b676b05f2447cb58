<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\Import;
use App\Models\User;
use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Facades\Cache;
use Metrum\Data\Refused;
use Metrum\Twin\Twins;

/**
 * Takes in a file of many visits step by step: all are checked first, then each is taken in a moment of its own.
 *
 * It can be stopped anywhere and gone on with: what was taken twice is one visit.
 */
final readonly class ImportSteps
{
    /** Visits from which a file is taken in steps. */
    public const MANY = 20;

    /** Seconds that one step takes. */
    private const A_STEP = 1.5;

    /** Seconds after which a step that never ended gives its turn away. */
    private const TURN = 60;

    /** Reasons kept of a file that is refused. */
    private const KEPT = 40;

    public function __construct(private Filesystem $files, private Judge $judge, private Twins $twins)
    {
    }

    /** Lays the file by; nothing of it is taken yet. */
    public function begin(User $user, string $name, string $text, VisitLines $lines, ?Circuit $circuit): Import
    {
        $import = Import::query()->create([
            'user_id' => $user->id,
            'circuit_id' => $circuit?->id,
            'name' => mb_substr($name, 0, 200),
            'visits' => count($lines->all),
        ]);
        $this->files->put(self::path($import), $text);

        return $import;
    }

    /** Goes on for a moment, one tab at a time; who comes while another works is told how far that is. */
    public function step(Import $import): void
    {
        $lock = Cache::lock("import $import->id", self::TURN);
        if ($lock->get()) {
            try {
                $this->goOn($import->refresh());
            } finally {
                $lock->release();
            }
        }
        $import->refresh();
    }

    /** Where the file is gone, says so. */
    private function goOn(Import $import): void
    {
        if ($import->isDone()) {
            return;
        }
        try {
            $lines = VisitLines::of((string) $this->files->get(self::path($import)));
        } catch (Refused) {
            $import->update([
                'checked' => $import->visits,
                'refused' => ['file: file no longer on the server; upload it again'],
            ]);

            return;
        }
        $importer = new Importer($import->user, $this->judge, $this->twins);
        $end = microtime(true) + self::A_STEP;
        while (! $import->isDone() && microtime(true) < $end) {
            if ($import->checked < $import->visits) {
                $this->check($import, $lines, $importer);
            } else {
                $importer->take($importer->check($lines->all[$import->taken][1]), $import->circuit);
                $import->taken++;
            }
        }
        $import->save();
        $this->twins->keep();
        if ($import->isDone()) {
            $this->files->delete(self::path($import));
        }
    }

    private function check(Import $import, VisitLines $lines, Importer $importer): void
    {
        [$number, $line] = $lines->all[$import->checked];
        try {
            $importer->check($line, $import->circuit);
        } catch (Refused $file) {
            $reasons = array_map(static fn (string $one): string => $lines->at($number, $one), $file->reasons);
            $import->refused = array_slice([...$import->refused ?? [], ...$reasons], 0, self::KEPT);
        }
        $import->checked++;
    }

    private static function path(Import $import): string
    {
        return "imports/{$import->id}.jsonl";
    }
}
