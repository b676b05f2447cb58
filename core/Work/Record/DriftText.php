<?php

declare(strict_types=1);

namespace Metrum\Work\Record;

use Metrum\Language\Sentence;
use Metrum\Language\WorkReason;
use Metrum\Quantity\Magnitude;

/** What is told of a figure that drifts. */
final class DriftText
{
    /**
     * @param  string  $month  in which its line reaches the limit, or reached it, in words
     * @return array{Sentence, Sentence} that it drifts, and when that matters
     */
    public static function of(FigureHistory $history, Drift $drift, string $month): array
    {
        $row = $history->figure->row();
        $kind = $row->quantity();
        $limit = $row->told($drift->perSecond > 0.0 ? $row->act : -$row->act);

        return [
            Sentence::of(
                WorkReason::Drifts,
                figure: $row->label,
                slope: Magnitude::of($drift->perSecond * Drift::MONTH, $kind)->signed()->bare(),
                deviation: Magnitude::of($drift->deviation * Drift::MONTH, $kind),
            ),
            Sentence::of(
                $drift->reaches() > $drift->to ? WorkReason::DriftReaches : WorkReason::DriftBeyond,
                limit: $limit,
                month: $month,
            ),
        ];
    }
}
