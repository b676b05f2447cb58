<?php

declare(strict_types=1);

namespace Metrum\Work\Defrost;

/**
 * Proposes when a rack's circuits are defrosted: the hardest to place first, each as evenly over the day as the rules
 * let it. What finds no place is left out and named, never placed against a rule.
 */
final readonly class DefrostPlanner
{
    /** Minutes between two beginnings that are tried. */
    private const TRIED = 15;

    /** Orders of circuits that are tried. */
    private const ORDERS = 12;

    public function __construct(private DefrostCheck $check)
    {
    }

    public function proposed(): DefrostPlan
    {
        $best = new DefrostPlan();
        $placed = -1;
        $order = $this->hardestFirst();
        for ($try = 0; $try < self::ORDERS; $try++) {
            [$plan, $missing] = $this->inOrder($order);
            $count = count($order) - count($missing);
            if ($count > $placed) {
                [$best, $placed] = [$plan, $count];
            }
            if ($missing === []) {
                break;
            }
            // What found no place goes first.
            $order = [...$missing, ...array_values(array_diff($order, $missing))];
        }

        return $best;
    }

    /** @return list<string> circuits by part: hot gas, then those that take most of the day */
    private function hardestFirst(): array
    {
        $needs = $this->check->needs;
        uasort($needs, static fn (DefrostNeed $a, DefrostNeed $b): int => [
            $b->kind->isHotGas() ? $b->rated : 0.0,
            $b->count * $b->minutes,
        ] <=> [
            $a->kind->isHotGas() ? $a->rated : 0.0,
            $a->count * $a->minutes,
        ]);

        return array_keys($needs);
    }

    /**
     * @param  list<string>  $order
     * @return array{DefrostPlan, list<string>} the plan, and circuits that found no place
     */
    private function inOrder(array $order): array
    {
        $plan = new DefrostPlan();
        $running = $plan->running($this->check->needs);
        $missing = [];
        foreach ($order as $part) {
            $need = $this->check->needs[$part];
            $starts = $this->placed($need, $running);
            if ($starts === null) {
                $missing[] = $part;

                continue;
            }
            $plan = $plan->with($part, $starts);
            foreach ($starts as $start) {
                foreach (DefrostPlan::steps($start, $need->minutes) as $minute) {
                    $running[$minute][] = $part;
                }
            }
        }

        return [$plan, $missing];
    }

    /**
     * Its starts with the least moved of all beginnings; null where a start finds no place.
     *
     * @param  array<int, list<string>>  $running
     * @return ?list<int>
     */
    private function placed(DefrostNeed $need, array $running): ?array
    {
        $free = $this->free($need, $running);
        $spacing = $need->spacing();
        $best = null;
        $least = INF;
        for ($begin = 0; $begin < $spacing && $least > 0.0; $begin += self::TRIED) {
            $starts = [];
            $moved = 0.0;
            for ($number = 0; $number < $need->count; $number++) {
                $wanted = (int) round(($begin + $number * $spacing) / DefrostPlan::STEP) * DefrostPlan::STEP;
                $start = $this->nearest($wanted, DefrostRules::MOVED * $spacing, $free);
                if ($start === null) {
                    continue 2;
                }
                $starts[] = ($start + DefrostPlan::DAY) % DefrostPlan::DAY;
                $moved += abs($start - $wanted) + $this->crowd($start, $need->minutes, $running);
            }
            if ($moved < $least && count(array_unique($starts)) === $need->count) {
                [$best, $least] = [$starts, $moved];
            }
        }

        return $best;
    }

    /**
     * Minutes with others in defrost, as a small reason to go elsewhere.
     *
     * @param  array<int, list<string>>  $running
     */
    private function crowd(int $start, int $minutes, array $running): float
    {
        $crowd = 0.0;
        foreach (DefrostPlan::steps(($start + DefrostPlan::DAY) % DefrostPlan::DAY, $minutes) as $minute) {
            $crowd += count($running[$minute]);
        }

        return $crowd;
    }

    /**
     * @param  array<int, list<string>>  $running
     * @return array<int, true> minutes at which it may begin
     */
    private function free(DefrostNeed $need, array $running): array
    {
        $may = [];
        foreach ($running as $minute => $others) {
            $may[$minute] = $this->check->at($minute, [...$others, $need->circuit->value]) === [];
        }
        $free = [];
        foreach (array_keys($running) as $start) {
            $isFree = true;
            foreach (DefrostPlan::steps($start, $need->minutes) as $minute) {
                $isFree = $isFree && $may[$minute];
            }
            if ($isFree) {
                $free[$start] = true;
            }
        }

        return $free;
    }

    /**
     * @param  array<int, true>  $free
     * @return ?int minutes; it may lie before 0 or after a day
     */
    private function nearest(int $wanted, float $most, array $free): ?int
    {
        for ($off = 0; $off <= $most; $off += DefrostPlan::STEP) {
            foreach ([$wanted + $off, $wanted - $off] as $start) {
                if (isset($free[($start + DefrostPlan::DAY) % DefrostPlan::DAY])) {
                    return $start;
                }
            }
        }

        return null;
    }
}
