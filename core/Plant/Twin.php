<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Circuit\Circuit;
use Metrum\Circuit\Design;
use Metrum\Circuit\Fault;
use Metrum\Circuit\HeadPressureControl;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Kind;
use Metrum\Circuit\Reading;
use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;

/**
 * A simulated plant of the same kind as a circuit, sized from what is known of it: what it should read, and how surely.
 *
 * The deviation of an expected reading is not assumed but worked: each thing that is not known of the plant (coil, condenser,
 * valve setting, lines, charge, compressor) is moved by its own uncertainty and the changes are added as squares.
 */
final class Twin
{
    /** @var array<string, non-empty-list<PlantState>> the healthy state and its variations, by surroundings */
    private array $known = [];

    /** @param  float  $certainty  1 by design values; smaller where visits that ran well were fitted */
    private function __construct(public readonly Machine $machine, private readonly float $certainty)
    {
    }

    /** @param  list<Findings>  $good  visits at which the plant ran well; the sizes are drawn to them */
    public static function fittedTo(Circuit $circuit, HouseRules $rules = new HouseRules, array $good = []): self
    {
        $twin = new self((new Sizing($circuit, $rules))->machine(), 1.0);
        for ($round = 0; $good !== [] && $round < 3; $round++) {
            $design = self::drawn($twin, $circuit, $rules, $good);
            $circuit = self::with($circuit, $design);
            $twin = new self((new Sizing($circuit, $rules))->machine(), 1 / sqrt(1 + count($good)));
        }

        return $twin;
    }

    public static function of(Machine $machine): self
    {
        return new self($machine, 1.0);
    }

    public function at(Surroundings $around): PlantState
    {
        return $this->variations($around)[0];
    }

    /** The state with a fault in it. */
    public function withFault(Fault $fault, float $severity, Surroundings $around): PlantState
    {
        return (new SteadyState(Disorder::in($this->machine, $fault, $severity), $around))->find($this->at($around)->solution);
    }

    /**
     * The severity of a fault at which the twin reads most like the plant, with its state there.
     *
     * @param  Findings  $findings  readings as they were taken
     * @return array{float, PlantState}
     */
    public function closest(Findings $findings, Fault $fault, Surroundings $around, HouseRules $rules): array
    {
        $keys = [Derived::EvaporatorTd, Derived::EvaporatorSuperheat, Derived::CompressorSuperheat, Derived::Subcooling, Derived::CondenserSplit, Derived::DrierDrop, Derived::SuctionLineGain];
        $measured = Figures::of($findings, $rules);
        $best = [INF, 0.6, $this->at($around)];
        foreach (range(0.2, 0.95, 0.15) as $severity) {
            $state = $this->withFault($fault, $severity, $around);
            $model = Figures::of(new Findings($findings->circuit, readings: array_intersect_key($state->readings, $findings->readings)), $rules);
            $miss = $state->runs() ? 0.0 : 1e3;
            foreach ($keys as $key) {
                $a = $measured->value($key);
                $b = $model->value($key);
                // A figure far off says that the model is not right, not that it be followed at any price.
                $miss += $a === null || $b === null ? 0.0 : min(100.0, ($a - $b) ** 2);
            }
            $best = $miss < $best[0] ? [$miss, $severity, $state] : $best;
        }

        return [$best[1], $best[2]];
    }

    /**
     * What each reading should be, and its deviation from what is not known of the plant; instruments not counted.
     *
     * @return array<string, Expected> by key of Reading, SI
     */
    public function expectedAt(Surroundings $around): array
    {
        $expected = [];
        foreach (array_keys($this->at($around)->readings) as $key) {
            if ($key === Reading::CompressorCurrent->value && $this->machine->circuit->design->ratedCurrent === null) {
                // Without a plate nobody knows how large the plant is.
                continue;
            }
            $one = $this->expected($around, static fn (PlantState $state): ?float => $state->readings[$key] ?? null);
            if ($one !== null) {
                $expected[$key] = $one;
            }
        }

        return $expected;
    }

    /**
     * Any figure of the healthy state with its deviation.
     *
     * @param  callable(PlantState): ?float  $figure
     */
    public function expected(Surroundings $around, callable $figure): ?Expected
    {
        $states = $this->variations($around);
        $value = $states[0]->runs() ? $figure($states[0]) : null;
        if ($value === null) {
            return null;
        }
        $squares = 0.0;
        foreach (array_slice($states, 1) as $varied) {
            $moved = $varied->runs() ? $figure($varied) : null;
            $squares += $moved === null ? 0.0 : ($moved - $value) ** 2;
        }

        return new Expected($value, sqrt($squares));
    }

    /** @return non-empty-list<PlantState> healthy first */
    private function variations(Surroundings $around): array
    {
        $key = sprintf('%.3f %.3f', $around->ambient, $around->box);
        if (! isset($this->known[$key])) {
            $healthy = (new SteadyState($this->machine, $around))->find();
            $this->known[$key] = [$healthy, ...($healthy->runs() ? SteadyState::nearby($healthy, $around, $this->uncertain()) : [])];
        }

        return $this->known[$key];
    }

    /** @return list<Machine> the plant with one thing each as it might also be, one deviation away */
    private function uncertain(): array
    {
        $machine = $this->machine;
        $given = $machine->circuit->design;
        $c = $this->certainty;
        $shared = $machine->circuit->kind?->isShared() === true;
        $fluid = $machine->fluid;
        $ice = $machine->circuit->kind === Kind::IceMachine ? 1.8 : 1.0;
        // Nobody says to which end of the glide a design difference was meant.
        $glideE = 0.35 * abs($fluid->glide($machine->design->evaporating));
        $glideC = 0.4 * abs($fluid->glide($machine->design->condensing));
        $dew = $fluid->dewTemperature($machine->design->evaporating);
        $difference = max(3.0, $machine->design->box - $dew);
        $split = max(4.0, $fluid->bubbleTemperature($machine->design->condensing) - $machine->design->ambient);
        $coil = 1 + $c * $ice * hypot($given->evaporatorTd !== null ? 1.1 : 2.2, $glideE) / $difference;
        $condenser = 1 + $c * $ice * hypot(($given->condenserSplit !== null ? 0.13 : 0.25) * $split, $glideC) / $split;
        $varied = [
            $machine->with(coil: new AirSide($machine->coil->capacity * $coil, $machine->coil->transfer * $coil)),
            $machine->with(condenser: new AirSide($machine->condenser->capacity * $condenser, $machine->condenser->transfer * $condenser)),
            $machine->with(feed: $machine->feed->turned($c * $ice * ($given->superheat !== null ? 0.8 : 1.2))),
            $machine->with(compressor: $machine->compressor->otherwise(1 + 0.08 * $c)),
            $machine->with(compressor: $machine->compressor->otherwise(1.0, 1 - 0.10 * $c)),
            $machine->with(suctionGain: $machine->suctionGain * (1 + ($shared ? 1.6 : 1.1) * $c)),
            $machine->with(suctionFriction: $machine->suctionFriction * (1 + 0.8 * $c)),
            $machine->with(liquidLoss: $machine->liquidLoss * (1 + 3 * $c)),
            $machine->with(freeShare: $machine->freeShare * (1 + $c * ($given->subcooling !== null ? 0.45 : 0.7))),
            $machine->with(charge: $machine->charge + ($machine->hasReceiver() ? 0.35 * $machine->design->buffer : 0.04 * $machine->charge) * $c),
        ];
        if ($machine->head->kind !== HeadPressureControl::None) {
            // Old valves want about 30 °C, newer ones do with less: where it is set is not known.
            $varied[] = $machine->with(head: $machine->head->lowered(5.0 * $c));
            $varied[] = $machine->with(head: $machine->head->mixing(1 - 0.5 * $c));
        }
        if ($machine->groupSuction !== null) {
            $varied[] = $machine->with(groupSuction: $fluid->dewPressure($fluid->dewTemperature($machine->groupSuction) - ($machine->regulatorSetting !== null ? 4.0 : 2.0) * $c));
        }

        return $varied;
    }

    /**
     * Design values moved by what good visits read beyond the twin.
     *
     * @param  list<Findings>  $good
     */
    private static function drawn(self $twin, Circuit $circuit, HouseRules $rules, array $good): Design
    {
        $misses = ['evaporatorTd' => [], 'condenserSplit' => [], 'superheat' => [], 'subcooling' => []];
        foreach ($good as $findings) {
            $box = $findings->reading(Reading::BoxTemperature);
            $ambient = $findings->reading(Reading::AmbientTemperature);
            if ($box === null || $ambient === null) {
                continue;
            }
            $state = $twin->at(new Surroundings($ambient, $box, atmosphere: $circuit->atmosphere->pascal));
            $measured = Figures::of($findings, $rules);
            // The same readings are taken from the twin as were taken from the plant.
            $model = Figures::of(new Findings($circuit, readings: array_intersect_key($state->readings, $findings->readings)), $rules);
            foreach (['evaporatorTd' => Derived::EvaporatorTd, 'condenserSplit' => Derived::CondenserSplit, 'superheat' => Derived::EvaporatorSuperheat, 'subcooling' => Derived::Subcooling] as $key => $figure) {
                $a = $measured->value($figure);
                $b = $model->value($figure);
                if ($a !== null && $b !== null) {
                    $misses[$key][] = $a - $b;
                }
            }
        }
        $machine = $twin->machine;
        $point = Figures::of(new Findings($circuit, readings: $twin->at(new Surroundings($machine->design->ambient, $machine->design->box, atmosphere: $circuit->atmosphere->pascal))->readings), $rules);
        $now = ['evaporatorTd' => $point->value(Derived::EvaporatorTd), 'condenserSplit' => $point->value(Derived::CondenserSplit), 'superheat' => $point->value(Derived::EvaporatorSuperheat), 'subcooling' => $point->value(Derived::Subcooling)];
        $given = $circuit->design;
        $values = ['evaporatorTd' => $given->evaporatorTd, 'condenserSplit' => $given->condenserSplit, 'superheat' => $given->superheat, 'subcooling' => $given->subcooling];
        foreach ($misses as $key => $list) {
            if ($list !== [] && $now[$key] !== null) {
                $values[$key] = max(0.5, ($values[$key] ?? $now[$key]) + array_sum($list) / count($list));
            }
        }

        return new Design(
            ...[...$values, 'boxSetPoint' => $given->boxSetPoint, 'ratedCurrent' => $given->ratedCurrent, 'coldestAmbient' => $given->coldestAmbient,
                'receiverVolume' => $given->receiverVolume, 'condenserVolume' => $given->condenserVolume, 'nameplateCharge' => $given->nameplateCharge],
        );
    }

    private static function with(Circuit $circuit, Design $design): Circuit
    {
        return new Circuit($circuit->refrigerant, $circuit->kind, $circuit->metering, $circuit->condenser, $circuit->headPressureControl, $circuit->receiver, $circuit->regulator, $circuit->suctionAccumulator, $circuit->boxControl, $circuit->defrost, $design, $circuit->atmosphere);
    }
}
