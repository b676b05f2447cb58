<?php

namespace App\View;

use App\Models\Circuit;
use App\Models\FollowUp;
use App\Models\User;
use App\Picture\Course;
use App\Records\CircuitHistory;
use App\Records\CircuitSheet;
use Illuminate\Database\Eloquent\Collection;
use Metrum\Exchange\DesignUnits;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;

/** Everything that the page of one circuit shows. */
final readonly class CircuitPage
{
    public Units $units;

    public CircuitHistory $history;

    /** @var Collection<int, FollowUp> */
    public Collection $followUps;

    public Course $course;

    public function __construct(public Circuit $circuit, User $user)
    {
        $this->units = $user->units();
        $this->history = new CircuitHistory($circuit);
        $this->followUps = $circuit->followUps()->whereNull('done_at')->get();
        $latest = $this->history->latest();
        $findings = $latest !== null ? $latest->findings : new Findings($circuit->plant());
        $rules = $latest !== null ? $latest->visit->rules() : \App\Models\HouseRule::inForce();
        $this->course = new Course($findings, Figures::of($findings, $rules), $rules, $this->units, 300.0);
    }

    /** @return list<array{name: string, value: ?string}> */
    public function system(): array
    {
        $choices = CircuitSheet::choices();
        $facts = [];
        foreach (CircuitSheet::LABELS as $key => $label) {
            $value = $this->circuit->system[$key] ?? null;
            $facts[] = [
                'name' => $label,
                'value' => match (true) {
                    is_bool($value) => $value ? 'yes' : 'no',
                    is_string($value) => $choices[$key][$value] ?? $value,
                    default => null,
                },
            ];
        }

        return $facts;
    }

    /** @return list<array{name: string, value: ?string}> */
    public function design(): array
    {
        $facts = [];
        foreach (CircuitSheet::DESIGN_LABELS as $key => $label) {
            $value = $this->circuit->design[$key] ?? null;
            $facts[] = [
                'name' => $label,
                'value' => $value === null
                        ? null
                        : $this->units->text(
                            DesignUnits::of($key)->toSi((float) $value),
                            DesignUnits::quantity($key),
                        ),
            ];
        }

        return $facts;
    }
}
