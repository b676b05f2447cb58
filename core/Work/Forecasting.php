<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Diagnosis\Suspect;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Ailment;
use Metrum\Twin\Machine;
use Metrum\Twin\Scenario;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;
use Metrum\Twin\Twin;

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

    private readonly Figures $measured;

    private readonly PlantAsRead $plant;

    /** @var array<string, array<string, float>> by control, value and fault: a page asks for the same move twice */
    private array $changes = [];

    /** @var array<string, array{float, float}> shares of the coil in use before and after, by the same */
    private array $coils = [];

    public function __construct(
        private readonly Twin $twin,
        private readonly Surroundings $around,
        private readonly Findings $now,
        private readonly HouseRules $rules,
    ) {
        $this->measured = Figures::of($now, $rules);
        $this->plant = new PlantAsRead($twin, $around, $now, $rules);
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
            $figure = DerivedFigure::from($key);
            $before = $this->measured->value($figure);
            $one = $before === null ? null : self::weighed($figure, $before, $answers, $control->row()->unsure);
            if ($one !== null) {
                $figures[] = $n === 0 && $learned !== null ? $learned->foretell($one, $value) : $one;
            }
        }

        return new Forecast($figures);
    }

    /** Change of a figure for one unit of a control, by the twin alone; null where it has none. */
    public function slope(Control $control, DerivedFigure $figure, float $step): ?float
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
            $shows = Ailment::of($suspect->fault)->showsAt($this->twin->machine);
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
    private static function weighed(
        DerivedFigure $figure,
        float $before,
        array $answers,
        float $unsure,
    ): ?FigureForecast {
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

        return new FigureForecast($figure, $before, $mean, $deviation);
    }

    /** @return array<string, float> change by DerivedFigure, SI; what cannot be worked is left out */
    private function changes(Control $control, float $value, ?Fault $fault): array
    {
        return $this->changes[self::key($control, $value, $fault)] ??= $this->worked($control, $value, $fault);
    }

    private static function key(Control $control, float $value, ?Fault $fault): string
    {
        return $control->value.' '.$value.' '.($fault->value ?? '');
    }

    /**
     * How much of the coil boils refrigerant before and after a move, with the leading suspect in it.
     *
     * @param  list<Suspect>  $suspects
     * @return ?array{float, float} shares of its face; null where nothing can be told
     */
    public function coilUse(Control $control, float $value, array $suspects): ?array
    {
        [$fault] = $this->shares($suspects, $control->row()->cures)[0];
        $this->changes($control, $value, $fault);

        return $this->coils[self::key($control, $value, $fault)] ?? null;
    }

    /** @return array<string, float> */
    private function worked(Control $control, float $value, ?Fault $fault): array
    {
        try {
            [$machine, $state] = $control === Control::RegulatorTurn
                ? $this->plant->held()
                : $this->plant->with($fault);
            $moved = self::moved($machine, $this->twin->machine, $control, $value, $fault);
            if ($moved === null || ! $state->runs()) {
                return [];
            }
            $after = (new SteadyState($moved, $this->around))->find($state->solution);
        } catch (OutsideTable) {
            return [];
        }
        $this->coils[self::key($control, $value, $fault)] = [1 - $state->dryShare, 1 - $after->dryShare];
        $before = $this->plant->figures($state);
        $figures = $this->plant->figures($after);
        $changes = [];
        foreach ($after->runs() ? $control->row()->figures : [] as $key) {
            $figure = DerivedFigure::from($key);
            [$a, $b] = [$before->value($figure), $figures->value($figure)];
            if ($a !== null && $b !== null) {
                $changes[$key] = $b - $a;
            }
        }

        return $changes;
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
                $fault !== null && $control->row()->putsRight($fault) ? $sound : $machine,
            ),
            Control::HeadValveTurn,
            Control::LowCutOutSet,
            Control::LowCutInSet,
            Control::ThermostatSet,
            Control::FanDelaySet,
            Control::DefrostCountSet,
            Control::DefrostLengthSet,
            Control::DefrostEndSet,
            Control::DripTimeSet,
            Control::PlateDescaled,
            Control::DoorMended,
            Control::DrainCleared,
            Control::BulbRemounted,
            Control::PartReplaced,
            Control::ValveShut,
            Control::ValveOpened => null,
        };

        return $scenario?->machine();
    }
}
