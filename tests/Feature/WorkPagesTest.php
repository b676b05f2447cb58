<?php

namespace Tests\Feature;

use App\Models\FactRecord;
use App\Models\Visit;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Metrum\Bench\Calculator;
use Metrum\Bench\Input;
use Metrum\Knowledge\Control;
use Metrum\Log\FactKind;
use Metrum\Work\OpenTouches;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** What is done after the verdict: moves with a forecast and a clock, what was touched, and the bench. */
#[Group('figures')]
final class WorkPagesTest extends TestCase
{
    public function test_every_card_opens_empty_and_full(): void
    {
        foreach ([$this->visit(), $this->measured()] as $visit) {
            foreach (Control::cases() as $control) {
                $this->actingAs($this->technician)
                    ->get("/visits/{$visit->id}/put_right?card={$control->value}")
                    ->assertOk()
                    ->assertSee('id="card"', false);
            }
            $this->get("/visits/{$visit->id}/prove")->assertOk()->assertSee('Verification checklist');
        }
        $this->get("/visits/{$visit->id}/put_right?card=nonsense&eighths=zz&part[]=1")->assertOk();
    }

    public function test_a_control_is_not_moved_before_it_is_known_how_it_was_found(): void
    {
        $visit = $this->measured();
        $this->turn($visit, '0.25 out', reason: '')
            ->assertUnprocessable()
            ->assertSee('enter the position as found (or');
        self::assertSame(0, $this->kept(FactKind::Move));
        $this->turn($visit, '0.25 out')->assertOk();
        $move = FactRecord::query()->where('kind', 'move')->sole();
        self::assertSame(-0.25, $move->value);
        self::assertSame('2¾ turns open', $move->data['as_found']);
        [$before, $change, $deviation] = $move->data['forecast']['evaporator_superheat_k'];
        self::assertGreaterThan(5.0, $before);
        self::assertLessThan(0.0, $change, 'out means less superheat');
        self::assertGreaterThan(0.0, $deviation);
        self::assertSame(15 * 60.0, FactRecord::query()->where('kind', 'clock')->sole()->value);
    }

    public function test_a_move_sent_again_is_the_same_move(): void
    {
        $visit = $this->measured();
        $id = (string) Str::ulid();
        $this->turn($visit, '0.25 out', ['id' => $id])->assertOk();
        $this->turn($visit, '0.25 out', ['id' => $id])->assertOk();
        self::assertSame([1, 1], [$this->kept(FactKind::Move), $this->kept(FactKind::Clock)]);
    }

    public function test_one_at_a_time_or_by_a_word(): void
    {
        $visit = $this->measured();
        $this->turn($visit, '0.25 out')->assertOk();
        $washed = fn (array $more) => $this->enter($visit, 'move', 'condenser_washed', 'done', $more);
        $washed([])
            ->assertUnprocessable()
            ->assertSee('One change at a time. Re-read after the last change, or give a reason');
        $washed(['overruled' => 'the hose was out anyway'])->assertOk();
        self::assertSame(2, $this->kept(FactKind::Move));
    }

    public function test_what_fails_holds_a_turn_back_and_says_what_comes_first(): void
    {
        $visit = $this->measured();
        $this->enter($visit, 'observation', 'evaporator_fans', 'some_stopped');
        $this->turn($visit, '0.25 out')->assertUnprocessable()->assertSee('repair first');
        $this->get("/visits/{$visit->id}/put_right?card=valve_turn")->assertSee('Reason for adjusting anyway');
        $this->enter($visit, 'observation', 'evaporator_fans', 'all_running');
        $this->turn($visit, '0.25 out')->assertOk();
    }

    public function test_readings_before_a_move_stand_beside_until_they_are_taken_again(): void
    {
        $visit = $this->measured();
        $this->turn($visit, '0.25 out')->assertOk()->assertSee('◐ Before the last change. Re-read');
        self::assertArrayNotHasKey('suction_pressure_kpa', $visit->findings()->readings);
        $this->get("/visits/{$visit->id}/put_right")->assertSee('before 2.40 bar')->assertSee('not re-read yet');
        $this->travel(20)->minutes();
        $this->read($visit, ['suction_pressure_kpa' => '2.43', 'suction_temperature_evaporator_c' => '3.4']);
        $this->get("/visits/{$visit->id}/put_right")
            ->assertSee('as predicted')
            ->assertSee('The valve responds')
            ->assertDontSee('Before the last change. Re-read');
        $this->get("/visits/{$visit->id}/report")
            ->assertSee('Work done and effect')
            ->assertSee('Expansion valve: as found 2¾ turns open · now ¼ out from as found.');
        $move = FactRecord::query()->where('kind', 'move')->sole();
        $undo = "/visits/{$visit->id}/entries/{$move->id}/undo";
        $this->post($undo, ['stage' => 'put_right'], self::OUTBOX)->assertOk();
        $this->get("/visits/{$visit->id}/put_right")->assertDontSee('The valve responds');
    }

    public function test_a_valve_is_remembered_from_visit_to_visit(): void
    {
        $this->travelTo(now()->subDays(30));
        $first = $this->measured();
        $this->turn($first, '0.5 out')->assertOk();
        $this->travel(20)->minutes();
        $this->read($first, ['suction_pressure_kpa' => '2.43', 'suction_temperature_evaporator_c' => '1.4']);
        $this->actingAs($this->technician)->get("/visits/{$first->id}/put_right")->assertSee('(1 change)');
        $this->travelBack();

        $second = $this->measured();
        $this->get("/visits/{$second->id}/put_right?card=valve_turn")->assertSee('(1 change)');
        $this->turn($second, '0.25 out')->assertOk();
        $this->travel(20)->minutes();
        $this->read($second, ['suction_pressure_kpa' => '2.42', 'suction_temperature_evaporator_c' => '2.5']);
        $this->get("/visits/{$second->id}/put_right")->assertSee('(2 changes)');
    }

    public function test_one_of_several_valves_has_its_own_position_and_log(): void
    {
        $visit = $this->measured();
        $this->turn($visit, '0.5 out', ['part' => 'valve A'], '2 turns open')->assertOk();
        $open = fn (string $of) => $this->actingAs($this->technician)
            ->get("/visits/{$visit->id}/put_right?card=valve_turn&part=".urlencode($of))
            ->assertOk();
        $open('valve A')->assertSee('as found 2 turns open')->assertSee('now ½ out from as found');
        $open('valve B')->assertDontSee('as found 2 turns open')->assertSee('Position as found')->assertSee('valve A');
        $other = ['part' => 'valve B', 'overruled' => 'both starve'];
        $this->turn($visit, '0.25 out', $other, '3 turns open')->assertOk();
        $open('valve B')->assertSee('as found 3 turns open')->assertSee('now ¼ out from as found');
        $open('valve A')->assertSee('now ½ out from as found');
        $this->get("/visits/{$visit->id}/report")
            ->assertSee('Expansion valve, valve B: as found 3 turns open · now ¼ out');
    }

    public function test_what_waited_on_a_device_since_parts_were_called_otherwise_is_of_the_same_part(): void
    {
        $visit = $this->measured();
        $this->turn($visit, '0.5 out', ['subject' => 'valve A'], '2 turns open')->assertOk();

        self::assertSame('circuit 1/valve A', FactRecord::query()->where('kind', 'move')->sole()->part);
    }

    public function test_what_names_no_part_is_refused_and_kept_in_its_form(): void
    {
        $visit = $this->measured();
        $this->turn($visit, '0.5 out', ['part' => 'circuit 1/circuit 2'], '2 turns open')
            ->assertUnprocessable()
            ->assertSee('a part is named by type and number or letter, such as valve B or');
        self::assertSame(0, FactRecord::query()->where('kind', 'move')->count());
    }

    public function test_a_circuit_keeps_how_its_controls_were_left(): void
    {
        $page = fn () => $this->actingAs($this->technician)->get("/circuits/{$this->circuit->id}")->assertOk();
        $page()->assertDontSee('Control settings as left');
        $this->travelTo(now()->subDays(30));
        $first = $this->measured();
        $this->turn($first, '0.5 out')->assertOk();
        $this->travel(20)->minutes();
        $this->read($first, ['suction_pressure_kpa' => '2.43', 'suction_temperature_evaporator_c' => '1.4']);
        $page()->assertSee('as found 2¾ turns open · now ½ out from as found')->assertSee('(1 change)');
        $this->travelBack();

        $second = $this->measured();
        $this->turn($second, '0.25 in', reason: '')->assertUnprocessable();
        $this->turn($second, '0.25 in', reason: '2¼ turns open')->assertOk();
        $page()->assertSee('as found 2¼ turns open · now ¼ in from as found');
        $set = ['reason' => '4 °C', 'overruled' => 'asked for'];
        $this->enter($second, 'move', 'thermostat_set', '2', $set)->assertOk();
        $page()->assertSee('as found 4 °C · now set to 2.0 °C');
        $move = FactRecord::query()->where('key', 'thermostat_set')->sole();
        $this->post("/visits/{$second->id}/entries/{$move->id}/undo", ['stage' => 'put_right'], self::OUTBOX);
        $page()->assertDontSee('Thermostat, found')->assertDontSee('now set to');
    }

    public function test_two_equal_readings_end_the_wait(): void
    {
        $visit = $this->measured();
        $this->turn($visit, '0.5 out')->assertOk();
        $line = fn (string $typed) => $this->enter($visit, 'line', 'line', $typed, ['id' => (string) Str::ulid()]);
        $line('suction 2.43 bar, bulb 2.7')->assertOk()->assertSee('not re-read yet');
        $line('suction 2.43 bar, bulb 2.8')->assertOk()->assertSee('as predicted');
    }

    public function test_nothing_is_proven_by_a_clock_that_ran_out(): void
    {
        $visit = $this->measured();
        $prove = fn () => $this->actingAs($this->technician)->get("/visits/{$visit->id}/prove")->assertOk();
        $prove()->assertSeeInOrder(['Superheat at the coil', 'target 4', '7 K']);
        $this->turn($visit, '0.25 out')->assertOk();
        $prove()->assertSee('a timer is still running');
        $this->travel(30)->minutes();
        $prove()->assertDontSee('a timer is still running')->assertSee('not re-read since the last change');
    }

    public function test_a_valve_turned_back_is_warned_of(): void
    {
        $visit = $this->measured();
        $this->turn($visit, '0.5 out')->assertOk()->assertDontSee('play in the stem');
        $this->turn($visit, '0.25 in', ['overruled' => 'too far'])
            ->assertOk()
            ->assertSee('Direction reversed: stem play takes up the first part of the turn. Wait the full time');
        $regulator = ['reason' => 'no mark possible', 'overruled' => 'asked for', 'stage' => 'put_right'];
        $this->enter($visit, 'move', 'regulator_turn', '0.5 out', $regulator)
            ->assertOk()
            ->assertSee('The EPR drifts after an adjustment. Only the reading at the end of the timer counts');
    }

    public function test_all_the_way_back_is_one_tap(): void
    {
        $visit = $this->measured();
        $this->turn($visit, '0.5 out')->assertOk();
        $this->turn($visit, '0.125 out', ['overruled' => 'still swinging'])
            ->assertOk()
            ->assertSee('Back to as found: ⅝ in');
        $this->turn($visit, '0.625 in', ['overruled' => 'all the way back'])
            ->assertOk()
            ->assertDontSee('Back to as found');
    }

    public function test_a_visit_is_not_closed_with_something_left_open(): void
    {
        $visit = $this->measured();
        $this->enter($visit, 'touched', 'stem_cracked', 'yes')->assertOk()->assertSee('To restore');
        $this->post("/visits/{$visit->id}/close")->assertRedirect("/visits/{$visit->id}/leave");
        self::assertTrue($visit->refresh()->isOpen());
        $this->get("/visits/{$visit->id}/leave")->assertSee('stem cracked');
        $this->enter($visit, 'restored', 'stem_cracked', 'yes', ['reason' => 'it leaks when turned'])->assertOk();
        self::assertSame([], OpenTouches::of($visit->log())->keys());
        $this->get("/visits/{$visit->id}/report")->assertSee('Left as is: stem cracked, because it leaks when turned');
        $this->post("/visits/{$visit->id}/close")->assertRedirect("/visits/{$visit->id}/report");
        self::assertFalse($visit->refresh()->isOpen());
    }

    public function test_what_is_not_finished_is_named_before_a_visit_is_closed(): void
    {
        $visit = $this->measured();
        $leave = fn () => $this->actingAs($this->technician)->get("/visits/{$visit->id}/leave")->assertOk();
        $leave()->assertDontSee('fans stand')->assertDontSee('reads empty');
        $this->enter($visit, 'observation', 'condenser_fans', 'some_stopped');
        $this->read($visit, ['receiver_level_percent' => '0', 'suction_temperature_evaporator_c' => '9']);
        $leave()
            ->assertSee('Open: condenser fans not running.')
            ->assertSee('Open: receiver level reads empty.')
            ->assertSee('superheat at the coil off target');
        $this->enter($visit, 'clock', 'settling', '20 min')->assertOk();
        $leave()->assertSee('value="A timer is still running;', false);
        $this->post("/visits/{$visit->id}/close")->assertRedirect("/visits/{$visit->id}/report");
    }

    public function test_work_is_said_in_a_line(): void
    {
        $visit = $this->measured();
        $line = fn (string $typed) => $this->enter($visit, 'line', 'line', $typed, ['id' => (string) Str::ulid()]);
        $line('valve 1/4 out')->assertUnprocessable()->assertSee('enter the position as found (or');
        $line('valve 1/4 out found 2 turns open, stem cracked')->assertOk();
        $line('wait 20')->assertOk();
        $line('stem back')->assertOk();
        $facts = $visit->log()->standing(FactKind::Move, FactKind::Clock);
        self::assertSame(-0.25, $facts[0]->content->value);
        self::assertSame(20 * 60.0, $facts[1]->content->value);
        self::assertSame([], OpenTouches::of($visit->log())->keys());
        $line('washed condenser, bulb 3')->assertUnprocessable();
        self::assertSame(1, $this->kept(FactKind::Move), 'nothing of a line that cannot be is kept');
    }

    public function test_a_visit_travels_whole_with_what_was_moved_and_worked_at_it(): void
    {
        $this->travelTo(now()->subDays(2)->startOfMinute());
        $visit = $this->measured();
        $this->turn($visit, '0.5 out')->assertOk();
        $this->travel(20)->minutes();
        $this->read($visit, ['suction_pressure_kpa' => '2.43', 'suction_temperature_evaporator_c' => '1.4']);
        $this->turn($visit, '0.25 out')->assertOk();
        $undone = FactRecord::query()->where('kind', 'move')->latest('seq')->first();
        $this->post("/visits/{$visit->id}/entries/{$undone->id}/undo", ['stage' => 'put_right'], self::OUTBOX);
        $steps = ['kind' => 'piston', 'seat' => 'yes', 'round' => 'again'];
        foreach (['begun' => 'yes'] + $steps as $step => $typed) {
            $this->enter($visit, 'card', "leak_back.$step", $typed, ['reason' => 'a trial'])->assertOk();
        }
        foreach (['0.1 bar', '0.6 bar', '1.1 bar'] as $rise) {
            $this->travel(1)->minutes();
            $this->enter($visit, 'card', 'leak_back.rise', $rise)->assertOk();
        }
        $this->enter($visit, 'card', 'leak_back.open', 'yes')->assertOk();
        $this->enter($visit, 'card', 'leak_back.done', 'worn')->assertOk();
        $this->enter($visit, 'note', 'note', 'the owner was there')->assertOk();
        $this->travelBack();
        $file = (string) $this->get("/visits/{$visit->id}/file.json")->assertOk()->getContent();
        $said = static fn (Visit $one): array => array_map(
            static fn ($fact): array => [$fact->kind, $fact->content->key, $fact->content->value, $fact->takenAt],
            $one->log()->happened(),
        );
        $before = $said($visit);
        $outcome = $this->judged($visit)->assessment->accounts()[1]->outcome;
        $forecast = $this->judged($visit)->assessment->accounts()[1]->forecast;
        \App\Models\VerdictSnapshot::query()->delete();
        FactRecord::query()->delete();
        $visit->delete();

        $upload = UploadedFile::fake()->createWithContent('visit.json', $file);
        $this->post('/import', ['circuit_id' => $this->circuit->id, 'file' => $upload])->assertRedirect();
        $again = Visit::query()->sole();
        self::assertEquals($before, $said($again));
        self::assertSame($outcome, $this->judged($again)->assessment->accounts()[1]->outcome);
        self::assertEquals($forecast, $this->judged($again)->assessment->accounts()[1]->forecast);
        self::assertSame('rises_fast', $again->findings()->tests['compressor_leak_back']->value);
        self::assertSame($file, (string) $this->get("/visits/{$again->id}/file.json")->getContent());
    }

    public function test_a_log_that_cannot_be_is_refused_with_its_place(): void
    {
        $take = fn (array $fact) => $this->actingAs($this->technician)->from('/import')->post('/import', [
            'circuit_id' => '',
            'file' => UploadedFile::fake()->createWithContent('visit.json', (string) json_encode([
                'format' => 'metrum-visit',
                'version' => 1,
                'system' => ['kind' => 'walk_in_cooler', 'refrigerant' => 'R-448A'],
                'log' => [$fact],
            ])),
        ]);
        $wrong = [
            'log.0.value' => ['kind' => 'move', 'key' => 'valve_turn', 'value' => 90],
            'log.0.word' => ['kind' => 'card', 'key' => 'solenoid.volts', 'word' => 'perhaps'],
            'log.0.data.forecast.superheat' => [
                'kind' => 'move',
                'key' => 'valve_turn',
                'value' => 0.25,
                'data' => ['forecast' => ['superheat' => [1, 2]]],
            ],
            'log.0.data.keeps.mood' => [
                'kind' => 'card',
                'key' => 'leak_back.done',
                'word' => 'worn',
                'data' => ['keeps' => ['mood' => 1]],
            ],
        ];
        foreach ($wrong as $path => $fact) {
            $take($fact)->assertRedirect('/import');
            $this->get('/import')->assertSee($path);
        }
        self::assertSame(0, Visit::query()->count());
    }

    public function test_every_calculator_opens_answers_and_refuses(): void
    {
        $this->actingAs($this->technician);
        foreach (Calculator::cases() as $calculator) {
            $this->get("/bench/{$calculator->value}")->assertOk()->assertSee($calculator->title());
        }
        $this->get('/bench/nonsense')->assertNotFound();
        $superheat = ['refrigerant' => 'R-134a', 'suction_temperature_evaporator_c' => '-4'];
        $this->get('/bench/superheat?'.http_build_query($superheat + ['suction_pressure_kpa' => '0.993 bar']))
            ->assertOk()
            ->assertSee('6.0 K');
        $this->get('/bench/superheat?'.http_build_query($superheat + ['suction_pressure_kpa' => 'low']))
            ->assertOk()
            ->assertSee('is not a pressure');
        $forecast = ['box_c' => '20; 10; 5', 'times_min' => '0; 30; 60', 'target_c' => '2.5'];
        $this->get('/bench/pull_down_forecast?'.http_build_query($forecast))->assertSee('90 min');
        $plan = ['schedule' => '0 30; 10 30; 20 30', 'max_simultaneous' => '2'];
        $this->get('/bench/defrost_stagger_check?'.http_build_query($plan))->assertSee('Too many from 20 min');
        $broken = ['schedule' => '0 30; 10', 'max_simultaneous' => '2'];
        $this->get('/bench/defrost_stagger_check?'.http_build_query($broken))->assertSee('rows separated by ;');
    }

    public function test_the_bench_is_filled_in_from_a_visit(): void
    {
        $visit = $this->measured();
        $this->actingAs($this->technician)
            ->get("/bench/superheat?visit={$visit->id}")
            ->assertOk()
            ->assertSee('2.40 bar')
            ->assertSee('R-448A')
            ->assertSee('Superheat at the coil');
    }

    public function test_what_was_worked_at_the_bench_is_taken_into_the_visit(): void
    {
        $visit = $this->measured();
        $asked = http_build_query(['visit' => $visit->id, 'suction_pressure_kpa' => '2.6 bar']);
        $page = (string) $this->actingAs($this->technician)->get("/bench/superheat?$asked")->getContent();
        self::assertMatchesRegularExpression('/value="suction[^"]* 2\.6 bar"[^>]*>Save readings to visit/', $page);
        self::assertStringNotContainsString('bulb 3.5', $page, 'what came from the visit is not sent back');
        preg_match('/value="(suction[^"]*)"[^>]*>Save readings/', $page, $line);
        $this->enter($visit, 'line', 'line', $line[1], ['id' => (string) Str::ulid()])->assertOk();
        self::assertEqualsWithDelta(260e3, $visit->findings()->readings['suction_pressure_kpa'], 1.0);
        preg_match('/value="(Calculator, superheat[^"]*)"/', $page, $note);
        self::assertStringContainsString('superheat at the coil', $note[1]);
        $this->get('/bench/superheat?suction_pressure_kpa=2.6')->assertDontSee('Save readings to visit');
        $visit->update(['closed_at' => now()]);
        $this->get("/bench/superheat?$asked")->assertOk()->assertDontSee('Save readings to visit');
    }

    public function test_a_picture_stands_where_it_says_it_faster(): void
    {
        $seen = fn (string $calculator, array $asked): string => (string) $this->actingAs($this->technician)
            ->get("/bench/$calculator?".http_build_query($asked))
            ->assertOk()
            ->getContent();
        $plan = $seen('defrost_stagger_check', ['schedule' => '0 30; 10 30; 20 30', 'max_simultaneous' => '2']);
        self::assertStringContainsString('Circuit 3', $plan);
        $heaters = $seen('defrost_heater_leg_missing', [
            'power_w' => '6000',
            'voltage_v' => '400',
            'phases' => '3',
            'legs_live' => '2',
        ]);
        self::assertMatchesRegularExpression('/Heaters: Rated 8\.7 A; Phase 1 7\.5 A.*; Phase 3 0\.0 A/', $heaters);
        self::assertStringContainsString('Heating left 50 %', $heaters);
        $winter = $seen('winter_flooding_step', [
            'refrigerant' => 'R-134a',
            'condenser_internal_volume_l' => '10',
            'flooded_fraction_today' => '10',
            'today_c' => '20',
            'flooded_fraction_coldest' => '60 %',
            'coldest_c' => '-10',
        ]);
        self::assertMatchesRegularExpression('/Today 10 %.*Coldest day 60 %/s', $winter);
        $ratio = $seen('compression_ratio_sensitivity', [
            'discharge_pressure_kpa' => '14',
            'suction_pressure_kpa' => '2',
            'change_kpa' => '0.5 bar',
        ]);
        self::assertStringContainsString('Suction lower', $ratio);
        self::assertStringNotContainsString('bars-picture', $seen('superheat', []));
    }

    public function test_pressure_and_temperature_both_ways(): void
    {
        $this->actingAs($this->technician)
            ->get('/bench/saturation?refrigerant=R-134a&pressure=9.153&temperature=-10')
            ->assertOk()
            ->assertSee('40.0 °C')
            ->assertSee('0.99 bar')
            ->assertSee('glide');
        $this->get('/bench/saturation?refrigerant=R-0&pressure=-3&temperature=900')
            ->assertOk()
            ->assertSee('return');
    }

    public function test_every_page_of_the_bench_keeps_the_visits_refrigerant_and_altitude(): void
    {
        $this->circuit->site->update(['altitude_m' => 1500]);
        $this->circuit->describe(['refrigerant' => 'R-134a'] + $this->circuit->systemWords(), []);
        $visit = $this->visit();
        $this->actingAs($this->technician);
        $gauges = (string) $this->get("/visits/{$visit->id}/gauges")->assertOk()->getContent();
        self::assertStringContainsString("bench/saturation?visit={$visit->id}", $gauges);
        $this->get("/bench/saturation?visit={$visit->id}&pressure=2")
            ->assertSee('R-134a, at 1500 m')
            ->assertSee("superheat?visit={$visit->id}")
            ->assertSee('name="visit"', false);
        $asks = static fn (Calculator $one): array => array_map(
            static fn (Input $input): string => $input->key,
            $one->does()->asks(),
        );
        foreach (Calculator::cases() as $calculator) {
            $page = $this->get("/bench/{$calculator->value}?visit={$visit->id}")->assertOk();
            $page->assertSee("bench/saturation?visit={$visit->id}");
            if (in_array('refrigerant', $asks($calculator), true)) {
                $page->assertSee('<option value="R-134a" selected', false);
            }
            if (in_array('atmospheric_kpa', $asks($calculator), true)) {
                $html = (string) $page->getContent();
                self::assertMatchesRegularExpression('/name="atmospheric_kpa"[^>]*value="0\.85/', $html);
            }
        }
        $this->get('/bench/saturation?altitude=9000')->assertOk()->assertSee('Enter −430 to 6000 m');
        $this->get('/bench/saturation?altitude=5000 ft')->assertOk()->assertSee('at 1524 m');
    }

    private function measured(): Visit
    {
        $visit = $this->visit();
        $this->enter($visit, 'state', 'state', 'running_settled');
        $seen = ['frost_coil' => 'even', 'evaporator_fans' => 'all_running', 'doors' => 'shut_and_sealing'];
        foreach ($seen as $key => $word) {
            $this->enter($visit, 'observation', $key, $word);
        }
        $this->read($visit, [
            'ambient_temperature_c' => '27',
            'box_temperature_c' => '2.4',
            'discharge_pressure_kpa' => '15.9',
            'condenser_outlet_temperature_c' => '32',
            'suction_pressure_kpa' => '2.4',
            'suction_temperature_evaporator_c' => '3.5',
            'suction_temperature_compressor_c' => '9',
        ]);

        return $visit;
    }

    /**
     * @param  array<string, string>  $more
     * @return \Illuminate\Testing\TestResponse<\Illuminate\Http\Response>
     */
    private function turn(Visit $visit, string $typed, array $more = [], string $reason = '2¾ turns open')
    {
        $more += ['reason' => $reason, 'stage' => 'put_right'];

        return $this->enter($visit, 'move', 'valve_turn', $typed, $more);
    }

    private function kept(FactKind $kind): int
    {
        return FactRecord::query()->where('kind', $kind->value)->count();
    }
}
