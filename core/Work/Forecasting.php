<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Circuit\Control;
use Metrum\Circuit\Fault;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Reading;
use Metrum\Diagnosis\Suspect;
use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Plant\Disorder;
use Metrum\Plant\Feed;
use Metrum\Plant\Likeness;
use Metrum\Plant\Machine;
use Metrum\Plant\PlantState;
use Metrum\Plant\Scenario;
use Metrum\Plant\SteadyState;
use Metrum\Plant\Surroundings;
use Metrum\Plant\Twin;
use Metrum\Refrigerant\OutsideTable;

/**
 * What a move will do at a plant: worked on its twin with each leading suspect in it, as marked as the readings say,
 * weighed by how likely each is. What the suspects disagree on, what is not known of the twin and what instruments
 * blur makes the width.
 */
final class Forecasting
{
    /** Suspects whose plants are asked, and the share below which one is not. */
    private const SUSPECTS = 2;

    private const LEAST_SHARE = 0.08;

    /** The same of the fault that a move cures. */
    private const LEAST_CURED = 0.01;

    /** What two readings differ by that mean the same, K. */
    private const BLUR = 0.25;

    /** Turns between which the valve of the twin is brought to the superheat that was read. */
    private const TURNS = 7.0;

    /** K of superheat by which the twin may stay away, and steps taken to come near. */
    private const NEAR = 0.15;

    private const STEPS = 7;

    /** K a turn below which a valve is taken to answer no more, and turns below which nothing was turned. */
    private const LEAST_SLOPE = 0.3;

    private const LEAST_TURN = 0.01;

    private readonly Figures $measured;

    /** @var array<string, array{Machine, PlantState}> plants brought to what was read, by the fault in them */
    private array $plants = [];

    /** @var ?array{Machine, PlantState} */
    private ?array $held = null;

    public function __construct(
        private readonly Twin $twin,
        private readonly Surroundings $around,
        private readonly Findings $now,
        private readonly HouseRules $rules,
    ) {
        $this->measured = Figures::of($now, $rules);
    }

    /**
     * @param  float  $value  how far, SI; 1 for what is done or not
     * @param  list<Suspect>  $suspects  most likely first
     * @param  ?Response  $learned  what this control did before
     */
    public function of(Control $control, float $value, array $suspects, ?Response $learned = null): Forecast
    {
        $figures = [];
        $answers = [];
        foreach ($this->shares($suspects, $control->row()->cures) as [$fault, $share]) {
            $answers[] = [$share, $this->changes($control, $value, $fault)];
        }
        foreach ($control->row()->figures as $n => $key) {
            $figure = Derived::from($key);
            $before = $this->measured->value($figure);
            $one = $before === null ? null : self::weighed($figure, $before, $answers, $control->row()->unsure);
            if ($one !== null) {
                $figures[] = $n === 0 && $learned !== null ? $learned->foretell($one, $value) : $one;
            }
        }

        return new Forecast($figures);
    }

    /** Change of a figure for one unit of a control, by the twin alone; null where it has none. */
    public function slope(Control $control, Derived $figure, float $step): ?float
    {
        $slopes = [];
        foreach ([$step, -$step] as $way) {
            $change = $this->changes($control, $way, null)[$figure->value] ?? null;
            if ($change !== null) {
                $slopes[] = $change / $way;
            }
        }

        return $slopes === [] ? null : array_sum($slopes) / count($slopes);
    }

    /**
     * @param  list<Suspect>  $suspects
     * @param  ?Fault  $cured  by the move: it is asked however unlikely, since all of the change hangs on it
     * @return list<array{?Fault, float}> faults that the loop shows, and their shares; null for a sound plant
     */
    private function shares(array $suspects, ?Fault $cured): array
    {
        $shares = [];
        $sum = 0.0;
        foreach ($suspects as $place => $suspect) {
            $leads = $place < self::SUSPECTS && $suspect->probability >= self::LEAST_SHARE;
            if (! $leads && ($suspect->fault !== $cured || $suspect->probability < self::LEAST_CURED)) {
                continue;
            }
            $shows = Disorder::showsInLoop($suspect->fault, $this->twin->machine);
            $shares[] = [$shows ? $suspect->fault : null, $suspect->probability];
            $sum += $suspect->probability;
        }

        return $shares === []
            ? [[null, 1.0]]
            : array_map(static fn (array $one): array => [$one[0], $one[1] / $sum], $shares);
    }

    /**
     * @param  list<array{float, array<string, float>}>  $answers  share and changes of each suspect's plant
     * @param  float  $unsure  share of a change that the twin is off by
     */
    private static function weighed(Derived $figure, float $before, array $answers, float $unsure): ?Foretold
    {
        $known = array_values(
            array_filter($answers, static fn (array $one): bool => isset($one[1][$figure->value])),
        );
        $sum = array_sum(array_column($known, 0));
        if ($sum <= 0.0) {
            return null;
        }
        $mean = $squares = 0.0;
        foreach ($known as [$share, $changes]) {
            $mean += ($share / $sum) * $changes[$figure->value];
        }
        foreach ($known as [$share, $changes]) {
            $squares += ($share / $sum) * ($changes[$figure->value] - $mean) ** 2;
        }
        $deviation = sqrt($squares + ($unsure * $mean) ** 2 + self::BLUR ** 2);

        return new Foretold($figure, $before, $mean, $deviation);
    }

    /** @return array<string, float> change by Derived, SI; what cannot be worked is left out */
    private function changes(Control $control, float $value, ?Fault $fault): array
    {
        try {
            [$machine, $state] = $control === Control::RegulatorTurn
                ? ($this->held ??= $this->held())
                : ($this->plants[self::plant($fault)] ??= $this->brought($fault));
            $moved = self::moved($machine, $this->twin->machine, $control, $value, $fault);
            if ($moved === null || ! $state->runs()) {
                return [];
            }
            $after = (new SteadyState($moved, $this->around))->find($state->solution);
        } catch (OutsideTable) {
            return [];
        }
        $before = $this->figures($state);
        $figures = $this->figures($after);
        $changes = [];
        foreach ($after->runs() ? $control->row()->figures : [] as $key) {
            $figure = Derived::from($key);
            [$a, $b] = [$before->value($figure), $figures->value($figure)];
            if ($a !== null && $b !== null) {
                $changes[$key] = $b - $a;
            }
        }

        return $changes;
    }

    private function figures(PlantState $state): Figures
    {
        return Figures::of(new Findings($this->now->circuit, readings: $state->readings), $this->rules);
    }

    /** Under which a plant is kept: a valve set otherwise is the sound plant with its valve turned. */
    private static function plant(?Fault $fault): string
    {
        return match ($fault) {
            null, Fault::ValveUnderfeeding, Fault::ValveOverfeeding, Fault::ValveHunting => '',
            default => $fault->value,
        };
    }

    /**
     * The twin with a fault in it as marked as the readings say; a valve that is set otherwise is turned there.
     *
     * @return array{Machine, PlantState}
     */
    private function brought(?Fault $fault): array
    {
        if ($fault === null || self::plant($fault) === '') {
            return $this->turned($this->twin->machine, $this->twin->at($this->around));
        }
        [$severity, $state] = (new Likeness($this->twin, $this->around, $this->now, $this->rules))->closest($fault);

        return [Disorder::in($this->twin->machine, $fault, $severity), $state];
    }

    /**
     * The twin with its regulator set to what the coil has now.
     *
     * @return array{Machine, PlantState}
     */
    private function held(): array
    {
        $pressure = $this->now->absolute(Reading::EvaporatorPressure);
        $machine = $this->twin->machine;
        if ($pressure === null || $machine->regulatorSetting === null) {
            return [$machine, $this->twin->at($this->around)];
        }
        $set = $machine->with(regulatorSetting: $pressure);

        return [$set, (new SteadyState($set, $this->around))->find($this->twin->at($this->around)->solution)];
    }

    /**
     * Turned until the superheat is what was read: along the line through the last two tries, since superheat goes
     * nearly evenly with the turns; half of the way where the plant does not run there.
     *
     * @return array{Machine, PlantState}
     */
    private function turned(Machine $machine, PlantState $state): array
    {
        $wanted = $this->measured->value(Derived::EvaporatorSuperheat);
        $off = $this->offBy($state, $wanted);
        if ($off === null || abs($off) < self::NEAR) {
            return [$machine, $state];
        }
        [$best, $turns, $slope] = [[$machine, $state, abs($off)], 0.0, Feed::KELVIN_PER_TURN];
        $way = -$off / $slope;
        for ($step = 0; $step < self::STEPS && $best[2] >= self::NEAR; $step++) {
            $next = max(-self::TURNS, min(self::TURNS, $turns + $way));
            $tried = $machine->with(feed: $machine->feed->turned($next));
            $found = (new SteadyState($tried, $this->around))->find($best[1]->solution);
            $offNow = $this->offBy($found, $wanted);
            if ($offNow === null || abs($next - $turns) < self::LEAST_TURN) {
                $way /= 2;

                continue;
            }
            $slope = max(self::LEAST_SLOPE, ($offNow - $off) / ($next - $turns));
            [$turns, $off, $way] = [$next, $offNow, -$offNow / $slope];
            if (abs($offNow) < $best[2]) {
                $best = [$tried, $found, abs($offNow)];
            }
        }

        return [$best[0], $best[1]];
    }

    /** K by which the superheat of a plant is above what is wanted; null where it does not run, or nothing is. */
    private function offBy(PlantState $state, ?float $wanted): ?float
    {
        $has = $state->runs() ? $this->figures($state)->value(Derived::EvaporatorSuperheat) : null;

        return $wanted === null || $has === null ? null : $has - $wanted;
    }

    /** The plant after the move; null where the loop shows nothing of it. */
    private static function moved(
        Machine $machine,
        Machine $sound,
        Control $control,
        float $value,
        ?Fault $fault,
    ): ?Machine {
        $scenario = match ($control) {
            Control::ValveTurn => new Scenario($machine, valveTurns: $value),
            Control::RegulatorTurn => $machine->regulatorSetting === null
                ? null
                : new Scenario($machine, regulatorTurns: $value),
            Control::Charge => new Scenario($machine, added: $value),
            Control::CondenserWashed, Control::CoilCleaned, Control::CoilThawed, Control::FanMended => new Scenario(
                self::cures($control, $fault) ? $sound : $machine,
            ),
            default => null,
        };

        return $scenario?->machine();
    }

    private static function cures(Control $control, ?Fault $fault): bool
    {
        return $fault !== null &&
            ($control->row()->cures === $fault ||
                ($control === Control::FanMended &&
                    in_array($fault, [Fault::EvaporatorAirflowLow, Fault::CondenserAirflowLow], true)));
    }
}
