<?php

namespace App\View\Record;

use App\Models\HouseRuleChoice;
use App\View\Explain;
use Metrum\Findings\Mark;
use Metrum\Knowledge\HouseRule;
use Metrum\Quantity\Units;
use Metrum\Work\Ledger\Ledger;

/** What a system lost in twelve months by its ledger, beside what the house rule allows. */
final readonly class LeakLine
{
    private function __construct(public Mark $mark, public string $words)
    {
    }

    /** Null where nothing was lost, or the record does not reach back far enough. */
    public static function of(Ledger $ledger, Units $units): ?self
    {
        $rate = $ledger->rolling(now());
        if ($rate === null || $rate <= 0.0 || $ledger->full === null) {
            return null;
        }
        $band = HouseRuleChoice::inForce()->band(HouseRule::LeakThreshold);
        $mark = match (true) {
            $rate >= $band->high => Mark::Act,
            $rate >= $band->low => Mark::Look,
            default => Mark::Fine,
        };
        $lost = $units->mass($rate * $ledger->full);
        $limit = Explain::percent($band->high);

        return new self(
            $mark,
            'Refrigerant lost in 12 months: '.$lost.', '.Explain::percent($rate)." of the charge (limit $limit).",
        );
    }
}
