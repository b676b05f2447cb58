<?php

namespace App\View\Compressor;

use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Fault;
use Metrum\Log\Log;
use Metrum\Work\Compressor\ReplacementReasons;

/** What must be answered before another compressor is put in, in one line of a report. */
final class ReplacementLine
{
    /** Empty where nobody speaks of another one. */
    public static function of(Verdict $verdict, Findings $findings, Log $log): string
    {
        $isSpokenOf = $verdict->leading() === Fault::CompressorInefficient ||
            in_array(Fault::CompressorInefficient, $findings->confirmed, true);
        $open = $isSpokenOf ? (new ReplacementReasons($findings, $log))->open() : [];

        return match (true) {
            ! $isSpokenOf => '',
            $open === [] => 'Compressor replacement: every cause is answered.',
            default => 'Compressor replacement not explained yet. Open: '.
                implode(', ', array_map(lcfirst(...), $open)).'.',
        };
    }
}
