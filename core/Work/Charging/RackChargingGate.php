<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Diagnosis\Rack\CircuitSigns;
use Metrum\Diagnosis\Rack\NoAnswer;
use Metrum\Diagnosis\Rack\RackCharge;
use Metrum\Diagnosis\Rack\RackExamination;
use Metrum\Diagnosis\Rack\RackSign;
use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Diagnosis\Rack\Returned;
use Metrum\Diagnosis\Requirement;
use Metrum\Diagnosis\Sureness;
use Metrum\Findings\Closings;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\RackFindings;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Language\Heading;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Language\Several;
use Metrum\Log\Log;
use Metrum\Quantity\Magnitude;
use Metrum\Twin\Filling;

/**
 * What must hold before refrigerant goes into a plant of several circuits: the level is low for this weather and what
 * is in defrost, closed off or reclaimed, another sign says so too, no circuit has filled, and what went in answered.
 */
final readonly class RackChargingGate
{
    /** K of subcooling behind a receiver below which no liquid seals its outlet. */
    private const SEALED = 1.0;

    /** K of superheat above the wanted from which a coil is starved, and circuits of which that tells of the plant. */
    private const STARVED = 8.0;

    private const SEVERAL = 2;

    private RackExamination $examined;

    private ?RackCharge $charge;

    /**
     * @param  RackFindings  $now  what is read since the last move
     * @param  Log  $log  of the whole plant
     */
    public function __construct(
        private RackVerdict $verdict,
        private RackFindings $now,
        private Log $log,
        private HouseRules $rules,
    ) {
        $this->examined = $verdict->examined;
        $this->charge = RackCharge::of($verdict->examined);
    }

    /** @return list<Requirement> */
    public function all(): array
    {
        return [
            ...$this->room(),
            ...$this->lookedAt(),
            $this->signs(),
            $this->fitsBest(),
            ...$this->filled(),
            ...$this->answers(),
        ];
    }

    /** @return list<Requirement> */
    private function room(): array
    {
        $level = $this->now->shared->reading(Reading::ReceiverLevel);

        return $level !== null && $level > Filling::FULLEST
            ? [
                Requirement::refuses(
                    Reason::Room,
                    Sentence::of(Reason::ReceiverStandsAt, level: Magnitude::share($level)),
                ),
            ]
            : [];
    }

    /** @return list<Requirement> what the level is judged by */
    private function lookedAt(): array
    {
        $shared = $this->now->shared;
        $wanted = [];
        foreach ([Reading::ReceiverLevel, Reading::AmbientTemperature] as $reading) {
            if ($shared->reading($reading) === null) {
                $wanted[] = $reading;
            }
        }
        $hasReclaim = $this->examined->twin->machine->reclaimVolume > 0.0;
        if ($hasReclaim && $shared->observed(Observation::HeatReclaim) === null) {
            $wanted[] = Observation::HeatReclaim;
        }

        return array_map(
            static fn (Reading|Observation $one): Requirement => Requirement::open(
                Reason::LookedAtFirst,
                Sentence::of(Reason::Text, text: Heading::within($one->label())),
                $one,
            ),
            $wanted,
        );
    }

    private function signs(): Requirement
    {
        $signs = array_filter([$this->level(), $this->glass(), $this->subcooling(), $this->starved()]);
        $for = array_values($signs);
        $listed = Several::beside($for);
        if (count($for) > 1) {
            return Requirement::holds(Reason::TwoSigns, Sentence::of(Reason::Listed, all: $listed));
        }
        $glass = $this->examined->found->shared->observed(Observation::SightGlass);
        if ($glass === null) {
            $wanted = Sentence::of(Reason::SignGlass);
            $said = $for === []
                ? Sentence::of(Reason::SignsWanted, wanted: $wanted)
                : Sentence::of(Reason::SomeSignsWanted, signs: $listed, wanted: $wanted);

            return Requirement::open(Reason::TwoSigns, $said, Observation::SightGlass);
        }
        $said = $for === []
            ? Sentence::of(Reason::NoSignOfShortage)
            : Sentence::of(Reason::OneSignOfShortage, signs: $listed);

        return Requirement::fails(Reason::TwoSigns, $said, Reading::ReceiverLevel);
    }

    private function level(): ?Sentence
    {
        return $this->charge === null || $this->charge->level === null || ! $this->charge->isShort()
            ? null
            : Sentence::of(
                Reason::LevelBelowExpected,
                level: Magnitude::share($this->charge->level),
                expected: Magnitude::share($this->charge->expected->value),
            );
    }

    private function glass(): ?Sentence
    {
        return $this->examined->found->shared->saw(Observation::SightGlass, Word::Bubbles)
            ? Sentence::of(Reason::GlassBubbles)
            : null;
    }

    private function subcooling(): ?Sentence
    {
        $value = Figures::of($this->examined->shared(), $this->rules)->value(DerivedFigure::ReceiverSubcooling);

        return $value === null || $value >= self::SEALED
            ? null
            : Sentence::of(Reason::SubcoolingIs, value: Magnitude::difference($value));
    }

    /** Several circuits starve at once. */
    private function starved(): ?Sentence
    {
        $starved = 0;
        foreach ($this->examined->found->plant->branches as $branch) {
            $signs = (new CircuitSigns($this->examined, $branch))->all();
            $most = $signs[RackSign::SuperheatLeast->value] ?? null;
            $starved += $most !== null && $most > self::STARVED ? 1 : 0;
        }

        return $starved < self::SEVERAL
            ? null
            : Sentence::of(Reason::CircuitsStarved, count: Magnitude::count($starved));
    }

    private function fitsBest(): Requirement
    {
        if (in_array(Fault::Undercharge, $this->examined->found->shared->confirmed, true)) {
            return Requirement::holds(Reason::ShortageFits, Reason::Confirmed);
        }
        $ranking = $this->verdict->plantRanking();
        $chance = $ranking[Fault::Undercharge->value] ?? 0.0;
        $leading = RackVerdict::leading($ranking);
        $share = Magnitude::chance($chance);
        if ($leading === Fault::Undercharge && $chance >= Sureness::Leaning->begins()) {
            return Requirement::holds(Reason::ShortageFits, Sentence::of(Reason::Chance, chance: $share));
        }
        $said = $leading === Fault::Undercharge
            ? Sentence::of(Reason::OnlyChance, chance: $share)
            : Sentence::of(
                Reason::OnlyChanceBeside,
                chance: $share,
                other: Heading::within($leading->label()),
                of: Magnitude::chance($ranking[$leading->value]),
            );

        return $leading === Fault::Overcharge && $ranking[$leading->value] >= Sureness::Leaning->begins()
            ? Requirement::refuses(Reason::ShortageFits, $said)
            : Requirement::fails(Reason::ShortageFits, $said, Reading::ReceiverLevel);
    }

    /** @return list<Requirement> circuits that gave back more than they hold when they were closed */
    private function filled(): array
    {
        $names = [];
        foreach (Closings::of($this->log, $this->examined->found->plant) as $closing) {
            $branch = $this->examined->found->plant->branch($closing->circuit);
            if ($branch !== null && Returned::of($closing, $this->examined)?->isTooMuch() === true) {
                $names[] = $this->examined->found->nameOf($branch);
            }
        }

        return $names === [] ? [] : [
            Requirement::fails(
                Reason::NoCircuitFills,
                Sentence::of(Reason::CircuitsFilled, names: implode(', ', $names)),
                Test::CircuitIsolated,
            ),
        ];
    }

    /** @return list<Requirement> */
    private function answers(): array
    {
        return NoAnswer::of($this->log, $this->examined) === null
            ? []
            : [Requirement::fails(Reason::ItAnswers, Reason::LevelDidNotAnswer, Reading::ReceiverLevel)];
    }
}
