<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Knowledge\Reading;
use Metrum\Log\Log;

/** Refrigerant that was added at a visit, and whether the receiver's level answered. */
final readonly class NoAnswer
{
    /** How closely a level is read, as a share of the receiver, and from how many deviations on it is no error. */
    private const READ = 0.04;

    private const BEYOND = 3.0;

    /** Below this nothing can be read at a receiver, 0 … 1. */
    private const EMPTY = 0.01;

    /**
     * @param  float  $added  kg
     * @param  float  $answered  kg that the level rose by
     */
    private function __construct(public float $added, public float $answered)
    {
    }

    /** Null where nothing was added, no level was read since, or the level rose as it should. */
    public static function of(Log $log, RackExamination $examined): ?self
    {
        $added = 0.0;
        $level = $before = $after = null;
        foreach ($log->happened() as $fact) {
            $read = $fact->kind->asked($fact->content->key);
            if ($read === Reading::Added) {
                $before ??= $level;
                $added = (float) $fact->content->value;
                $after = null;
            }
            if ($read === Reading::ReceiverLevel) {
                $level = $after = (float) $fact->content->value;
            }
        }
        if ($added <= 0.0 || $after === null || $examined->level === null) {
            return null;
        }
        $whole = self::whole($examined);
        $answered = ($after - ($before ?? 0.0)) * $whole;
        $self = new self($added, max(0.0, $answered));
        if ($before !== null && $before > self::EMPTY) {
            return $added - $answered > self::BEYOND * sqrt(2) * self::READ * $whole ? $self : null;
        }
        // How much was missing below nothing is not known: no more than what the twin says would fill it all.
        $missing = max(0.0, $examined->level->value - $after) * $whole;
        $isLow = $after < $examined->level->value - 2 * hypot($examined->level->deviation, self::READ);

        return $isLow && $added > $missing + self::BEYOND * $examined->level->deviation * $whole ? $self : null;
    }

    /** kg of liquid that fill the receiver. */
    private static function whole(RackExamination $examined): float
    {
        $machine = $examined->twin->machine;
        $fluid = $machine->fluid();
        $condensing = $examined->now->condensing ?? $machine->high->design->condensing;
        $gas = $fluid->vapourDensity($fluid->dewTemperature($condensing));

        return $machine->high->receiverVolume * ($fluid->liquidDensity($fluid->bubbleTemperature($condensing)) - $gas);
    }
}
