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
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Format;
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
            ...$this->stillMissing(),
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
            $said = Format::number($dew - Celsius::ZERO, 0);
            $headroom = Format::number(NextAddition::HEADROOM, 0);
            $all[] = Requirement::refuses(
                'head',
                "condensing at $said °C, within $headroom K of the high-pressure stop",
            );
        }
        $share = $this->figures->value(DerivedFigure::CurrentShare);
        $most = $this->assessment->rules->band(HouseRule::CurrentLow)->high;
        if ($share !== null && $share > $most) {
            $said = Format::number(100 * $share, 0);
            $all[] = Requirement::refuses(
                'current',
                "$said % of the plate's while it runs: stop adding, find out why",
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
                    'it answers',
                    'two additions changed nothing that was foretold: it is not short, or it goes elsewhere',
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
            $all[] = $one->named('looked at first');
        }
        $high = $this->figures->value(DerivedFigure::Subcooling);
        $level = $this->now->reading(Reading::ReceiverLevel);
        if ($level !== null && $level > Filling::FULLEST) {
            $said = Format::number(100 * $level, 0);
            $all[] = Requirement::refuses('room', "the receiver stands at $said %");
        }

        return $all === [] && $high !== null ? [Requirement::holds('looked at', 'liquid, air and drier')] : $all;
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
        $by = $weighed->exact === null ? 'by the twin' : 'by what was weighed in';
        $share = Format::number(100 * ($in / $plate - 1), 0);

        return [
            $in > (1 + $over) * $plate
                ? Requirement::fails('plate', "$share % over it $by: is the plate right, or the leak?", Reading::Added)
                : Requirement::holds('plate', Format::number(100 * $in / $plate, 0)." % of it $by"),
        ];
    }

    /** @return list<Requirement> what starves a coil or hides a charge whatever is added */
    private function inTheWay(): array
    {
        $drop = $this->figures->value(DerivedFigure::DrierDrop);
        $most = $this->assessment->rules->band(HouseRule::DrierDrop)->high;
        $all = [];
        if ($drop !== null && $drop > $most) {
            $said = Format::number($drop, 1).' K over the drier: a restriction, not a shortage';
            $all[] = Requirement::fails('drier', $said, Reading::DrierOutletTemperature);
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
        $label = 'two signs of a shortage';
        $for = implode(', ', $shortage->for);
        $against = implode(', ', $shortage->against);
        if ($shortage->isShown()) {
            return Requirement::holds($label, $this->asFound().$for);
        }
        if ($shortage->isOpen()) {
            [$name, $by] = $shortage->open[0];

            return Requirement::open($label, ($for === '' ? 'none yet' : "only $for").'; still wanted: '.$name, $by);
        }
        $by = Reading::ReceiverLevel;

        return Requirement::fails($label, ($for === '' ? 'none' : "only $for").'; against it: '.$against, $by);
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
        $percent = static fn (float $share): string => Format::number(100 * $share, 0).' %';
        $label = 'a shortage fits best';
        if ($confirmed !== []) {
            return Requirement::holds($label, 'confirmed');
        }
        $others = array_values(
            array_filter($suspects, static fn (Suspect $one): bool => ! Verdict::isShortage($one->fault)),
        );
        $other = $others[0] ?? null;
        if ($chance >= Sureness::Leaning->begins() && $chance > ($other->probability ?? 0.0)) {
            return Requirement::holds($label, $this->asFound().$percent($chance));
        }
        $what = $other === null
            ? ''
            : ': '.lcfirst($this->verdict()->nameOf($other)).' '.$percent($other->probability);
        $isFull = Ailment::of($suspects[0]->fault)->isSurplus() &&
            $suspects[0]->probability >= Sureness::Leaning->begins();
        if ($isFull) {
            return Requirement::refuses($label, 'only '.$percent($chance).$what);
        }

        return Requirement::fails($label, 'only '.$percent($chance).$what, Reading::ReceiverLevel);
    }

    /** Once refrigerant went in, what spoke for it was read before. */
    private function asFound(): string
    {
        return $this->charging->log->isCharging() ? 'as found ' : '';
    }

    /** @return list<Requirement> while a charge goes on */
    private function stillMissing(): array
    {
        $estimate = $this->charging->estimate();
        if (! $this->charging->log->isCharging() || $estimate === null) {
            return [];
        }
        if (! $this->charging->isInKilograms()) {
            return [$this->stillShown()];
        }
        $missing = $this->charging->missing();
        $share = Format::number(100 * abs($estimate->missing) / $estimate->right, 0);

        return [
            $missing !== null && $missing > 0.0
                ? Requirement::holds('still missing', "about $share % of the charge")
                : Requirement::fails(
                    'still missing',
                    $missing === null ? 'nothing that can be told: leave it' : "none: $share % too much",
                    Reading::CondenserOutletTemperature,
                ),
        ];
    }

    /** Where no kilograms can be said the plant says itself when it has enough. */
    private function stillShown(): Requirement
    {
        $shortage = Shortage::of($this->now, $this->figures, $this->assessment->rules);

        return $shortage->for === []
            ? Requirement::fails(
                'still missing',
                'nothing that it shows any more: '.implode(', ', $shortage->against),
                Observation::SightGlass,
            )
            : Requirement::holds('still missing', 'it still shows '.implode(', ', $shortage->for));
    }
}
