<?php

namespace App\View;

use App\Picture\CircuitDrawing;
use App\Picture\Course;
use App\Picture\CourseFacts;
use App\Picture\CyclePicture;
use App\Picture\RunPicture;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Twin\Ailment;
use Metrum\Twin\Machine;
use Metrum\Twin\PlantState;
use Metrum\Twin\RunLength;
use Metrum\Twin\Scenario;
use Metrum\Twin\Surroundings;
use Metrum\Twin\Twin;
use Metrum\Twin\TwinExpectation;

/**
 * The plant bench: a circuit's twin under conditions and faults of one's choice, beside the same plant sound.
 *
 * @phpstan-import-type Change from Changes
 */
final class PlantBench
{
    private const COURSE_HEIGHT = 300.0;

    public readonly Scenario $scenario;

    public readonly Machine $sound;

    private ?PlantState $before = null;

    private ?PlantState $now = null;

    /** @var ?list<Change> */
    private ?array $changes = null;

    private ?CourseFacts $facts = null;

    private ?CircuitDrawing $drawing = null;

    public function __construct(
        private readonly Twin $twin,
        private readonly HouseRules $rules,
        public readonly BenchInputs $inputs,
        public readonly Units $units,
    ) {
        $this->sound = $twin->machine;
        $this->refuseHeat();
        $this->scenario = $this->scenario();
    }

    /** The sound plant under the same conditions. */
    public function before(): PlantState
    {
        return $this->before ??= $this->scenario->soundState();
    }

    public function now(): PlantState
    {
        return $this->now ??= $this->isPlain() ? $this->before() : $this->scenario->steady();
    }

    /** @return list<Change> */
    public function changes(): array
    {
        $changes = new Changes($this->sound->circuit, $this->rules, $this->units);

        return $this->changes ??= $changes->between($this->before(), $this->now());
    }

    public function isPlain(): bool
    {
        $done = array_filter(
            ['turns', 'regulator', 'added', 'coil', 'condenser'],
            fn (string $key): bool => abs($this->inputs->value($key) ?? 0.0) > 1e-9,
        );

        return $this->inputs->faults === [] && $done === [];
    }

    /** Whether the steady state is another than the sound plant's. */
    public function moved(): bool
    {
        return Changes::moving($this->changes()) !== [];
    }

    /** What stands at the bench, in a few words. */
    public function title(): string
    {
        if ($this->isPlain()) {
            return 'Healthy, as designed';
        }
        $faults = array_map(static fn (array $one): string => $one[0]->label(), $this->inputs->faults);

        return $faults === [] ? 'No fault, with changes' : implode(' and ', $faults);
    }

    public function sentence(): string
    {
        if (! $this->isPlain() && ! $this->moved() && $this->inputs->faults !== []) {
            return 'No effect in steady running at this box temperature. Simulate 1 day to see it.';
        }
        $box = (float) $this->now()->reading(Reading::BoxTemperature);
        $share = round((100 * $this->now()->cooling) / max(1.0, $this->before()->cooling));
        $held =
            $this->inputs->value('load') !== null
                ? 'This heat load holds the box at '.$this->units->text($box, QuantityKind::Temperature).'. '
                : '';
        $cooling = $this->isPlain() || $held !== '' ? '' : 'Cooling capacity '.$share.' % of healthy. ';

        return $held.$cooling.$this->drawing()->sentence();
    }

    public function course(): Course
    {
        return Course::across($this->courseFacts(), $this->units, self::COURSE_HEIGHT);
    }

    public function phoneCourse(): Course
    {
        return Course::down($this->courseFacts(), $this->units);
    }

    /** "Balances: energy 0.0001 %, charge 0.0002 %." */
    public function balances(): string
    {
        [$energy, $mass] = [$this->now()->energyResidual, $this->now()->massResidual];

        return 'Model balance: energy '.Format::number(100 * $energy, 4).' %, charge '.
            Format::number(100 * $mass, 4).' %.';
    }

    public function drawing(): CircuitDrawing
    {
        return $this->drawing ??= new CircuitDrawing($this->scenario->machine(), $this->now(), $this->units);
    }

    public function cycle(): CyclePicture
    {
        return new CyclePicture($this->sound->fluid, $this->before(), $this->now(), $this->units);
    }

    public function run(RunLength $length): RunPicture
    {
        return new RunPicture($length->run($this->scenario->simulation()), $this->sound->circuit, $this->units);
    }

    /** @return array<string, string> word => name of faults that this plant can show */
    public function faults(): array
    {
        $named = [];
        foreach (Fault::cases() as $fault) {
            $ailment = Ailment::of($fault);
            if ($ailment->showsAt($this->sound) || $ailment->time !== null) {
                $named[$fault->value] = $fault->label();
            }
        }
        asort($named);

        return $named;
    }

    /** An ambient in which the refrigerant no longer condenses is taken back. */
    private function refuseHeat(): void
    {
        $highest = Surroundings::hottest($this->sound->fluid);
        if (($this->inputs->value('ambient') ?? 0.0) > $highest) {
            $this->inputs->refuse(
                'ambient',
                'Ambient: you entered '.
                    $this->inputs->typed('ambient').
                    '. '.
                    $this->sound->circuit->refrigerant.
                    ' cannot condense above '.
                    $this->units->text($highest, QuantityKind::Temperature).
                    '.',
            );
        }
    }

    private function scenario(): Scenario
    {
        $inputs = $this->inputs;
        $load = $inputs->value('load');

        return new Scenario(
            sound: $this->sound,
            ambient: $inputs->value('ambient'),
            box: $load !== null ? null : $inputs->value('box') ?? $this->sound->design->box,
            loadShare: $load,
            faults: $inputs->faults,
            valveTurns: $inputs->value('turns') ?? 0.0,
            regulatorTurns: $inputs->value('regulator') ?? 0.0,
            added: $inputs->value('added') ?? 0.0,
            coilDirt: $inputs->value('coil'),
            condenserDirt: $inputs->value('condenser'),
        );
    }

    private function courseFacts(): CourseFacts
    {
        return $this->facts ??= $this->readOff();
    }

    private function readOff(): CourseFacts
    {
        $now = $this->now();
        $findings = new Findings(
            $this->sound->circuit,
            $now->runs() ? State::RunningSettled : State::Off,
            readings: $now->readings,
            observations: $now->observations,
        );
        $expectation = new TwinExpectation($findings, $this->rules, $this->twin);

        return new CourseFacts($findings, Figures::of($findings, $this->rules), $this->rules, $expectation);
    }
}
