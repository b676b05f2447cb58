<?php

declare(strict_types=1);

namespace Metrum\Twin\Ice;

use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Knowledge\Reading;
use Metrum\Twin\Expected;

/** What the cycle of a sound ice machine shows of what is timed, weighed and read over the whole of it. SI. */
final readonly class CycleSigns
{
    /** Deviation of what is rated, and of what is only usual. */
    private const RATED = 0.06;

    private const USUAL = 0.35;

    private const HARVEST = 0.32;

    private const WATER = 0.3;

    /** K of saturation, of the sump, and of the fall from begin to end. */
    private const SUCTION = 3.0;

    private const HEAD = 3.5;

    private const SUMP = 1.5;

    private const FALL = 2.5;

    private const IN_HARVEST = 6.0;

    /** K by which the suction stands below the sink in a harvest, and share of the condenser's lift that is left. */
    private const HARVEST_BELOW = 17.0;

    private const HARVEST_LIFT = 0.45;

    /** @param  float  $width  how many times wider it is for want of air and water */
    public function __construct(
        private Findings $findings,
        private IceMachine $machine,
        private IceCycle $cycle,
        private IceWeather $weather,
        private float $width,
    ) {
    }

    /** kg. */
    public function perDay(): Expected
    {
        $design = $this->findings->circuit->design;
        $isRated = $design->icePerDay !== null || $design->icePerDayHot !== null;
        $made = $this->cycle->perDay();

        return $this->wide($made, ($isRated ? self::RATED : self::USUAL) * $made);
    }

    /** What is timed, weighed and read over a whole cycle. */
    public function of(Sign $sign): ?Expected
    {
        $cycle = $this->cycle;
        $design = $this->findings->circuit->design;
        $day = $design->icePerDay ?? $design->icePerDayHot;
        $batch = $design->icePerCycle === null ? self::USUAL : self::RATED;
        $perDay = $day === null ? self::USUAL : self::RATED;
        $time = $day !== null && $design->icePerCycle !== null ? self::RATED : max($batch, $perDay);
        $fluid = $this->machine->loop->fluid;
        $read = fn (float $at, Reading $of): float => $this->weather->atmosphere + $cycle->readingsAt($at)[$of->value];
        $begin = static fn (): float => $fluid->dewTemperature($read(IceCycle::BEGIN, Reading::SuctionPressure));
        $end = static fn (): float => $fluid->dewTemperature($read($cycle->last(), Reading::SuctionPressure));
        $head = static fn (): float => $fluid->bubbleTemperature($read($cycle->last(), Reading::DischargePressure));

        return match (true) {
            $sign === Sign::FreezeTime => $this->wide($cycle->freeze, $time * $cycle->freeze),
            $sign === Sign::HarvestTime => $this->wide($cycle->harvest, self::HARVEST * $cycle->harvest),
            $sign === Sign::IceCycle => new Expected($cycle->ice, $batch * $cycle->ice),
            $sign === Sign::IceRate => $this->wide(
                $cycle->ice * 3600 / $cycle->freeze,
                $perDay * $cycle->ice * 3600 / $cycle->freeze,
            ),
            $sign === Sign::IceDay => $this->perDay(),
            $sign === Sign::Bridge => $design->bridgeThickness === null
                ? null
                : new Expected($design->bridgeThickness, 2 * self::RATED * $design->bridgeThickness),
            $sign === Sign::WaterCycle => new Expected(
                $cycle->water / 1e3,
                hypot(self::WATER, $batch) * $cycle->water / 1e3,
            ),
            $sign === Sign::SuctionBegin => $this->wide($begin(), self::SUCTION),
            $sign === Sign::SuctionEnd => $this->wide($end(), self::SUCTION),
            $sign === Sign::FreezeFall => $this->wide($begin() - $end(), self::FALL),
            $sign === Sign::HeadEnd => $this->wide($head(), self::HEAD),
            $sign === Sign::Sump => new Expected(
                $cycle->sumpAt($this->findings->reading(Reading::FreezeMinute) ?? $cycle->freeze / 2),
                self::SUMP,
            ),
            $sign === Sign::SuctionHarvest => $this->wide(
                $this->weather->sink - self::HARVEST_BELOW,
                self::IN_HARVEST,
            ),
            $sign === Sign::HeadHarvest => $this->wide(
                $this->weather->sink + self::HARVEST_LIFT * ($head() - $this->weather->sink),
                self::IN_HARVEST,
            ),
            default => null,
        };
    }

    private function wide(float $value, float $deviation): Expected
    {
        return new Expected($value, $deviation * $this->width);
    }
}
