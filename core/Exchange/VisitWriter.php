<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Findings\Findings;
use Metrum\Installation\CircuitWriter;
use Metrum\Knowledge\Reading;
use Metrum\Log\Log;

/** Writes findings as a visit file; what VisitReader reads back is the same. */
final class VisitWriter
{
    /** @return array<string, mixed> */
    public static function file(Findings $findings): array
    {
        $circuit = $findings->circuit;
        $file = ['format' => VisitReader::FORMAT, 'version' => VisitReader::VERSION];
        if ($findings->id !== null) {
            $file['id'] = $findings->id;
        }
        if ($findings->takenAt !== null) {
            $file['taken_at'] = $findings->takenAt;
        }
        $file['system'] = CircuitWriter::system($circuit);
        $design = CircuitWriter::design($circuit);
        if ($design !== []) {
            $file['design'] = $design;
        }
        if ($findings->complaints !== []) {
            $file['complaint'] = array_column($findings->complaints, 'value');
        }
        if ($findings->confirmed !== []) {
            $file['confirmed'] = array_column($findings->confirmed, 'value');
        }
        if ($findings->state !== null) {
            $file['state'] = $findings->state->value;
        }
        foreach (Reading::cases() as $reading) {
            $value = $findings->reading($reading);
            if ($value !== null) {
                $file['readings'][$reading->value] = CircuitWriter::number(
                    $reading->fileUnit()->fromSi($value),
                );
            }
        }
        foreach ($findings->observations as $key => $word) {
            $file['observations'][$key] = $word->value;
        }
        foreach ($findings->tests as $key => $word) {
            $file['tests'][$key] = $word->value;
        }

        return $file;
    }

    /** @param  ?Log  $log  of the visit, where it travels too */
    public static function json(Findings $findings, ?Log $log = null): string
    {
        return json_encode(
            self::file($findings) + ($log === null ? [] : ['log' => LogWriter::rows($log)]),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        )."\n";
    }
}
