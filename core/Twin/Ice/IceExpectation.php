<?php

declare(strict_types=1);

namespace Metrum\Twin\Ice;

use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\IceSignals;
use Metrum\Findings\Place;
use Metrum\Findings\Sign;
use Metrum\Findings\Signals;
use Metrum\Findings\Yardstick;
use Metrum\Installation\CondenserPlace;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\QuantityKind;
use Metrum\Twin\DesignExpectation;
use Metrum\Twin\Expectation;
use Metrum\Twin\Expected;

/**
 * Expectation from a simulated ice machine: the cycle that this one should run in this air with this water. What is
 * read at a minute of the freeze is laid beside that minute; what was not said of air and water makes it wider.
 */
final readonly class IceExpectation implements Expectation
{
    /** K of air and of water where nobody read them. */
    private const USUAL_AIR = Celsius::ZERO + 22.0;

    private const USUAL_WATER = Celsius::ZERO + 13.0;

    /** How many times wider what depends on air is where it was not read, on water, and on the minute. */
    private const NO_AIR = 1.6;

    private const NO_WATER = 1.25;

    private const NO_MINUTE = 1.4;

    /** Share of a freeze at which it is read where nobody said when. */
    private const MIDDLE = 0.5;

    /** Share of an absolute pressure, K of a pipe, share of a current. */
    private const PRESSURE = 0.08;

    private const PIPE = 3.0;

    private const CURRENT = 0.12;

    private const LEAST_BAND = 0.8;

    public IceWeather $weather;

    private DesignExpectation $plain;

    private float $width;

    private Findings $then;

    private Figures $figures;

    private Signals $signals;

    private CycleSigns $ofCycle;

    /** @param  IceCycle  $cycle  of the sound machine in this weather */
    private function __construct(
        private Findings $findings,
        HouseRules $rules,
        public IceMachine $machine,
        public IceCycle $cycle,
    ) {
        $this->weather = self::weather($findings);
        $this->plain = new DesignExpectation($findings, $rules);
        $minute = $findings->reading(Reading::FreezeMinute);
        $time = $minute ?? self::MIDDLE * $cycle->freeze;
        $this->width = ($this->isAirKnown() ? 1.0 : self::NO_AIR) *
            ($findings->reading(Reading::WaterTemperature) === null ? self::NO_WATER : 1.0);
        $this->then = new Findings($findings->circuit, readings: $this->known($cycle->readingsAt($time)));
        $this->ofCycle = new CycleSigns($findings, $machine, $cycle, $this->weather, $this->width);
        $this->figures = Figures::of($this->then, $rules);
        $this->signals = new Signals($this->then, $this->figures, new Yardstick());
    }

    /** Null where it does not run so in this weather. */
    public static function of(Findings $findings, HouseRules $rules, IceMachine $machine): ?self
    {
        $cycle = IceCycle::of($machine, self::weather($findings));

        return $cycle === null ? null : new self($findings, $rules, $machine, $cycle);
    }

    /** What it meets, as far as that was read. */
    public static function weather(Findings $findings): IceWeather
    {
        $air = $findings->reading(Reading::AmbientTemperature) ?? self::USUAL_AIR;
        $water = $findings->reading(Reading::WaterTemperature) ?? self::USUAL_WATER;

        return new IceWeather(
            $air,
            $water,
            IceWeather::sink($findings->circuit, $air, $water, $findings->reading(Reading::CondenserWaterIn)),
            $findings->circuit->atmosphere->pascal,
        );
    }

    private function isAirKnown(): bool
    {
        $sink = $this->findings->circuit->condenser === CondenserPlace::Water
            ? Reading::WaterTemperature
            : Reading::AmbientTemperature;

        return $this->findings->reading($sink) !== null;
    }

    /**
     * Without what the loop calls the air of a box: it is the water here; its current by the plate's.
     *
     * @param  array<string, float>  $readings
     * @return array<string, float>
     */
    private function known(array $readings): array
    {
        $rated = $this->findings->circuit->design->ratedCurrent;
        $readings[Reading::CompressorCurrent->value] *= $rated === null
            ? 1.0
            : $rated / $this->machine->loop->ratedCurrent;
        $readings[Reading::WaterTemperature->value] = $this->weather->water;
        if ($this->findings->circuit->condenser === CondenserPlace::Water) {
            $readings[Reading::CondenserWaterIn->value] = $this->weather->sink;
            $readings[Reading::AmbientTemperature->value] = $this->weather->air;
        }
        unset($readings[Reading::BoxTemperature->value], $readings[Reading::SupplyAirTemperature->value]);

        return $readings;
    }

    public function healthy(Sign $sign): ?Expected
    {
        return $this->ofCycle->of($sign) ?? $this->ofLoop($sign) ?? $this->plain->healthy($sign);
    }

    /** kg. */
    public function perDay(): Expected
    {
        return $this->ofCycle->perDay();
    }

    /** The same with other water in the same air, K; null where it does not run so. */
    public function perDayWith(float $water): ?Expected
    {
        $day = $this->perDay();
        $here = $this->cycle->perDay();
        $weather = new IceWeather(
            $this->weather->air,
            $water,
            IceWeather::sink($this->findings->circuit, $this->weather->air, $water),
            $this->weather->atmosphere,
        );
        $cycle = IceCycle::of($this->machine, $weather);

        return $cycle === null || $here <= 0.0
            ? null
            : new Expected($day->value * $cycle->perDay() / $here, $day->deviation * $cycle->perDay() / $here);
    }

    public function reading(Reading $reading): ?Expected
    {
        $sign = IceSignals::of($reading);

        return $sign === null ? $this->atMinute($reading) : $this->ofCycle->of($sign);
    }

    private function atMinute(Reading $reading): ?Expected
    {
        $value = $this->then->reading($reading);
        $isOfSize = $reading === Reading::CompressorCurrent;
        if ($value === null || ($isOfSize && $this->findings->circuit->design->ratedCurrent === null)) {
            return null;
        }
        $deviation = match (true) {
            $reading->quantity() === QuantityKind::GaugePressure => self::PRESSURE *
                $this->findings->circuit->atmosphere->absolute($value),
            $reading->quantity() === QuantityKind::Temperature => self::PIPE,
            default => self::CURRENT * abs($value),
        };

        return new Expected($value, $deviation * $this->now());
    }

    public function yardstick(): Yardstick
    {
        return new Yardstick(split: $this->healthy(Sign::Split)?->value);
    }

    public function isCold(): ?bool
    {
        return $this->plain->isCold();
    }

    public function run(): array
    {
        $run = [];
        foreach (Place::cases() as $place) {
            $source = $place->source();
            $value = $source instanceof Reading
                ? $this->then->reading($source)
                : $this->figures->value($source);
            if ($value !== null) {
                $run[$place->value] = new Expected($value, hypot(self::PIPE * $this->now(), self::LEAST_BAND));
            }
        }

        return $run;
    }

    public function by(): string
    {
        return 'this ice machine’s twin';
    }

    /** How many times wider what is read at one minute is. */
    private function now(): float
    {
        return $this->width * ($this->findings->reading(Reading::FreezeMinute) === null ? self::NO_MINUTE : 1.0);
    }

    /** What the loop shows at the minute; its deviation is that of such plants by their design. */
    private function ofLoop(Sign $sign): ?Expected
    {
        $value = $this->signals->measured($sign);
        $width = $this->plain->healthy($sign)?->deviation;

        return $value === null || $width === null ? null : new Expected($value, $width * $this->now());
    }
}
