<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Requirement;
use Metrum\Findings\Findings;
use Metrum\Findings\Trips;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\CompressorStop;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Language\Heading;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Language\Several;
use Metrum\Log\Fact;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Quantity\Magnitude;
use Metrum\Work\Leaks\LeakEnd;
use Metrum\Work\Leaks\LeakPlace;
use Metrum\Work\Leaks\LeakWork;
use Metrum\Work\Movements;

/** A visit told to the owner, without a word of the trade: what was wrong, what was done, and how it was left. */
final readonly class OwnerText
{
    private OwnerView $view;

    public function __construct(private Desk $desk)
    {
        $this->view = new OwnerView($desk);
    }

    /** @return list<Sentence> what was wrong when we came */
    public function wrong(): array
    {
        $complaints = array_map(
            static fn (Complaint $one): Sentence => Sentence::plain(Heading::within($one->label())),
            $this->view->complaints(),
        );

        return array_values(array_filter([
            $complaints === [] ? null : Sentence::of(Reason::OwnerComplaint, complaints: Several::beside($complaints)),
            self::box($this->view->asFound->findings(), Reason::FoundBox),
            ...$this->trips(),
            ...$this->found(),
        ]));
    }

    /** Null where the box was not read. */
    private static function box(Findings $findings, Reason $reason): ?Sentence
    {
        $box = $findings->reading(Reading::BoxTemperature);
        $set = $findings->circuit->design->boxSetPoint;
        $above = $set === null ? null : (float) $box - $set;
        $place = match (true) {
            $above === null => Sentence::of(Reason::FullStop),
            $above > OwnerView::OFF => Sentence::of(Reason::WarmerThanSet, by: Magnitude::degrees($above)),
            $above < -OwnerView::OFF => Sentence::of(Reason::ColderThanSet, by: Magnitude::degrees(-$above)),
            default => Sentence::of(Reason::WhereItShouldBe),
        };

        return $box === null
            ? null
            : Sentence::of(
                $reason,
                room: $findings->circuit->room(),
                box: Magnitude::temperature($box),
                place: $place,
            );
    }

    /** @return list<Sentence> each once */
    private function trips(): array
    {
        $said = [];
        foreach (Trips::of($this->desk->assessment->log)->all as [$word, , $ranAgain]) {
            $reason = match ($word->stop()) {
                CompressorStop::HighPressure => Reason::TrippedHigh,
                CompressorStop::LowPressure => Reason::TrippedLow,
                CompressorStop::Oil => Reason::TrippedOil,
                CompressorStop::Overload => Reason::TrippedOverload,
                CompressorStop::Thermostat => Reason::TrippedThermostat,
                CompressorStop::NoStart, null => Reason::DidNotStart,
            };
            $after = $ranAgain ? Reason::RanAgain : Reason::FullStop;
            $said[$reason->value.$after->value] = Sentence::of($reason, after: Sentence::of($after));
        }

        return array_values($said);
    }

    /** @return list<Sentence> */
    private function found(): array
    {
        $verdict = $this->view->verdictAsFound();
        $fault = $verdict->first()->entry()->forTheOwner;
        $found = $this->view->foundAs();
        $said = match ($found) {
            FoundAs::Proven => Sentence::of(Reason::FoundProven, faults: Several::oneAfterAnother(array_map(
                static fn (Fault $one): Sentence => Sentence::plain(FaultCatalogue::entry($one)->forTheOwner),
                $this->view->confirmed(),
            ))),
            FoundAs::NotLookedAt => Sentence::of(Reason::NothingMeasured),
            FoundAs::NothingSeen => Sentence::of(Reason::NothingPoints),
            FoundAs::Uncertain => Sentence::of(Reason::CauseUncertain, fault: Heading::within($fault)),
            FoundAs::Sure => Sentence::plain($fault),
            FoundAs::Likely => Sentence::of(Reason::MostLikely, fault: Heading::within($fault)),
        };
        $isSaid = in_array($found, [FoundAs::Proven, FoundAs::NotLookedAt], true) || $verdict->settled->isOpen();

        return $isSaid ? [$said] : [$said, $this->again($verdict->settled)];
    }

    /** Why we look again: a system that runs steadily may still be cooling its box down. */
    private function again(Gate $settled): Sentence
    {
        $others = array_filter(
            $settled->shut(),
            static fn (Requirement $one): bool => $one->settling() !== Reading::BoxTemperature,
        );

        return $others === []
            ? Sentence::of(Reason::LookAgainWhenCold, room: $this->view->asFound->findings()->circuit->room())
            : Sentence::of(Reason::LookAgain);
    }

    /** @return list<Sentence> what we did, each kind of work once */
    public function did(): array
    {
        $said = [];
        foreach ($this->view->did() as $fact) {
            $part = $fact->part->name();
            $said[Control::from($fact->content->key)->row()->forTheOwner.$part] = $part === ''
                ? self::work($fact)
                : Sentence::of(Reason::DoneAt, done: self::unended($fact), part: $part);
        }

        return array_values(array_filter([...array_values($said), $this->refrigerant(), $this->leak()]));
    }

    private static function work(Fact $fact): Sentence
    {
        $control = Control::from($fact->content->key);

        return $control === Control::ThermostatSet && $fact->content->value !== null
            ? Sentence::of(Reason::ThermostatSet, at: Magnitude::temperature($fact->content->value))
            : Sentence::plain($control->row()->forTheOwner);
    }

    private static function unended(Fact $fact): string
    {
        return rtrim(Control::from($fact->content->key)->row()->forTheOwner, '.');
    }

    private function refrigerant(): ?Sentence
    {
        $log = $this->desk->assessment->log;
        $moved = Movements::of($log);
        $name = $this->desk->circuit()->refrigerant;
        $said = [];
        if ($moved->added > 0.0) {
            $said[] = Sentence::of(Reason::WeAdded, mass: Magnitude::mass($moved->added), refrigerant: $name);
        }
        if ($moved->recovered > 0.0) {
            $said[] = Sentence::of(Reason::WeTookOut, mass: Magnitude::mass($moved->recovered), refrigerant: $name);
        }
        $early = Movements::beforeTheLeakWasFound($log);
        $because = $early === [] ? '' : $early[0]->content->text(PlantMoved::OVERRULED);
        $why = match (true) {
            $early === [] => Sentence::of(Reason::Nothing),
            $because === '' => Sentence::of(Reason::BeforeLeak),
            default => Sentence::of(Reason::BeforeLeakBecause, because: $because),
        };

        return $said === []
            ? null
            : Sentence::of(Reason::RefrigerantMoved, moved: Several::apart($said), why: $why);
    }

    private function leak(): ?Sentence
    {
        $work = new LeakWork($this->desk->assessment);
        $places = array_map(
            static fn (LeakPlace $one): Sentence => Sentence::plain(Heading::within($one->label)),
            $work->places(),
        );
        $at = $places === []
            ? Sentence::of(Reason::Nothing)
            : Sentence::of(Reason::LeakAt, places: Several::beside($places));

        return match ($work->end()) {
            LeakEnd::Mended => Sentence::of(Reason::LeakMended, at: $at),
            LeakEnd::Still => Sentence::of(Reason::LeakStill, at: $at),
            LeakEnd::Found => Sentence::of(Reason::LeakFound, at: $at),
            LeakEnd::Unproven => Sentence::of(Reason::LeakUnproven, at: $at),
            LeakEnd::NotFound => Sentence::of(Reason::LeakNotFound),
            null => null,
        };
    }

    /** @return list<Sentence> how we left it, and what is still to be done */
    public function now(): array
    {
        $open = (new OpenItems($this->desk))->all();
        $isDone = $open === [] && $this->view->isRight();

        return array_values(array_filter([
            ...$this->left(),
            ...$open,
            $isDone ? Sentence::of(Reason::NothingToMend) : $this->next(),
        ]));
    }

    /** @return list<?Sentence> */
    private function left(): array
    {
        if (! $this->view->isMoved()) {
            return [];
        }
        $now = $this->desk->assessment->present()->chapter->findings;
        $wasRead = $this->view->asFound->findings()->reading(Reading::BoxTemperature) !== null;
        $unknown = $wasRead ? Sentence::of(Reason::BoxUnknown, room: $now->circuit->room()) : null;
        $fault = $this->desk->verdict->first()->entry()->forTheOwner;

        return [
            self::box($now, Reason::LeftBox) ?? $unknown,
            match ($this->view->leftAs()) {
                LeftAs::NotReadAgain => Sentence::of(Reason::LeftNotRead),
                LeftAs::Sound => Sentence::of(Reason::LeftSound),
                LeftAs::SoundButMissed => Sentence::of(Reason::LeftSoundMissed),
                LeftAs::NoFaultSeen => Sentence::of(Reason::LeftNoFault),
                LeftAs::StillWrong => Sentence::of(Reason::LeftStillWrong, fault: Heading::within($fault)),
                LeftAs::Unknown => Sentence::of(Reason::LeftUnknown),
            },
        ];
    }

    /** What is done next about what is still wrong; null where that was done already, or nothing is known. */
    private function next(): ?Sentence
    {
        $wrong = $this->view->stillWrong();
        $check = $this->view->nextCheck();

        return match (true) {
            $wrong !== null => Sentence::plain(FaultCatalogue::entry($wrong)->whatWeDo),
            $check !== null => Sentence::of(Reason::NextLook, check: Heading::within($check->title())),
            default => null,
        };
    }
}
