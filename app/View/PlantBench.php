<?php

namespace App\View;

use App\Models\Circuit as CircuitRecord;
use App\Models\HouseRule;
use App\Picture\CircuitDrawing;
use App\Picture\Course;
use App\Picture\CyclePicture;
use App\Picture\RunPicture;
use App\Records\Twins;
use Metrum\Circuit\Circuit;
use Metrum\Circuit\Fault;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Reading;
use Metrum\Circuit\State;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Plant\Disorder;
use Metrum\Plant\Machine;
use Metrum\Plant\PlantState;
use Metrum\Plant\Scenario;
use Metrum\Plant\Surroundings;
use Metrum\Plant\Twin;
use Metrum\Plant\TwinExpectation;
use Metrum\Quantity\Kind;

/** The plant bench: a circuit's twin under conditions and faults of one's choice, beside the same plant sound. */
final class PlantBench
{
    public readonly Scenario $scenario;

    public readonly Machine $sound;

    public readonly PlantState $before;

    public readonly PlantState $now;

    /** @var list<array{name: string, before: string, now: string, arrow: string}> */
    public readonly array $changes;

    private readonly HouseRules $rules;

    private readonly Findings $findings;

    private readonly Twin $twin;

    private readonly Machine $machine;

    /** @param  ?CircuitRecord  $record  null: a plain plant of a kind */
    public function __construct(
        ?CircuitRecord $record,
        Circuit $circuit,
        public readonly BenchInputs $inputs,
        public readonly Units $units,
    ) {
        $this->rules = HouseRule::inForce();
        $this->twin = app(Twins::class)->of($circuit, $this->rules, $record?->goodFindings() ?? []);
        $this->sound = $this->twin->machine;
        $highest = Surroundings::hottest($circuit->fluid());
        if (($inputs->value('ambient') ?? 0.0) > $highest) {
            $inputs->refuse(
                'ambient',
                'Ambient: "'.
                    $inputs->typed('ambient').
                    '" was given; above '.
                    $units->text($highest, Kind::Temperature).
                    ' '.
                    $circuit->refrigerant.
                    ' no longer condenses.',
            );
        }
        $load = $inputs->value('load');
        $this->scenario = new Scenario(
            $circuit,
            $inputs->value('ambient') ?? $this->sound->design->ambient,
            $load !== null ? null : $inputs->value('box') ?? $this->sound->design->box,
            $load,
            faults: $inputs->faults,
            valveTurns: $inputs->value('turns') ?? 0.0,
            regulatorTurns: $inputs->value('regulator') ?? 0.0,
            added: $inputs->value('added') ?? 0.0,
            coilDirt: $inputs->value('coil'),
            condenserDirt: $inputs->value('condenser'),
        );
        $this->machine = $this->scenario->of($this->sound);
        $this->before = $this->scenario->steadyOf($this->sound);
        $this->now = $this->isPlain() ? $this->before : $this->scenario->steadyOf($this->machine);
        $this->changes = Changes::between($circuit, $this->rules, $this->before, $this->now, $units);
        $this->findings = new Findings(
            $circuit,
            $this->now->runs() ? State::RunningSettled : State::Off,
            readings: $this->now->readings,
            observations: $this->now->observations,
        );
    }

    public function isPlain(): bool
    {
        return $this->inputs->faults === [] &&
            array_filter(
                ['turns', 'regulator', 'added', 'coil', 'condenser'],
                fn (string $key): bool => abs($this->inputs->value($key) ?? 0.0) > 1e-9,
            ) === [];
    }

    /** Whether the steady state is another than the sound plant's. */
    public function moved(): bool
    {
        return array_filter($this->changes, static fn (array $row): bool => $row['arrow'] !== '') !== [];
    }

    /** What stands at the bench, in a few words. */
    public function title(): string
    {
        if ($this->isPlain()) {
            return 'Sound, as designed';
        }
        $faults = array_map(
            static fn (array $one): string => FaultCatalogue::name($one[0]),
            $this->inputs->faults,
        );

        return $faults === [] ? 'Sound, but for what was done to it' : implode(', and ', $faults);
    }

    public function sentence(): string
    {
        if (! $this->isPlain() && ! $this->moved() && $this->inputs->faults !== []) {
            return 'Nothing shows in steady running at this box temperature. It shows in time: run a day.';
        }
        $box = (float) $this->now->reading(Reading::BoxTemperature);
        $share = round((100 * $this->now->cooling) / max(1.0, $this->before->cooling));
        $held =
            $this->inputs->value('load') !== null
                ? 'This load holds the box at '.$this->units->text($box, Kind::Temperature).'. '
                : '';

        return $held.
            ($this->isPlain() || $held !== '' ? '' : 'It cools '.$share.' % of what it did. ').
            $this->drawing()->sentence();
    }

    public function course(bool $downward = false): Course
    {
        $expectation = new TwinExpectation($this->findings, $this->rules, $this->twin);

        return new Course(
            $this->findings,
            Figures::of($this->findings, $this->rules),
            $this->rules,
            $this->units,
            300.0,
            $downward,
            expectation: $expectation,
        );
    }

    public function drawing(): CircuitDrawing
    {
        return new CircuitDrawing($this->machine, $this->now, $this->units);
    }

    public function cycle(): CyclePicture
    {
        return new CyclePicture($this->scenario->circuit->fluid(), $this->before, $this->now, $this->units);
    }

    /** @param  float  $hours  1 or 24 */
    public function run(float $hours): RunPicture
    {
        $simulation = $this->scenario->simulationOf($this->sound);
        $day = $hours > 2;
        $step = $day ? 10.0 : 1.0;
        $moments = [$simulation->now()];
        for ($i = 1; $i * $step <= $hours * 3600; $i++) {
            // The door of a working kitchen: two minutes each hour for fourteen hours.
            if ($day && $i % 360 === 90 && count($moments) < 420) {
                $simulation->openDoor(120.0);
            }
            $simulation->advance($step);
            if ($i % ($day ? 12 : 10) === 0) {
                $moments[] = $simulation->now();
            }
        }

        return new RunPicture($moments, $this->scenario->circuit, $this->units);
    }

    /** @return array<string, string> word => name of faults that this plant can show */
    public function faults(): array
    {
        $named = [];
        foreach (Fault::cases() as $fault) {
            if (Disorder::showsInLoop($fault, $this->sound) || in_array($fault, BenchInputs::IN_TIME, true)) {
                $named[$fault->value] = FaultCatalogue::name($fault);
            }
        }
        asort($named);

        return $named;
    }
}
