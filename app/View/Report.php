<?php

namespace App\View;

use App\Models\User;
use App\Models\Visit;
use App\Picture\Course;
use Illuminate\Support\Str;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Reading;
use Metrum\Quantity\Kind;

/** What is left with the owner: the visit in words, the course, the readings, the rules in force. */
final readonly class Report
{
    public VisitPage $page;

    public Course $course;

    public function __construct(public Visit $visit, User $user)
    {
        $visit->loadMissing('user', 'followUps');
        $this->page = new VisitPage($visit, Stage::Leave, $user);
        $this->course = new Course(
            $this->page->findings,
            $this->page->verdict->figures,
            $visit->rules(),
            $this->page->units,
            380.0,
            expectation: $this->page->expectation,
        );
    }

    public function summary(): string
    {
        $own = $this->page->log->entry('note', 'summary')?->typed;

        return $own !== null && $own !== '' ? $own : $this->page->sentenceFor()->text();
    }

    /** The course as an image for the PDF library, which knows no style sheet. */
    public function courseImage(): string
    {
        return 'data:image/svg+xml;base64,'.
            base64_encode(view('components.picture.course-print', ['course' => $this->course])->render());
    }

    public function fileName(): string
    {
        return 'report-'.
            Str::slug($this->visit->circuit->site->name.' '.$this->visit->circuit->name).
            '-'.
            $this->visit->opened_at->format('Y-m-d');
    }

    /** @return list<array{name: string, value: string, place: string}> */
    public function readings(): array
    {
        $rows = [];
        foreach (Reading::cases() as $reading) {
            $si = $this->page->findings->reading($reading);
            if ($si !== null) {
                $rows[] = [
                    'name' => $reading->label(),
                    'value' => $this->page->units->text($si, $reading->quantity()),
                    'place' => $reading->place(),
                ];
            }
        }

        return $rows;
    }

    /** @return list<array{name: string, value: string}> */
    public function seen(): array
    {
        $rows = [];
        foreach ($this->page->log->standing() as $entry) {
            if (in_array($entry->kind, ['observation', 'test'], true)) {
                [$name, $value] = explode(': ', $this->page->explain->entry($entry), 2);
                $rows[] = ['name' => $name, 'value' => $value];
            }
        }

        return $rows;
    }

    /** Which house rules the workshop has chosen otherwise than by default. */
    public function ownRules(): string
    {
        $rules = $this->visit->rules();
        $own = [];
        foreach (HouseRules::all() as $key => $rule) {
            if ($rules->schoolOf($key) !== $rule['default']) {
                $own[] = lcfirst($rule['label']).' ('.$rules->band($key)->source.')';
            }
        }

        return $own === []
            ? 'all house rules were at their defaults.'
            : 'chosen otherwise than by default: '.implode('; ', $own).'.';
    }

    public function atmosphere(): string
    {
        return $this->page->units->text(
            $this->visit->circuit->site->atmosphere()->pascal,
            Kind::AbsolutePressure,
        ).' absolute';
    }
}
