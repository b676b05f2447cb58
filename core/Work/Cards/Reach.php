<?php

declare(strict_types=1);

namespace Metrum\Work\Cards;

use Metrum\Card\Step;
use Metrum\Card\StepKind;
use Metrum\Card\Stop;

/**
 * How far a card may be worked now. A step that can stop the work is answered before any step behind it opens, and
 * where it stops nothing behind it opens but what puts back what was touched.
 */
final readonly class Reach
{
    /**
     * @param  list<Step>  $open  that may be answered
     * @param  ?Stop  $stop  that holds
     * @param  ?Step  $awaited  whose answer opens the steps behind it
     */
    private function __construct(public array $open, public ?Stop $stop, public ?Step $awaited)
    {
    }

    public static function of(Run $run): self
    {
        $open = $touched = [];
        $stop = $awaited = null;
        foreach ($run->steps() as $step) {
            $isBehind = $stop !== null || $awaited !== null;
            if (! $isBehind || in_array($step->restores, $touched, true)) {
                $open[] = $step;
            }
            if ($isBehind) {
                continue;
            }
            if ($step->touches !== '' && $run->isTaken($step)) {
                $touched[] = $step->touches;
            }
            $stop = $run->stopAt($step);
            $awaited = $stop === null && self::waitsFor($step, $run) ? $step : null;
        }

        return new self($open, $stop, $awaited);
    }

    /** Whether the steps behind one wait for its answer. */
    private static function waitsFor(Step $step, Run $run): bool
    {
        if ($step->stops === [] || $step->isOptional) {
            return false;
        }

        return $step->kind === StepKind::Figure ? $run->answer($step) === null : ! $run->isTaken($step);
    }
}
