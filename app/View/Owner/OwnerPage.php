<?php

namespace App\View\Owner;

use App\Models\Visit;
use App\Models\Workshop;
use App\Picture\BeforeAfter;
use App\Records\JudgedVisit;
use App\Records\Owner\OwnerLink;
use App\View\Dates;
use App\View\Report;
use App\View\ReportPhotos;
use Illuminate\Support\Facades\App;

/** A visit as its owner reads it: what was found, done and measured, what remains, and what they may choose. */
final readonly class OwnerPage
{
    public Visit $visit;

    public Workshop $workshop;

    public ReportPhotos $photos;

    /** @var list<ChoiceCard> */
    public array $choices;

    private Report $report;

    public function __construct(JudgedVisit $judged, public OwnerLink $link)
    {
        $this->visit = $judged->visit;
        $this->report = new Report($judged, $judged->visit->user);
        $this->photos = $this->report->photos;
        $all = new VisitChoices($this->visit, App::getLocale());
        [$this->workshop, $this->choices] = [$all->workshop, $all->cards];
    }

    public function day(): string
    {
        return $this->report->day();
    }

    public function ends(): string
    {
        return Dates::day($this->link->ends(), 'dMMMMy');
    }

    public function ownWords(): string
    {
        return $this->report->ownWords();
    }

    /** @return array<string, list<string>> sentences by their heading */
    public function told(): array
    {
        return $this->report->told();
    }

    public function beforeAfter(): BeforeAfter
    {
        return $this->report->beforeAfter;
    }

    /**
     * @param  string  $ahead  what is said before the words of a photo that was taken before, and of one after
     * @return list<array{string, string}> address and words of each photo, pairs first
     */
    public function pictures(string $ahead, string $behind): array
    {
        return array_map(
            fn (array $one): array => [$this->link->photo($one[0]), $one[1]],
            $this->photos->inOrder($ahead, $behind),
        );
    }
}
