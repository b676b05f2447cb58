<?php

declare(strict_types=1);

namespace Metrum\Work\Defrost;

/** Looks a plan of defrosts through: each step of the day, then each circuit. */
final readonly class DefrostCheck
{
    /**
     * @param  array<string, DefrostNeed>  $needs  by part
     * @param  float  $rated  W of all circuits, those that never frost among them
     * @param  float  $level  of the receiver with all circuits cooling, 0 … 1
     * @param  float  $condensing  K with all circuits cooling
     */
    public function __construct(
        public array $needs,
        public DefrostRules $rules,
        private float $rated,
        private float $level,
        private float $condensing = INF,
    ) {
    }

    /** @return list<DefrostBreach> each where it begins */
    public function of(DefrostPlan $plan): array
    {
        $found = [];
        $before = [];
        foreach ($plan->running($this->needs) as $minute => $circuits) {
            $now = $this->at($minute, $circuits);
            foreach (array_diff($now, $before) as $rule) {
                $found[] = new DefrostBreach($rule, $minute, $circuits);
            }
            $before = $now;
        }

        return [...$found, ...$this->ofCircuits($plan)];
    }

    /**
     * @param  list<string>  $circuits  in defrost at that minute
     * @return list<DefrostBreach::*> rules that are not kept then
     */
    public function at(int $minute, array $circuits): array
    {
        if ($circuits === []) {
            return [];
        }
        $broken = [];
        if (count($circuits) > $this->rules->atOnce) {
            $broken[] = DefrostBreach::TOO_MANY;
        }
        if ($this->isBusy($minute)) {
            $broken[] = DefrostBreach::BUSY;
        }
        $standing = $gas = $raised = $head = 0.0;
        foreach ($circuits as $circuit) {
            $need = $this->needs[$circuit];
            $standing += $need->rated;
            $gas += $need->kind->isHotGas() ? $need->rated : 0.0;
            $raised += $need->level;
            $head += $need->head;
        }
        if ($gas > 0.0 && $this->rated - $standing < DefrostRules::GAS_FROM * $gas) {
            $broken[] = DefrostBreach::NO_GAS;
        }
        // Where the weather alone leaves too little, the schedule changes nothing.
        $least = $this->rules->leastCondensing;
        if ($gas > 0.0 && $this->condensing >= $least && $this->condensing + $head < $least) {
            $broken[] = DefrostBreach::HEAD;
        }
        [$low, $high] = DefrostRules::LEVELS;
        $level = $this->level + $raised;
        // What stands outside already is not the plan's doing.
        $isInside = $this->level >= $low && $this->level <= $high;
        if ($isInside && ($level < $low || $level > $high)) {
            $broken[] = DefrostBreach::LEVEL;
        }

        return $broken;
    }

    private function isBusy(int $minute): bool
    {
        foreach ($this->rules->busy as [$from, $to]) {
            $isWithin = $from <= $to ? $minute >= $from && $minute < $to : $minute >= $from || $minute < $to;
            if ($isWithin) {
                return true;
            }
        }

        return false;
    }

    /** @return list<DefrostBreach> */
    private function ofCircuits(DefrostPlan $plan): array
    {
        $found = [];
        foreach ($this->needs as $part => $need) {
            $starts = $plan->starts[$part] ?? [];
            if (count($starts) < $need->count) {
                $found[] = new DefrostBreach(DefrostBreach::TOO_FEW, null, [$part]);
            }
            $longest = (1 + 2 * DefrostRules::MOVED) * $need->spacing();
            $gaps = $plan->gaps($part);
            if ($gaps !== [] && count($starts) >= $need->count && max($gaps) > $longest + DefrostPlan::STEP) {
                $found[] = new DefrostBreach(DefrostBreach::UNEVEN, null, [$part]);
            }
        }

        return $found;
    }
}
