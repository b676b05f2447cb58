<?php

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Log\Source;
use Metrum\Log\Window;
use Metrum\Quantity\Unanswerable;
use Metrum\Twin\Dice;
use Metrum\Twin\Machine;
use Metrum\Twin\PlantState;
use Metrum\Twin\Scenario;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;
use Metrum\Twin\Twins;
use Metrum\Work\Assessment;

/** A simulated plant that differs from its twin, with faults in it, and the log of who reads and moves it. */
final class PlantUnderHand
{
    private const BLUR_K = 0.15;

    private const BLUR_LEVEL = 0.03;

    /** @var ?array{float, float, float, float, float} where it stood a moment ago */
    private ?array $solution = null;

    private float $valve = 0.0;

    private float $regulator = 0.0;

    private float $added = 0.0;

    /** @var list<Fact> */
    private array $facts = [];

    private \DateTimeImmutable $now;

    /** @param  list<array{Fault, float}>  $faults  with their severity */
    public function __construct(
        private Circuit $circuit,
        private Machine $machine,
        private Surroundings $around,
        private Dice $dice,
        private array $faults = [],
    ) {
        $this->now = new \DateTimeImmutable('2026-11-26T08:00:00+00:00');
    }

    /** As it is found: nobody has moved it yet. */
    public function foundTurned(Control $control, float $turns): self
    {
        $this->turn($control, $turns);

        return $this;
    }

    /** SI; null where it does not run. */
    public function figure(DerivedFigure $figure): ?float
    {
        $readings = $this->state();

        return $readings === null
            ? null
            : Figures::of(new Findings($this->circuit, readings: $readings), new HouseRules())->value($figure);
    }

    /** @return ?array<string, float> SI by reading */
    private function state(): ?array
    {
        return $this->stands()?->readings;
    }

    /** As it really stands; null where it does not run. */
    public function stands(): ?PlantState
    {
        $scenario = new Scenario(
            $this->machine,
            faults: $this->faults,
            valveTurns: $this->valve,
            regulatorTurns: $this->regulator,
            added: $this->added,
        );
        try {
            $state = (new SteadyState($scenario->machine(), $this->around))->find($this->solution);
            $this->solution = $state->solution ?? $this->solution;
        } catch (Unanswerable) {
            return null;
        }

        return $state->runs() ? $state : null;
    }

    /** Reads everything that a technician with four clamps and two gauges has. */
    public function read(Reading ...$except): bool
    {
        $readings = $this->state();
        $left = array_map(static fn (Reading $one): string => $one->value, $except);
        foreach (array_diff_key($readings ?? [], array_flip($left)) as $key => $si) {
            $blur = match (true) {
                str_ends_with($key, '_c') => $this->dice->around(0.0, self::BLUR_K),
                $key === Reading::ReceiverLevel->value => $this->dice->around(0.0, self::BLUR_LEVEL),
                default => 0.0,
            };
            $isLevel = $key === Reading::ReceiverLevel->value;
            $read = $isLevel ? max(0.0, min(1.0, $si + $blur)) : $si + $blur;
            $this->say(FactKind::Reading, new Content($key, $read));
        }

        return $readings !== null;
    }

    public function see(Observation $observation, Word $word): void
    {
        $this->say(FactKind::Observation, new Content($observation->value, null, $word->value));
    }

    /** @param  float  $value  SI; 1 for what is done or not */
    public function move(Control $control, float $value): void
    {
        $this->say(FactKind::Move, new Content($control->value, $value));
        $this->turn($control, $value);
        $this->now = $this->now->modify('+40 minutes');
    }

    private function turn(Control $control, float $value): void
    {
        match ($control) {
            Control::ValveTurn => $this->valve += $value,
            Control::RegulatorTurn => $this->regulator += $value,
            Control::Charge => $this->added += $value,
            default => $this->faults = array_values(
                array_filter($this->faults, static fn (array $one): bool => $one[0] !== $control->row()->cures),
            ),
        };
    }

    private function say(FactKind $kind, Content $content): void
    {
        $id = sprintf('%026d', count($this->facts));
        $this->facts[] = new Fact($id, $kind, $content, $this->now, Source::Simulator, '', '', PartId::circuit());
    }

    public function work(): Assessment
    {
        $window = new Window(new Log($this->facts), $this->circuit, PartId::circuit());

        return new Assessment($window, new HouseRules(), self::twins());
    }

    private static function twins(): Twins
    {
        static $twins = new Twins();

        return $twins;
    }
}
