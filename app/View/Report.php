<?php

namespace App\View;

use App\Models\User;
use App\Models\Visit;
use App\Picture\BeforeAfter;
use App\Picture\Course;
use App\Records\JudgedVisit;
use App\Records\Stock;
use App\View\Board\BoardPage;
use App\View\Owner\VisitChoices;
use Illuminate\Support\Facades\App;
use Illuminate\Support\Str;
use Metrum\Diagnosis\Suspect;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Trips;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Station;
use Metrum\Language\Sentence;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\LeftOpen;
use Metrum\Log\Kinds\NoteWritten;
use Metrum\Work\ControlPosition;
use Metrum\Work\Desk\Remedies;
use Metrum\Work\Leaks\LeakWork;
use Metrum\Work\Movements;

/** What is left with the owner: the visit in words, the course, the readings, the rules in force. */
final readonly class Report
{
    private const COURSE_HEIGHT = 380.0;

    public Visit $visit;

    public VisitPage $page;

    public Course $course;

    public BeforeAfter $beforeAfter;

    public OwnerSummary $owner;

    /** What was read and seen. */
    public ReportFindings $found;

    /** What it was judged by. */
    public ReportBasis $basis;

    /** On what was found before anything was moved. */
    public Verdict $asFound;

    /** Of the whole plant; null where it has one circuit. */
    public ?BoardPage $board;

    public ReportPhotos $photos;

    public VisitChoices $choices;

    public function __construct(private JudgedVisit $judged, User $user)
    {
        $this->visit = $judged->visit->loadMissing('user', 'followUps');
        $this->page = new VisitPage($judged, Station::Leave, $user);
        $this->course = Course::across($this->page->courseFacts(), $this->page->units, self::COURSE_HEIGHT);
        $this->beforeAfter = new BeforeAfter($judged->assessment, $this->page->units);
        $this->owner = $this->page->ownerSummary();
        $this->found = new ReportFindings($judged, $this->page->units, $this->isMoved());
        $this->basis = new ReportBasis($this->visit, $judged->findings->circuit, $this->page->units);
        $this->board = $this->visit->isOfRack() ? new BoardPage($this->visit, $user, $judged->assessment) : null;
        $this->photos = new ReportPhotos($this->visit);
        $this->choices = new VisitChoices($this->visit, App::getLocale());
        $first = $judged->assessment->asFound();
        $this->asFound = $this->isMoved() ? $judged->assessment->explained($first) : $judged->verdict;
    }

    /** Circuit, and before it the rack that it is of. */
    public function titleOfCircuit(): string
    {
        return ($this->board === null ? '' : $this->visit->circuit->plant->label().', ').$this->visit->circuit->name;
    }

    /** When the visit was opened, in the owner's language. */
    public function day(): string
    {
        $opened = $this->visit->opened_at;

        return Dates::day($opened, 'dMMMMy').', '.$opened->format('H:i');
    }

    /** Whether anything was moved since the plant was found. */
    public function isMoved(): bool
    {
        return $this->judged->assessment->judged() !== $this->judged->assessment->asFound();
    }

    /** The owner's summary in the technician's own words; empty where none were written. */
    public function ownWords(): string
    {
        return $this->page->log->fact(FactKind::Note, NoteWritten::SUMMARY)?->content->text('text') ?? '';
    }

    /** Width of the course on paper, pixels of 1/96 inch; 0 where choices leave it no room. */
    public function courseWidth(): int
    {
        $told = $this->ownWords();
        $told = $told === '' ? implode(' ', array_merge(...array_values($this->told()))) : $told;

        return PaperCourse::width(mb_strlen($told), $this->choices->letters());
    }

    /** @return array<string, list<string>> what the owner is told, by its heading */
    public function told(): array
    {
        // Of a rack the owner is told of the circuit that was walked; the others stand in the list of circuits.
        $of = $this->board === null ? '' : ': '.$this->visit->circuit->name;

        return array_filter([
            Translated::said('What was wrong').$of => $this->owner->wrong(),
            Translated::said('What we did') => $this->owner->did(),
            Translated::said('How it is now').$of => $this->owner->now(),
            Translated::said('When we return') => $this->owner->comesBack(),
        ]);
    }

    /** The course as an image for the PDF library, which knows no style sheet. */
    public function courseImage(): string
    {
        $drawn = view('components.picture.course-print', ['course' => $this->course])->render();

        return 'data:image/svg+xml;base64,'.base64_encode($drawn);
    }

    /** As found beside as left, as an image for the PDF library. */
    public function beforeAfterImage(): string
    {
        $drawn = view('components.picture.before-after', ['picture' => $this->beforeAfter])->render();

        return 'data:image/svg+xml;base64,'.base64_encode($drawn);
    }

    public function fileName(): string
    {
        $circuit = $this->visit->circuit;

        return 'report-'.
            Str::slug($circuit->site->name.' '.$circuit->name).
            '-'.
            $this->visit->opened_at->format('Y-m-d');
    }

    /** @return list<string|Sentence> what is still to be done about what is proven, else about what leads */
    public function remedies(): array
    {
        $proven = $this->page->findings->confirmed[0] ?? null;
        $suspect = $proven === null ? $this->page->verdict->first() : new Suspect($proven, 1.0);

        $isLeft = $suspect->fault === Fault::NoFault && $this->open() !== [];

        return $isLeft || (new Remedies($this->judged->assessment))->isDone($suspect->fault)
            ? []
            : $this->page->advice->remedies($suspect);
    }

    /** Refrigerant in and out at this visit, in words; empty where none was moved. */
    public function moved(): string
    {
        $moved = Movements::of($this->page->log);
        $units = $this->page->units;

        return implode(', ', array_filter([
            $moved->added > 0.0 ? $units->mass($moved->added).' added' : '',
            $moved->recovered > 0.0 ? $units->mass($moved->recovered).' recovered into a cylinder' : '',
            ...$this->cylinders(),
        ]));
    }

    /** @return list<string> of the stock, out of which or into which it went */
    private function cylinders(): array
    {
        $stock = (new Stock())->cylinders();
        $names = [];
        foreach ($this->page->log->history(FactKind::Move) as $fact) {
            $cylinder = $stock[$fact->content->text('cylinder')] ?? null;
            $names[$cylinder->id ?? ''] = $cylinder === null ? '' : 'cylinder '.$cylinder->label;
        }

        return array_values(array_filter($names));
    }

    /** @return list<string> what had stopped the compressor, whether it ran again or not */
    public function trips(): array
    {
        return array_map(
            static fn (array $one): string => $one[1]->takenAt->format('H:i').' compressor '.lcfirst($one[0]->label()).
                ($one[2] ? ', running again since then' : ''),
            Trips::of($this->page->log)->all,
        );
    }

    /** @return list<string> what is not ended */
    public function open(): array
    {
        $early = Movements::beforeTheLeakWasFound($this->page->log) !== [];
        $isMended = (new LeakWork($this->judged->assessment))->isMended();

        return array_map(static fn (string $one): string => ucfirst($one).'.', [
            ...$this->page->side()->unfinished(),
            ...$early && ! $isMended ? ['the leak is still to be found and repaired'] : [],
        ]);
    }

    /** @return list<Fact> */
    public function notes(): array
    {
        return array_values(
            array_filter(
                $this->page->log->standing(FactKind::Note),
                static fn (Fact $note): bool => $note->content->key === NoteWritten::PLAIN,
            ),
        );
    }

    /** @return list<string> what was ruled out, with its reason */
    public function ruledOut(): array
    {
        return array_map($this->page->explain->fact(...), $this->page->log->standing(FactKind::RuledOut));
    }

    /** @return list<string> what was moved, and what came of it */
    public function done(): array
    {
        return array_map(
            fn (Sentence $one): string => $one->in($this->page->units),
            $this->page->work()->story->lines(),
        );
    }

    /** @return list<string> each control that was moved: as found, and as left */
    public function controls(): array
    {
        return array_map(
            fn (ControlPosition $one): string => $one->name().': '.$one->words($this->page->units).'.',
            ControlPosition::all($this->page->log->history(FactKind::Move)),
        );
    }

    /** @return list<string> what tests and other cards came to */
    public function cards(): array
    {
        return $this->page->cards()->cameTo();
    }

    /** @return list<string> what was left so with its reason, or is not put back */
    public function touched(): array
    {
        $lines = [];
        foreach ($this->page->log->history(FactKind::Restored) as $fact) {
            if ($fact->content->text('reason') !== '') {
                $lines[] = $this->page->explain->fact($fact);
            }
        }
        foreach ($this->page->side()->leaving->hazards() as $hazard) {
            $lines[] = 'Not made safe: '.lcfirst($hazard->label());
        }
        foreach ($this->page->side()->leaving->touched() as [$touched, $part]) {
            $lines[] = 'Not restored: '.LeftOpen::said($touched).PartAddress::behind($part);
        }

        return $lines;
    }
}
