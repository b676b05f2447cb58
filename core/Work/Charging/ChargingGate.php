<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Requirement;
use Metrum\Diagnosis\Sureness;
use Metrum\Diagnosis\Suspect;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Installation\DesignKey;
use Metrum\Installation\PartId;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\Reading;
use Metrum\Language\Heading;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Language\Several;
use Metrum\Quantity\Magnitude;
use Metrum\Twin\Ailment;
use Metrum\Twin\Filling;
use Metrum\Work\Account;
use Metrum\Work\Assessment;

/**
 * What must hold before refrigerant goes in (N-01): looked at, not full, nothing else in the way, two signs of a
 * shortage, and a shortage that fits better than anything else.
 *
 * While a charge goes on the signs fade, as they should: they are asked as they were found, and what is still missing
 * is asked of the estimate.
 */
final readonly class ChargingGate
{
    private Charging $charging;

    /** The account on which the signs are asked: before anything was added. */
    private Account $base;

    private Findings $now;

    private Figures $figures;

    public function __construct(private Assessment $assessment, Account $account, private PartId $part)
    {
        $this->charging = $assessment->charging($part);
        $first = $this->charging->log->isCharging() ? $this->charging->log->rows[0]->number : null;
        $this->base = $first === null ? $account : $assessment->accounts()[$first - 1];
        $this->now = $account->chapter->of($part);
        $this->figures = $assessment->figures($account->chapter, $part);
    }

    /** @return list<Requirement> */
    public function all(): array
    {
        return [
            ...$this->limits(),
            ...$this->lookedAt(),
            ...$this->overPlate(),
            ...$this->inTheWay(),
            $this->signs(),
            $this->fitsBest(),
            ...$this->answers(),
            ...$this->stillMissing()->all(),
        ];
    }

    public function isOpen(): bool
    {
        return (new Gate($this->all()))->shut() === [];
    }

    /** @return list<Requirement> head and current over their limits stop an addition, and no reason passes that */
    private function limits(): array
    {
        $all = [];
        $dew = $this->figures->value(DerivedFigure::CondensingDew);
        if ($dew !== null && $dew > NextAddition::HIGH_STOP - NextAddition::HEADROOM) {
            $at = Magnitude::temperature($dew)->whole();
            $all[] = Requirement::refuses(
                Reason::Head,
                Sentence::of(Reason::NearStop, at: $at, headroom: NextAddition::headroom()),
            );
        }
        $share = $this->figures->value(DerivedFigure::CurrentShare);
        $most = $this->assessment->rules->band(HouseRule::CurrentLow)->high;
        if ($share !== null && $share > $most) {
            $all[] = Requirement::refuses(
                Reason::Current,
                Sentence::of(Reason::OverCurrent, share: Magnitude::share($share)),
            );
        }

        return $all;
    }

    /** @return list<Requirement> what two additions that changed nothing say */
    private function answers(): array
    {
        return $this->charging->isSilent()
            ? [
                Requirement::fails(
                    Reason::ItAnswers,
                    Reason::TwoAdditionsSilent,
                    Reading::ReceiverLevel,
                ),
            ]
            : [];
    }

    /** @return list<Requirement> what verdicts hold back already: full, or not looked at */
    private function lookedAt(): array
    {
        $all = [];
        $verdict = $this->charging->log->isCharging()
            ? $this->verdict()
            : $this->assessment->verdict($this->assessment->judged());
        foreach ($verdict->charge->shut() as $one) {
            $all[] = $one->named(Reason::LookedAtFirst);
        }
        $high = $this->figures->value(DerivedFigure::Subcooling);
        $level = $this->now->reading(Reading::ReceiverLevel);
        if ($level !== null && $level > Filling::FULLEST) {
            $all[] = Requirement::refuses(
                Reason::Room,
                Sentence::of(Reason::ReceiverStandsAt, level: Magnitude::share($level)),
            );
        }

        return $all === [] && $high !== null
            ? [Requirement::holds(Reason::LookedAt, Reason::LiquidAirAndDrier)]
            : $all;
    }

    private function verdict(): Verdict
    {
        return $this->assessment->verdict($this->base);
    }

    /** @return list<Requirement> */
    private function overPlate(): array
    {
        $plate = $this->now->circuit->design->value(DesignKey::NameplateCharge);
        $weighed = $this->assessment->weighedIn();
        if ($plate === null || $this->charging->isShared() || ($weighed->least <= 0.0 && $weighed->exact === null)) {
            return [];
        }
        $over = $this->assessment->rules->band(HouseRule::OverPlate)->low;
        $in = $this->charging->in() ?? $weighed->least;
        $isWeighed = $weighed->exact !== null;
        if ($in <= (1 + $over) * $plate) {
            $of = $isWeighed ? Reason::OfPlateByWeight : Reason::OfPlateByTwin;

            return [Requirement::holds(Reason::Plate, Sentence::of($of, share: Magnitude::share($in / $plate)))];
        }
        $said = Sentence::of(
            $isWeighed ? Reason::OverPlateByWeight : Reason::OverPlateByTwin,
            share: Magnitude::share($in / $plate - 1),
        );

        return [Requirement::fails(Reason::Plate, $said, Reading::Added)];
    }

    /** @return list<Requirement> what starves a coil or hides a charge whatever is added */
    private function inTheWay(): array
    {
        $drop = $this->figures->value(DerivedFigure::DrierDrop);
        $most = $this->assessment->rules->band(HouseRule::DrierDrop)->high;
        $all = [];
        if ($drop !== null && $drop > $most) {
            $said = Sentence::of(Reason::Restriction, drop: Magnitude::difference($drop));
            $all[] = Requirement::fails(Reason::Drier, $said, Reading::DrierOutletTemperature);
        }

        return [...$all, ...Obstacles::seen($this->now, $this->assessment->rules)];
    }

    private function signs(): Requirement
    {
        $chapter = $this->base->chapter;
        $shortage = Shortage::of(
            $chapter->of($this->part),
            $this->assessment->figures($chapter, $this->part),
            $this->assessment->rules,
        );
        $label = Reason::TwoSigns;
        $signs = Several::beside($shortage->for);
        $isAny = $shortage->for !== [];
        if ($shortage->isShown()) {
            return Requirement::holds($label, $this->asFound(Sentence::of(Reason::Listed, all: $signs)));
        }
        if ($shortage->isOpen()) {
            [$wanted, $by] = $shortage->open[0];
            $said = $isAny
                ? Sentence::of(Reason::SomeSignsWanted, signs: $signs, wanted: $wanted)
                : Sentence::of(Reason::SignsWanted, wanted: $wanted);

            return Requirement::open($label, $said, $by);
        }
        $against = Several::beside($shortage->against);
        $said = $isAny
            ? Sentence::of(Reason::SomeSignsAgainst, signs: $signs, against: $against)
            : Sentence::of(Reason::SignsAgainst, against: $against);

        return Requirement::fails($label, $said, Reading::ReceiverLevel);
    }

    /** Whether a shortage fits better than anything else; else what fits. */
    private function fitsBest(): Requirement
    {
        $suspects = $this->verdict()->suspects;
        $chance = Verdict::chanceOfShortage($suspects);
        $confirmed = array_filter(
            $this->base->findings()->confirmed,
            static fn ($fault): bool => Verdict::isShortage($fault),
        );
        $label = Reason::ShortageFits;
        $share = Magnitude::chance($chance);
        if ($confirmed !== []) {
            return Requirement::holds($label, Reason::Confirmed);
        }
        $others = array_values(
            array_filter($suspects, static fn (Suspect $one): bool => ! Verdict::isShortage($one->fault)),
        );
        $other = $others[0] ?? null;
        if ($chance >= Sureness::Leaning->begins() && $chance > ($other->probability ?? 0.0)) {
            return Requirement::holds($label, $this->asFound(Sentence::of(Reason::Chance, chance: $share)));
        }
        $said = $other === null
            ? Sentence::of(Reason::OnlyChance, chance: $share)
            : Sentence::of(
                Reason::OnlyChanceBeside,
                chance: $share,
                other: Heading::within($this->verdict()->nameOf($other)),
                of: Magnitude::chance($other->probability),
            );
        $isFull = Ailment::of($suspects[0]->fault)->isSurplus() &&
            $suspects[0]->probability >= Sureness::Leaning->begins();
        if ($isFull) {
            return Requirement::refuses($label, $said);
        }

        return Requirement::fails($label, $said, Reading::ReceiverLevel);
    }

    /** Once refrigerant went in, what spoke for it was read before. */
    private function asFound(Sentence $said): Sentence
    {
        return $this->charging->log->isCharging() ? Sentence::of(Reason::AsFound, what: $said) : $said;
    }

    private function stillMissing(): StillMissing
    {
        return new StillMissing($this->charging, Shortage::of($this->now, $this->figures, $this->assessment->rules));
    }
}
