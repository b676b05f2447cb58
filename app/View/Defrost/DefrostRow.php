<?php

namespace App\View\Defrost;

use Metrum\Work\Defrost\DefrostNeed;
use Metrum\Work\Defrost\DefrostPlan;

/** One circuit of a defrost schedule: what its coils need, when it begins, and the day as a bar. */
final readonly class DefrostRow
{
    /**
     * @param  string  $field  in which its starts are typed
     * @param  string  $typed  starts as they were typed, or as proposed
     * @param  list<int>  $starts  minutes of the day
     * @param  string  $refused  why what was typed is none; empty where it is
     * @param  list<string>  $notes  what is not kept
     */
    public function __construct(
        public string $field,
        public string $name,
        public DefrostNeed $need,
        public string $typed,
        public array $starts,
        public string $refused,
        public array $notes,
    ) {
    }

    /** "4 × 25 min a day" */
    public function needs(): string
    {
        return $this->need->count.' × '.$this->need->minutes.' min a day';
    }

    /** @return list<array{int, int}> from and width on the bar, in minutes; past midnight in two pieces */
    public function bars(): array
    {
        $bars = [];
        foreach ($this->starts as $start) {
            $left = DefrostPlan::DAY - $start;
            $bars[] = [$start, min($this->need->minutes, $left)];
            if ($this->need->minutes > $left) {
                $bars[] = [0, $this->need->minutes - $left];
            }
        }

        return $bars;
    }
}
