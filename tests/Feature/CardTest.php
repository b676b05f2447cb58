<?php

namespace Tests\Feature;

use App\Models\FactRecord;
use App\Models\FollowUp;
use App\Models\Visit;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Metrum\Card\Cards;
use Metrum\Exchange\VisitReader;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\Trace;
use Metrum\Log\Log;
use Metrum\Quantity\Units;
use Metrum\Work\OpenTouches;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Cards at a visit: begun, worked step by step, left and taken up again, ended with what they came to. */
#[Group('figures')]
final class CardTest extends TestCase
{
    public function test_every_card_opens_and_is_begun(): void
    {
        foreach ([$this->visit(), $this->starved()] as $visit) {
            $this->actingAs($this->technician);
            foreach (Cards::all() as $card) {
                $this->get("/visits/{$visit->id}/{$card->station->value}?card={$card->key}")
                    ->assertOk()
                    ->assertSee($card->name)
                    ->assertSee('Start');
                $this->step($visit, "$card->key.begun", 'yes', ['reason' => 'to try it'])
                    ->assertOk()
                    ->assertSee('Start over');
            }
        }
        $this->get("/visits/{$visit->id}/verdict?card=nonsense")->assertOk()->assertDontSee('Start over');
    }

    public function test_a_card_is_worked_to_its_end_and_tells_the_diagnosis(): void
    {
        $visit = $this->visit();
        $this->step($visit, 'solenoid.begun', 'yes')
            ->assertOk()
            ->assertSee('Solenoid coil, panel closed, calling for cooling');
        $this->step($visit, 'solenoid.pull', 'yes')
            ->assertSee('Thermostat turned warm and back')
            ->assertDontSee('the magnet');
        $this->step($visit, 'solenoid.click', 'no')->assertSee('With the magnet');
        $this->step($visit, 'solenoid.magnet', 'yes')->assertSee('To restore')->assertSee('magnet on the solenoid');
        $this->step($visit, 'solenoid.lifts', 'yes')->assertDontSee('Save result');
        $this->step($visit, 'solenoid.coil', 'yes')->assertSee('Solenoid coil weak')->assertSee('Save result');
        self::assertSame([], OpenTouches::of($visit->log())->keys());

        $this->step($visit, 'solenoid.done', 'coil')->assertSee('○ Saved in the log');
        self::assertSame('energised_shut', $visit->findings()->observations['liquid_solenoid']->value);
        $this->get("/visits/{$visit->id}/report")->assertSee('Liquid line solenoid test: Solenoid coil weak.');
        $done = FactRecord::query()->where('key', 'solenoid.done')->sole();
        $this->post("/visits/{$visit->id}/entries/{$done->id}/undo", ['stage' => 'verdict'], self::OUTBOX)->assertOk();
        self::assertSame([], $visit->findings()->observations, 'what was taken back tells nothing');
    }

    public function test_the_server_says_what_a_card_came_to_not_the_page(): void
    {
        $visit = $this->visit();
        $this->step($visit, 'solenoid.begun', 'yes');
        $this->step($visit, 'solenoid.done', 'works')->assertUnprocessable()->assertSee('is not at its end yet');
        foreach (['pull' => 'no', 'switch' => 'alone', 'isolated' => 'proved', 'volts' => 'no'] as $key => $word) {
            $this->step($visit, "solenoid.$key", $word);
        }
        $this->step($visit, 'solenoid.done', 'works')->assertOk()->assertSee('No supply');
        self::assertSame('no_supply', FactRecord::query()->where('key', 'solenoid.done')->sole()->word);
    }

    public function test_a_gate_that_fails_holds_a_card_back_until_somebody_says_why(): void
    {
        $visit = $this->visit();
        $this->enter($visit, 'observation', 'evaporator_fans', 'some_stopped');
        $open = "/visits/{$visit->id}/put_right?card=superheat_trace";
        $this->get($open)->assertSee('Reason to start anyway');
        $this->step($visit, 'superheat_trace.begun', 'yes')->assertUnprocessable()->assertSee('repair first');
        self::assertSame(0, FactRecord::query()->where('kind', 'card')->count());
        $this->step($visit, 'superheat_trace.begun', 'yes', ['reason' => 'one was never fitted'])->assertOk();
        $this->get($open)->assertSee('Started despite open conditions: one was never fitted');
    }

    public function test_a_step_sent_again_is_the_same_step(): void
    {
        $visit = $this->visit();
        $id = (string) Str::ulid();
        $this->step($visit, 'pull_down.begun', 'yes');
        $this->step($visit, 'pull_down.box', '8.2', ['id' => $id])->assertOk();
        $this->step($visit, 'pull_down.box', '8.2', ['id' => $id])->assertOk();
        self::assertSame(1, FactRecord::query()->where('key', 'pull_down.box')->count());
    }

    public function test_a_timed_series_keeps_every_value_with_its_time(): void
    {
        $visit = $this->visit();
        $this->step($visit, 'pull_down.begun', 'yes');
        foreach (['12', '8', '5.33'] as $box) {
            $this->step($visit, 'pull_down.box', $box)->assertOk();
            $this->travel(15)->minutes();
        }
        $this->get("/visits/{$visit->id}/prove?card=pull_down")
            ->assertSee('Will reach set point')
            ->assertSee('12.0 °C');
        $this->step($visit, 'pull_down.done', 'arrives')->assertOk();
        $rate = $visit->findings()->readings['pull_down_rate_k_per_h'] ?? 0.0;
        self::assertEqualsWithDelta(6.67 / 1800, $rate, 1e-5, 'K a second');
        $this->get("/visits/{$visit->id}/prove")->assertSee('K/h');
    }

    public function test_a_series_seen_before_is_told_as_minutes_and_values_and_gives_the_same(): void
    {
        $visit = $this->visit();
        $this->step($visit, 'pull_down.begun', 'yes');
        $id = (string) Str::ulid();
        $typed = '0 12, 15 8, 30 5.33';
        $this->step($visit, 'pull_down.box', $typed, ['id' => $id])->assertOk()->assertSee('Will reach set point');
        $this->step($visit, 'pull_down.box', $typed, ['id' => $id])->assertOk();
        self::assertSame(3, FactRecord::query()->where('key', 'pull_down.box')->count(), 'sent again it is the same');
        $log = $visit->log()->history(FactKind::Card);
        $first = $log[1]->rule()->line($log[1], Units::fromSettings([]));
        self::assertStringContainsString(', 30 min earlier', $first);
        $this->step($visit, 'pull_down.done', 'yes')->assertOk();
        $rate = $visit->findings()->readings['pull_down_rate_k_per_h'] ?? 0.0;
        self::assertEqualsWithDelta(6.67 / 1800, $rate, 1e-5, 'K a second, as of three that were noted as they came');

        $file = (string) $this->get("/visits/{$visit->id}/file.json")->assertOk()->getContent();
        preg_match_all('/"ago_min": ?(\d+)/', $file, $ago);
        self::assertSame(['30', '15'], $ago[1]);
        $read = (VisitReader::visit($file)->told->log ?? new Log([]))->history(FactKind::Card);
        self::assertSame([1800.0, 900.0, 0.0], array_map(
            static fn (Fact $fact): float => Trace::ago($fact->content),
            array_slice($read, 1, 3),
        ));
    }

    public function test_what_a_logger_exported_is_pasted_as_it_is_and_what_swings_is_drawn(): void
    {
        $visit = $this->visit();
        $this->read($visit, ['suction_pressure_kpa' => '3.2 bar']);
        $this->step($visit, 'superheat_trace.begun', 'yes', ['reason' => 'to try it'])->assertOk();
        $page = $this->get("/visits/{$visit->id}/put_right?card=superheat_trace");
        $page->assertSee('Paste a logger’s series')->assertSee('class="swing"', false);
        $lines = ['Time;Line at the bulb'];
        for ($i = 0; $i < 400; $i++) {
            $lines[] = sprintf('2026-11-30 10:%02d:%02d;%.1f', intdiv(5 * $i, 60), (5 * $i) % 60, 4 + 3 * sin($i / 10));
        }
        $this->step($visit, 'superheat_trace.trace', implode("\n", $lines))->assertOk();

        $kept = FactRecord::query()->where('key', 'superheat_trace.trace')->get();
        self::assertGreaterThan(20, $kept->count());
        self::assertLessThanOrEqual(60, $kept->count());
        $celsius = static fn (FactRecord $one): float => (float) $one->fact()->content->value - 273.15;
        $values = $kept->map($celsius)->all();
        self::assertEqualsWithDelta([1.0, 7.0], [min($values), max($values)], 0.11, 'both ends of the swing');
    }

    public function test_a_vacuum_is_told_as_it_was_typed(): void
    {
        $visit = $this->visit();
        $this->step($visit, 'evacuation.begun', 'yes', ['reason' => 'to try it'])->assertOk();
        $this->step($visit, 'evacuation.cores', 'yes');
        $page = "/visits/{$visit->id}/put_right?card=evacuation";
        $this->get($page)->assertSee('<i>Pa</i>', false)->assertDontSee('<i>bar</i>', false);
        $this->step($visit, 'evacuation.level', '40')->assertOk();
        $this->get($page)->assertSee('value="40"', false);
        $said = fn (): string => $visit->log()->fact(FactKind::Card, 'evacuation.level')?->rule()->line(
            $visit->log()->fact(FactKind::Card, 'evacuation.level'),
            Units::fromSettings([]),
        ) ?? '';
        self::assertSame('Evacuation, at the system, pump running: 40 Pa', $said());

        $this->step($visit, 'evacuation.level', '900 micron')->assertOk();
        self::assertSame('Evacuation, at the system, pump running: 900 µm', $said());
        $this->step($visit, 'evacuation.hold', '0 900, 2 920, 4 930, 10 935 micron')->assertUnprocessable();
        $this->step($visit, 'evacuation.hold', '0 900 micron, 2 920 micron, 4 930 micron, 10 935 micron')
            ->assertOk()
            ->assertSee('value="900 µm"', false)
            ->assertSee('900 µm with the pump running');
    }

    public function test_of_a_series_that_cannot_be_nothing_is_kept(): void
    {
        $visit = $this->visit();
        $this->step($visit, 'pull_down.begun', 'yes');
        $this->step($visit, 'pull_down.box', '0 12, 15 8, 30 warm')->assertUnprocessable()->assertSee('warm');
        $this->step($visit, 'pull_down.box', '0 12, 15 8, 10 5')
            ->assertUnprocessable()
            ->assertSee('Times must increase');
        $this->step($visit, 'pull_down.box', '0 12, 15 8, 30 500')->assertUnprocessable();
        self::assertSame(0, FactRecord::query()->where('key', 'pull_down.box')->count());
    }

    public function test_a_pull_down_before_and_after_stands_side_by_side(): void
    {
        $visit = $this->visit();
        $time = function (string ...$boxes) use ($visit): void {
            $this->step($visit, 'pull_down.begun', 'yes');
            foreach ($boxes as $box) {
                $this->step($visit, 'pull_down.box', $box)->assertOk();
                $this->travel(10)->minutes();
            }
            $this->step($visit, 'pull_down.done', 'yes')->assertOk();
        };
        $time('9', '8.6', '8.3');
        $this->enter($visit, 'move', 'regulator_turn', '0.5 out', ['reason' => 'no mark possible'])->assertOk();
        $time('8', '7', '6.3');
        $this->get("/visits/{$visit->id}/prove")
            ->assertSeeInOrder(['Pull-down rate', '2.1 K/h', '5.1 K/h', '+3.0 K/h'])
            ->assertSee('changed: schedule a re-check');
        $this->post("/visits/{$visit->id}/follow-ups", ['what' => 'Look again', 'due_on' => '2027-01-09']);
        $this->get("/visits/{$visit->id}/prove")->assertSee('due 9 Jan 2027');
    }

    public function test_a_weak_point_is_kept_with_the_plant_once(): void
    {
        $visit = $this->visit();
        $this->step($visit, 'pump_down_floor.begun', 'yes');
        $this->step($visit, 'pump_down_floor.kind', 'piston');
        $this->step($visit, 'pump_down_floor.stem', 'leaks');
        $this->step($visit, 'pump_down_floor.down', 'yes');
        $this->step($visit, 'pump_down_floor.fall', '0.3 bar');
        $this->read($visit, ['pump_down_floor_kpa' => '0.2 bar']);
        $this->step($visit, 'pump_down_floor.took', '4 min');
        $this->step($visit, 'pump_down_floor.up', 'yes')->assertSee('Pumps down');
        $this->step($visit, 'pump_down_floor.done', 'yes')->assertSee('Add to weak points');
        $point = 'Liquid service valve stem leaks or is unknown: repack or replace it';
        foreach ([1, 2] as $ignored) {
            $this->post("/circuits/{$this->circuit->id}/weak-points", ['point' => $point])->assertRedirect();
        }
        self::assertSame($point, $this->circuit->refresh()->notes);
        $this->get("/circuits/{$this->circuit->id}")
            ->assertSeeInOrder(['Still open', 'Liquid service valve', 'weak point']);
        $this->post("/circuits/{$this->circuit->id}/weak-points", ['point' => ''])->assertSessionHasErrors('point');
    }

    public function test_nonsense_is_refused_in_words_and_nothing_is_kept(): void
    {
        $visit = $this->visit();
        $this->step($visit, 'drier_drop.begun', 'yes');
        $this->step($visit, 'drier_drop.way', 'by_feel')
            ->assertUnprocessable()
            ->assertSee('is not an option. Choose by two clamps or by two gauges');
        $this->step($visit, 'drier_drop.before', 'much')->assertUnprocessable()->assertSee('Pressure before the drier');
        $this->step($visit, 'drier_drop.before', '900 bar')
            ->assertUnprocessable()
            ->assertSee('Pressure before the drier: you entered 900 bar.');
        $this->step($visit, 'drier_drop.colour', 'red')->assertUnprocessable()->assertSee('Unknown procedure step');
        $this->step($visit, 'magic.begun', 'yes')->assertUnprocessable()->assertSee('Unknown procedure step');
        self::assertSame(1, FactRecord::query()->where('kind', 'card')->count());
    }

    public function test_a_card_begun_and_left_stands_beside_the_walk_on_every_page(): void
    {
        $visit = $this->visit();
        $this->step($visit, 'bulb_test.begun', 'yes', ['part' => 'coil 2']);
        $this->get("/visits/{$visit->id}/box")
            ->assertSee('Unfinished procedures')
            ->assertSee('Bulb test, cold and warm, coil 2');
        $this->get("/visits/{$visit->id}/leave")->assertSee('“Bulb test, cold and warm” is unfinished');
        $this->get("/visits/{$visit->id}/verdict?card=bulb_test")->assertDontSee('Start over');
        $this->get("/visits/{$visit->id}/verdict?card=bulb_test&part=circuit+1/coil+2")->assertSee('Start over');
    }

    public function test_what_is_left_so_is_come_back_for(): void
    {
        $visit = $this->visit();
        $this->step($visit, 'equalising.begun', 'yes');
        $this->step($visit, 'equalising.switch', 'alone');
        $this->step($visit, 'equalising.stop', 'yes');
        $this->post("/visits/{$visit->id}/close");
        self::assertTrue($visit->refresh()->isOpen());
        $id = (string) Str::ulid();
        foreach ([1, 2] as $ignored) {
            $more = ['id' => $id, 'reason' => 'the owner wants it off'];
            $this->enter($visit, 'restored', "compressor's switch", 'yes', $more)->assertOk();
        }
        $followUp = FollowUp::query()->sole();
        self::assertSame("Compressor's switch left as is because the owner wants it off", $followUp->what);
        self::assertSame([], OpenTouches::of($visit->log())->keys());
    }

    public function test_a_wash_is_judged_by_the_head_of_before_and_after(): void
    {
        $visit = $this->visit();
        $this->step($visit, 'wash_test.begun', 'yes');
        $this->enter($visit, 'observation', 'condenser_face', 'dirty');
        $this->read($visit, ['discharge_pressure_kpa' => '18 bar', 'ambient_temperature_c' => '25']);
        $this->step($visit, 'wash_test.switch', 'alone');
        $this->step($visit, 'wash_test.isolated', 'proved');
        $this->step($visit, 'wash_test.off', 'yes');
        $this->enter($visit, 'move', 'condenser_washed', 'done', ['card' => 'wash_test', 'stage' => 'verdict'])
            ->assertOk()
            ->assertSee('before 18.00 bar')
            ->assertSee('before 25.0 °C')
            ->assertSee('Power on; all fans turn in the right direction');
        $this->step($visit, 'wash_test.on', 'yes');
        $this->read($visit, ['discharge_pressure_kpa' => '15.5 bar', 'ambient_temperature_c' => '25.4']);
        $this->get("/visits/{$visit->id}/verdict?card=wash_test")->assertSee('It was dirt');
        $this->step($visit, 'wash_test.done', 'dirt')->assertOk();
        self::assertSame(Word::HeadFalls, $visit->findings()->tested(Test::CondenserWashed));
    }

    public function test_what_stops_a_card_stops_it_at_once_and_stands_in_log_and_report(): void
    {
        $visit = $this->visit();
        $this->step($visit, 'nitrogen_test.begun', 'yes')->assertSee('aria-disabled="true"', false);
        $this->step($visit, 'nitrogen_test.at', '10 bar')->assertUnprocessable()->assertSee('Refrigerant');
        $this->step($visit, 'nitrogen_test.recovered', 'noted');
        $this->step($visit, 'nitrogen_test.gas', 'oxygen')
            ->assertOk()
            ->assertSee('Oxygen and oil explode. Take that cylinder away')
            ->assertSee('No reason can override this. Correct it, then answer the step again')
            ->assertDontSee('Save result')
            ->assertDontSee('Reason to continue anyway');
        self::assertSame('oxygen', FactRecord::query()->where('key', 'nitrogen_test.done')->sole()->word);
        $this->step($visit, 'nitrogen_test.regulator', 'fitted')->assertUnprocessable()->assertSee('explode');
        $more = ['reason' => 'it is all we have'];
        $this->step($visit, 'nitrogen_test.passed', 'oxygen', $more)->assertUnprocessable();
        $this->get("/visits/{$visit->id}/report")
            ->assertSee('Nitrogen pressure test: Stopped: oxygen. Oxygen and oil');

        $this->step($visit, 'nitrogen_test.gas', 'nitrogen')->assertOk()->assertSee('Nitrogen regulator and relief');
        $this->get("/visits/{$visit->id}/leave")->assertSee('“Nitrogen pressure test” is unfinished');
    }

    public function test_a_stop_that_was_told_by_a_look_is_kept_too_and_taken_back_with_it(): void
    {
        $visit = $this->visit();
        $this->step($visit, 'liquid_into_suction.begun', 'yes', ['reason' => 'to try it']);
        $this->enter($visit, 'observation', 'compressor', 'off_on_oil')->assertOk();
        self::assertSame('stands', FactRecord::query()->where('key', 'liquid_into_suction.done')->sole()->word);
        $look = FactRecord::query()->where('key', 'compressor')->sole();
        $this->post("/visits/{$visit->id}/entries/{$look->id}/undo", ['stage' => 'unit'], self::OUTBOX)->assertOk();
        $this->get("/visits/{$visit->id}/leave")->assertSee('“Liquid charging into the suction” is unfinished');
    }

    public function test_a_house_rule_is_passed_by_a_reason_that_stands_in_the_report(): void
    {
        $visit = $this->visit();
        $this->step($visit, 'charge_by_weight.begun', 'yes');
        $this->step($visit, 'charge_by_weight.empty', 'evacuated');
        $this->step($visit, 'charge_by_weight.plate', '3 kg');
        $this->step($visit, 'charge_by_weight.hoses', 'bled')->assertSee('Reason to continue anyway');
        $this->step($visit, 'charge_by_weight.passed', 'bled')
            ->assertUnprocessable()
            ->assertSee('Give a reason: the next person must know');
        $this->step($visit, 'charge_by_weight.passed', 'bled', ['reason' => 'no low-loss ends here'])
            ->assertOk()
            ->assertSee('Continued although no bleeding, because no low-loss ends here')
            ->assertSee('Charging as');
    }

    public function test_a_card_can_always_be_ended_without_result(): void
    {
        $visit = $this->visit();
        $this->step($visit, 'bulb_test.begun', 'yes')->assertSee('End without result');
        $this->step($visit, 'bulb_test.no_result', 'yes')
            ->assertUnprocessable()
            ->assertSee('Give a reason: the next person must know');
        $this->step($visit, 'bulb_test.no_result', 'yes', ['reason' => 'the bulb cannot be reached'])
            ->assertOk()
            ->assertSee('Ended without result, because the bulb cannot be reached');
        $this->get("/visits/{$visit->id}/leave")->assertDontSee('“Leak search” is unfinished');
    }

    public function test_tests_lead_to_their_cards_and_what_is_suspected_comes_first(): void
    {
        $visit = $this->starved();
        $page = $this->actingAs($this->technician)->get("/visits/{$visit->id}/verdict")->assertOk();
        $page->assertSee('Procedures')->assertSee('card=leak_back', false);
        $this->get("/visits/{$visit->id}/unit")
            ->assertSeeInOrder(['Bubbles in the sight glass', 'Estimate pressures without gauges']);
    }

    /**
     * @param  array<string, string>  $more
     * @return TestResponse<Response>
     */
    private function step(Visit $visit, string $key, string $value, array $more = []): TestResponse
    {
        $card = Cards::find(explode('.', $key)[0]);
        $more += ['stage' => $card?->station->value ?? 'verdict', 'card' => $card->key ?? ''];

        return $this->enter($visit, FactKind::Card->value, $key, $value, $more);
    }
}
