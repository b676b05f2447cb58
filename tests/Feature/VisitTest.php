<?php

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\FactRecord;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Support\Str;
use Metrum\Diagnosis\Suspect;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A visit as it is walked: every entry saved at once, answered with what it changed, and never lost or doubled. */
final class VisitTest extends TestCase
{
    public function test_a_reading_says_with_what_it_was_taken_and_is_asked_again_where_that_tells_nothing(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician);
        $this->enter($visit, 'reading', 'discharge_temperature_c', '84', ['taken' => 'infrared_bare']);
        $page = $this->get("/visits/{$visit->id}/gauges")->assertOk();
        $page->assertSeeInOrder(['Taken with', 'clamp or probe, as shown', 'infrared, bare metal'])
            ->assertSee('<option value="infrared_bare" selected', false)
            ->assertSee('put matt tape on it, or clamp it')
            ->assertSee('re-read');
        $this->enter($visit, 'reading', 'discharge_temperature_c', '84');
        $this->get("/visits/{$visit->id}/gauges")->assertDontSee('put matt tape on it');
        $this->enter($visit, 'reading', 'discharge_temperature_c', '84', ['taken' => 'by_ear'])->assertInvalid('taken');
        $file = (string) $this->get("/visits/{$visit->id}/file.json")->getContent();
        self::assertStringContainsString('"taken": "infrared_bare"', $file);
        self::assertSame(1, substr_count($file, '"taken"'));
    }

    public function test_a_visit_starts_with_one_tap_and_goes_on_where_it_was_left(): void
    {
        $this->actingAs($this->technician)
            ->post("/circuits/{$this->circuit->id}/visits")
            ->assertRedirect();
        $visit = Visit::query()->sole();
        $this->get("/visits/{$visit->id}")
            ->assertOk()
            ->assertSee('What does the customer report?')
            ->assertSee('Nothing entered yet');
        $this->post("/circuits/{$this->circuit->id}/visits")->assertRedirect("/visits/{$visit->id}/gauges");
        self::assertSame(1, Visit::query()->count());
    }

    public function test_every_station_opens_empty_and_full(): void
    {
        $visit = $this->visit();
        foreach (['complaint', 'box', 'unit', 'gauges', 'verdict', 'leave'] as $stage) {
            $this->actingAs($this->technician)
                ->get("/visits/{$visit->id}/$stage")
                ->assertOk()
                ->assertSee('Cold room 2');
        }
        $this->read($visit, [
            'suction_pressure_kpa' => '2.1 bar',
            'discharge_pressure_kpa' => '14',
            'ambient_temperature_c' => '25',
            'box_temperature_c' => '6',
            'suction_temperature_evaporator_c' => '2',
        ]);
        $this->enter($visit, 'observation', 'sight_glass', 'bubbles');
        foreach (['complaint', 'box', 'unit', 'gauges', 'verdict'] as $stage) {
            $this->get("/visits/{$visit->id}/$stage")
                ->assertOk()
                ->assertSee('class="course"', false)
                ->assertSee('Low refrigerant charge');
        }
        $this->get("/visits/{$visit->id}/leave")->assertSee('system has lost part of its refrigerant');
    }

    public function test_an_entry_is_kept_in_si_with_what_was_typed_and_by_whom(): void
    {
        $visit = $this->visit();
        $this->enter($visit, 'reading', 'suction_pressure_kpa', '32 psi')->assertOk();
        $entry = FactRecord::query()->sole();
        self::assertEqualsWithDelta(220632.2, $entry->value, 0.1);
        self::assertSame(
            ['32 psi', 'psi', 'hand', $this->technician->id],
            [$entry->data['typed'], $entry->data['unit'], $entry->source, $entry->user_id],
        );
        self::assertNotNull($entry->taken_at);
    }

    public function test_the_answer_holds_the_cell_the_course_and_the_verdict(): void
    {
        $visit = $this->visit();
        $this->read($visit, ['box_temperature_c' => '2.5', 'suction_temperature_evaporator_c' => '1.7']);
        $answer = $this->enter($visit, 'reading', 'suction_pressure_kpa', '3.45')->assertOk();
        $answer
            ->assertSee('id="cell-suction-pressure-kpa"', false)
            ->assertSee('superheat 5.6')
            ->assertSee('id="course-box"', false)
            ->assertSee('id="verdict"', false)
            ->assertSee('superheat 5.6 K, expected', false);
        $answer->assertDontSee('<html', false);
    }

    public function test_not_measured_is_told_from_zero(): void
    {
        $visit = $this->visit();
        $this->read($visit, ['suction_temperature_evaporator_c' => '0', 'receiver_level_percent' => '0']);
        $findings = $visit->findings();
        self::assertSame(273.15, $findings->readings['suction_temperature_evaporator_c']);
        self::assertSame(0.0, $findings->readings['receiver_level_percent']);
        $this->enter($visit, 'reading', 'receiver_level_percent', '')->assertOk();
        self::assertArrayNotHasKey('receiver_level_percent', $visit->findings()->readings);
    }

    public function test_the_same_entry_sent_twice_is_one_entry(): void
    {
        $visit = $this->visit();
        $id = (string) Str::ulid();
        foreach ([1, 2, 3] as $try) {
            $this->enter($visit, 'reading', 'box_temperature_c', '4.2', ['id' => $id])->assertOk();
        }
        self::assertSame(1, FactRecord::query()->count());
        // A changed value under an id that was used already (its answer got lost on the way) is a new entry, not a
        // lost one.
        $this->enter($visit, 'reading', 'box_temperature_c', '4.4', ['id' => $id])->assertOk();
        self::assertSame(2, FactRecord::query()->count());
        self::assertEqualsWithDelta(277.55, $visit->findings()->readings['box_temperature_c'], 1e-9);
    }

    public function test_what_waited_on_a_device_is_taken_with_the_time_at_which_it_was_made(): void
    {
        $visit = $this->visit();
        $visit->update(['opened_at' => now()->subHour()]);
        $this->enter($visit, 'reading', 'box_temperature_c', '5')->assertOk();
        // Made twenty minutes ago on a device whose clock is a year behind.
        $this->enter($visit, 'reading', 'box_temperature_c', '3', [
            'at' => '2025-11-26T08:00:00.000Z',
            'sent' => '2025-11-26T08:20:00.000Z',
        ])->assertOk();

        $late = FactRecord::query()->latest('seq')->firstOrFail();
        self::assertEqualsWithDelta(1200, $late->taken_at->diffInSeconds(now()), 5);
        self::assertEqualsWithDelta(278.15, $visit->findings()->readings['box_temperature_c'], 1e-9);
        $this->enter($visit, 'reading', 'box_temperature_c', '3', [
            'at' => 'yesterday',
            'sent' => 'now',
        ])->assertStatus(422);
    }

    public function test_what_a_device_sends_by_itself_opens_no_session(): void
    {
        $visit = $this->visit();
        $sent = self::OUTBOX + ['X-Made-By' => $this->technician->id];
        $this->post("/visits/{$visit->id}/entries", [], $sent)->assertUnauthorized()->assertHeaderMissing('Set-Cookie');
        $this->get("/visits/{$visit->id}/box", $sent)->assertHeaderMissing('Set-Cookie');
        self::assertNotSame([], $this->get('/sign-in')->headers->getCookies(), 'a person who opens a page has one');
        $page = $this->actingAs($this->technician)->get("/visits/{$visit->id}/box", $sent);
        self::assertNotSame([], $page->headers->getCookies(), 'and keeps it');
    }

    public function test_what_somebody_else_made_on_the_device_stays_with_them(): void
    {
        $visit = $this->visit();
        $entry = ['kind' => 'reading', 'key' => 'box_temperature_c', 'value' => '4'];
        $other = $this->colleague();
        $this->actingAs($this->technician);
        $this->post("/visits/{$visit->id}/entries", $entry, self::OUTBOX + ['X-Made-By' => $other->id])
            ->assertConflict()
            ->assertJsonPath(
                'message',
                'Someone else is signed in on this device. The entry is held for the person who made it.',
            );
        self::assertSame(0, FactRecord::query()->count());
        $this->post(
            "/visits/{$visit->id}/entries",
            $entry,
            self::OUTBOX + ['X-Made-By' => $this->technician->id],
        )->assertOk();
        self::assertSame(1, FactRecord::query()->count());
    }

    public function test_two_tabs_lose_nothing(): void
    {
        $visit = $this->visit();
        $this->enter($visit, 'reading', 'box_temperature_c', '4');
        $this->enter($visit, 'reading', 'ambient_temperature_c', '25');
        $this->enter($visit, 'reading', 'box_temperature_c', '5');
        self::assertSame(3, FactRecord::query()->count(), 'a correction is an entry of its own');
        self::assertEqualsWithDelta(278.15, $visit->findings()->readings['box_temperature_c'], 1e-9);
        self::assertEqualsWithDelta(298.15, $visit->findings()->readings['ambient_temperature_c'], 1e-9);
    }

    public function test_undo_brings_back_what_stood_before_and_can_be_repeated_without_harm(): void
    {
        $visit = $this->visit();
        $this->enter($visit, 'reading', 'box_temperature_c', '4');
        $this->enter($visit, 'reading', 'box_temperature_c', '5');
        $last = FactRecord::query()->latest('seq')->firstOrFail();
        foreach ([1, 2] as $try) {
            $this->post("/visits/{$visit->id}/entries/{$last->id}/undo", ['stage' => 'gauges'], self::OUTBOX)
                ->assertOk()
                ->assertSee('id="cell-box-temperature-c"', false);
        }
        self::assertEqualsWithDelta(277.15, $visit->findings()->readings['box_temperature_c'], 1e-9);
        self::assertSame(3, FactRecord::query()->count(), 'the log keeps both readings and one undo');
    }

    public function test_an_entry_of_another_visit_cannot_be_undone_from_here(): void
    {
        $visit = $this->visit();
        $other = $this->visit();
        $this->enter($other, 'reading', 'box_temperature_c', '4');
        $entry = FactRecord::query()->sole();
        $this->post("/visits/{$visit->id}/entries/{$entry->id}/undo", [], self::OUTBOX)
            ->assertNotFound()
            ->assertJsonPath('message', 'This entry is not in the log of this visit.');
        self::assertNotSame([], $other->findings()->readings);
    }

    /** @return iterable<string, array{string, string, string, string}> kind, key, typed, a piece of the answer */
    public static function bad(): iterable
    {
        yield 'a word for a number' => ['reading', 'box_temperature_c', 'warm', 'is not a temperature'];
        yield 'another unit' => [
            'reading',
            'box_temperature_c',
            '4 bar',
            'bar is not a temperature unit. Use °C, °F or K.',
        ];
        yield 'hotter than any plant' => ['reading', 'box_temperature_c', '900', 'Enter −100 to 300 °C.'];
        yield 'below vacuum' => ['reading', 'suction_pressure_kpa', '-2 bar', 'at least'];
        yield 'above full' => ['reading', 'receiver_level_percent', '130', 'Enter 0 to 100'];
        yield 'half a fan' => [
            'reading',
            'fans_running',
            '1.5',
            'Fans running: you entered 1.5. Enter a whole number.',
        ];
        yield 'markup' => ['reading', 'box_temperature_c', '<b>4</b>', '“<b>4</b>”'];
        yield 'a reading that is none' => ['reading', 'mood_c', '4', 'Unknown reading: “mood_c”'];
        yield 'a word that is none' => [
            'observation',
            'sight_glass',
            'sparkling',
            'Sight glass: “sparkling” is not an option. Choose clear, bubbles',
        ];
        yield 'a question that is none' => ['observation', 'weather', 'fine', 'Unknown question: “weather”'];
        yield 'a state that is none' => ['state', 'state', 'dancing', 'Choose just started'];
        yield 'a fault that is none' => ['confirmed', 'bad_luck', 'yes', 'Unknown option: “bad_luck”'];
        yield 'a kind that is none' => ['gossip', 'x', 'y', 'Unknown kind of entry: “gossip”'];
        yield 'an empty line' => ['line', 'line', '   ', 'Type something first.'];
        yield 'an endless line' => ['line', 'line', str_repeat('suction ', 400), 'the limit is 2000'];
        yield 'an endless reading' => [
            'reading',
            'box_temperature_c',
            str_repeat('9', 9000),
            'is not a temperature',
        ];
        yield 'a line with an impossible value' => [
            'line',
            'line',
            'box 4, level 300%',
            'Enter 0 to 100',
        ];
    }

    #[DataProvider('bad')]
    public function test_bad_input_is_answered_in_words_and_harms_nothing(
        string $kind,
        string $key,
        string $typed,
        string $said,
    ): void {
        $visit = $this->visit();
        $this->enter($visit, $kind, $key, $typed)
            ->assertStatus(422)
            ->assertJsonPath('message', fn (string $why): bool => str_contains($why, $said))
            ->assertDontSee('Stack trace');
        self::assertSame(0, FactRecord::query()->count());
    }

    public function test_without_script_a_form_works_too(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician)
            ->post("/visits/{$visit->id}/entries", [
                'kind' => 'reading',
                'key' => 'box_temperature_c',
                'value' => '4',
                'stage' => 'box',
            ])
            ->assertRedirect("/visits/{$visit->id}/box");
        $this->from("/visits/{$visit->id}/box")
            ->post("/visits/{$visit->id}/entries", [
                'kind' => 'reading',
                'key' => 'box_temperature_c',
                'value' => 'warm',
                'stage' => 'box',
            ])
            ->assertRedirect("/visits/{$visit->id}/box");
        $this->get("/visits/{$visit->id}/box")
            ->assertSee('is not a temperature')
            ->assertSee('You typed “warm”', false);
    }

    public function test_a_quick_line_is_kept_piece_by_piece_once(): void
    {
        $visit = $this->visit();
        $id = (string) Str::ulid();
        foreach ([1, 2] as $try) {
            $this->enter($visit, 'line', 'line', 'suction 2.1 bar, glass bubbles, called since Sunday', [
                'id' => $id,
            ])
                ->assertOk()
                ->assertSee('id="cell-suction-pressure-kpa"', false);
        }
        self::assertSame(
            ['reading', 'observation', 'note'],
            FactRecord::query()->orderBy('seq')->pluck('kind')->all(),
        );
    }

    public function test_an_ice_machine_is_asked_of_its_ice_and_nothing_else_is_asked_for_its_production(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician)->get("/visits/{$visit->id}/complaint")->assertDontSee('Low ice production');
        $machine = Circuit::establish(
            $this->circuit->site,
            'Ice',
            ['kind' => 'ice_machine', 'refrigerant' => 'R-404A', 'condenser' => 'air_indoor'],
            [],
        );
        $ice = Visit::open($machine->load('site', 'plant'), $this->technician, now());
        $this->get("/visits/{$ice->id}/complaint")->assertSee('Low ice production')->assertDontSee('Too warm');
        foreach (['box', 'gauges', 'unit', 'verdict'] as $station) {
            $page = (string) $this->get("/visits/{$ice->id}/$station")->assertOk()->getContent();
            foreach (['box-temperature-c', 'supply-air-temperature-c', 'fans-running', 'pull-down-rate'] as $cell) {
                self::assertStringNotContainsString('id="cell-'.$cell, $page, $station);
            }
        }
    }

    public function test_a_set_point_that_is_told_is_the_circuits(): void
    {
        $visit = $this->visit();
        $this->enter($visit, 'line', 'line', 'box 9, box set 35 f')->assertOk();
        self::assertEqualsWithDelta(274.82, (float) $visit->findings()->circuit->design->boxSetPoint, 0.01);
        self::assertEqualsWithDelta(
            274.82,
            (float) $visit->circuit->refresh()->known()->design->boxSetPoint,
            0.01,
        );
    }

    public function test_a_quick_line_is_explained_before_it_is_entered(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician)
            ->get("/visits/{$visit->id}/meaning?value=".urlencode('suction 32psi, level 300%, hum, rec'))
            ->assertOk()
            ->assertSee('Suction pressure 2.21 bar')
            ->assertSee('Enter 0 to 100')
            ->assertSee('note: hum')
            ->assertSee('data-complete="eiver"', false);
        self::assertSame(0, FactRecord::query()->count());
    }

    public function test_complaints_add_up_and_can_be_taken_back(): void
    {
        $visit = $this->visit();
        $this->enter($visit, 'complaint', 'too_warm', 'yes');
        $this->enter($visit, 'complaint', 'iced_up', 'yes');
        self::assertCount(2, $visit->findings()->complaints);
        $this->enter($visit, 'complaint', 'too_warm', 'no');
        self::assertSame('iced_up', $visit->findings()->complaints[0]->value);
    }

    public function test_a_fault_is_confirmed_or_ruled_out_with_its_reason(): void
    {
        $visit = $this->visit();
        $this->enter($visit, 'complaint', 'too_warm', 'yes');
        $this->enter($visit, 'confirmed', 'condenser_airflow_low', 'yes')
            ->assertOk()
            ->assertSee('Confirmed: low condenser airflow');
        $this->enter($visit, 'ruled_out', 'undercharge', 'yes', [
            'reason' => 'level stands at half',
        ])->assertOk();
        $this->get("/visits/{$visit->id}/verdict")->assertSee(
            'Ruled out: Low refrigerant charge, because level stands at half',
        );
        self::assertNotContains('undercharge', $this->suspects($visit));
        $this->enter($visit, 'ruled_out', 'undercharge', 'no');
        self::assertContains('undercharge', $this->suspects($visit));
    }

    public function test_a_closed_visit_takes_no_entries_until_it_is_opened_again(): void
    {
        $visit = $this->visit();
        $this->enter($visit, 'reading', 'box_temperature_c', '4');
        $this->post("/visits/{$visit->id}/close")->assertRedirect("/visits/{$visit->id}/report");
        $this->enter($visit, 'reading', 'box_temperature_c', '9')->assertForbidden();
        $this->get("/visits/{$visit->id}/gauges")
            ->assertOk()
            ->assertSee('This visit is closed')
            ->assertSee('disabled', false);
        self::assertSame(1, FactRecord::query()->count());
        $this->post("/visits/{$visit->id}/reopen")->assertForbidden();
        $this->actingAs($this->colleague(User::LEAD))
            ->post("/visits/{$visit->id}/reopen")
            ->assertRedirect();
        $this->enter($visit, 'reading', 'box_temperature_c', '9')->assertOk();
    }

    public function test_each_reads_in_their_own_units(): void
    {
        $visit = $this->visit();
        $this->read($visit, ['suction_pressure_kpa' => '2.2 bar', 'box_temperature_c' => '5 C']);
        $other = User::query()->create([
            'name' => 'Tamsin',
            'email' => 'tamsin@tarnevik.example',
            'password' => 'x',
            'settings' => ['temperature' => 'f', 'pressure' => 'psi'],
        ]);
        $page = $this->actingAs($other)->get("/visits/{$visit->id}/gauges");
        $page->assertSee('value="31.9"', false)->assertSee('value="41.0"', false)->assertSee('°F');
    }

    public function test_cautions_stand_where_the_step_is(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician)
            ->get("/visits/{$visit->id}/box")
            ->assertSee('Iced or wet floor')
            ->assertSee('Fans and units start automatically. Switch off, lock out and prove dead before reaching in');
        $this->get("/visits/{$visit->id}/unit")
            ->assertSee('Hot: discharge line, bypass line, heaters. Use a clamp; do not touch');
        $this->get("/visits/{$visit->id}/gauges")
            ->assertSee(
                'Every connection loses refrigerant and can damage the core. Short low-loss hoses, gloves, glasses',
            )
            ->assertSee('Licensed handling');
        $this->get("/visits/{$visit->id}/verdict")->assertSee('Log it as found. Restore it before you leave');
        $this->circuit->describe(
            ['refrigerant' => 'R-290'] + $this->circuit->systemWords(),
            $this->circuit->designWords(),
        );
        $visit = $this->visit();
        $this->get("/visits/{$visit->id}/gauges")->assertSee('Flammable refrigerant');
    }

    /** @return list<string> */
    private function suspects(Visit $visit): array
    {
        return array_map(
            static fn (Suspect $one): string => $one->fault->value,
            $this->judged($visit)->verdict->suspects,
        );
    }
}
