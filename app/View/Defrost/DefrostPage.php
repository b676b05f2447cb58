<?php

namespace App\View\Defrost;

use App\Models\HouseRuleChoice;
use App\Models\Plant;
use App\Models\User;
use App\Models\Visit;
use App\Picture\RackDayPicture;
use Metrum\Findings\RackFindings;
use Metrum\Installation\Branch;
use Metrum\Installation\PartId;
use Metrum\Knowledge\HouseRule;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use Metrum\Work\Defrost\DefrostBreach;
use Metrum\Work\Defrost\DefrostCheck;
use Metrum\Work\Defrost\DefrostNeed;
use Metrum\Work\Defrost\DefrostPlan;
use Metrum\Work\Defrost\DefrostPlanner;
use Metrum\Work\Defrost\DefrostRules;

/** The defrost schedule of a rack over 24 hours: proposed, or as somebody typed it, looked through either way. */
final readonly class DefrostPage
{
    public Units $units;

    public DefrostPlan $plan;

    public DefrostAsked $asked;

    /** Whether it is the schedule that was saved. */
    public bool $isSaved;

    /** @var list<DefrostRow> */
    public array $rows;

    /** @var list<string> of the whole schedule */
    public array $notes;

    /** @var list<string> circuits whose coils do not freeze */
    public array $frostless;

    public DefrostRules $rules;

    private RackFindings $found;

    private DefrostWords $words;

    private DefrostTwin $twin;

    private ?DefrostCheck $check;

    public function __construct(public Plant $plant, User $user, DefrostAsked $asked)
    {
        // What is typed now is looked through; else the schedule that was saved.
        $this->isSaved = $asked->typed === [] && $plant->defrosts !== null;
        $this->asked = $this->isSaved ? new DefrostAsked($plant->defrosts ?? []) : $asked;
        $asked = $this->asked;
        $this->units = $user->units();
        $this->found = self::found($plant);
        $this->rules = $asked->rules(count($this->found->plant->branches))
            ->holding(HouseRuleChoice::inForce()->band(HouseRule::LeastCondensing)->low);
        $this->words = new DefrostWords($this->found, $this->rules);
        $this->twin = new DefrostTwin($this->found, $this->rules);
        $this->check = $this->twin->check;
        $proposed = $this->check === null ? new DefrostPlan() : (new DefrostPlanner($this->check))->proposed();
        $this->plan = $this->asTyped($proposed);
        $breaches = $this->check?->of($this->plan) ?? [];
        $this->rows = $this->rows($breaches);
        $this->notes = $this->words->of(
            array_filter($breaches, static fn (DefrostBreach $one): bool => $one->minute !== null),
        );
        $this->frostless = $this->frostless();
    }

    /** The day by the twin with this schedule; null where it does not run so. */
    public function day(): ?RackDayPicture
    {
        $moments = $this->twin->day($this->plan);

        return $moments === [] ? null : new RackDayPicture($moments, $this->units);
    }

    /** "Warmest: Dairy cases 5.2 K above set point at 00:15." */
    public function warmest(RackDayPicture $day): string
    {
        [$part, $minute, $over] = $day->warmest();
        $branch = $part === '' ? null : $this->found->plant->branch(PartId::of($part));

        return $branch === null
            ? ''
            : 'Warmest: '.$this->found->nameOf($branch).', '.
                $this->units->text($over, QuantityKind::Difference).' above its set point at '.
                DayTimes::text($minute).'.';
    }

    /** Whether its twin runs, so that there is anything to plan by. */
    public function isPossible(): bool
    {
        return $this->check !== null;
    }

    public function keepsAll(): bool
    {
        $isRefused = array_filter($this->rows, static fn (DefrostRow $one): bool => $one->refused !== '') !== [];
        $isNoted = array_filter($this->rows, static fn (DefrostRow $one): bool => $one->notes !== []) !== [];

        return $this->notes === [] && ! $isRefused && ! $isNoted && $this->asked->refusedBusy() === '';
    }

    /** Whether something that was typed is no time. */
    public function isRefused(): bool
    {
        $refused = array_filter($this->rows, static fn (DefrostRow $one): bool => $one->refused !== '');

        return $refused !== [] || $this->asked->refusedBusy() !== '';
    }

    /** @return array<string, string> as it is saved, field by field */
    public function fields(): array
    {
        $fields = ['at_once' => (string) $this->rules->atOnce, 'busy' => $this->asked->busy()];
        foreach ($this->rows as $row) {
            $fields[$row->field] = $row->typed;
        }

        return $fields;
    }

    public function summary(): string
    {
        return $this->keepsAll() ? '○ All rules are kept.' : '● Not all rules are kept.';
    }

    /** "at 22.0 °C and 48 % in the store" */
    public function air(): string
    {
        $humidity = Format::number(Unit::Percent->fromSi($this->twin->store->air->humidity), 0);

        return 'at '.$this->units->text($this->twin->store->air->temperature, QuantityKind::Temperature).
            " and $humidity % in the store";
    }

    public function frost(DefrostRow $row): string
    {
        $unit = $this->units->ofMass(max(1.0, $row->need->frost));

        return Format::number($unit->fromSi($row->need->frost), 0).' '.$unit->symbol().' of frost a day';
    }

    /** ", 2.4 kWh a day"; empty where no heater runs. */
    public function energy(DefrostRow $row): string
    {
        return $row->need->energy <= 0.0 ? '' : ', '.Format::number($row->need->energy / 3.6e6, 1).' kWh a day';
    }

    /** @return list<array{circuit: string, kind: string, start: string, minutes: int}> as a file has it */
    public function lines(): array
    {
        $lines = [];
        foreach ($this->rows as $row) {
            foreach ($row->starts as $start) {
                $lines[] = [
                    'circuit' => $row->name,
                    'kind' => $row->need->kind->value,
                    'start' => DayTimes::text($start),
                    'minutes' => $row->need->minutes,
                ];
            }
        }

        return $lines;
    }

    private static function found(Plant $plant): RackFindings
    {
        $circuits = $plant->circuits()->get();
        $visit = Visit::query()->whereIn('circuit_id', $circuits->modelKeys())->latest('opened_at')->first();
        $names = $circuits->pluck('name', 'part')->all();
        $shared = $visit?->rack()->shared;
        $found = new RackFindings($plant->known(), names: $names);

        return $shared === null ? $found : new RackFindings($plant->known(), $shared, names: $names);
    }

    private function asTyped(DefrostPlan $plan): DefrostPlan
    {
        foreach ($this->frosting() as $branch) {
            $typed = $this->asked->starts($branch->part);
            $times = $typed === null ? null : DayTimes::times($typed);
            $plan = $times === null ? $plan : $plan->with($branch->part->value, $times);
        }

        return $plan;
    }

    /** @return list<Branch> circuits whose coils freeze */
    private function frosting(): array
    {
        return array_values(
            array_filter(
                $this->found->plant->branches,
                fn (Branch $one): bool => isset($this->check->needs[$one->part->value]),
            ),
        );
    }

    /** @return list<string> */
    private function frostless(): array
    {
        $names = [];
        foreach ($this->found->plant->branches as $branch) {
            $frosts = isset($this->check->needs[$branch->part->value]);
            $names = $frosts ? $names : [...$names, $this->found->nameOf($branch)];
        }

        return $names;
    }

    /**
     * @param  list<DefrostBreach>  $breaches
     * @return list<DefrostRow>
     */
    private function rows(array $breaches): array
    {
        $rows = [];
        foreach ($this->found->plant->branches as $branch) {
            $need = $this->check->needs[$branch->part->value] ?? null;
            $rows = $need === null ? $rows : [...$rows, $this->row($branch, $need, $breaches)];
        }

        return $rows;
    }

    /** @param  list<DefrostBreach>  $breaches */
    private function row(Branch $branch, DefrostNeed $need, array $breaches): DefrostRow
    {
        $part = $branch->part->value;
        $starts = $this->plan->starts[$part] ?? [];
        $typed = $this->asked->starts($branch->part);
        $isRefused = $typed !== null && DayTimes::times($typed) === null;
        $name = $this->found->nameOf($branch);
        $own = array_filter(
            $breaches,
            static fn (DefrostBreach $one): bool => $one->minute === null && $one->circuits === [$part],
        );

        return new DefrostRow(
            DefrostAsked::field($branch->part),
            $name,
            $need,
            $typed ?? implode(' ', array_map(DayTimes::text(...), $starts)),
            $starts,
            $isRefused ? "$name: you entered “{$typed}”. Enter times such as 02:00 08:30." : '',
            $this->words->of($own),
        );
    }
}
