<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

use Metrum\Findings\Findings;
use Metrum\Knowledge\Reading;
use Metrum\Language\Sentence;
use Metrum\Language\WorkReason;
use Metrum\Quantity\Magnitude;
use Metrum\Quantity\QuantityKind;

/** Current and voltage before and after a change, in one line with what that says of the work of the compressor. */
final class LoadChange
{
    /** Share by which a current must change to tell anything: clamps and load wander. */
    private const TELLS = 0.08;

    /** Share of the voltage by which the supply itself has moved. */
    private const STEADY = 0.03;

    /** Null where the current was not read on both sides of a change. */
    public static function of(Findings $before, Findings $now): ?Sentence
    {
        $was = $before->reading(Reading::CompressorCurrent);
        $is = $now->reading(Reading::CompressorCurrent);
        if ($was === null || $is === null || $was <= 0.0 || $before === $now) {
            return null;
        }
        $volts = [$before->reading(Reading::SupplyVoltage), $now->reading(Reading::SupplyVoltage)];
        $change = $is / $was - 1;
        $supply = $volts[0] === null || $volts[1] === null || $volts[0] <= 0.0
            ? Sentence::of(WorkReason::VoltsNotRead)
            : self::supply($volts[0], $volts[1]);
        $what = match (true) {
            $change > self::TELLS => WorkReason::LoadRose,
            $change < -self::TELLS => WorkReason::LoadFell,
            default => WorkReason::LoadSame,
        };

        return Sentence::of(
            $what,
            was: Magnitude::of($was, QuantityKind::Current)->bare(),
            is: Magnitude::of($is, QuantityKind::Current),
            supply: $supply,
        );
    }

    private static function supply(float $was, float $is): Sentence
    {
        return Sentence::of(
            abs($is / $was - 1) < self::STEADY ? WorkReason::VoltsSteady : WorkReason::VoltsMoved,
            was: Magnitude::of($was, QuantityKind::Voltage)->bare(),
            is: Magnitude::of($is, QuantityKind::Voltage),
        );
    }
}
