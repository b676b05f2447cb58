<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Knowledge\Control;
use Metrum\Knowledge\Reading;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;

/** Refrigerant that was added at a visit, and whether the receiver's level answered. */
final readonly class NoAnswer
{
    /** Deviations from which it is no error. */
    private const BEYOND = 3.0;

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
        $charge = RackCharge::of($examined);
        $booked = $said = 0.0;
        $level = $before = $after = null;
        foreach ($log->happened() as $fact) {
            $read = $fact->kind->asked($fact->content->key);
            if ($read === Reading::Added || self::isAdded($fact)) {
                $before ??= $level;
                $said = $read === Reading::Added ? (float) $fact->content->value : $said;
                $booked += $read === Reading::Added ? 0.0 : (float) $fact->content->value;
                $after = null;
            }
            if ($read === Reading::ReceiverLevel) {
                $level = $after = (float) $fact->content->value;
            }
        }
        // What was told of the visit as a sum holds what was booked of it cylinder by cylinder.
        $added = max($booked, $said);

        return $added <= 0.0 || $after === null || $charge === null
            ? null
            : self::judged($added, $before, $after, $charge);
    }

    private static function isAdded(Fact $fact): bool
    {
        return $fact->kind === FactKind::Move &&
            $fact->content->key === Control::Charge->value &&
            (float) $fact->content->value > 0.0;
    }

    private static function judged(float $added, ?float $before, float $after, RackCharge $charge): ?self
    {
        $whole = $charge->whole();
        $answered = ($after - ($before ?? 0.0)) * $whole;
        $self = new self($added, max(0.0, $answered));
        if ($before !== null && $before > RackCharge::EMPTY) {
            return $added - $answered > self::BEYOND * sqrt(2) * RackCharge::READ * $whole ? $self : null;
        }
        // How much was missing below nothing is not known: no more than what the twin says would fill it all.
        $missing = max(0.0, $charge->expected->value - $after) * $whole;
        $isLow = $after < $charge->expected->value - 2 * hypot($charge->expected->deviation, RackCharge::READ);

        return $isLow && $added > $missing + self::BEYOND * $charge->expected->deviation * $whole ? $self : null;
    }
}
