<?php

namespace App\View;

use App\Models\User;
use App\Models\Visit;
use App\Picture\Course;
use App\Records\Judged;
use Illuminate\Support\Str;
use Metrum\Circuit\DesignKey;
use Metrum\Circuit\HouseRule;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Station;
use Metrum\Circuit\SystemKey;
use Metrum\Circuit\Test;
use Metrum\Diagnosis\Suspect;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\NoteWritten;
use Metrum\Quantity\Kind;
use Metrum\Work\Left;
use Metrum\Work\Movements;

/** What is left with the owner: the visit in words, the course, the readings, the rules in force. */
final readonly class Report
{
    private const COURSE_HEIGHT = 380.0;

    public Visit $visit;

    public VisitPage $page;

    public Course $course;

    public function __construct(Judged $judged, User $user)
    {
        $this->visit = $judged->visit->loadMissing('user', 'followUps');
        $this->page = new VisitPage($judged, Station::Leave, $user);
        $this->course = Course::across($this->page->courseFacts(), $this->page->units, self::COURSE_HEIGHT);
    }

    public function summary(): string
    {
        $own = $this->page->log->fact(FactKind::Note, NoteWritten::SUMMARY)?->content->text('text') ?? '';

        return $own !== '' ? $own : $this->page->ownerSummary()->text();
    }

    /** The course as an image for the PDF library, which knows no style sheet. */
    public function courseImage(): string
    {
        $drawn = view('components.picture.course-print', ['course' => $this->course])->render();

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

    /** @return list<string> what is to be done about what was proven, else about what leads */
    public function remedies(): array
    {
        $proven = $this->page->findings->confirmed[0] ?? null;

        return $this->page->advice->remedies(
            $proven === null ? $this->page->verdict->first() : new Suspect($proven, 1.0),
        );
    }

    /** Refrigerant in and out at this visit, in words; empty where none was moved. */
    public function moved(): string
    {
        $moved = Movements::of($this->page->log);
        $units = $this->page->units;

        return implode(', ', array_filter([
            $moved->added > 0.0 ? $units->mass($moved->added).' added' : '',
            $moved->recovered > 0.0 ? $units->mass($moved->recovered).' taken out into a cylinder' : '',
        ]));
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
        foreach ($this->page->log->standing(FactKind::Observation, FactKind::Test) as $fact) {
            $key = $fact->content->key;
            $asked = $fact->kind === FactKind::Test ? Test::from($key) : Observation::from($key);
            $word =
                $asked instanceof Test
                    ? $this->page->findings->tested($asked)
                    : $this->page->findings->observed($asked);
            $rows[] = ['name' => $asked->label(), 'value' => lcfirst((string) $word?->label())];
        }

        return $rows;
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

    /** Which house rules the workshop has chosen otherwise than by default. */
    public function ownRules(): string
    {
        $rules = $this->visit->rules();
        $own = [];
        foreach (HouseRule::cases() as $rule) {
            if (! $rules->isDefault($rule)) {
                $own[] = lcfirst($rule->row()->label).' ('.$rules->band($rule)->source.')';
            }
        }

        return $own === []
            ? 'all house rules were at their defaults.'
            : 'chosen otherwise than by default: '.implode('; ', $own).'.';
    }

    public function refrigerant(): string
    {
        return $this->page->findings->circuit->refrigerant;
    }

    public function kind(): string
    {
        return (string) $this->page->findings->circuit->kind?->label();
    }

    public function atmosphere(): string
    {
        $air = $this->page->findings->circuit->atmosphere->pascal;

        return $this->page->units->text($air, Kind::AbsolutePressure).' absolute';
    }

    /** @return list<string> what was moved, and what came of it */
    public function done(): array
    {
        return array_reverse($this->page->work()->story->outcomes());
    }

    /** @return list<string> each control that was moved: as found, and as left */
    public function controls(): array
    {
        return array_map(
            fn (Left $one): string => $one->name().': '.$one->words($this->page->units).'.',
            Left::all([$this->page->log]),
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
        foreach ($this->page->side()->touched() as [$touched, $subject]) {
            $lines[] = 'Not put back: '.str_replace('_', ' ', $touched).($subject === '' ? '' : ', '.$subject);
        }

        return $lines;
    }

    /** @return list<string> what plate and design say, as it was known when the visit was opened */
    public function plate(): array
    {
        $said = [];
        foreach (SystemKey::cases() as $key) {
            $word = $this->visit->system[$key->value] ?? null;
            if (is_string($word) && $key !== SystemKey::Kind && $key !== SystemKey::Refrigerant) {
                $said[] = mb_strtolower($key->label()).' '.mb_strtolower($key->choices()[$word] ?? $word);
            }
        }
        foreach (DesignKey::cases() as $key) {
            $value = $this->visit->design[$key->value] ?? null;
            if ($value !== null) {
                $field = $key->field();
                $si = $field->fileUnit()->toSi((float) $value);
                $said[] = Explain::within($field->label).' '.$this->page->units->text($si, $field->kind);
            }
        }

        return $said;
    }
}
