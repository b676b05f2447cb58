<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Requirement;
use Metrum\Diagnosis\Sureness;
use Metrum\Findings\Findings;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Language\Heading;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Magnitude;
use Metrum\Twin\Ailment;
use Metrum\Work\Account;
use Metrum\Work\Assessment;
use Metrum\Work\SeenConditions;

/**
 * What must hold before refrigerant comes out because there is too much of it: the same looks as before it goes in,
 * a glass that does not bubble, a head that the weather does not make, and a verdict that names too much.
 */
final readonly class TakingGate
{
    /** K of ambient below which a condenser without head control reads high in subcooling for the cold alone. */
    private const COLD = Celsius::ZERO + 10.0;

    private Findings $findings;

    /** Before refrigerant was moved at this visit. */
    private Findings $asFound;

    private Charging $charging;

    public function __construct(private Assessment $assessment, Account $account, PartId $part)
    {
        $this->findings = $account->chapter->of($part);
        $this->charging = $assessment->charging($part);
        $first = $this->charging->log->rows[0]->number ?? $account->chapter->number;
        $this->asFound = $assessment->accounts()[$first - 1]->chapter->of($part);
    }

    /** @return list<Requirement> */
    public function all(): array
    {
        return [
            ...Obstacles::notLookedAt($this->findings, $this->asFound),
            ...Obstacles::seen($this->findings, $this->assessment->rules),
            (new SeenConditions($this->findings))->settled(),
            $this->glass(),
            ...$this->weather(),
            $this->tooMuch(),
        ];
    }

    public function isOpen(): bool
    {
        return (new Gate($this->all()))->shut() === [];
    }

    private function glass(): Requirement
    {
        $seen = $this->findings->observed(Observation::SightGlass);

        return match ($seen) {
            null => Requirement::open(Reason::SightGlass, Reason::NotLookedAt, Observation::SightGlass),
            Word::Bubbles => Requirement::fails(
                Reason::SightGlass,
                Reason::BubblesTakeNone,
                Observation::SightGlass,
            ),
            default => Requirement::holds(
                Reason::SightGlass,
                Sentence::of(Reason::Seen, word: mb_strtolower($seen->label())),
            ),
        };
    }

    /** @return list<Requirement> in the cold, where nothing holds the head, liquid backs up for the cold alone */
    private function weather(): array
    {
        $circuit = $this->findings->circuit;
        $control = $circuit->headPressureControl ?? HeadPressureControl::None;
        if ($circuit->condenser !== CondenserPlace::AirOutdoor || $control !== HeadPressureControl::None) {
            return [];
        }
        $air = $this->findings->reading(Reading::AmbientTemperature);
        if ($air === null) {
            return [Requirement::open(Reason::Weather, Reason::AirNotRead, Reading::AmbientTemperature)];
        }
        $told = Magnitude::temperature($air)->whole();

        return [
            $air < self::COLD
                ? Requirement::fails(
                    Reason::Weather,
                    Sentence::of(Reason::ColdAndNoHead, air: $told),
                    Reading::AmbientTemperature,
                )
                : Requirement::holds(Reason::Weather, Sentence::of(Reason::AirIs, air: $told)),
        ];
    }

    private function tooMuch(): Requirement
    {
        $label = Reason::SurplusFits;
        foreach ($this->findings->confirmed as $fault) {
            if (Ailment::of($fault)->isSurplus()) {
                return Requirement::holds($label, Reason::Confirmed);
            }
        }
        $verdict = $this->assessment->verdict($this->assessment->judged());
        $first = $verdict->first();
        $chance = 0.0;
        foreach ($verdict->suspects as $one) {
            $chance += Ailment::of($one->fault)->isSurplus() ? $one->probability : 0.0;
        }
        $share = Magnitude::chance($chance);
        $leading = Ailment::of($first->fault);
        if ($leading->isSurplus() && $chance >= Sureness::Leaning->begins()) {
            return Requirement::holds($label, Sentence::of(Reason::Chance, chance: $share));
        }

        $isOwn = $this->charging->log->added() > 0.0 && ($this->charging->missing() ?? 0.0) < 0.0;
        // What a verdict may name while what was added at this visit is taken back again.
        $isOfCharging = $first->fault === Fault::NoFault || $leading->isShortage() || $leading->isSurplus();
        if ($isOwn && $isOfCharging) {
            return Requirement::holds($label, Reason::AddedMoreThanMissing);
        }

        return Requirement::fails(
            $label,
            Sentence::of(
                Reason::OnlyChanceBeside,
                chance: $share,
                other: Heading::within($verdict->nameOf($first)),
                of: Magnitude::chance($first->probability),
            ),
            Reading::CondenserOutletTemperature,
        );
    }
}
