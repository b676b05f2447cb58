<?php

namespace App\View;

use App\Models\User;
use App\Models\Visit;
use App\Picture\Course;
use App\Picture\CourseFacts;
use App\Records\JudgedVisit;
use App\Records\Stock;
use Illuminate\Support\Str;
use Metrum\Card\Cards;
use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\Suspect;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Findings;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Prerequisite;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Station;
use Metrum\Log\Fact;
use Metrum\Log\Log;
use Metrum\Quantity\Units;
use Metrum\Work\Desk\CardShelf;

/** Everything that one page of a visit shows; each thing is worked once. */
final class VisitPage
{
    /** Lines of the log under the cells. */
    private const LATEST = 4;

    /** Suspects, checks after the next one, and cautions that stand beside the work. */
    private const NAMED = 3;

    private const AFTER_THAT = 2;

    private const CAUTIONS = 4;

    public readonly Visit $visit;

    public readonly Log $log;

    public readonly Findings $findings;

    public readonly Verdict $verdict;

    public readonly Units $units;

    public readonly Explain $explain;

    /** How figures come out of the reader's own numbers. */
    public readonly FigureSum $sums;

    /** Whether this person may enter something now. */
    public readonly bool $mayEnter;

    public readonly Advice $advice;

    public readonly VisitControls $controls;

    /** The cards of this visit. */
    public readonly CardShelf $shelf;

    /** Where entries are sent. */
    public readonly string $entries;

    private ?WorkPage $assessment = null;

    private ?CardPage $opened = null;

    private ?ChargingPage $charging = null;

    private ?LeakPage $leaks = null;

    private ?CourseFacts $facts = null;

    private ?Course $course = null;

    /** @param  array<string, mixed>  $card  which card is open, and how far it is turned */
    public function __construct(
        public readonly JudgedVisit $judged,
        public readonly Station $station,
        User $user,
        private readonly array $card = [],
    ) {
        $this->visit = $judged->visit->loadMissing('attachments');
        $this->log = $judged->log;
        $this->findings = $judged->present();
        $this->verdict = $judged->verdict;
        $this->units = $user->units();
        $this->explain = new Explain($this->units);
        $this->sums = new FigureSum($this->findings, $this->units);
        $this->mayEnter = $user->can('enter', $this->visit);
        $this->advice = new Advice($judged);
        $this->shelf = $judged->desk->cards();
        $this->entries = route('entries.store', $this->visit);
        $this->controls = new VisitControls($judged, $station, $this->units, PartAddress::part($card, $this->visit));
    }

    public function course(): Course
    {
        return $this->course ??= Course::across(
            $this->courseFacts(),
            $this->units,
            match ($this->station) {
                Station::Gauges => 346.0,
                Station::Box, Station::Unit, Station::Verdict => 272.0,
                Station::Complaint, Station::PutRight, Station::Prove, Station::Leave => 330.0,
            },
        );
    }

    public function phoneCourse(): Course
    {
        return Course::down($this->courseFacts(), $this->units);
    }

    public function work(): WorkPage
    {
        return $this->assessment ??= WorkPage::ofCard($this->judged, $this->units, $this->card);
    }

    /** The card that is open; null: none, or one of the station's own moves. */
    public function openCard(): ?CardPage
    {
        return $this->opened ??= CardPage::ofAddress($this->judged, $this->units, $this->card);
    }

    public function cards(): CardList
    {
        return new CardList($this->judged);
    }

    /** The controls of a move that stands on this page: of the open card, else of the station. */
    public function moveOf(?Control $control): WorkPage
    {
        return $control === null
            ? $this->work()
            : WorkPage::ofCard($this->judged, $this->units, ['card' => $control->value] + $this->card);
    }

    /** Charging, as it stands. */
    public function charging(): ChargingPage
    {
        return $this->charging ??= new ChargingPage($this->judged, $this->units, new Stock(), $this->work()->part);
    }

    /** How the open move is shown; the charge of a rack is worked on its board. */
    public function workView(): string
    {
        return match (true) {
            $this->work()->control !== Control::Charge => 'visit.move',
            $this->visit->isOfRack() => 'visit.charge-of-rack',
            default => 'visit.charge',
        };
    }

    /** The search for leaks, as it stands. */
    public function leaks(): LeakPage
    {
        return $this->leaks ??= new LeakPage($this->judged);
    }

    /** Where licence, tools and place are confirmed for this visit. */
    public function licenceLink(): string
    {
        $card = Cards::permitting(Prerequisite::Licence);

        return $card === null ? '' : CardList::link($this->visit, $card);
    }

    /** @return list<PartId> the circuit and its parts, as far as they were read or moved on their own */
    public function parts(): array
    {
        $parts = [];
        foreach ($this->log->happened() as $fact) {
            $parts[$fact->part->value] = $fact->part;
        }

        return array_values($parts);
    }

    /** Clocks, what was touched, what is proven. */
    public function side(): WorkSide
    {
        return new WorkSide($this->judged, $this->units);
    }

    /** How much was touched or begun and is not put back or ended. */
    public function unfinished(): int
    {
        return count($this->side()->leaving->touched()) + count($this->shelf->open());
    }

    /** @return list<Suspect> who stands in the ranking beside the one that leads; all, where none does */
    public function others(): array
    {
        return array_slice($this->verdict->ranked(self::NAMED), $this->verdict->leads() ? 1 : 0);
    }

    /** @return list<Check> what comes after the next one; the page of the verdict names them all itself */
    public function afterThat(): array
    {
        return $this->station === Station::Verdict
            ? []
            : array_slice($this->verdict->furtherChecks(), 0, self::AFTER_THAT);
    }

    /** @return list<string> */
    public function foremostCautions(): array
    {
        return array_slice($this->verdict->cautions, 0, self::CAUTIONS);
    }

    /** @return list<WalkStep> */
    public function walk(): array
    {
        return (new Walk($this->findings, $this->visit->isOpen(), $this->judged->assessment->chapters))->steps();
    }

    /** How many facts the log has. */
    public function length(): int
    {
        return count($this->log->facts);
    }

    /** @return list<Fact> */
    public function latest(): array
    {
        return $this->log->latest(self::LATEST);
    }

    /** The control at which a check is entered. */
    public function linkTo(Check $check): string
    {
        return $this->linkToAsked($check->key);
    }

    /** The control at which a thing is entered. */
    public function linkToAsked(Asked $key): string
    {
        $control = $key instanceof Reading ? 'cell' : 'choice';
        $anchor = $control.'-'.str_replace('_', '-', (string) $key->value);

        return route('visits.show', [$this->visit, Station::of($key)->value]).'#'.$anchor;
    }

    /** A fresh id for the next entry of a control; sent again it is the same entry. */
    public function ulid(): string
    {
        return (string) Str::ulid();
    }

    public function stateWord(): string
    {
        return match (true) {
            $this->findings->state === null => 'State?',
            $this->findings->state === State::RunningSettled => 'Running, settled',
            default => $this->findings->state->label(),
        };
    }

    public function ownerSummary(): OwnerSummary
    {
        return new OwnerSummary($this->judged, $this->units->speaking($this->visit->circuit->site->language));
    }

    public function courseFacts(): CourseFacts
    {
        return $this->facts ??= new CourseFacts(
            $this->judged->findings,
            $this->verdict->figures,
            $this->judged->rules,
            $this->judged->expectation,
            $this->verdict->doubted,
        );
    }
}
