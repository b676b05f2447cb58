<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Knowledge\Observation;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;

/** How a trend went before and after each thing that was done at a visit. */
final readonly class TrendMoves
{
    /** s before and after it that are looked at, at most. */
    private const LOOKED = 3600.0;

    /** @param  list<array{fact: Fact, before: ?Slope, after: ?Slope}>  $all  in order of time */
    private function __construct(public array $all)
    {
    }

    public static function of(Trend $trend, Log $log): self
    {
        $moves = array_values(array_filter(
            $log->happened(),
            static fn (Fact $one): bool => $one->kind === FactKind::Move || self::closes($one),
        ));
        $times = array_map(static fn (Fact $one): float => (float) $one->seenAt()->getTimestamp(), $moves);
        $all = [];
        foreach ($moves as $place => $move) {
            $at = $times[$place];
            if ($at < $trend->begins() || $at > $trend->ends()) {
                continue;
            }
            $from = max($at - self::LOOKED, $times[$place - 1] ?? -INF);
            $to = min($at + self::LOOKED, $times[$place + 1] ?? INF);
            $all[] = ['fact' => $move, 'before' => $trend->slope($from, $at), 'after' => $trend->slope($at, $to)];
        }

        return new self($all);
    }

    /** A circuit that is closed or opened moves the plant too. */
    private static function closes(Fact $fact): bool
    {
        return $fact->kind->asked($fact->content->key) === Observation::CircuitShut;
    }
}
