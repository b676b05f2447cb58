<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Circuit\Circuit;
use Metrum\Circuit\Design;
use Metrum\Circuit\Fault;
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

    /** @var array<string, PlantState> by surroundings */
    private array $healthy = [];

    /** @var array<string, array<string, ?Expected>> what was worked out, by surroundings and figure */
    private array $worked = [];

    /** Whether something was worked out since it was kept. */
    private bool $learned = true;

    /** @param  float  $certainty  1 by design values; smaller where visits that ran well were fitted */
    private function __construct(public readonly Machine $machine, private readonly float $certainty)
    {
    }

    /** @param  list<Findings>  $good  visits at which the plant ran well; the sizes are drawn to them */
    public static function fittedTo(
        Circuit $circuit,
        HouseRules $rules = new HouseRules(),
        array $good = [],
    ): self {
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

    /** Sizes and expectations are kept, the states behind them are not. @return array{Machine, float, array<string, array<string, ?Expected>>} */
    public function __serialize(): array
    {
        return [$this->machine, $this->certainty, $this->worked];
    }

    /** @param  array{Machine, float, array<string, array<string, ?Expected>>}  $kept */
    public function __unserialize(array $kept): void
    {
        [$this->machine, $this->certainty, $this->worked] = $kept;
        $this->learned = false;
    }

    public function hasLearned(): bool
    {
        return $this->learned;
    }

    public function at(Surroundings $around): PlantState
    {
        return $this->healthy[self::key($around)] ??= (new SteadyState($this->machine, $around))->find();
    }

    /** The state with a fault in it. */
    public function withFault(Fault $fault, float $severity, Surroundings $around): PlantState
    {
        return (new SteadyState(Disorder::in($this->machine, $fault, $severity), $around))->find(
            $this->at($around)->solution,
        );
    }

    /**
     * The severity of a fault at which the twin reads most like the plant, with its state there.
     *
     * @param  Findings  $findings  readings as they were taken
     * @return array{float, PlantState}
     */
    public function closest(Findings $findings, Fault $fault, Surroundings $around, HouseRules $rules): array
    {
        $keys = [
            Derived::EvaporatorTd,
            Derived::EvaporatorSuperheat,
            Derived::CompressorSuperheat,
            Derived::Subcooling,
            Derived::CondenserSplit,
            Derived::DrierDrop,
            Derived::SuctionLineGain,
        ];
        $measured = Figures::of($findings, $rules);
        $best = [INF, 0.6, $this->at($around)];
        foreach (range(0.2, 0.95, 0.15) as $severity) {
            $state = $this->withFault($fault, $severity, $around);
            $model = Figures::of(
                new Findings(
                    $findings->circuit,
                    readings: array_intersect_key($state->readings, $findings->readings),
                ),
                $rules,
            );
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
            if (
                $key === Reading::CompressorCurrent->value &&
                $this->machine->circuit->design->ratedCurrent === null
            ) {
                // Without a plate nobody knows how large the plant is.
                continue;
            }
            $one = $this->expected(
                $around,
                'reading '.$key,
                static fn (PlantState $state): ?float => $state->readings[$key] ?? null,
            );
            if ($one !== null) {
                $expected[$key] = $one;
            }
        }

        return $expected;
    }

    /**
     * Any figure of the healthy state with its deviation; worked once for the same surroundings.
     *
     * @param  callable(PlantState): ?float  $figure
     */
    public function expected(Surroundings $around, string $name, callable $figure): ?Expected
    {
        $key = self::key($around);
        if (! array_key_exists($name, $this->worked[$key] ?? [])) {
            $this->learned = true;
            $this->worked = isset($this->worked[$key])
                ? $this->worked
                : array_slice($this->worked, -7, null, true);
            $this->worked[$key][$name] = $this->work($around, $figure);
        }

        return $this->worked[$key][$name];
    }

    private static function key(Surroundings $around): string
    {
        return sprintf('%.3f %.3f %.0f', $around->ambient, $around->box, $around->atmosphere);
    }

    /** @param  callable(PlantState): ?float  $figure */
    private function work(Surroundings $around, callable $figure): ?Expected
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
        $key = self::key($around);
        if (! isset($this->known[$key])) {
            $healthy = $this->at($around);
            $this->known[$key] = [
                $healthy,
                ...$healthy->runs()
                    ? SteadyState::nearby(
                        $healthy,
                        $around,
                        Uncertainty::around($this->machine, $this->certainty),
                    )
                    : [],
            ];
        }

        return $this->known[$key];
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
            $model = Figures::of(
                new Findings($circuit, readings: array_intersect_key($state->readings, $findings->readings)),
                $rules,
            );
            foreach (
                [
                    'evaporatorTd' => Derived::EvaporatorTd,
                    'condenserSplit' => Derived::CondenserSplit,
                    'superheat' => Derived::EvaporatorSuperheat,
                    'subcooling' => Derived::Subcooling,
                ] as $key => $figure
            ) {
                $a = $measured->value($figure);
                $b = $model->value($figure);
                if ($a !== null && $b !== null) {
                    $misses[$key][] = $a - $b;
                }
            }
        }
        $machine = $twin->machine;
        $point = Figures::of(
            new Findings(
                $circuit,
                readings: $twin->at(
                    new Surroundings(
                        $machine->design->ambient,
                        $machine->design->box,
                        atmosphere: $circuit->atmosphere->pascal,
                    ),
                )->readings,
            ),
            $rules,
        );
        $now = [
            'evaporatorTd' => $point->value(Derived::EvaporatorTd),
            'condenserSplit' => $point->value(Derived::CondenserSplit),
            'superheat' => $point->value(Derived::EvaporatorSuperheat),
            'subcooling' => $point->value(Derived::Subcooling),
        ];
        $given = $circuit->design;
        $values = [
            'evaporatorTd' => $given->evaporatorTd,
            'condenserSplit' => $given->condenserSplit,
            'superheat' => $given->superheat,
            'subcooling' => $given->subcooling,
        ];
        foreach ($misses as $key => $list) {
            if ($list !== [] && $now[$key] !== null) {
                $values[$key] = max(0.5, ($values[$key] ?? $now[$key]) + array_sum($list) / count($list));
            }
        }

        return new Design(
            ...[
                ...$values,
                'boxSetPoint' => $given->boxSetPoint,
                'ratedCurrent' => $given->ratedCurrent,
                'coldestAmbient' => $given->coldestAmbient,
                'receiverVolume' => $given->receiverVolume,
                'condenserVolume' => $given->condenserVolume,
                'nameplateCharge' => $given->nameplateCharge,
            ],
        );
    }

    private static function with(Circuit $circuit, Design $design): Circuit
    {
        return new Circuit(
            $circuit->refrigerant,
            $circuit->kind,
            $circuit->metering,
            $circuit->condenser,
            $circuit->headPressureControl,
            $circuit->receiver,
            $circuit->regulator,
            $circuit->suctionAccumulator,
            $circuit->boxControl,
            $circuit->defrost,
            $design,
            $circuit->atmosphere,
        );
    }
}
