<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Circuit\Circuit;
use Metrum\Circuit\CondenserPlace;
use Metrum\Circuit\HeadPressureControl;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Kind;
use Metrum\Circuit\Metering;
use Metrum\Circuit\Wanted;

/**
 * Sizes a plant so that it meets its design point exactly: TD, split, superheat and subcooling from the design values, else
 * from the house rules; capacity from the rated current, else usual for the kind; volumes from the plate, else by capacity.
 *
 * Each part's size is tied to one miss of the loop at the design point, so a few walks there bring all of them home.
 */
final readonly class Sizing
{
    /** Share of the rated current that a sound plant draws at its design point. */
    public const CURRENT_SHARE = 0.74;

    /** The valve could pass this many times the design flow. */
    private const OVERSIZE = 1.4;

    /** Coil and condenser: number of transfer units of the whole face. */
    private const COIL_UNITS = 1.1;

    private const CONDENSER_UNITS = 0.9;

    private Wanted $wanted;

    public function __construct(private Circuit $circuit, private HouseRules $rules = new HouseRules())
    {
        $this->wanted = new Wanted($circuit, $rules);
    }

    /** @param  ?float  $cooling  W at the design point; null: by the rated current, else usual for the kind */
    public function machine(?float $cooling = null): Machine
    {
        $rated = $this->circuit->design->ratedCurrent;
        $machine = $this->sized($cooling ?? self::usualCooling($this->circuit->kind));
        if ($cooling === null && $rated !== null) {
            $machine = $this->sized(
                ($machine->design->cooling * self::CURRENT_SHARE * $rated) / $this->current($machine),
            );
        }
        $current = $this->current($machine);

        return $machine->with(ratedCurrent: $rated ?? $current / self::CURRENT_SHARE);
    }

    public static function usualBox(?Kind $kind): float
    {
        return 273.15 +
            match ($kind) {
                Kind::WalkInFreezer, Kind::RackCircuitLow => -20.0,
                Kind::ReachInFreezer, Kind::CaseLow => -21.0,
                Kind::IceMachine => -2.0,
                Kind::ReachInCooler, Kind::CaseMedium => 3.0,
                default => 2.0,
            };
    }

    private static function usualCooling(?Kind $kind): float
    {
        return match ($kind) {
            Kind::ReachInCooler => 500.0,
            Kind::ReachInFreezer => 450.0,
            Kind::IceMachine => 1800.0,
            Kind::CaseMedium, Kind::CaseLow => 3000.0,
            Kind::WalkInFreezer => 3200.0,
            Kind::RackCircuitMedium, Kind::RackCircuitLow => 7000.0,
            default => 4000.0,
        };
    }

    private function current(Machine $machine): float
    {
        $loop = new Loop($machine, new Surroundings($machine->design->ambient, $machine->design->box));
        $loop->walk(self::guess($machine));

        return $machine->compressor->current(
            $machine->compressor->electricPower($loop->shaft),
            self::CURRENT_SHARE,
        );
    }

    /** @return array{float, float, float, float, float} the loop's unknowns at the design point */
    public static function guess(Machine $machine): array
    {
        $design = $machine->design;

        return [
            log($design->evaporating),
            log($design->condensing),
            log($design->massFlow),
            $design->liquid / 1e4,
            $machine->hasReceiver() ? 0.45 : 0.0,
        ];
    }

    private function sized(float $cooling): Machine
    {
        $fluid = $this->circuit->fluid();
        $design = $this->circuit->design;
        $box = $design->boxSetPoint ?? self::usualBox($this->circuit->kind);
        $ambient =
            273.15 +
            match ($this->circuit->condenser) {
                CondenserPlace::Water => 20.0,
                CondenserPlace::AirIndoor => 26.0,
                default => 27.0,
            };
        $shared = $this->circuit->kind?->isShared() === true;
        $difference = max(
            $design->evaporatorTd ?? $this->wanted->evaporatorTd()->middle(),
            $this->wanted->leastTd(),
        );
        $split = $design->condenserSplit ?? $this->wanted->condenserSplit()->middle();
        $subcooling = $design->subcooling ?? ($this->circuit->hasReceiver() ? 3.0 : 6.0);
        $subcooling = min($subcooling, 0.75 * $split);

        $condensing = self::pressure(
            $fluid->saturation->lowest + 30,
            $fluid->saturation->highest - 3,
            fn (float $t): float => ($fluid->saturation->bubbleTemperature($p = $fluid->dewPressure($t)) +
                $fluid->saturation->dewTemperature($p)) /
                2,
            $ambient + $split,
            $fluid->dewPressure(...),
        );
        $bubble = $fluid->bubbleTemperature($condensing);
        $liquid = $fluid->liquidEnthalpy($bubble - $subcooling);
        $inlet = static function (float $p) use ($fluid, $liquid): float {
            $bubble = $fluid->bubbleTemperature($p);
            $low = $fluid->liquidEnthalpy($bubble);
            $dew = $fluid->dewTemperature($p);

            return $bubble + (($liquid - $low) / ($fluid->vapourEnthalpy($dew) - $low)) * ($dew - $bubble);
        };
        $evaporating = self::pressure(
            $fluid->saturation->lowest + 5,
            $box,
            fn (float $t): float => ($inlet($p = $fluid->dewPressure($t)) + $fluid->dewTemperature($p)) / 2,
            $box - $difference,
            $fluid->dewPressure(...),
        );
        $dew = $fluid->dewTemperature($evaporating);
        $superheat = min($design->superheat ?? $this->wanted->superheat()->middle(), 0.85 * ($box - $dew));
        $superheat = max(0.5, $superheat);
        [$gas, $leaving] = $fluid->vapourState($dew, $superheat);
        $flow = $cooling / ($leaving - $liquid);

        // Lines: 1.2 K of dew lost to the compressor (a regulator takes more), 5 K gained; a little lost before the valve.
        $out = $dew + $superheat;
        $regulated = $this->circuit->regulator === true;
        $lineDrop = $evaporating - $fluid->dewPressure($dew - 1.2);
        $regulatorDrop = $regulated ? $evaporating - $fluid->dewPressure($dew - 4.0) : 0.0;
        $specific = ($leaving - $fluid->vapourEnthalpy($dew)) / $superheat;
        $lineDensity = $fluid->liquidDensity($bubble - $subcooling);
        $temperature = $bubble - $subcooling;
        $kilowatts = $cooling / 1e3;
        $receiver = $this->circuit->hasReceiver();

        $machine = new Machine(
            $this->circuit,
            $fluid,
            new Compressor(
                $flow / ($gas * 0.7),
                volts: $kilowatts < 1.5 ? 230.0 : 400.0,
                phases: $kilowatts < 1.5 ? 1 : 3,
            ),
            new AirSide(($flow * 260e3) / $split, (self::CONDENSER_UNITS * $flow * 260e3) / $split),
            new AirSide($cooling / $difference, (self::COIL_UNITS * $cooling) / $difference),
            $this->feed($superheat, $flow / sqrt($lineDensity * ($condensing - $evaporating))),
            new HeadControl(
                $this->circuit->headPressureControl ?? HeadPressureControl::None,
                $this->wanted->leastCondensing() ?? 273.15,
            ),
            freeShare: 0.05,
            condenserVolume: $design->condenserVolume ?? 0.75e-3 * $kilowatts,
            receiverVolume: $receiver
                ? $design->receiverVolume ??
                    1.5e-3 *
                        $kilowatts *
                        ($this->circuit->headPressureControl === HeadPressureControl::FloodingValve ? 1.4 : 1.0)
                : 0.0,
            lineVolume: 0.1e-3 * $kilowatts,
            coilVolume: 0.9e-3 * $kilowatts,
            suctionVolume: 0.5e-3 * $kilowatts,
            charge: 1.0,
            liquidFriction: (9e3 * $lineDensity) / $flow ** 2,
            drierFriction: (6e3 * $lineDensity) / $flow ** 2,
            lift: 0.0,
            liquidLoss: max(0.02, min(3.0, 0.06 * $flow * 1500)),
            suctionFriction: ($lineDrop * $gas) / $flow ** 2,
            suctionGain: -$flow * $specific * log(1 - min(0.8, 5.0 / max(6.0, $ambient - $out))),
            regulatorSetting: $regulated ? $evaporating : null,
            regulatorFriction: (($regulatorDrop * $gas) / $flow ** 2) * 0.25,
            inert: 0.0,
            hotGas: 0.0,
            exchanger: 0.0,
            groupSuction: $shared ? $fluid->dewPressure($dew - 1.2) - $regulatorDrop : null,
            others: $shared ? 5.0 * $flow : 0.0,
            ratedCurrent: 1.0,
            solenoidOpen: true,
            design: new DesignPoint(
                $box,
                $ambient,
                $cooling,
                $flow,
                $evaporating,
                $condensing,
                $liquid,
                0.0,
                0.0,
                0.0,
                0.0,
            ),
        );

        return $this->charged($this->fitted($machine, $superheat, $subcooling));
    }

    private function feed(float $superheat, float $coefficient): Feed
    {
        $kind = $this->circuit->metering ?? Metering::Txv;
        // At the design flow the valve stands at 1 ÷ oversize of its travel. A mechanical one opens over some 6 K of superheat.
        $gradient = match ($kind) {
            Metering::Eev => 1.5,
            default => max(5.0, min(6.5, 1.25 * $superheat)),
        };

        return new Feed(
            $kind,
            $coefficient * ($kind === Metering::Capillary ? 1.0 : self::OVERSIZE),
            $superheat - $gradient / self::OVERSIZE,
            $gradient,
        );
    }

    /** Walks the design point and lets each size follow its own miss. */
    private function fitted(Machine $machine, float $superheat, float $subcooling): Machine
    {
        $around = new Surroundings($machine->design->ambient, $machine->design->box);
        for ($round = 0; $round < 25; $round++) {
            $loop = new Loop($machine, $around);
            $misses = $loop->walk(self::guess($machine));
            $got = $loop->superheat > 0.0 ? $loop->superheat : 0.3;
            // More superheat than wanted: the coil is too large. The superheating zone answers steeply.
            $coil = max(
                0.9,
                min(1.1, 1 - (0.25 * ($got - $superheat)) / max(1.0, $machine->design->box - $loop->dew)),
            );
            // The share that cools liquid from bubble to the wanted outlet, from the loop's own relation.
            $specific =
                ($machine->fluid->liquidEnthalpy($loop->bubble) -
                    $machine->fluid->liquidEnthalpy($loop->bubble - 10.0)) /
                10.0;
            $left = max(0.3, $loop->bubble - $around->ambient - $subcooling);
            $free =
                (log(($loop->bubble - $around->ambient) / $left) *
                    ($loop->massFlow + $machine->others) *
                    $specific) /
                $machine->condenser->conductance(0.5);
            $condenser = max(0.5, min(2.0, 1 - $misses[2]));
            $flow =
                $machine->design->massFlow *
                (1 + ($machine->design->cooling - $loop->coilHeat) / $machine->design->cooling);
            $opening = max(0.02, $loop->opening);
            $machine = $machine->with(
                compressor: $machine->compressor->otherwise(
                    $machine->groupSuction === null ? exp(-$misses[0]) : 1.0,
                ),
                feed: $machine->feed->narrowed(
                    exp(-$misses[1]) *
                        ($machine->feed->kind === Metering::Capillary ? 1.0 : $opening * self::OVERSIZE),
                ),
                condenser: new AirSide(
                    $machine->condenser->capacity * $condenser,
                    $machine->condenser->transfer * $condenser,
                ),
                coil: new AirSide($machine->coil->capacity * $coil, $machine->coil->transfer * $coil),
                freeShare: max(0.004, min(0.5, $free)),
                design: new DesignPoint(
                    $machine->design->box,
                    $machine->design->ambient,
                    $machine->design->cooling,
                    $flow,
                    $machine->design->evaporating,
                    $machine->design->condensing,
                    $machine->design->liquid,
                    0.0,
                    0.0,
                    0.0,
                    0.0,
                ),
            );
            if (
                abs($got - $superheat) < 1e-4 &&
                abs($misses[0]) + abs($misses[1]) + abs($misses[2]) + abs($misses[3]) < 1e-6 &&
                $round > 5
            ) {
                break;
            }
        }

        return $machine;
    }

    /** Charge for the design level of the receiver, with what the condenser takes on the coldest day on top. */
    private function charged(Machine $machine): Machine
    {
        $around = new Surroundings($machine->design->ambient, $machine->design->box);
        $mass = static function (float $fill) use ($machine, $around): float {
            $loop = new Loop($machine, $around);
            $guess = self::guess($machine);
            $guess[4] = $fill;
            $loop->walk($guess);

            return $loop->mass;
        };
        $empty = $mass(0.0);
        $buffer = $machine->hasReceiver() ? $mass(0.45) - $empty : 0.0;
        $winter = 0.0;
        if ($machine->head->kind === HeadPressureControl::FloodingValve) {
            $coldest = $this->circuit->design->coldestAmbient ?? 263.15;
            $share = max(
                0.0,
                min(
                    0.95,
                    1 -
                        ($machine->design->condensing > 0
                            ? $this->circuit->design->condenserSplit ??
                                $this->wanted->condenserSplit()->middle()
                            : 0.0) /
                            max(1.0, $machine->head->setting - $coldest),
                ),
            );
            $density = $machine->fluid->liquidDensity(($machine->head->setting + $coldest) / 2);
            $winter = $share * $machine->condenserVolume * $density;
        }
        // Enough for summer is a receiver outlet that is just covered.
        $summer = $empty + ($machine->hasReceiver() ? 0.08 * ($buffer / 0.45) : 0.0);
        // With winter charge the receiver stands higher in summer, up to its 80 %.
        $charge =
            $machine->head->kind === HeadPressureControl::FloodingValve
                ? min($empty + (0.8 * $buffer) / 0.45, $empty + (0.1 * $buffer) / 0.45 + $winter)
                : $empty + $buffer;
        $design = $machine->design;

        return $machine->with(
            charge: $charge,
            design: new DesignPoint(
                $design->box,
                $design->ambient,
                $design->cooling,
                $design->massFlow,
                $design->evaporating,
                $design->condensing,
                $design->liquid,
                $summer,
                max(0.0, $charge - $empty),
                $machine->hasReceiver() ? $mass(1.0) : $charge,
                $winter,
            ),
        );
    }

    /**
     * Pressure at which a temperature that rises with the dew temperature has a value; by halving.
     *
     * @param  callable(float): float  $of  of the dew temperature, K
     * @param  callable(float): float  $pressure  of the dew temperature
     */
    private static function pressure(
        float $low,
        float $high,
        callable $of,
        float $wanted,
        callable $pressure,
    ): float {
        for ($round = 0; $round < 50; $round++) {
            $middle = ($low + $high) / 2;
            $of($middle) > $wanted ? ($high = $middle) : ($low = $middle);
        }

        return $pressure(($low + $high) / 2);
    }
}
