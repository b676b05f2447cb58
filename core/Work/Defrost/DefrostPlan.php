<?php

declare(strict_types=1);

namespace Metrum\Work\Defrost;

use Metrum\Twin\Rack\BranchState;

/** When each circuit of a rack begins its defrosts: minutes after midnight, the same each day. */
final readonly class DefrostPlan
{
    /** Minutes of a day, and of one step of a plan. */
    public const DAY = 1440;

    public const STEP = 5;

    /** @param  array<string, list<int>>  $starts  by the circuit's part, in order */
    public function __construct(public array $starts = [])
    {
    }

    /** @param  list<int>  $starts */
    public function with(string $circuit, array $starts): self
    {
        sort($starts);

        return new self([...$this->starts, $circuit => array_values(array_unique($starts))]);
    }

    /**
     * Which circuits are in defrost at each step of the day.
     *
     * @param  array<string, DefrostNeed>  $needs
     * @return array<int, list<string>> by minute
     */
    public function running(array $needs): array
    {
        $running = array_fill_keys(range(0, self::DAY - 1, self::STEP), []);
        foreach ($this->starts as $circuit => $starts) {
            foreach (isset($needs[$circuit]) ? $starts : [] as $start) {
                foreach (self::steps($start, $needs[$circuit]->minutes) as $minute) {
                    $running[$minute][] = $circuit;
                }
            }
        }

        return $running;
    }

    /**
     * What each circuit in defrost does at a minute of the day.
     *
     * @param  array<string, DefrostNeed>  $needs
     * @return callable(int): array<string, BranchState>
     */
    public function states(array $needs): callable
    {
        $running = $this->running($needs);

        return static function (int $minute) use ($running, $needs): array {
            $states = [];
            foreach ($running[intdiv($minute, self::STEP) * self::STEP] ?? [] as $circuit) {
                $states[$circuit] = $needs[$circuit]->kind->isHotGas() ? BranchState::HotGas : BranchState::Drained;
            }

            return $states;
        };
    }

    /** @return list<int> minutes of the day, each step of one defrost; past midnight it goes on at 0 */
    public static function steps(int $start, int $minutes): array
    {
        $steps = [];
        $from = intdiv($start, self::STEP) * self::STEP;
        for ($minute = $from; $minute < $start + $minutes; $minute += self::STEP) {
            $steps[] = $minute % self::DAY;
        }

        return $steps;
    }

    /**
     * Minutes from each start of a circuit to its next.
     *
     * @return list<int>
     */
    public function gaps(string $circuit): array
    {
        $starts = $this->starts[$circuit] ?? [];
        $gaps = [];
        foreach ($starts as $place => $start) {
            $next = $starts[$place + 1] ?? $starts[0] + self::DAY;
            $gaps[] = $next - $start;
        }

        return $gaps;
    }
}
