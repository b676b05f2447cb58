<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Seen;

use Metrum\Diagnosis\Curves;
use Metrum\Diagnosis\Examination;
use Metrum\Diagnosis\Feature;
use Metrum\Diagnosis\Priors;
use Metrum\Diagnosis\WithheldFigures;
use Metrum\Findings\Sign;
use Metrum\Knowledge\Question;

/**
 * What is a fault makes it as likely as it is surely seen, where nothing else was found. The more figures there are,
 * the more it has to stand against them as any other answer: it was seen, but it need not be what is wrong.
 */
final class Raises
{
    /** Signs from which a thing seen counts as any other answer. */
    private const FULLY_MEASURED = 10;

    /** @var array<int, float> nats by place that faults got because they were seen */
    public array $nats = [];

    private readonly WithheldFigures $withheld;

    public function __construct(
        private readonly Curves $curves,
        private readonly Examination $examined,
        private readonly Priors $priors,
    ) {
        $this->withheld = $examined->withheld();
    }

    /**
     * @param  ?array<int, float>  $weights  nats by place; null: nothing was learned of it
     * @return ?array<int, float>
     */
    public function of(Question|Sign $asked, ?array $weights): ?array
    {
        foreach ($weights === null ? [] : $this->examined->seen as $seen) {
            if ($seen->asked === $asked) {
                $weights = $this->raised($weights ?? [], $seen);
            }
        }

        return $weights;
    }

    /** Share at which what is seen stands above what is measured, 0 … 1. */
    public function share(): float
    {
        $judged = array_filter(
            array_keys($this->examined->signals),
            fn (string $sign): bool => ! $this->withheld->holds(Feature::of(Sign::from($sign))),
        );

        return max(0.0, 1 - count($judged) / self::FULLY_MEASURED);
    }

    /**
     * @param  array<int, float>  $weights
     * @return array<int, float>
     */
    private function raised(array $weights, SeenFault $seen): array
    {
        $places = array_map($this->curves->placeOf(...), $seen->faults);
        $there = $others = 1e-12;
        foreach ($weights as $place => $weight) {
            $odds = $this->priors->open[$place] ? exp($this->priors->nats[$place] + $weight) : 0.0;
            $there += in_array($place, $places, true) ? $odds : 0.0;
            $others += in_array($place, $places, true) ? 0.0 : $odds;
        }
        // What is counted or set is no word that somebody may have got wrong.
        $share = $seen->asked instanceof Sign ? 1.0 : $this->share();
        $sure = $seen->sureness();
        $raise = $share * max(0.0, log(($sure * $others) / ((1 - $sure) * $there)));
        foreach ($places as $place) {
            $this->nats[$place] = ($this->nats[$place] ?? 0.0) + $raise;
            $weights[$place] += $raise;
        }

        return $weights;
    }
}
