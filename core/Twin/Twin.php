<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Refrigerant\OutsideTable;

/**
 * A simulated plant of the same kind as a circuit, sized from what is known of it: what it should read, and how surely.
 *
 * The deviation of an expected reading is not assumed but worked: each thing that is not known of the plant (coil,
 * condenser, valve setting, lines, charge, compressor) is moved by its own uncertainty and the changes are added as
 * squares.
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
            $design = (new Drawing($twin, $circuit, $rules))->design($good);
            $circuit = $circuit->with($design);
            $twin = new self((new Sizing($circuit, $rules))->machine(), 1 / sqrt(1 + count($good)));
        }

        return $twin;
    }

    public static function of(Machine $machine): self
    {
        return new self($machine, 1.0);
    }

    /**
     * Sizes and expectations are kept, the states behind them are not.
     *
     * @return array{Machine, float, array<string, array<string, ?Expected>>}
     */
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
        return $this->healthy[self::key($around)] ??= self::found($this->machine, $around, null);
    }

    /** The state with a fault in it. */
    public function withFault(Fault $fault, float $severity, Surroundings $around): PlantState
    {
        $sick = Disorder::in($this->machine, $fault, $severity);

        return self::found($sick, $around, $this->at($around)->solution);
    }

    /**
     * @param  ?array{float, float, float, float, float}  $start
     */
    private static function found(Machine $machine, Surroundings $around, ?array $start): PlantState
    {
        return (new SteadyState($machine, $around))->findOrStand($start);
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
        try {
            $states = $this->variations($around);
        } catch (OutsideTable) {
            return null;
        }
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
}
