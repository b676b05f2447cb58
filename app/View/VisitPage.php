<?php

namespace App\View;

use App\Models\User;
use App\Models\Visit;
use App\Picture\Course;
use App\Picture\CourseFacts;
use App\Records\Judged;
use Illuminate\Support\Str;
use Metrum\Circuit\Asked;
use Metrum\Circuit\Control;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Question;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Station;
use Metrum\Circuit\Test;
use Metrum\Diagnosis\Cautions;
use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Findings;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Quantity\Format;
use Metrum\Quantity\Units;

/** Everything that one page of a visit shows; each thing is worked once. */
final class VisitPage
{
    /** Lines of the log under the cells. */
    private const LATEST = 4;

    public readonly Visit $visit;

    public readonly Log $log;

    public readonly Findings $findings;

    public readonly Verdict $verdict;

    public readonly Units $units;

    public readonly Explain $explain;

    /** Whether this person may enter something now. */
    public readonly bool $mayEnter;

    public readonly Advice $advice;

    /** Where entries are sent. */
    public readonly string $entries;

    private readonly CellHints $hints;

    private ?WorkPage $work = null;

    private ?CardPage $opened = null;

    private ?CourseFacts $facts = null;

    private ?Course $course = null;

    /** @param  array<string, mixed>  $card  which card is open, and how far it is turned */
    public function __construct(
        public readonly Judged $judged,
        public readonly Station $station,
        User $user,
        private readonly array $card = [],
    ) {
        $this->visit = $judged->visit;
        $this->log = $judged->log;
        $this->findings = $judged->present();
        $this->verdict = $judged->verdict;
        $this->units = $user->units();
        $this->explain = new Explain($this->units);
        $this->mayEnter = $user->can('enter', $this->visit);
        $this->advice = new Advice($user, $this->findings, $this->verdict);
        $this->entries = route('entries.store', $this->visit);
        $this->hints = new CellHints($this->findings, $this->verdict->figures, $this->units);
    }

    public function course(): Course
    {
        return $this->course ??= Course::across(
            $this->courseFacts(),
            $this->units,
            match ($this->station) {
                Station::Gauges => 346.0,
                Station::Box, Station::Unit, Station::Verdict => 272.0,
                default => 330.0,
            },
        );
    }

    public function phoneCourse(): Course
    {
        return Course::down($this->courseFacts(), $this->units);
    }

    public function work(): WorkPage
    {
        return $this->work ??= WorkPage::ofCard($this->judged, $this->units, $this->card);
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

    /** Clocks, what was touched, what is proven. */
    public function side(): WorkSide
    {
        return new WorkSide($this->judged, $this->units);
    }

    /** @return list<Cell> of what is read again after the last move */
    public function cellsAgain(): array
    {
        $last = $this->judged->work->present()->chapter->began?->content;
        $needs = $last === null ? [] : Control::from($last->key)->row()->needs;

        return array_map($this->cell(...), array_values(
            array_filter($needs, static fn (Asked $one): bool => $one instanceof Reading),
        ));
    }

    /** @return list<Cell> */
    public function cells(): array
    {
        return $this->cellsOf($this->station->readings());
    }

    /** @return list<Cell> */
    public function moreCells(): array
    {
        return $this->cellsOf($this->station->moreReadings());
    }

    public function cell(Reading $reading): Cell
    {
        $unit = $this->units->of($reading->quantity());
        $si = $this->findings->reading($reading);
        $before = $this->judged->work->present()->chapter->before[$reading->value] ?? null;
        $check = $this->verdict->nextCheck();

        return new Cell(
            $reading,
            $unit->symbol(),
            $si === null ? '' : Format::value($si, $unit),
            $si === null && $before !== null
                ? 'before '.Format::amount($before, $unit)
                : $this->hints->of($reading),
            $check !== null && in_array($reading, $check->readings, true),
            in_array($reading, $this->verdict->doubted, true),
        );
    }

    /** @return list<Choice> */
    public function choices(): array
    {
        $asked = array_filter(
            [...$this->station->observations(), ...$this->station->tests()],
            $this->asks(...),
        );

        return array_values(array_map($this->choice(...), $asked));
    }

    public function choice(Question $asked): Choice
    {
        $proposed = $this->verdict->nextCheck()?->key === $asked;
        if ($asked instanceof Test) {
            $taking = $asked->taking();

            return new Choice(
                $asked,
                $this->findings->tested($asked),
                $proposed,
                $taking->how,
                Cautions::words($taking->cautions),
            );
        }
        assert($asked instanceof Observation);

        return new Choice($asked, $this->findings->observed($asked), $proposed);
    }

    /** Whether the control of a fact stands on this page. */
    public function shows(FactKind $kind, string $key): bool
    {
        return match ($kind) {
            FactKind::Reading => in_array(
                Reading::tryFrom($key),
                [...$this->station->readings(), ...$this->station->moreReadings()],
                true,
            ),
            FactKind::Observation => in_array(Observation::tryFrom($key), $this->station->observations(), true),
            FactKind::Test => in_array(Test::tryFrom($key), $this->station->tests(), true),
            FactKind::Complaint => $this->station === Station::Complaint,
            FactKind::State => true,
            default => false,
        };
    }

    /** @return list<WalkStep> */
    public function walk(): array
    {
        return (new Walk($this->findings, $this->visit->isOpen(), $this->judged->work->chapters))->steps();
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
            $this->findings->state === null => 'Settled?',
            $this->findings->isSettled() => 'Running, settled',
            default => $this->findings->state->label(),
        };
    }

    public function ownerSummary(): OwnerSummary
    {
        return new OwnerSummary($this->findings, $this->verdict, $this->units);
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

    private function asks(Asked $one): bool
    {
        return $one->taking()->fit->asks($this->findings->circuit);
    }

    /**
     * @param  list<Reading>  $readings
     * @return list<Cell> of what can be asked of this circuit, or was read all the same
     */
    private function cellsOf(array $readings): array
    {
        $asked = array_filter(
            $readings,
            fn (Reading $one): bool => $this->asks($one) || $this->findings->reading($one) !== null,
        );

        return array_values(array_map(fn (Reading $one): Cell => $this->cell($one), $asked));
    }
}
