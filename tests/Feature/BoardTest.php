<?php

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\FactRecord;
use App\Models\FollowUp;
use App\Models\Site;
use App\Models\User;
use App\Models\Visit;
use App\Records\Judge;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Diagnosis\Suspect;
use Metrum\Diagnosis\Verdict;
use Metrum\Exchange\VisitAnswer;
use Metrum\Exchange\VisitReader;
use Metrum\Installation\Installation;
use Metrum\Installation\InstallationReader;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Twin\Twins;
use Tests\Core\Racks;
use Tests\TestCase;

/** The board of a rack: one visit to the plant, every circuit of it walked in the same visit. */
final class BoardTest extends TestCase
{
    private Visit $visit;

    /** @var array<string, Circuit> by part */
    private array $circuits;

    protected function setUp(): void
    {
        parent::setUp();
        $site = Site::query()->create(['name' => 'Lunden grocery', 'place' => 'Market 2', 'altitude_m' => 0]);
        $story = self::story();
        $this->circuits = Circuit::establishAll($site, self::plant(), $story['name'], $story['names']);
        $this->circuits['circuit 1']->plant->update(['name' => $story['name']]);
        $this->visit = Visit::open($this->circuits['circuit 1']->fresh('site', 'plant'), $this->technician, now());
    }

    public function test_a_visit_opened_at_any_circuit_is_one_to_the_plant_and_begins_on_its_board(): void
    {
        $before = Visit::query()->count();
        $answer = $this->actingAs($this->technician)->post("/circuits/{$this->circuits['circuit 6']->id}/visits");

        $answer->assertRedirect("/visits/{$this->visit->id}/board");
        self::assertSame($before, Visit::query()->count(), 'it goes on with the open one');
        $this->get("/visits/{$this->visit->id}/board")
            ->assertOk()
            ->assertSee('No case temperature entered yet')
            ->assertSee('Start with the suction header');
    }

    public function test_a_site_lists_a_rack_once_with_one_visit_for_all_of_it(): void
    {
        $site = $this->circuits['circuit 1']->site;
        $page = $this->actingAs($this->technician)->get("/sites/{$site->id}")->assertOk();

        $page->assertSeeInOrder(['Medium rack', 'R-448A · 8 circuits', 'Dairy cases', 'Walk-in cooler']);
        $page->assertSee('No other circuits.');
        self::assertSame(1, substr_count((string) $page->getContent(), 'Start visit'));
    }

    /** One judge: what is short in all circuits is what is wrong at each, and nobody weighs it anew there. */
    public function test_a_circuit_page_says_what_the_board_says(): void
    {
        $this->shared();
        $this->actingAs($this->technician)
            ->get("/visits/{$this->visit->id}~3/verdict")
            ->assertSee('Judged together with the whole rack.');
        $this->tell('reading', 'receiver_level_percent', '0 %');
        $this->tell('observation', 'sight_glass', 'bubbles');
        $rack = app(Judge::class)->rack($this->visit);
        self::assertSame(Fault::Undercharge, RackVerdict::leading($rack->plantRanking()));
        $walked = $this->walked(3);
        self::assertSame(Fault::Undercharge, $walked->first()->fault);
        self::assertEqualsWithDelta(
            $rack->plantRanking()['undercharge'] * $rack->circuitRanking(PartId::circuit(3))['no_fault'],
            $walked->first()->probability,
            0.005,
        );
        $this->get("/visits/{$this->visit->id}~3/verdict")->assertSee('This concerns the whole rack.');
    }

    /** A fault of its own is as likely on its page as in its row, whatever stands at the other circuits. */
    public function test_a_fault_of_one_circuit_has_one_probability(): void
    {
        $this->shared();
        $this->tell('reading', 'box_temperature_c', '9.5', 'circuit 4');
        $this->tell('observation', 'evaporator_fans', 'some_stopped', 'circuit 4');
        $own = app(Judge::class)->rack($this->visit)->circuitRanking(PartId::circuit(4));
        $fault = RackVerdict::leading($own);
        self::assertNotSame(Fault::NoFault, $fault);
        $walked = $this->walked(4);
        self::assertSame($fault, $walked->first()->fault);
        self::assertEqualsWithDelta($own[$fault->value], $walked->first()->probability, 0.005);
        self::assertNotSame($fault, $this->walked(3)->first()->fault, 'and is none of another');
    }

    public function test_what_is_confirmed_at_a_circuit_stands_on_the_board(): void
    {
        $this->shared();
        $this->tell('reading', 'box_temperature_c', '9.5', 'circuit 4');
        $this->tell('confirmed', 'valve_underfeeding', 'yes', 'circuit 4');
        $this->get("/visits/{$this->visit->id}/board")->assertSee('underfeeding, confirmed', false);
        $this->tell('confirmed', 'undercharge', 'yes', 'circuit 4');
        self::assertSame('plant', FactRecord::query()->where('key', 'undercharge')->value('part'));
        $this->get("/visits/{$this->visit->id}/board")->assertSee('Confirmed on site');
    }

    public function test_what_is_ruled_out_is_no_suspect_on_either_page(): void
    {
        $this->shared();
        $this->tell('reading', 'receiver_level_percent', '0 %');
        $this->tell('ruled_out', 'undercharge', 'yes', 'circuit 2');
        self::assertSame(0.0, app(Judge::class)->rack($this->visit)->plantRanking()['undercharge']);
        $faults = array_map(static fn (Suspect $one): Fault => $one->fault, $this->walked(3)->suspects);
        self::assertNotContains(Fault::Undercharge, $faults);
    }

    /** Of a valve that was turned at one circuit the level, the header and the head are what was before. */
    public function test_a_move_makes_what_it_changes_what_was_before(): void
    {
        $this->shared();
        $this->tell('reading', 'receiver_level_percent', '41 %');
        $this->tell('reading', 'box_temperature_c', '3.2', 'circuit 1/coil 1');
        $this->tell('move', 'door_mended', 'done', 'circuit 4')->assertOk();
        $board = $this->get("/visits/{$this->visit->id}/board");
        $board->assertSee('was 41')->assertSee('3.2', false);
        $this->tell('move', 'condenser_washed', 'done', 'circuit 4');
        self::assertSame('plant', FactRecord::query()->where('key', 'condenser_washed')->value('part'));
        $this->get("/visits/{$this->visit->id}/board")->assertSee('was 3.2');
        self::assertCount(2, $this->walkedVisit(3)->chapters()->all, 'the plant was moved');
        self::assertCount(3, $this->walkedVisit(4)->chapters()->all, 'it was moved itself besides');
    }

    public function test_a_report_of_a_rack_is_titled_with_it(): void
    {
        $this->shared();
        $this->actingAs($this->technician);
        $this->get("/visits/{$this->visit->id}/report")
            ->assertSee('Lunden grocery: Medium rack, Dairy cases')
            ->assertSee('What was wrong: Dairy cases');
    }

    public function test_a_plain_unit_has_no_board(): void
    {
        $plain = $this->visit();
        $this->actingAs($this->technician)->get("/visits/{$plain->id}/board")->assertNotFound();
        $this->get("/visits/{$plain->id}/gauges")->assertOk()->assertDontSee('Rack board');
    }

    public function test_what_is_read_at_one_circuit_but_shared_is_known_to_all(): void
    {
        $this->tell('reading', 'receiver_level_percent', '41 %', 'circuit 3');
        $this->tell('reading', 'box_temperature_c', '7.4', 'circuit 1/coil 3');

        self::assertSame('plant', FactRecord::query()->where('key', 'receiver_level_percent')->value('part'));
        $this->get("/visits/{$this->visit->id}/board")
            ->assertSee('41 %')
            ->assertSee('Dairy cases is out of range');
        $elsewhere = $this->get("/visits/{$this->visit->id}~3/gauges")->assertOk();
        $elsewhere->assertSee('41 %');
        $elsewhere->assertDontSee('7.4 °C');
    }

    public function test_each_entry_of_the_board_says_of_which_part_it_is(): void
    {
        $page = (string) $this->actingAs($this->technician)->get("/visits/{$this->visit->id}/board")->getContent();
        $parts = [];
        preg_match_all('~<form (?:(?!</form>).)*?</form>~', $page, $forms);
        foreach ($forms[0] as $form) {
            if (preg_match('~name="key" value="(\w+)".*name="part" value="([^"]*)"~', $form, $found) === 1) {
                $parts[] = $found[1].' of '.$found[2];
            }
        }

        self::assertContains('shut of circuit 5', $parts);
        self::assertContains('state of circuit 8', $parts);
        self::assertContains('box_temperature_c of circuit 1/coil 3', $parts);
        self::assertContains('box_temperature_c of circuit 8', $parts);
        self::assertContains('receiver_level_percent of plant', $parts);
        self::assertSame($parts, array_unique($parts), 'no two ask the same');
        self::assertGreaterThan(40, count($parts));
    }

    public function test_a_broken_entry_keeps_what_was_typed_and_says_what_is_possible(): void
    {
        $this->tell('reading', 'receiver_level_percent', '410 %', 'plant', 422)
            ->assertSee('Receiver level: you entered 410')
            ->assertSee('Enter 0 to 100');
        self::assertSame(0, FactRecord::query()->where('key', 'receiver_level_percent')->count());
        $this->tell('reading', 'box_temperature_c', '3', 'circuit 99/coil 1', 422)
            ->assertSee('Enter circuit 1 to circuit 8');
    }

    public function test_three_dairy_cases_on_one_regulator_name_the_one_that_holds_it_open(): void
    {
        foreach (['3.1', '3.4', '8.2'] as $place => $air) {
            $this->tell('reading', 'box_temperature_c', $air, 'circuit 1/coil '.($place + 1));
        }

        $this->get("/visits/{$this->visit->id}/board")
            ->assertSee('Dairy 3 keeps the EPR of Dairy cases open')
            ->assertSee('do not confirm that the EPR works');
    }

    /** Closed one after another, level after each: what comes back names the circuit. */
    public function test_isolation_names_the_circuit_that_was_filling(): void
    {
        $this->shared();
        $this->tell('reading', 'receiver_level_percent', '12 %');
        $this->get("/visits/{$this->visit->id}/board")->assertSee('Never trap liquid between two closed valves');
        $this->tell('observation', 'shut', 'by_us', 'circuit 4');
        $board = "/visits/{$this->visit->id}/board";
        $this->get($board)->assertSee('Wait until the level stays');
        $this->tell('reading', 'receiver_level_percent', '15 %');
        $this->tell('observation', 'shut', 'by_us', 'circuit 5');
        $this->tell('reading', 'receiver_level_percent', '44 %');

        $page = $this->get($board);
        $page->assertSeeInOrder(['closed', '12 % → 15 %', 'nothing had collected here']);
        $page->assertSeeInOrder(['closed', '15 % → 44 %', 'was holding refrigerant']);
        $page->assertSee('(by us)');
        $four = $this->circuits['circuit 4']->name;
        $page->assertSeeInOrder(["Reopen $four", 'by ', 'at most 30 min for this test'])->assertDontSee('overdue');
        $this->travel(31)->minutes();
        $this->get($board)->assertSeeInOrder(["Reopen $four", '● overdue since ']);

        $this->tell('observation', 'shut', 'no', 'circuit 5');
        $this->get($board)->assertSee('opened again')->assertDontSee('Reopen '.$this->circuits['circuit 5']->name);
        $this->get("/visits/{$this->visit->id}/report")->assertSee($this->circuits['circuit 4']->name.' (by us)');
    }

    public function test_added_without_an_answer_is_said_only_where_the_level_did_not_follow(): void
    {
        $this->shared();
        $this->tell('reading', 'receiver_level_percent', '8 %');
        $this->tell('reading', 'added_kg', '14 kg');
        $board = "/visits/{$this->visit->id}/board";
        $this->get($board)->assertDontSee('was added');
        $this->tell('reading', 'receiver_level_percent', '11 %');
        $this->get($board)->assertSee('14.00 kg was added, the level answered for 1.2');
        $this->tell('reading', 'receiver_level_percent', '40 %');
        $this->get($board)->assertDontSee('was added');
    }

    public function test_refrigerant_is_booked_to_the_plant_and_held_back_until_the_level_says_so(): void
    {
        $this->shared();
        $board = "/visits/{$this->visit->id}/board";
        $this->actingAs($this->technician)->get($board)->assertSee('only the level shows the charge of a rack');
        $this->get("/visits/{$this->visit->id}~3/put_right?card=charge")
            ->assertSee('no kilograms from one circuit')
            ->assertDontSee('Save and start timer');
        $this->tell('reading', 'receiver_level_percent', '0 %');
        $this->get($board)->assertSee('Short by at least')->assertSee('Before adding: ');
        $this->tell('move', 'charge', '8 kg', status: 422)->assertSee('two signs of low charge');
        self::assertSame(0, FactRecord::query()->where('key', 'charge')->count());
        $this->charged('8 kg')->assertSee('added 8.00 kg');
        self::assertSame('plant', FactRecord::query()->where('key', 'charge')->value('part'));
        $this->get($board)
            ->assertSee('left</span>', false)
            ->assertSee('Return by '.now()->addDays(14)->format('j M'))
            ->assertSee('was 0');
    }

    /** A level that falls under the outlet on the coldest day is never called covered. */
    public function test_the_coldest_day_is_covered_only_where_it_is(): void
    {
        $this->shared();
        $this->tell('reading', 'receiver_level_percent', '12 %');
        $this->actingAs($this->technician)
            ->get("/visits/{$this->visit->id}/board")
            ->assertSee('once the missing charge is in: outlet stays covered then')
            ->assertDontSee('with what is in: outlet stays covered');
        $this->tell('reading', 'receiver_level_percent', '56 %');
        $this->get("/visits/{$this->visit->id}/board")->assertSee('with what is in: outlet stays covered');
    }

    /** A head far below the expected one is never a reason to call a rack sound. */
    public function test_what_is_odd_speaks_for_no_soundness(): void
    {
        $this->shared();
        foreach (
            [
                'discharge_pressure_kpa' => '1050 kPa',
                'ambient_temperature_c' => '12',
                'compressors_running' => '1',
                'receiver_level_percent' => '70 %',
            ] as $key => $typed
        ) {
            $this->tell('reading', $key, $typed);
        }
        $this->tell('observation', 'sight_glass', 'clear');
        self::assertSame(
            Fault::NoFault,
            RackVerdict::leading(app(Judge::class)->rack($this->visit)->plantRanking()),
        );
        $this->actingAs($this->technician)
            ->get("/visits/{$this->visit->id}/board")
            ->assertSee('Shared system: no fault')
            ->assertDontSee('head lower than expected')
            ->assertDontSee('<small>for</small> Condenser split', false);
    }

    /** The one that stands is what proves it: it is asked for, can be said, and settles the matter. */
    public function test_a_compressor_that_tripped_is_asked_for_and_named(): void
    {
        $this->shared();
        $this->tell('reading', 'suction_header_kpa', '345 kPa');
        $this->tell('reading', 'compressors_running', '3');
        $this->tell('reading', 'receiver_level_percent', '58 %');
        foreach (['circuit 1/coil 1' => '6.4', 'circuit 4' => '5.4', 'circuit 5' => '7'] as $part => $air) {
            $this->tell('reading', 'box_temperature_c', $air, $part);
        }
        $board = "/visits/{$this->visit->id}/board";
        $out = fn (): float => app(Judge::class)->rack($this->visit)->plantRanking()['compressor_out'];
        $before = $out();
        $this->actingAs($this->technician)->get($board)->assertSee('Next check: C1, compressor');
        foreach (['1', '2'] as $number) {
            $this->tell('observation', 'compressor', 'running', "compressor $number");
        }
        $this->get($board)->assertSee('Next check: C3, compressor');
        $this->tell('observation', 'compressor', 'off_on_overload', 'compressor 3');
        self::assertGreaterThan(max(0.9, $before), $out());
        $this->get($board)
            ->assertSee('C3 off on overload')
            ->assertSee('Off on overload: find out why before you reset it, once.')
            ->assertDontSee('Next check: C4, compressor');
    }

    /** A rack has compressors off that nothing calls; no circuit has, and no rack one that it does not list. */
    public function test_a_compressor_may_be_off_because_nothing_calls_it(): void
    {
        $this->shared();
        $this->actingAs($this->technician);
        $this->tell('observation', 'compressor', 'off_not_called', 'compressor 2');
        $this->get("/visits/{$this->visit->id}/board")->assertSee('C2 off, not called');
        $this->tell('observation', 'compressor', 'off_not_called', 'circuit 2', 422);
        $this->tell('observation', 'compressor', 'running', 'compressor 9', 422)->assertSee('compressor 9');
        $walked = $this->walkedVisit(3)->findings();
        self::assertNull($walked->observed(Observation::Compressor), 'one of four says nothing of a circuit');
        $file = (string) $this->get("/visits/{$this->visit->id}/file.json")->getContent();
        self::assertStringContainsString('off_not_called', $file);
        self::assertCount(7, VisitReader::visit($file)->told?->everything()->facts ?? []);
    }

    /** What compressors cannot hold says nothing of what they are set to. */
    public function test_a_set_point_is_judged_only_where_it_is_held(): void
    {
        $this->shared();
        $this->tell('reading', 'box_temperature_c', '0.2', 'circuit 4');
        $this->actingAs($this->technician)
            ->get("/visits/{$this->visit->id}/board")
            ->assertSee('Meat wall needs');
        $this->tell('reading', 'suction_header_kpa', '345 kPa');
        $this->get("/visits/{$this->visit->id}/board")
            ->assertSee('above its set point (dew): restore that before the set point is judged')
            ->assertDontSee('Meat wall needs');
    }

    /** The compressors' pressure is not the coil's where a regulator stands between them. */
    public function test_a_report_finds_no_coil_off_target_by_the_header(): void
    {
        $this->shared();
        $this->tell('reading', 'box_temperature_c', '2.9', 'circuit 1/coil 1');
        $this->actingAs($this->technician)
            ->get("/visits/{$this->visit->id}/report")
            ->assertOk()
            ->assertDontSee('TD off target');
        $this->tell('reading', 'evaporator_pressure_kpa', '284 kPa', 'circuit 1');
        $this->get("/visits/{$this->visit->id}/report")->assertSee('TD off target');
    }

    /** Until something is read again the verdict stands as it was, and says so. */
    public function test_a_verdict_stands_until_something_is_read_after_a_change(): void
    {
        $this->shared();
        $this->tell('observation', 'sight_glass', 'bubbles');
        $this->tell('reading', 'receiver_level_percent', '0 %');
        $before = app(Judge::class)->rack($this->visit)->plantRanking();
        $board = "/visits/{$this->visit->id}/board";
        $this->get($board)->assertDontSee('Before the last change');
        $this->charged('8 kg');
        self::assertSame($before, app(Judge::class)->rack($this->visit->fresh())->plantRanking());
        $this->get($board)->assertSee('Before the last change')->assertSee('Read the receiver level');
        $this->get("/visits/{$this->visit->id}/report")->assertSee('Before the last change.');
        $this->tell('reading', 'receiver_level_percent', '44 %');
        $this->get($board)->assertDontSee('Before the last change');
        self::assertLessThan(
            $before['undercharge'],
            app(Judge::class)->rack($this->visit->fresh())->plantRanking()['undercharge'],
        );
    }

    /** Somebody comes back until the level stays. */
    public function test_a_level_that_falls_again_is_come_back_for_again(): void
    {
        $this->shared();
        $this->tell('reading', 'receiver_level_percent', '0 %');
        $this->charged('8 kg');
        $this->charged('6 kg');
        $first = FollowUp::query()->where('what', 'like', 'Read the receiver%')->sole();
        self::assertSame('Read the receiver level again: 14.00 kg added', $first->what);
        $this->visit->update(['closed_at' => now()]);
        $this->travel(10)->days();
        $this->visit = Visit::open($this->circuits['circuit 1']->fresh('site', 'plant'), $this->technician, now());
        $this->shared();
        $this->tell('reading', 'receiver_level_percent', '3 %');
        self::assertNotNull($first->fresh()->done_at);
        $again = FollowUp::query()->where('what', 'like', '%fallen since%')->whereNull('done_at')->sole();
        self::assertSame(now()->addDays(14)->format('Y-m-d'), $again->due_on->format('Y-m-d'));
        $this->visit->update(['closed_at' => now()]);
        $this->travel(10)->days();
        $this->visit = Visit::open($this->circuits['circuit 1']->fresh('site', 'plant'), $this->technician, now());
        $this->shared();
        $this->tell('reading', 'receiver_level_percent', '55 %');
        self::assertNotNull($again->fresh()->done_at, 'it stays');
        self::assertSame(2, FollowUp::query()->where('what', 'like', 'Read the receiver%')->count());
    }

    public function test_the_quick_line_of_the_board_knows_circuits_by_their_names(): void
    {
        $this->line('level 41 %, deli counter: box 4.4', 422);
        self::assertSame(0, FactRecord::query()->count(), 'all of a line or nothing');
        $this->line('level 41 %, glass bubbles, smells of oil')->assertOk();
        $this->line('Deli counter: box 4.4, supply air 1')->assertOk();
        self::assertSame('plant', FactRecord::query()->where('key', 'receiver_level_percent')->value('part'));
        self::assertSame('circuit 3', FactRecord::query()->where('key', 'box_temperature_c')->value('part'));
        $this->line('c3: discharge line 96')->assertOk();
        self::assertSame('compressor 3', FactRecord::query()->where('key', 'like', 'discharge_t%')->value('part'));
        self::assertNull($this->walkedVisit(3)->findings()->reading(Reading::DischargeTemperature), 'one of four');
        $this->line('box 4.4', 422)->assertSee('Of which circuit is');
        $this->get("/visits/{$this->visit->id}/board")->assertSee('Deli counter: ')->assertSee('Undo');
    }

    public function test_what_stands_closed_at_one_circuit_holds_the_whole_visit_open(): void
    {
        $this->tell('observation', 'shut', 'by_us', 'circuit 4');
        $this->get("/visits/{$this->visit->id}/board")->assertSee('Meat wall: valve closed');
        $this->get("/visits/{$this->visit->id}~2/leave")->assertSee('Meat wall: Valve closed');
        $this->post("/visits/{$this->visit->id}/close")->assertSessionHasErrors();
        $this->tell('restored', 'valve_shut', 'yes', 'circuit 4');
        self::assertFalse($this->visit->fresh()->rack()->isShut($this->visit->rack()->plant->branches[3]));
        $this->post("/visits/{$this->visit->id}/close")->assertSessionHasNoErrors();
    }

    public function test_a_circuit_is_walked_in_the_same_visit_and_comes_back_to_the_board(): void
    {
        $this->shared();
        $address = "/visits/{$this->visit->id}~6";
        $this->actingAs($this->technician)->get("$address/box")->assertOk()->assertSee('Rack board');
        $this->post("$address/entries", [
            'id' => (string) Str::ulid(),
            'kind' => 'observation',
            'key' => Observation::EvaporatorFans->value,
            'value' => Word::SomeStopped->value,
            'stage' => 'box',
        ])->assertRedirect();
        self::assertSame('circuit 6', FactRecord::query()->where('key', 'evaporator_fans')->value('part'));
        $this->get("/visits/{$this->visit->id}~99/box")->assertNotFound();
        $this->get("/visits/{$this->visit->id}/report")
            ->assertOk()
            ->assertSee('Medium rack')
            ->assertSee($this->circuits['circuit 6']->name);
    }

    public function test_the_file_of_a_whole_rack_becomes_a_plant_with_its_visit_once(): void
    {
        $file = Racks::file(
            ['receiver_level_percent' => 22],
            ['sight_glass' => 'bubbles'],
            ['Deli' => ['complaint' => ['too_warm']]],
            ['Dairy 2' => ['readings' => ['box_temperature_c' => 8.4]]],
        ) + ['id' => 'rack of a file', 'taken_at' => '2026-11-20T08:00:00Z'];
        $import = fn (string $circuit = ''): TestResponse => $this->actingAs($this->technician)->post('/import', [
            'circuit_id' => $circuit,
            'file' => UploadedFile::fake()->createWithContent('rack.json', json_encode($file)),
        ]);
        $board = $import()->assertSessionHas('said')->headers->get('Location');
        $this->get((string) $board)->assertOk()->assertSee('Dairy is out of range')->assertSee('22');
        $visits = Visit::query()->count();
        $import()->assertRedirect($board);
        self::assertSame($visits, Visit::query()->count(), 'once, however often it comes');
        $import($this->circuits['circuit 1']->id)->assertSessionHas('refused');
        $found = Visit::query()->latest('id')->firstOrFail()->rack();
        self::assertSame(Word::Bubbles, $found->shared->observed(Observation::SightGlass));
        self::assertCount(1, $found->of(PartId::circuit(2))->complaints);
    }

    /** Out of one logbook and into another: the plant, its names, what was read at each part, and what it comes to. */
    public function test_the_file_of_a_rack_visit_carries_the_whole_rack(): void
    {
        $this->shared();
        $this->tell('reading', 'receiver_level_percent', '12 %');
        $this->tell('observation', 'sight_glass', 'bubbles');
        $this->tell('reading', 'box_temperature_c', '9.5', 'circuit 4');
        $this->tell('observation', 'evaporator_fans', 'some_stopped', 'circuit 4');
        $this->tell('reading', 'box_temperature_c', '6.5', 'circuit 1/coil 2');
        $judged = app(Judge::class)->rack($this->visit);
        $file = (string) $this->get("/visits/{$this->visit->id}/file.json")->assertOk()->getContent();
        $file = str_replace($this->visit->id, $elsewhere = strtolower((string) Str::ulid()), $file);

        $board = $this->post('/import', ['file' => UploadedFile::fake()->createWithContent('rack.json', $file)])
            ->assertSessionHas('said')
            ->headers->get('Location');
        $this->get((string) $board)
            ->assertOk()
            ->assertSee($this->circuits['circuit 4']->name)
            ->assertSee('Dairy 2')
            ->assertSee('12');
        $again = app(Judge::class)->rack(Visit::query()->findOrFail($elsewhere));
        self::assertEqualsWithDelta($judged->plantRanking(), $again->plantRanking(), 0.005);
        $answer = (new VisitAnswer(new Twins()))->of(VisitReader::visit($file));
        $asked = array_column($answer['rack']['ranking'], 'probability', 'fault');
        self::assertEqualsWithDelta($judged->plantRanking()['undercharge'], $asked['undercharge'], 0.005);
        self::assertSame(Fault::Undercharge->value, $answer['ranking'][0]['fault'], 'at the circuit too');
        $four = PartId::circuit(4);
        self::assertEqualsWithDelta($judged->circuitRanking($four), $again->circuitRanking($four), 0.005);
    }

    public function test_a_tap_on_a_column_of_the_picture_opens_its_circuit(): void
    {
        $this->tell('reading', 'suction_header_kpa', '284 kPa');
        $address = route('visits.show', [$this->visit->id.'~3', 'box']);
        $this->get("/visits/{$this->visit->id}/board")
            ->assertSee("<a href=\"$address\" aria-label=\"Open Deli 1\">", false);
    }

    /** Each case with its own fans, air and ice; the coil pressure is of all of them. */
    public function test_cases_stand_side_by_side_and_each_is_asked_for_itself(): void
    {
        $cases = "/visits/{$this->visit->id}/cases";
        $this->actingAs($this->technician)
            ->get($cases)
            ->assertOk()
            ->assertSeeInOrder(['Dairy 1', 'Dairy 2', 'Dairy 3']);
        $this->tell('state', 'state', 'running_settled', 'circuit 1');
        $this->tell('observation', 'evaporator_fans', 'all_stopped', 'circuit 1/coil 3')
            ->assertSee('id="board-cases-circuit-1"', false);
        $this->tell('reading', 'product_temperature_c', '7.8', 'circuit 1/coil 3');
        foreach (['3.1', '3.4', '8.2'] as $place => $air) {
            $this->tell('reading', 'box_temperature_c', $air, 'circuit 1/coil '.($place + 1));
        }
        $this->get($cases)
            ->assertSee('Dairy 3 keeps the EPR open')
            ->assertSee('value="7.8"', false)
            ->assertSee('5.2 K above set');
        $found = $this->visit->fresh()->rack();
        $fans = static fn (string $case): ?Word => $found->of(PartId::of($case))
            ->observed(Observation::EvaporatorFans);
        self::assertSame(Word::AllStopped, $fans('circuit 1/coil 3'));
        self::assertNull($fans('circuit 1/coil 1'));
        self::assertSame(Fault::EvaporatorAirflowLow, $this->walked(1)->first()->fault);
        $this->get("/visits/{$this->visit->id}/board")->assertSee('Cases');
        $plain = $this->visit();
        $this->get("/visits/{$plain->id}/cases")->assertNotFound();
    }

    public function test_another_reads_the_board_and_enters_nothing(): void
    {
        $other = $this->colleague(User::TECHNICIAN);
        $this->actingAs($other)
            ->get("/visits/{$this->visit->id}/board")
            ->assertOk()
            ->assertSee('This visit belongs to Ylva.')
            ->assertDontSee('data-open');
    }

    /** @return TestResponse<Response> */
    private function charged(string $amount): TestResponse
    {
        $this->travel(2)->hours();

        return $this->enter($this->visit, 'move', 'charge', $amount, [
            'part' => 'plant',
            'stage' => 'board',
            'overruled' => 'product cannot wait',
        ])->assertOk();
    }

    /** @return TestResponse<Response> */
    private function line(string $typed, int $status = 200): TestResponse
    {
        $this->travel(1)->seconds();

        return $this->actingAs($this->technician)
            ->enter($this->visit, 'line', 'line', $typed, ['stage' => 'board', 'id' => (string) Str::ulid()])
            ->assertStatus($status);
    }

    private function walkedVisit(int $circuit): Visit
    {
        return $this->visit->fresh()->walking($this->circuits["circuit $circuit"]);
    }

    private function walked(int $circuit): Verdict
    {
        return app(Judge::class)->of($this->walkedVisit($circuit))->verdict;
    }

    /** What all circuits share on a summer day in health, without the level. */
    private function shared(): void
    {
        foreach (
            [
                'suction_header_kpa' => '284 kPa',
                'suction_set_kpa' => '284 kPa',
                'discharge_pressure_kpa' => '1330 kPa',
                'ambient_temperature_c' => '24',
                'compressors_running' => '2',
                'compressors_fitted' => '4',
            ] as $key => $typed
        ) {
            $this->tell('reading', $key, $typed);
        }
    }

    /** @return TestResponse<Response> */
    private function tell(
        string $kind,
        string $key,
        string $value,
        string $part = 'plant',
        int $status = 200,
    ): TestResponse {
        $this->travel(1)->seconds();

        return $this->enter($this->visit, $kind, $key, $value, ['part' => $part, 'stage' => 'board'])
            ->assertStatus($status);
    }

    private static function plant(): Installation
    {
        return InstallationReader::stored(json_encode(self::story()['installation'], JSON_THROW_ON_ERROR));
    }

    /** @return array<string, mixed> */
    private static function story(): array
    {
        return json_decode((string) file_get_contents(database_path('seeders/rack.json')), true);
    }
}
