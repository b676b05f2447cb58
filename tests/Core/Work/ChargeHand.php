<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Installation\Circuit;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
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
use Metrum\Twin\Machine;
use Metrum\Twin\Sizing;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;
use Metrum\Twin\Twins;
use Metrum\Work\Assessment;

/** Somebody who charges a simulated plant and reads it: every gauge, clamp and look, settled each time. */
final class ChargeHand
{
    public readonly Machine $machine;

    /** @var list<Fact> */
    private array $facts = [];

    private \DateTimeImmutable $now;

    private float $charge;

    /** @var ?array{float, float, float, float, float} */
    private ?array $solution = null;

    public function __construct(
        private readonly Circuit $circuit,
        float $share,
        private readonly HouseRules $rules = new HouseRules(),
    ) {
        $this->machine = (new Sizing($circuit))->machine();
        $this->charge = $share * $this->machine->charge;
        $this->now = new \DateTimeImmutable('2026-11-26T08:00:00Z');
    }

    public static function cabinet(float $share, string $metering = 'txv', ?HouseRules $rules = null): self
    {
        $words = [
            'kind' => 'reach_in_cooler',
            'refrigerant' => 'R-134a',
            'metering' => $metering,
            'condenser' => 'air_indoor',
            'head_pressure_control' => 'none',
            'receiver' => false,
        ];
        $design = ['subcooling_k' => 6, 'nameplate_charge_kg' => 0.38, 'rated_current_a' => 2.6];

        return new self(Circuit::fromWords($words, $design), $share, $rules ?? new HouseRules());
    }

    public static function cooler(float $share, ?HouseRules $rules = null, float $litres = 12.0): self
    {
        $words = [
            'kind' => 'walk_in_cooler',
            'refrigerant' => 'R-448A',
            'metering' => 'txv',
            'condenser' => 'air_outdoor',
            'head_pressure_control' => 'fan_cycling',
            'receiver' => true,
        ];
        $design = ['receiver_volume_l' => $litres, 'rated_current_a' => 9.8];

        return new self(Circuit::fromWords($words, $design), $share, $rules ?? new HouseRules());
    }

    /** kg that are in. */
    public function in(): float
    {
        return $this->charge;
    }

    /** Reads all, and looks where the gate wants it looked. */
    public function read(Reading ...$except): self
    {
        $around = new Surroundings($this->machine->design->ambient - 1, $this->machine->design->box + 2);
        $state = (new SteadyState($this->machine->with(charge: $this->charge), $around))->find($this->solution);
        $this->solution = $state->solution ?? $this->solution;
        $left = array_map(static fn (Reading $one): string => $one->value, $except);
        foreach (array_diff_key($state->readings, array_flip($left)) as $key => $si) {
            $this->say(FactKind::Reading, new Content($key, $si));
        }
        $glass = $state->observed(Observation::SightGlass);
        if ($glass !== null) {
            $this->see(Observation::SightGlass, $glass);
        }
        $this->say(FactKind::State, new Content('state', null, 'running_settled'));

        return $this;
    }

    public function look(): self
    {
        return $this->see(Observation::EvaporatorFans, Word::AllRunning)
            ->see(Observation::EvaporatorFace, Word::Clean)
            ->see(Observation::FrostCoil, Word::InletOnly)
            ->see(Observation::CondenserFans, Word::AllRunning)
            ->see(Observation::CondenserFace, Word::Clean)
            ->see(Observation::LiquidLineFeel, Word::NoChange);
    }

    public function see(Observation $observation, Word $word): self
    {
        return $this->say(FactKind::Observation, new Content($observation->value, null, $word->value));
    }

    /** @param  array<string, mixed>  $data */
    public function add(float $kilograms, array $data = [], int $minutes = 40): self
    {
        $this->say(FactKind::Move, new Content(Control::Charge->value, $kilograms, null, $data));
        $this->charge += $kilograms;
        $this->now = $this->now->modify("+$minutes minutes");

        return $this;
    }

    /** It leaks out, or goes where it does nothing. */
    public function lose(float $kilograms): self
    {
        $this->charge -= $kilograms;

        return $this;
    }

    public function circuit(): Circuit
    {
        return $this->circuit;
    }

    public function wait(): self
    {
        $this->now = $this->now->modify('+40 minutes');

        return $this;
    }

    public function say(FactKind $kind, Content $content): self
    {
        $id = sprintf('%026d', count($this->facts));
        $this->facts[] = new Fact($id, $kind, $content, $this->now, Source::Simulator, '', '', PartId::circuit());

        return $this;
    }

    /** @param  ?float  $book  kg in by the ledger when the visit was opened */
    public function work(?float $book = null): Assessment
    {
        static $twins = new Twins();

        return new Assessment(
            new Window(new Log($this->facts), $this->circuit, PartId::circuit(), 'a visit'),
            $this->rules,
            $twins,
            book: static fn (): ?float => $book,
        );
    }
}
