<?php

declare(strict_types=1);

namespace Metrum\Twin\Ice;

use Metrum\Installation\Circuit;
use Metrum\Installation\DesignKey;
use Metrum\Installation\HeadPressureControl;
use Metrum\Quantity\Celsius;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Machine;
use Metrum\Twin\Sizing;

/**
 * Sizes a batch ice machine so that it makes what it is rated for: the loop by its split, superheat and charge with
 * half a batch on the plate, then what it freezes by the ice of a day in cool air and, where that is known, in warm air
 * too. What is not rated is usual for its size.
 */
final readonly class IceSizing
{
    /** K of freezing water over the middle of the plate with half a batch on it. */
    public const DIFFERENCE = 14.0;

    /** s of a usual cycle, by which batch and day tell each other. */
    public const CYCLE = 900.0;

    /** J that a kg of ice takes from water of 10 °C, and its share of the time in which it is frozen. */
    private const TAKEN = 395e3;

    private const FREEZING = 0.87;

    private const HOT = Celsius::ZERO + 32.0;

    private const RATED_WATER = Celsius::ZERO + 10.0;

    private const HOT_WATER = Celsius::ZERO + 21.0;

    /** Change of the capacity by a kelvin that a plate can say. */
    private const MOST_PER_KELVIN = 0.012;

    private const DAY = 86400.0;

    /** K at which a water regulating valve usually holds the condensing. */
    private const WATER_VALVE = Celsius::ZERO + 37.0;

    /** @param  float  $difference  K of freezing water over the middle of the plate with half a batch on it */
    public function __construct(private Circuit $circuit, private float $difference = self::DIFFERENCE)
    {
    }

    /** Where nobody said what holds its head, as such machines are held. */
    public static function of(Circuit $circuit): self
    {
        return new self($circuit->headPressureControl === null ? $circuit->asItOughtToBe() : $circuit);
    }

    /** @throws OutsideTable where such a machine cannot be built with its refrigerant */
    public function machine(): IceMachine
    {
        $design = $this->circuit->design;
        $day = $this->day();
        $loop = $this->loop($day * self::TAKEN / self::DAY / self::FREEZING);
        $batch = $design->icePerCycle ?? $day * self::CYCLE / self::DAY;
        $machine = new IceMachine($loop, new Plate($batch));

        return $this->rated($machine, $design->icePerDay, $design->icePerDayHot);
    }

    /** kg a day in cool air; by the batch, the current or what is usual where it is not rated. */
    private function day(): float
    {
        $design = $this->circuit->design;
        if ($design->icePerDay !== null || $design->icePerDayHot !== null) {
            return $design->icePerDay ?? 1.15 * $design->icePerDayHot;
        }
        if ($design->icePerCycle !== null) {
            return $design->icePerCycle * self::DAY / self::CYCLE;
        }
        $cooling = $design->ratedCurrent === null
            ? $this->circuit->usual()->cooling
            : (new Sizing($this->plain($design->ratedCurrent)))->machine()->design->cooling;

        return $cooling * self::FREEZING * self::DAY / self::TAKEN;
    }

    /**
     * The refrigerant's loop of such a size.
     *
     * @param  float  $cooling  W
     *
     * @throws OutsideTable
     */
    public function loop(float $cooling): Machine
    {
        $machine = (new Sizing($this->plain()))->machine($cooling);

        return $machine->head->kind === HeadPressureControl::WaterValve
            ? $machine->with(head: $machine->head->set(self::WATER_VALVE))
            : $machine;
    }

    /** @param  ?float  $current  A by which it is sized; null: by its cooling */
    private function plain(?float $current = null): Circuit
    {
        return $this->circuit->with(
            $this->circuit->design
                ->with(DesignKey::RatedCurrent, $current)
                ->with(DesignKey::BoxSetPoint, Celsius::ZERO)
                ->with(DesignKey::EvaporatorTd, $this->difference),
        );
    }

    /** What it meets at its rated points: on water its condenser's is the inlet water. */
    public static function ratedWeather(Circuit $circuit, bool $hot): IceWeather
    {
        $air = $hot ? self::HOT : IceMachine::RATED;
        $water = $hot ? self::HOT_WATER : self::RATED_WATER;

        return new IceWeather(
            $air,
            $water,
            IceWeather::sink($circuit, $air, $water),
        );
    }

    private function rated(IceMachine $machine, ?float $day, ?float $hot): IceMachine
    {
        $point = self::ratedWeather($this->circuit, hot: false);
        $cool = IceCycle::of($machine, $point);
        if ($cool === null || $cool->ice <= 0.0) {
            return $machine;
        }
        $capacity = $day === null ? 1.0 : $day / $cool->perDay();
        $machine = $machine->rated($capacity, 0.0, $point->sink)->dryAs($cool->course->dry(1.0));
        if ($day === null || $hot === null) {
            return $machine;
        }
        $weather = self::ratedWeather($this->circuit, hot: true);
        $warm = IceCycle::of($machine, $weather);
        if ($warm === null || $warm->ice <= 0.0) {
            return $machine;
        }
        $per = ($hot / $warm->perDay() - 1) / ($weather->sink - $point->sink);
        $per = max(-self::MOST_PER_KELVIN, min(self::MOST_PER_KELVIN, $per));

        return $machine->rated($capacity, $per, $point->sink);
    }
}
