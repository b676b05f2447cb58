<?php

namespace App\View;

use App\Models\Circuit;
use App\Models\FollowUp;
use App\Models\HouseRuleChoice;
use App\Models\User;
use App\Models\Visit;
use App\Picture\Course;
use App\Picture\CourseFacts;
use App\Records\CircuitHistory;
use App\Records\ControlsLeft;
use App\Records\Folds;
use App\Records\Judge;
use Illuminate\Database\Eloquent\Collection;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Installation\DesignKey;
use Metrum\Installation\Kind;
use Metrum\Installation\LoadKind;
use Metrum\Installation\SystemKey;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Wanted;
use Metrum\Quantity\Units;
use Metrum\Twin\ChargeConflict;
use Metrum\Twin\Filling;
use Metrum\Twin\TwinExpectation;
use Metrum\Twin\Twins;
use Metrum\Work\ControlPosition;
use Metrum\Work\Desk\Story;

/** Everything that the page of one circuit shows. */
final readonly class CircuitPage
{
    private const COURSE_HEIGHT = 300.0;

    public Units $units;

    public CircuitHistory $history;

    public ?Visit $latest;

    /** @var Collection<int, FollowUp> */
    public Collection $followUps;

    public Course $course;

    /** Why it has no twin; null where it has one. */
    public ?string $impossible;

    /** @var list<string> where plate, receiver, condenser and lines contradict each other */
    public array $conflicts;

    /** @var list<array{name: string, left: string, learned: string}> controls as they were left, newest last */
    public array $controls;

    public function __construct(public Circuit $circuit, User $user, Judge $judge, Twins $twins, Folds $folds)
    {
        $this->units = $user->units();
        $this->history = new CircuitHistory($circuit, $judge);
        $this->latest = $this->history->latest();
        $this->controls = $this->controls(new ControlsLeft($circuit, $judge, $folds));
        $this->followUps = $circuit->followUps()->whereNull('done_at')->get();
        $findings = $this->latest === null ? new Findings($circuit->known()) : $this->latest->findings();
        $rules = $this->latest === null ? HouseRuleChoice::inForce() : $this->latest->rules();
        $expectation = $twins->expectation($findings, $rules, $folds->good($circuit, $this->latest));
        $this->impossible =
            $expectation instanceof TwinExpectation ? null : $twins->whyNone($findings->circuit, $rules);
        $this->conflicts = $expectation instanceof TwinExpectation
            ? self::conflicts($expectation, $rules, $this->units)
            : [];
        $facts = new CourseFacts($findings, Figures::of($findings, $rules), $rules, $expectation);
        $this->course = Course::across($facts, $this->units, self::COURSE_HEIGHT);
    }

    /** @return list<string> */
    private static function conflicts(TwinExpectation $expectation, HouseRules $rules, Units $units): array
    {
        $machine = $expectation->twin->machine;
        $filling = new Filling($machine->circuit, new Wanted($machine->circuit, $rules));

        return array_map(
            static fn (ChargeConflict $one): string => $one->sentence($units),
            $filling->conflicts($machine),
        );
    }

    /** @return list<array{name: string, left: string, learned: string}> */
    private function controls(ControlsLeft $book): array
    {
        $left = $book->all();
        $work = $left === [] ? null : $book->work();
        $story = $work === null ? null : new Story($work);

        return array_map(
            fn (ControlPosition $one): array => [
                'name' => $one->name(),
                'left' => $one->words($this->units).', '.$one->at->format('j M Y'),
                'learned' => $story?->response($one->control, $one->part)?->in($this->units) ?? '',
            ],
            $left,
        );
    }

    private function load(): ?LoadKind
    {
        return Kind::tryFrom((string) $this->circuit->kind)?->load();
    }

    /** @return list<array{name: string, value: ?string}> */
    public function system(): array
    {
        $words = $this->circuit->systemWords();
        $facts = [];
        $load = $this->load();
        foreach (array_filter(SystemKey::cases(), static fn (SystemKey $one): bool => $one->isOf($load)) as $key) {
            $value = $words[$key->value] ?? null;
            $facts[] = [
                'name' => $key->label(),
                'value' => match (true) {
                    is_bool($value) => $value ? 'Yes' : 'No',
                    is_string($value) => $key->choices()[$value] ?? $value,
                    default => null,
                },
            ];
        }

        return $facts;
    }

    /** @return list<array{name: string, value: ?string}> */
    public function design(): array
    {
        $figures = $this->circuit->designWords();
        $facts = [];
        $load = $this->load();
        foreach (array_filter(DesignKey::cases(), static fn (DesignKey $one): bool => $one->isOf($load)) as $key) {
            $field = $key->field();
            $value = $figures[$key->value] ?? null;
            $facts[] = [
                'name' => $field->label,
                'value' => $value === null
                        ? null
                        : $this->units->text($field->fileUnit()->toSi((float) $value), $field->kind),
            ];
        }

        return $facts;
    }
}
