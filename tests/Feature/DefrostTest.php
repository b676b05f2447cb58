<?php

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\Plant;
use App\Models\Site;
use App\Models\Visit;
use App\View\Defrost\DayTimes;
use Metrum\Installation\InstallationReader;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Tests\TestCase;

/** The defrost schedule of a rack: proposed, moved by hand, looked through, taken along. */
final class DefrostTest extends TestCase
{
    private Plant $plant;

    protected function setUp(): void
    {
        parent::setUp();
        $story = json_decode((string) file_get_contents(database_path('seeders/rack.json')), true);
        $site = Site::query()->create(['name' => 'Lunden grocery', 'place' => 'Market 2', 'altitude_m' => 0]);
        $plant = InstallationReader::stored(json_encode($story['installation'], JSON_THROW_ON_ERROR));
        $circuits = Circuit::establishAll($site, $plant, $story['name'], $story['names']);
        $this->plant = $circuits['circuit 1']->plant;
        $this->plant->update(['name' => $story['name']]);
        $this->actingAs($this->technician);
    }

    public function test_a_schedule_is_proposed_that_keeps_all_rules(): void
    {
        $this->get("/racks/{$this->plant->id}/defrost")
            ->assertOk()
            ->assertSee('All rules are kept.')
            ->assertSee('Meat wall')
            ->assertSee('kg of frost a day')
            ->assertSee('22.0 °C and 48 % in the store');
    }

    public function test_frost_follows_what_was_last_read_in_the_store(): void
    {
        $circuit = Circuit::query()->where('part', 'circuit 1')->where('plant_id', $this->plant->id)->firstOrFail();
        $visit = Visit::open($circuit->load('site', 'plant'), $this->technician, now());
        $this->enter($visit, 'reading', 'store_temperature_c', '25', ['stage' => 'board', 'part' => 'plant']);
        $this->enter($visit, 'reading', 'store_humidity_percent', '63', ['stage' => 'board', 'part' => 'plant']);

        $this->get("/racks/{$this->plant->id}/defrost")->assertSee('25.0 °C and 63 % in the store');
    }

    public function test_starts_moved_by_hand_are_looked_through(): void
    {
        $at = "/racks/{$this->plant->id}/defrost";
        $this->get("$at?starts-1=10:00&busy=09:45-11:00&at_once=2")
            ->assertSee('Not all rules are kept.')
            ->assertSee('10:00: Dairy cases in defrost in a time kept free.')
            ->assertSee('Too few defrosts: ice grows from one to the next.');
        $this->get("$at?at_once=1&starts-1=02:00+08:00+14:00+20:00&starts-4=02:10+08:10+14:10+20:10")
            ->assertSee('02:10: Dairy cases, Meat wall in defrost together. 1 at once are allowed.');
    }

    public function test_what_is_no_time_is_refused_and_kept(): void
    {
        $this->get("/racks/{$this->plant->id}/defrost?starts-1=25:00+8&busy=lunch")
            ->assertOk()
            ->assertSee('Dairy cases: you entered “25:00 8”. Enter times such as 02:00 08:30.')
            ->assertSee('Times to keep free: you entered “lunch”.')
            ->assertSee('value="25:00 8"', false)
            ->assertSee('Not all rules are kept.');
        $this->get("/racks/{$this->plant->id}/defrost?at_once[]=4&starts-99=1")->assertOk();
    }

    public function test_a_schedule_is_kept_with_the_rack_and_the_board_says_what_is_next(): void
    {
        $at = "/racks/{$this->plant->id}/defrost";
        $this->get($at)->assertSee('Not saved yet.');
        $this->travelTo(now()->setTime(10, 10));
        $starts = ['at_once' => '2', 'starts-1' => '02:00 08:00 14:00 20:00', 'starts-3' => '10:30'];
        $this->post($at, $starts)->assertRedirect($at);
        $this->get($at)->assertSee('As saved for this rack.')->assertSee('02:00 08:00 14:00 20:00');
        $circuit = Circuit::query()->where('part', 'circuit 1')->where('plant_id', $this->plant->id)->firstOrFail();
        $visit = Visit::open($circuit->load('site', 'plant'), $this->technician, now());
        $this->get("/visits/{$visit->id}/board")->assertSee('Next defrost')->assertSee('Deli counter 10:30');
        $this->get("$at?propose=1")->assertSee('Not saved yet.');
        $this->post($at, ['starts-1' => '25:00'])->assertRedirect();
        self::assertSame('02:00 08:00 14:00 20:00', $this->plant->fresh()->defrosts['starts-1'], 'the old one stands');
    }

    public function test_it_goes_along_as_a_spreadsheet_and_a_calendar_of_every_day(): void
    {
        $csv = (string) $this->get("/racks/{$this->plant->id}/defrost.csv?starts-1=02:00+08:00+14:00+20:00")
            ->assertOk()
            ->getContent();
        self::assertStringContainsString("circuit,kind,start,minutes\n", $csv);
        self::assertStringContainsString('"Dairy cases",off_cycle,02:00,25', $csv);
        $calendar = Reader::read((string) $this->get("/racks/{$this->plant->id}/defrost.ics")->getContent());
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());
        self::assertStringContainsString('RRULE:FREQ=DAILY', $calendar->serialize());
    }

    public function test_a_plain_unit_has_no_schedule(): void
    {
        $this->get("/racks/{$this->circuit->plant_id}/defrost")->assertNotFound();
    }

    public function test_times_are_read_as_people_type_them(): void
    {
        self::assertSame([120, 510, 0], DayTimes::times('2, 8.30; 24:00'));
        self::assertNull(DayTimes::times('8:75'));
        self::assertSame([[600, 690], [1320, 120]], DayTimes::spans('10:00 – 11:30, 22-2'));
        self::assertNull(DayTimes::spans('10:00'));
        self::assertSame(120, DayTimes::length(1320, 120));
    }
}
