<?php

namespace App\View\Defrost;

use App\Models\Plant;
use Metrum\Findings\RackFindings;
use Metrum\Work\Defrost\DefrostPlan;

/** What the saved defrost schedule of a rack has next. */
final readonly class NextDefrosts
{
    private const MOST = 2;

    public function __construct(private Plant $plant, private RackFindings $found)
    {
    }

    /** "Dairy cases 10:30, Cheese 11:00"; empty where no schedule was saved. */
    public function words(\DateTimeInterface $now): string
    {
        $asked = new DefrostAsked($this->plant->defrosts ?? []);
        $minute = 60 * (int) $now->format('G') + (int) $now->format('i');
        $next = [];
        foreach ($this->found->plant->branches as $branch) {
            foreach (DayTimes::times($asked->starts($branch->part) ?? '') ?? [] as $start) {
                $left = ($start - $minute + DefrostPlan::DAY) % DefrostPlan::DAY;
                $next[] = [$left, $this->found->nameOf($branch).' '.DayTimes::text($start)];
            }
        }
        sort($next);

        return implode(', ', array_slice(array_column($next, 1), 0, self::MOST));
    }
}
