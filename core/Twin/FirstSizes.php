<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Installation\Circuit;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\DesignKey;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Metering;
use Metrum\Knowledge\Wanted;
use Metrum\Quantity\Celsius;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Refrigerant\Refrigerant;

/** First sizes of all parts, from the differences of the design point alone; Sizing brings them home. SI. */
final readonly class FirstSizes
{
    /** The valve could pass this many times the design flow. */
    public const OVERSIZE = 1.6;

    /** Coil and condenser: number of transfer units of the whole face. */
    private const COIL_UNITS = 1.1;

    private const CONDENSER_UNITS = 0.75;

    /** J/kg that the condenser gives off for each kilogram, roughly. */
    private const CONDENSER_HEAT = 260e3;

    /** K of dew that the suction line costs, and line and regulator together. */
    private const LINE_LOSS = 1.2;

    private const REGULATOR_LOSS = 6.0;

    /** K that the suction line gains. */
    private const LINE_GAIN = 8.0;

    /** K of a rack's gathered gas at its compressors. */
    private const GROUP_SUPERHEAT = 14.0;

    /** kW below which a plant runs on one phase. */
    private const SINGLE_PHASE = 1.5;

    private Refrigerant $fluid;

    private float $box;

    private float $ambient;

    /** Air to coil and condenser to air, K. */
    private float $difference;

    private float $split;

    /** K below bubble at the start of the liquid line, and K above dew at the bulb. */
    public float $subcooling;

    public float $superheat;

    private float $condensing;

    private float $evaporating;

    private float $bubble;

    private float $dew;

    private float $liquid;

    /** @throws OutsideTable where such a plant cannot be built with its refrigerant */
    public function __construct(private Circuit $circuit, private Wanted $wanted)
    {
        $design = $circuit->design;
        $this->fluid = $circuit->fluid();
        $this->box = $design->boxSetPoint ?? (float) $circuit->usual()->value(DesignKey::BoxSetPoint);
        $this->ambient =
            Celsius::ZERO +
            match ($circuit->condenser) {
                CondenserPlace::Water => 20.0,
                CondenserPlace::AirIndoor => 26.0,
                default => 27.0,
            };
        $this->difference = max($design->evaporatorTd ?? $wanted->evaporatorTd()->middle(), $wanted->leastTd());
        $this->split = $design->condenserSplit ?? $wanted->condenserSplit()->middle();
        $subcooling = $design->subcooling ?? ($circuit->hasReceiver() ? 3.0 : 6.0);
        $this->subcooling = min($subcooling, 0.75 * $this->split);
        $this->condensing = $this->condensingPressure();
        $this->bubble = $this->fluid->bubbleTemperature($this->condensing);
        $this->liquid = $this->fluid->liquidEnthalpy($this->bubble - $this->subcooling);
        $this->evaporating = $this->evaporatingPressure();
        $this->dew = $this->fluid->dewTemperature($this->evaporating);
        $superheat = $design->superheat ?? $wanted->superheat()->middle();
        $this->superheat = max(0.5, min($superheat, 0.85 * ($this->box - $this->dew)));
    }

    /**
     * @param  float  $cooling  W at the design point
     *
     * @throws OutsideTable
     */
    public function machine(float $cooling): Machine
    {
        $circuit = $this->circuit;
        $kilowatts = $cooling / 1e3;
        [$gas, $leaving] = $this->fluid->vapourState($this->dew, $this->superheat);
        $flow = $cooling / ($leaving - $this->liquid);
        $liquidDensity = $this->fluid->liquidDensity($this->bubble - $this->subcooling);
        $specific = ($leaving - $this->fluid->vapourEnthalpy($this->dew)) / $this->superheat;
        $suction = $this->fluid->dewPressure($this->dew - self::LINE_LOSS);
        $regulated = $circuit->regulator === true;
        $regulatorDrop = $regulated
            ? $this->evaporating - $this->fluid->dewPressure($this->dew - self::REGULATOR_LOSS)
            : 0.0;
        $condenser = ($flow * self::CONDENSER_HEAT) / $this->split;
        $coil = $cooling / $this->difference;
        $single = $kilowatts < self::SINGLE_PHASE;

        return new Machine(
            circuit: $circuit,
            fluid: $this->fluid,
            compressor: new Compressor(
                $flow / ($gas * 0.7),
                volts: $single ? 230.0 : 400.0,
                phases: $single ? 1 : 3,
            ),
            condenser: new AirSide($condenser, self::CONDENSER_UNITS * $condenser),
            coil: new AirSide($coil, self::COIL_UNITS * $coil),
            feed: $this->feed($flow / sqrt($liquidDensity * ($this->condensing - $this->evaporating))),
            head: $this->head(),
            freeShare: 0.05,
            condenserVolume: $circuit->design->condenserVolume ?? 0.75e-3 * $kilowatts,
            receiverVolume: $circuit->hasReceiver() ? $this->receiverVolume($kilowatts) : 0.0,
            lineVolume: $circuit->design->liquidLineVolume() ?? 0.1e-3 * $kilowatts,
            coilVolume: 0.9e-3 * $kilowatts,
            suctionVolume: 0.5e-3 * $kilowatts,
            charge: 1.0,
            liquidFriction: (9e3 * $liquidDensity) / $flow ** 2,
            drierFriction: (6e3 * $liquidDensity) / $flow ** 2,
            outletFriction: 0.0,
            lift: 0.0,
            liquidLoss: max(0.02, min(3.0, 0.06 * $flow * 1500)),
            suctionFriction: (($this->evaporating - $suction) * $gas) / $flow ** 2,
            suctionGain: $this->suctionGain($flow * $specific),
            regulatorSetting: $regulated ? $this->evaporating : null,
            regulatorFriction: (($regulatorDrop * $gas) / $flow ** 2) * 0.25,
            inert: 0.0,
            hotGas: 0.0,
            exchanger: 0.0,
            groupSuction: $circuit->isShared() ? $suction - $regulatorDrop : null,
            others: $circuit->others * $flow,
            groupSuperheat: self::GROUP_SUPERHEAT,
            ratedCurrent: 1.0,
            solenoidOpen: true,
            design: new DesignPoint(
                $this->box,
                $this->ambient,
                $cooling,
                $flow,
                $this->evaporating,
                $this->condensing,
                $this->liquid,
            ),
        );
    }

    /** W/K. @param  float  $capacity  of the gas, W/K */
    private function suctionGain(float $capacity): float
    {
        $outlet = $this->dew + $this->superheat;

        return -$capacity * log(1 - min(0.8, self::LINE_GAIN / max(6.0, $this->ambient - $outlet)));
    }

    private function receiverVolume(float $kilowatts): float
    {
        $flooding = $this->circuit->headPressureControl === HeadPressureControl::FloodingValve;

        return $this->circuit->design->receiverVolume ?? 1.8e-3 * $kilowatts * ($flooding ? 1.4 : 1.0);
    }

    private function head(): HeadControl
    {
        return new HeadControl(
            $this->circuit->headPressureControl ?? HeadPressureControl::None,
            $this->wanted->leastCondensing() ?? Celsius::ZERO,
        );
    }

    /**
     * At the design flow the valve stands at 1 ÷ oversize of its travel. A mechanical one opens over some 6 K of
     * superheat.
     */
    private function feed(float $coefficient): Feed
    {
        $kind = $this->circuit->metering ?? Metering::Txv;
        $gradient = $kind === Metering::Eev ? 1.5 : max(5.0, min(6.5, 1.25 * $this->superheat));

        return new Feed(
            $kind,
            $coefficient * ($kind === Metering::Capillary ? 1.0 : self::OVERSIZE),
            $this->superheat - $gradient / self::OVERSIZE,
            $gradient,
        );
    }

    /** Pa at which the middle of the condenser stands by its split above the air. */
    private function condensingPressure(): float
    {
        $fluid = $this->fluid;
        $dew = self::where(
            $fluid->saturation->lowest + 30,
            $fluid->saturation->highest - 3,
            $this->ambient + $this->split,
            static function (float $dew) use ($fluid): float {
                $pressure = $fluid->dewPressure($dew);

                return ($fluid->bubbleTemperature($pressure) + $fluid->dewTemperature($pressure)) / 2;
            },
        );

        return $fluid->dewPressure($dew);
    }

    /** Pa at which the middle of the coil stands by its TD below the air. */
    private function evaporatingPressure(): float
    {
        $fluid = $this->fluid;
        $dew = self::where(
            $fluid->saturation->lowest + 5,
            $this->box,
            $this->box - $this->difference,
            function (float $dew) use ($fluid): float {
                $pressure = $fluid->dewPressure($dew);

                return ($this->inlet($pressure) + $fluid->dewTemperature($pressure)) / 2;
            },
        );

        return $fluid->dewPressure($dew);
    }

    /** K where the coil begins: by the share of vapour that throttling leaves. */
    private function inlet(float $pressure): float
    {
        $bubble = $this->fluid->bubbleTemperature($pressure);
        $dew = $this->fluid->dewTemperature($pressure);
        $low = $this->fluid->liquidEnthalpy($bubble);
        $quality = ($this->liquid - $low) / ($this->fluid->vapourEnthalpy($dew) - $low);

        return $bubble + $quality * ($dew - $bubble);
    }

    /**
     * Dew temperature (K) at which a temperature that rises with it has a value; by halving.
     *
     * @param  callable(float): float  $of  of the dew temperature
     */
    private static function where(float $low, float $high, float $wanted, callable $of): float
    {
        for ($round = 0; $round < 50; $round++) {
            $middle = ($low + $high) / 2;
            if ($of($middle) > $wanted) {
                $high = $middle;
            } else {
                $low = $middle;
            }
        }

        return ($low + $high) / 2;
    }
}
