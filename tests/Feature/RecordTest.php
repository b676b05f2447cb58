<?php

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\Fold;
use App\Models\FollowUp;
use App\Models\Visit;
use App\Records\FigureRecord;
use App\Records\LedgerImport;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Testing\TestResponse;
use Metrum\Work\Record\HistoryFigure;
use Tests\Core\Visits;
use Tests\TestCase;

/** What outlives a visit: what is open first, as left, figures over the years, what changed, and the search. */
final class RecordTest extends TestCase
{
    /** A cooler with its unit indoors: nothing holds its head. */
    private const SYSTEM = [
        'kind' => 'walk_in_cooler',
        'refrigerant' => 'R-448A',
        'metering' => 'txv',
        'condenser' => 'air_indoor',
        'head_pressure_control' => 'none',
        'receiver' => true,
    ];

    private const DESIGN = [
        'box_set_point_c' => 2,
        'evaporator_td_k' => 8.5,
        'condenser_split_k' => 12,
        'superheat_k' => 5.5,
        'subcooling_k' => 3,
    ];

    private Circuit $other;

    protected function setUp(): void
    {
        parent::setUp();
        $this->other = Circuit::establish($this->circuit->site, 'Kitchen cooler', self::SYSTEM, self::DESIGN);
    }

    public function test_the_page_of_a_circuit_begins_with_what_is_open(): void
    {
        $visit = $this->visit();
        $this->enter($visit, 'touched', 'cap_off', 'yes')->assertOk();
        $this->enter($visit, 'restored', 'cap_off', 'yes', ['reason' => 'no seal here'])->assertOk();
        $this->promise($visit, 'Bring the fan motor', -3);
        $this->promise($visit, 'Look at the gasket', 40);
        $this->circuit->keepWeakPoint('Stem at the suction port seeps');
        $page = $this->page($this->circuit);
        $page->assertSeeInOrder([
            'Still open',
            'Visit not closed',
            'Bring the fan motor',
            'overdue since',
            'Cap off left as is because no seal here',
            'Look at the gasket',
            'Stem at the suction port seeps',
            'weak point',
            'As left',
            'Continue visit',
        ]);
        $this->actingAs($this->technician)->post("/visits/{$visit->id}/close");
        $this->page($this->circuit)->assertDontSee('Visit not closed')->assertSee('Start visit');
    }

    public function test_a_closed_visit_keeps_how_far_its_figures_were_from_the_twin(): void
    {
        $visit = $this->closed(0, 14.0);
        $kept = FigureRecord::of($this->other->fresh());
        self::assertSame(0, $kept->missing);
        $split = $kept->visits[0]->departures->points[0]->departures[HistoryFigure::Split->value];
        self::assertEqualsWithDelta(14.0, $split->value, 0.3);
        self::assertGreaterThan(0.0, $split->distance());
        Fold::query()->whereKey($visit->id)->update(['departures' => null]);
        self::assertSame(1, FigureRecord::of($this->other)->missing);
        $this->page($this->other)->assertSee('Recalculate');
        $this->actingAs($this->technician)->post("/circuits/{$this->other->id}/again");
        self::assertSame(0, FigureRecord::of($this->other)->missing);
    }

    public function test_an_open_visit_is_no_dot_and_a_reopened_one_is_none_any_more(): void
    {
        $visit = $this->closed(0, 12.0);
        self::assertCount(1, FigureRecord::of($this->other)->visits);
        $this->actingAs($this->colleague('lead'))->post("/visits/{$visit->id}/reopen");
        self::assertCount(0, FigureRecord::of($this->other)->visits);
    }

    public function test_a_drift_is_told_with_its_month_and_found_by_its_state(): void
    {
        foreach (range(0, 8) as $place) {
            $this->closed($place * 45 - 400, 12.0 + 0.7 * $place);
        }
        $page = $this->page($this->other);
        $page->assertSee('Condenser split drifts +0.', false)
            ->assertSee('K per month.')
            ->assertSee('the limit (+5.0 K)');
        $this->search('', 'drifting')->assertSee('Kitchen cooler')->assertSee('Condenser split drifts')
            ->assertDontSee('Cold room 2');
        $csv = $this->actingAs($this->technician)->get("/circuits/{$this->other->id}/figures.csv")->assertOk();
        $lines = explode("\n", trim((string) $csv->getContent()));
        self::assertSame('visit,at,figure,unit,value,expected,deviation,distance,ambient_c', $lines[0]);
        $split = array_values(array_filter($lines, static fn (string $one): bool => str_contains($one, ',split,k,')));
        self::assertCount(9, $split);
        [, , , , $value, $expected, , , $ambient] = explode(',', $split[8]);
        self::assertEqualsWithDelta(17.6, (float) $value, 0.3);
        self::assertLessThan(17.0, (float) $expected);
        self::assertSame('24', $ambient);
    }

    public function test_two_visits_are_laid_side_by_side(): void
    {
        $this->actingAs($this->technician)->get("/circuits/{$this->other->id}/compare")
            ->assertOk()->assertSee('Two different visits are needed');
        $first = $this->closed(-90, 12.0);
        $second = $this->closed(-30, 15.0, wash: true);
        $third = $this->closed(-10, 12.5);
        $other = $this->other->fresh()->load('site', 'plant');
        $other->describe(self::SYSTEM, ['condenser_split_k' => 14] + self::DESIGN);
        $fourth = $this->closed(-5, 12.5);
        $compare = fn (Visit $from, Visit $to) => $this->actingAs($this->technician)
            ->get("/circuits/{$this->other->id}/compare?from={$from->id}&to={$to->id}")->assertOk();
        $compare($first, $second)->assertSeeInOrder(['Condenser washed', 'Description unchanged', 'Condenser split'])
            ->assertSee('+3.');
        $compare($second, $third)->assertSee('Nothing was adjusted or repaired.');
        $compare($third, $fourth)->assertSeeInOrder(['Condenser split', '12.0 K', '14.0 K', 'Figures and readings']);
        $compare($third, $first)->assertSeeInOrder([
            'Figures and readings',
            $first->opened_at->format('j M Y'),
            $third->opened_at->format('j M Y'),
        ]);
        $this->actingAs($this->technician)
            ->get("/circuits/{$this->other->id}/compare?from=nonsense&to=".str_repeat('x', 30))->assertOk();
    }

    public function test_the_record_is_searched_by_words_in_notes_follow_ups_and_names(): void
    {
        $visit = $this->visit();
        $this->enter($visit, 'note', 'note', 'gasket cracked at the hinge, Tür')->assertOk();
        $this->enter($visit, 'note', 'note', 'gasket looked at by mistake')->assertOk();
        $entry = $visit->log()->facts[1]->id;
        $undo = "/visits/{$visit->id}/entries/$entry/undo";
        $this->actingAs($this->technician)->post($undo, ['stage' => 'leave'], self::OUTBOX)->assertOk();
        $this->promise($visit, 'Order the gasket', 5);
        $this->search('gasket')
            ->assertSee('gasket cracked at the hinge')
            ->assertDontSee('by mistake')
            ->assertSee('Order the gasket');
        $this->search('gasket brygga')->assertSee('gasket cracked');
        $this->search('gasket elsewhere')->assertDontSee('gasket cracked')->assertDontSee('Order the gasket');
        $this->search('tür')->assertSee('gasket cracked');
        $this->search('%')->assertOk();
        $this->search(str_repeat('x', 300))->assertRedirect();
        $this->search('', 'nonsense')->assertRedirect();
    }

    public function test_states_narrow_the_lists(): void
    {
        $visit = $this->visit();
        $this->promise($visit, 'Late one', -2);
        $this->promise($visit, 'Later one', 9);
        $this->search('', 'overdue')->assertSee('Late one')->assertDontSee('Later one')->assertSee('Cold room 2')
            ->assertDontSee('Kitchen cooler');
        $this->search('', 'open')->assertSee('Later one');
        $this->search('', 'losing')->assertDontSee('Cold room 2');
    }

    public function test_a_system_that_loses_more_than_the_rule_allows_says_so_and_is_found(): void
    {
        $this->circuit->load('site', 'plant')->describe(Visits::COOLER['system'], ['nameplate_charge_kg' => 5.0]);
        $rows = [];
        foreach ([[400, 'commissioning', 5.0], [90, 'leak', 0.9], [20, 'leak', 0.8]] as $i => [$days, $purpose, $kg]) {
            $rows[$i + 1] = [
                'circuit_id' => $this->circuit->id,
                'at' => Carbon::now()->subDays($days)->toIso8601String(),
                'kilograms' => $kg,
                'purpose' => $purpose,
            ];
        }
        (new LedgerImport($this->technician))->take($rows);
        $page = (string) $this->page($this->circuit)->getContent();
        self::assertMatchesRegularExpression('/Refrigerant lost in 12 months: 1\.70.kg, 34.% of the charge/u', $page);
        $this->search('', 'losing')->assertSee('Cold room 2')->assertDontSee('Kitchen cooler');
        $this->page($this->other)->assertDontSee('Refrigerant lost');
    }

    public function test_each_list_is_a_table_for_spreadsheets(): void
    {
        $visit = $this->visit();
        $this->promise($visit, '=HYPERLINK("x")', 3);
        foreach (['circuits', 'sites', 'follow-ups', 'notes', 'cylinders'] as $list) {
            $csv = $this->actingAs($this->technician)->get("/search/$list.csv")->assertOk();
            self::assertStringContainsString('address', strtok((string) $csv->getContent(), "\n") ?: '');
        }
        $this->actingAs($this->technician)->get('/search/follow-ups.csv')->assertSee("'=HYPERLINK", false);
        $this->actingAs($this->technician)->get('/search/people.csv')->assertNotFound();
        $this->actingAs($this->technician)->get('/search/circuits.csv?q=kitchen')
            ->assertSee('Kitchen cooler')->assertDontSee('Cold room 2');
    }

    private function promise(Visit $visit, string $what, int $days): void
    {
        FollowUp::note($visit, $this->technician, Carbon::today()->addDays($days), $what, null);
    }

    /** @return TestResponse<Response> */
    private function page(Circuit $circuit): TestResponse
    {
        return $this->actingAs($this->technician)->get("/circuits/{$circuit->id}")->assertOk();
    }

    /** @return TestResponse<Response> */
    private function search(string $typed, string $state = ''): TestResponse
    {
        return $this->actingAs($this->technician)->get('/search?'.http_build_query(['q' => $typed, 'state' => $state]));
    }

    /** A visit so many days from now, at which the split was so many kelvins. */
    private function closed(int $days, float $split, bool $wash = false): Visit
    {
        $this->travelTo(Carbon::now()->startOfDay()->addHours(9)->addDays($days));
        $visit = Visit::open($this->other->fresh()->load('site', 'plant'), $this->technician, now());
        $this->enter($visit, 'state', 'state', 'running_settled');
        $head = $this->other->known()->fluid()->bubblePressure(273.15 + 24.0 + $split - 2.5) - 1013.25e2;
        $this->read($visit, [
            'ambient_temperature_c' => '24',
            'box_temperature_c' => '2.2',
            'discharge_pressure_kpa' => sprintf('%.1f kPa', $head / 1e3),
            'suction_pressure_kpa' => '330 kPa',
        ]);
        if ($wash) {
            $this->enter($visit, 'move', 'condenser_washed', 'yes', ['overruled' => 'test'])->assertOk();
        }
        $this->actingAs($this->technician)->post("/visits/{$visit->id}/close");
        $visit->refresh();
        $this->travelBack();

        return $visit;
    }
}
