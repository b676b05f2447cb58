<?php

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\FactRecord;
use App\Models\HouseRuleChoice;
use App\Models\User;
use App\Models\VerdictSnapshot;
use App\Models\Visit;
use App\Policies\VisitPolicy;
use App\Records\Folds;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Str;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Log\FactKind;
use Tests\TestCase;

/** What a visit keeps: its circuit as it was, its rules, its verdict. What is changed later rewrites none of it. */
final class KeptTest extends TestCase
{
    private static function superheat(Visit $visit): float
    {
        $visit = $visit->fresh();
        assert($visit !== null);

        return (float) Figures::of($visit->findings(), $visit->rules())->value(DerivedFigure::EvaporatorSuperheat);
    }

    /** @param  array<string, string>  $more */
    private function save(Circuit $circuit, array $more): void
    {
        $form = [
            'name' => $circuit->name,
            'kind' => 'walk_in_cooler',
            'refrigerant' => 'R-448A',
            'receiver' => 'yes',
        ];
        $this->actingAs($this->technician)
            ->put("/circuits/{$circuit->id}", $more + $form)
            ->assertSessionHasNoErrors()
            ->assertRedirect();
    }

    public function test_a_changed_circuit_rewrites_no_closed_visit(): void
    {
        $visit = $this->starved();
        $this->post("/visits/{$visit->id}/close");
        $before = self::superheat($visit);
        self::assertEqualsWithDelta(15.0, $before, 4.0);
        $report = $this->get("/visits/{$visit->id}/report")
            ->assertOk()
            ->assertSee('R-448A');

        $this->save($this->circuit, ['refrigerant' => 'R-134a']);

        self::assertSame('R-134a', $this->circuit->fresh()?->load('plant', 'site')->known()->refrigerant);
        self::assertSame($before, self::superheat($visit));
        self::assertSame(0, FactRecord::query()->where('kind', 'circuit')->count());
        self::assertSame(
            self::numbers((string) $report->getContent()),
            self::numbers((string) $this->get("/visits/{$visit->id}/report")->getContent()),
        );
    }

    public function test_an_open_visit_learns_of_a_changed_circuit_by_a_fact_of_whoever_changed_it(): void
    {
        $visit = $this->starved();
        $before = self::superheat($visit);
        $kept = $visit->verdict()->sole()->snapshot;
        $this->save($this->circuit, ['refrigerant' => 'R-134a']);

        self::assertLessThan($before - 5.0, self::superheat($visit), 'the same gauge on another refrigerant');
        $fact = FactRecord::query()->where('kind', 'circuit')->sole();
        self::assertSame($this->technician->id, $fact->user_id);
        self::assertSame(FactKind::Circuit, $fact->fact()->kind);
        $this->get("/visits/{$visit->id}/gauges")->assertSee('Circuit edited, now R-134a');
        self::assertNotEquals($kept, $visit->verdict()->sole()->snapshot, 'and what is kept of it follows');

        $this->save($this->circuit, ['refrigerant' => 'R-134a', 'notes' => 'key at the kiosk']);
        self::assertSame(
            1,
            FactRecord::query()->where('kind', 'circuit')->count(),
            'what did not change is no fact',
        );
    }

    public function test_a_good_visit_draws_the_twin_of_all_others_but_not_its_own(): void
    {
        $visits = [$this->starved(), $this->starved()];
        foreach ($visits as $i => $visit) {
            $this->post("/visits/{$visit->id}/ran-well", ['well' => 1]);
            $visit->update(['opened_at' => now()->subDays($i)]);
        }
        $ids = fn (?Visit $except): array => array_map(
            static fn (Findings $one): string => (string) $one->id,
            app(Folds::class)->good($this->circuit, $except),
        );

        self::assertSame([$visits[1]->id], $ids($visits[0]));
        self::assertSame([$visits[0]->id], $ids($visits[1]), 'asked of the same circuit once more');
        self::assertSame([$visits[0]->id, $visits[1]->id], $ids(null));
    }

    public function test_house_rules_of_later_do_not_judge_an_earlier_visit(): void
    {
        $visit = $this->starved();
        HouseRuleChoice::query()->create([
            'rule' => 'superheat_medium',
            'choice' => [1.0, 2.0],
            'user_id' => $this->technician->id,
        ]);

        self::assertSame([], $visit->fresh()?->house_rules);
        self::assertEquals(['superheat_medium' => [1.0, 2.0]], $this->visit()->fresh()?->house_rules);
    }

    public function test_circuits_of_one_plant_share_what_hangs_on_one_condenser(): void
    {
        $first = $this->circuit->load('plant');
        $words = [$first->systemWords(), $first->designWords()];
        $second = Circuit::establish($first->site, 'Cold room 3', ...$words, plant: $first->plant);
        self::assertSame('circuit 2', $second->part);
        self::assertCount(2, $first->plant->circuits()->get());
        $open = Visit::open($second->load('site', 'plant'), $this->technician, now());

        $this->save($first, ['refrigerant' => 'R-134a', 'box_set_point_c' => '5', 'condenser_split_k' => '14']);

        $known = $second->fresh()?->load('site', 'plant')->known();
        self::assertSame('R-134a', $known?->refrigerant, 'of the plant');
        self::assertSame(14.0, $known->design->condenserSplit);
        self::assertEqualsWithDelta(275.15, (float) $known->design->boxSetPoint, 1e-9, 'its own');
        self::assertSame(
            [$open->id],
            FactRecord::query()->where('kind', 'circuit')->pluck('occasion_id')->all(),
            'its open visit learned it',
        );
    }

    public function test_today_and_history_read_what_was_kept_and_work_nothing(): void
    {
        $visit = $this->starved();
        $this->post("/visits/{$visit->id}/close");
        $row = VerdictSnapshot::query()->sole();
        $snapshot = $row->snapshot;
        $snapshot['ranking'][0]['fault'] = 'condenser_airflow_low';
        $row->update(['snapshot' => $snapshot]);

        $this->get('/')
            ->assertSee('Low condenser airflow')
            ->assertDontSee('Low refrigerant charge');
        $this->get("/circuits/{$this->circuit->id}")->assertSee('Low condenser airflow');

        $this->post("/circuits/{$this->circuit->id}/again")->assertRedirect();
        $this->get('/')->assertSee('Low refrigerant charge');
    }

    public function test_old_verdicts_are_worked_anew_by_a_command_that_leaves_new_ones_alone(): void
    {
        $old = $this->starved();
        $new = $this->starved();
        $missing = $this->visit();
        VerdictSnapshot::query()
            ->whereKey($old->id)
            ->update(['edition' => 'before', 'probability' => 0.0]);
        VerdictSnapshot::query()
            ->whereKey($new->id)
            ->update(['probability' => 0.0]);

        Artisan::call('metrum:verdicts', ['--missing' => true]);
        self::assertSame('before', $old->verdict()->sole()->edition);
        self::assertTrue($missing->verdict()->sole()->verdict()->blank);

        Artisan::call('metrum:verdicts');
        self::assertGreaterThan(0.3, $old->verdict()->sole()->probability);
        self::assertSame(0.0, $new->verdict()->sole()->probability, 'was of this edition');

        Artisan::call('metrum:verdicts', ['--all' => true]);
        self::assertGreaterThan(0.3, $new->verdict()->sole()->probability);
    }

    public function test_a_closed_visit_refuses_what_arrives_late_and_keeps_what_it_had(): void
    {
        $visit = $this->starved();
        $facts = FactRecord::query()->count();
        $id = (string) Str::ulid();
        $this->post("/visits/{$visit->id}/close");
        foreach ([1, 2] as $try) {
            $this->enter($visit, 'reading', 'box_temperature_c', '9', ['id' => $id])
                ->assertForbidden()
                ->assertSee('Reopen it to add entries');
        }
        self::assertSame($facts, FactRecord::query()->count());

        $this->actingAs($this->colleague(User::LEAD))->post("/visits/{$visit->id}/reopen");
        $this->enter($visit, 'reading', 'box_temperature_c', '9', ['id' => $id])->assertOk();
        self::assertSame($facts + 1, FactRecord::query()->count());
    }

    public function test_an_id_that_another_visit_used_loses_no_entry(): void
    {
        $one = $this->visit();
        $other = $this->visit();
        $id = (string) Str::ulid();
        $this->enter($one, 'reading', 'box_temperature_c', '4', ['id' => $id])->assertOk();
        $this->enter($other, 'reading', 'box_temperature_c', '4', ['id' => $id])->assertOk();

        self::assertSame(2, FactRecord::query()->count());
        self::assertArrayHasKey('box_temperature_c', $other->findings()->readings);
        self::assertArrayHasKey('box_temperature_c', $one->findings()->readings);
    }

    public function test_the_policy_lets_everybody_read_and_its_technician_enter_while_it_is_open(): void
    {
        $policy = new VisitPolicy();
        $visit = $this->visit();
        self::assertTrue($policy->view($this->technician, $visit));
        self::assertTrue($policy->enter($this->technician, $visit)->allowed());
        $visit->update(['closed_at' => now()]);
        self::assertTrue($policy->view($this->technician, $visit));
        self::assertFalse($policy->enter($this->technician, $visit)->allowed());
        self::assertSame(
            'This visit was closed at '.now()->format('H:i, j M').'. Reopen it to add entries.',
            $policy->enter($this->technician, $visit)->message(),
        );
    }

    /** @return list<string> all numbers with a unit on a page */
    private static function numbers(string $html): array
    {
        preg_match_all('/[−\d.]+ (?:K|°C|bar|%)/u', strip_tags($html), $found);
        self::assertGreaterThan(10, count($found[0]));

        return $found[0];
    }
}
