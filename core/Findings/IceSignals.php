<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Knowledge\Reading;
use Metrum\Quantity\Celsius;
use Metrum\Refrigerant\OutsideTable;

/** Draws the signs of an ice machine's cycle out of what was timed, weighed and read. SI; null where it was not. */
final class IceSignals
{
    /** Signs that are a reading as it stands. */
    private const READ = [
        [Sign::FreezeTime, Reading::FreezeTime],
        [Sign::HarvestTime, Reading::HarvestTime],
        [Sign::IceCycle, Reading::IcePerCycle],
        [Sign::Bridge, Reading::MeasuredBridge],
        [Sign::WaterCycle, Reading::WaterPerCycle],
        [Sign::Sump, Reading::SumpTemperature],
    ];

    private const HOUR = 3600.0;

    private const DAY = 86400.0;

    private const USUAL_WATER = Celsius::ZERO + 15.0;

    public static function measured(Sign $sign, Findings $findings): ?float
    {
        $source = self::source($sign);
        if ($source !== null) {
            return $findings->reading($source);
        }

        return match (true) {
            $sign === Sign::Water => self::aboveUsualWater($findings),
            $sign === Sign::IceRate => self::perTime($findings, self::HOUR, withHarvest: false),
            $sign === Sign::IceDay => self::perTime($findings, self::DAY, withHarvest: true),
            $sign === Sign::SuctionBegin => self::dew($findings, Reading::SuctionBegin),
            $sign === Sign::SuctionEnd => self::dew($findings, Reading::SuctionEnd),
            $sign === Sign::SuctionHarvest => self::dew($findings, Reading::SuctionHarvest),
            $sign === Sign::HeadEnd => self::bubble($findings, Reading::DischargeEnd),
            $sign === Sign::HeadHarvest => self::bubble($findings, Reading::DischargeHarvest),
            $sign === Sign::FreezeFall => self::fall($findings),
            default => null,
        };
    }

    /** The reading that is the sign; null where it is worked out. */
    private static function source(Sign $sign): ?Reading
    {
        foreach (self::READ as [$one, $reading]) {
            if ($one === $sign) {
                return $reading;
            }
        }

        return null;
    }

    /** The sign that a reading is; null where it is none of itself. */
    public static function of(Reading $reading): ?Sign
    {
        foreach (self::READ as [$sign, $one]) {
            if ($one === $reading) {
                return $sign;
            }
        }

        return null;
    }

    /** Water at its inlet above the 15 °C that is usual, K. */
    private static function aboveUsualWater(Findings $findings): ?float
    {
        $water = $findings->reading(Reading::WaterTemperature);

        return $water === null ? null : $water - self::USUAL_WATER;
    }

    /** kg in such a time. */
    private static function perTime(Findings $findings, float $seconds, bool $withHarvest): ?float
    {
        return self::made(
            $findings->reading(Reading::IcePerCycle),
            $findings->reading(Reading::FreezeTime),
            $withHarvest ? $findings->reading(Reading::HarvestTime) : 0.0,
            $seconds,
        );
    }

    /**
     * kg that batches make in such a time; null where the batch or a part of its cycle was not measured.
     *
     * @param  ?float  $ice  kg of one batch
     * @param  ?float  $freeze  s
     * @param  ?float  $harvest  s
     */
    public static function made(?float $ice, ?float $freeze, ?float $harvest, float $seconds = self::DAY): ?float
    {
        return $ice === null || $freeze === null || $harvest === null || $freeze + $harvest <= 0.0
            ? null
            : $ice * $seconds / ($freeze + $harvest);
    }

    /** K of saturated suction. */
    private static function dew(Findings $findings, Reading $reading): ?float
    {
        $pressure = $findings->absolute($reading);
        try {
            return $pressure === null ? null : $findings->circuit->fluid()->dewTemperature($pressure);
        } catch (OutsideTable) {
            return null;
        }
    }

    /** K of saturated condensing. */
    private static function bubble(Findings $findings, Reading $reading): ?float
    {
        $pressure = $findings->absolute($reading);
        try {
            return $pressure === null ? null : $findings->circuit->fluid()->bubbleTemperature($pressure);
        } catch (OutsideTable) {
            return null;
        }
    }

    private static function fall(Findings $findings): ?float
    {
        $begin = self::dew($findings, Reading::SuctionBegin);
        $end = self::dew($findings, Reading::SuctionEnd);

        return $begin === null || $end === null ? null : $begin - $end;
    }
}
