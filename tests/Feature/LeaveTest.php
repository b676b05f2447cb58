<?php

namespace Tests\Feature;

use App\Models\FactRecord;
use App\Models\FollowUp;
use App\Models\HouseRuleChoice;
use App\Models\VerdictSnapshot;
use App\Models\Visit;
use App\View\OwnerSummary;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Metrum\Work\OpenTouches;
use PHPUnit\Framework\Attributes\DataProvider;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Reader;
use Tests\TestCase;

/** What is left behind: report, PDF, visit file, follow-up. */
final class LeaveTest extends TestCase
{
    private function complained(): Visit
    {
        $visit = $this->starved();
        $this->enter($visit, 'complaint', 'too_warm', 'yes');
        $this->enter($visit, 'observation', 'frost_coil', 'inlet_only');

        return $visit;
    }

    public function test_the_report_tells_the_owner_and_keeps_the_record(): void
    {
        $visit = $this->complained();
        $this->enter($visit, 'line', 'line', 'keeper has the key to the roof');
        $page = $this->get("/visits/{$visit->id}/report")->assertOk();
        $page
            ->assertSee('You reported: too warm.')
            ->assertSee('lost part of its refrigerant')
            ->assertSee('Low refrigerant charge')
            ->assertSee('Suction pressure')
            ->assertSee('2.15 bar')
            ->assertSee('Frost on the coil')
            ->assertSee('keeper has the key to the roof')
            ->assertSee('all house rules at default')
            ->assertSee('Do not add refrigerant yet');
    }

    public function test_the_report_says_which_house_rules_were_in_force(): void
    {
        HouseRuleChoice::query()->create([
            'rule' => 'superheat_medium',
            'choice' => 'high',
            'user_id' => $this->technician->id,
        ]);
        $this->actingAs($this->technician)->post("/circuits/{$this->circuit->id}/visits");
        $visit = Visit::query()->sole();
        HouseRuleChoice::query()->where('rule', 'superheat_medium')->delete();
        $this->get("/visits/{$visit->id}/report")->assertSee(
            'superheat at the coil, medium temperature (house rule: 6 to 9 K)',
        );
    }

    public function test_the_pdf_is_a_pdf_with_the_course_in_it(): void
    {
        $answer = $this->actingAs($this->technician)
            ->get("/visits/{$this->complained()->id}/report.pdf")
            ->assertOk();
        $pdf = (string) $answer->getContent();
        self::assertStringStartsWith('%PDF-', $pdf);
        self::assertSame('application/pdf', $answer->headers->get('Content-Type'));
        self::assertStringContainsString(
            'report-brygga-fish-hall-cold-room-2-',
            (string) $answer->headers->get('Content-Disposition'),
        );
        $text = self::textOf($pdf);
        self::assertStringContainsString('Low refrigerant charge', $text);
        self::assertStringContainsString('2.15 bar', $text);
        self::assertStringContainsString('Do not add refrigerant yet', $text);
        $nothing = (string) $this->get("/visits/{$this->visit()->id}/report.pdf")->getContent();
        self::assertGreaterThan(40 + self::strokesOf($nothing), self::strokesOf($pdf), 'lines of the course');
    }

    public function test_a_report_of_nothing_is_short_and_whole(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician)
            ->get("/visits/{$visit->id}/report")
            ->assertOk()
            ->assertSee('Nothing was measured yet');
        $this->get("/visits/{$visit->id}/report.pdf")->assertOk();
    }

    public function test_own_words_for_the_owner_stand_until_they_are_cleared(): void
    {
        $visit = $this->complained();
        $this->enter($visit, 'note', 'summary', 'Gas is low. We come back on Monday.', ['stage' => 'leave']);
        $this->get("/visits/{$visit->id}/report")
            ->assertSee('Gas is low. We come back on Monday.')
            ->assertDontSee('You reported');
        $this->enter($visit, 'note', 'summary', '', ['stage' => 'leave']);
        $this->get("/visits/{$visit->id}/report")->assertSee('You reported');
    }

    public function test_the_summary_changes_with_what_is_proven(): void
    {
        $visit = $this->complained();
        $summary = fn (): string => (new OwnerSummary($this->judged($visit), new \Metrum\Quantity\Units()))->text();
        self::assertStringContainsString('leak', $summary());
        $this->enter($visit, 'confirmed', 'drain_blocked', 'yes');
        self::assertStringContainsString('Confirmed: Meltwater cannot drain', $summary());
        self::assertStringContainsString('We will clear the drain and check its heater, slope and trap', $summary());
    }

    public function test_a_visit_file_comes_back_as_the_same_visit(): void
    {
        $visit = $this->complained();
        $text = (string) $this->get("/visits/{$visit->id}/file.json")
            ->assertOk()
            ->assertHeader('Content-Disposition', 'attachment; filename="visit-'.$visit->id.'.json"')
            ->getContent();
        // Here already: nothing is doubled.
        $this->import($text)->assertRedirect("/visits/{$visit->id}/verdict");
        self::assertSame(1, Visit::query()->count());
        // Elsewhere: the same findings, entry by entry.
        VerdictSnapshot::query()->delete();
        FactRecord::query()->delete();
        $visit->delete();
        $this->import($text, $this->circuit->id)->assertRedirect("/visits/{$visit->id}/verdict");
        $again = (string) $this->get("/visits/{$visit->id}/file.json")->getContent();
        self::assertSame($text, $again);
        self::assertSame(['import'], FactRecord::query()->distinct()->pluck('source')->all());
    }

    public function test_a_changed_file_of_a_known_visit_is_a_visit_of_its_own(): void
    {
        $visit = $this->complained();
        $text = (string) $this->get("/visits/{$visit->id}/file.json")->getContent();
        $this->import(str_replace('"bubbles"', '"clear"', $text), $this->circuit->id)->assertRedirect();
        self::assertSame(2, Visit::query()->count());
        self::assertSame('bubbles', $visit->findings()->observations['sight_glass']->value);
    }

    public function test_many_visits_come_in_one_file_all_or_none(): void
    {
        $line = static fn (
            string $refrigerant,
        ): string => '{"format":"metrum-visit","version":1,"system":{"refrigerant":"'.
            $refrigerant.
            '","atmospheric_kpa":80.5},"readings":{"box_temperature_c":3}}';
        $this->actingAs($this->technician);
        $this->import($line('R-134a')."\n".$line('R-9000'))
            ->assertRedirect()
            ->assertSessionHas(
                'refused',
                fn (array $reasons): bool => str_starts_with($reasons[0], 'line 2, system.refrigerant'),
            );
        self::assertSame(0, Visit::query()->count());
        $this->import($line('R-134a')."\n".$line('R-290')."\n")->assertRedirect();
        self::assertSame(2, Visit::query()->count());
        // The site of imported visits stands as high as its air is thin.
        self::assertEqualsWithDelta(
            80.5e3,
            Visit::query()->firstOrFail()->circuit->site->atmosphere()->pascal,
            5.0,
        );
    }

    public function test_a_refused_file_says_where_and_why_and_changes_nothing(): void
    {
        $this->actingAs($this->technician);
        $this->followingRedirects()
            ->import(
                '{"format":"metrum-visit","version":1,"system":{"refrigerant":"R-134a"},'.
                    '"readings":{"box_temperature_c":"<b>"}}',
            )
            ->assertSee('Nothing imported.')
            ->assertSee('readings.box_temperature_c')
            ->assertSee('&lt;b&gt;', false);
        $this->followingRedirects()->import('not a file of ours')->assertSee('Nothing imported.');
        $this->followingRedirects()->import('')->assertSee('Nothing imported.');
        $this->followingRedirects()
            ->from('/import')
            ->post('/import', [])
            ->assertSee('Choose a visit file first.');
        self::assertSame(0, Visit::query()->count());
    }

    public function test_a_follow_up_is_promised_once_and_goes_into_the_calendar(): void
    {
        $visit = $this->visit();
        $id = (string) Str::ulid();
        foreach ([1, 2] as $try) {
            $this->actingAs($this->technician)
                ->post("/visits/{$visit->id}/follow-ups", [
                    'id' => $id,
                    'what' => 'Search the leak, roof; bring nitrogen',
                    'due_on' => now()->addDays(3)->format('Y-m-d'),
                ])
                ->assertRedirect("/visits/{$visit->id}/leave");
        }
        $followUp = FollowUp::query()->sole();
        $this->get('/')->assertSee('Search the leak, roof');
        $file = $this->get("/follow-ups/{$followUp->id}/calendar.ics")->assertOk();
        self::assertStringStartsWith('text/calendar', (string) $file->headers->get('Content-Type'));
        $calendar = Reader::read((string) $file->getContent());
        self::assertInstanceOf(VCalendar::class, $calendar);
        [$event] = $calendar->select('VEVENT');
        self::assertInstanceOf(VEvent::class, $event);
        $said = static fn (string $name): string => (string) $event->select($name)[0];
        self::assertSame('Search the leak, roof; bring nitrogen (Cold room 2)', $said('SUMMARY'));
        self::assertSame(now()->addDays(3)->format('Ymd'), $said('DTSTART'));
        $this->post("/follow-ups/{$followUp->id}/done", ['done' => 1]);
        $this->post("/follow-ups/{$followUp->id}/done", ['done' => 1]);
        $this->get('/')->assertSee('Reopen');
        $this->travel(1)->days();
        $this->get('/')->assertDontSee('Search the leak, roof');
        $this->travelBack();
        $this->post("/follow-ups/{$followUp->id}/done", ['done' => 0]);
        self::assertNull($followUp->fresh()?->done_at, 'done can be taken back');
    }

    public function test_a_follow_up_needs_a_date_ahead_and_words(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician)
            ->from("/visits/{$visit->id}/leave")
            ->post("/visits/{$visit->id}/follow-ups", ['what' => '', 'due_on' => '2020-01-01'])
            ->assertRedirect("/visits/{$visit->id}/leave")
            ->assertSessionHasErrors(['what', 'due_on']);
        $this->get("/visits/{$visit->id}/leave")->assertSee('The date is in the past. Choose today or later');
        self::assertSame(0, FollowUp::query()->count());
    }

    /** @return iterable<string, array{string}> */
    public static function noDates(): iterable
    {
        yield 'no month' => ['9999-99-99'];
        yield 'the 31st of February' => ['2026-02-31'];
        yield 'no hour' => ['2026-02-03T25:00:00Z'];
        yield 'no zone' => ['2026-02-03T10:00:00+99:00'];
        yield 'before our time' => ['0001-01-01'];
        yield 'not come yet' => ['2999-01-01T10:00:00Z'];
        yield 'words' => ['yesterday'];
    }

    #[DataProvider('noDates')]
    public function test_a_date_that_does_not_exist_is_refused_and_never_another(string $date): void
    {
        $file = [
            'format' => 'metrum-visit',
            'version' => 1,
            'taken_at' => $date,
            'system' => ['refrigerant' => 'R-448A'],
        ];
        $this->import(json_encode($file, JSON_THROW_ON_ERROR))->assertRedirect('/import');
        $this->get('/import')->assertSee('taken_at: ')->assertSee($date);
        self::assertSame(0, Visit::query()->count());

        $visit = $this->visit();
        $this->from("/visits/{$visit->id}/leave")
            ->post("/visits/{$visit->id}/follow-ups", ['what' => 'look again', 'due_on' => $date])
            ->assertSessionHasErrors('due_on');
        self::assertSame(0, FollowUp::query()->count());
    }

    /** @return list<string> what is drawn and written on the pages of a PDF */
    private static function pagesOf(string $pdf): array
    {
        preg_match_all('/stream\r?\n(.*?)\r?\nendstream/s', $pdf, $streams);

        return array_map(static fn (string $stream): string => (string) @gzinflate(substr($stream, 2)), $streams[1]);
    }

    /** How many straight lines and curves are drawn in a PDF. */
    private static function strokesOf(string $pdf): int
    {
        return (int) preg_match_all('/\d [lc]$/m', implode("\n", self::pagesOf($pdf)));
    }

    /** What stands in the pages of a PDF, as text. */
    private static function textOf(string $pdf): string
    {
        $text = '';
        foreach (self::pagesOf($pdf) as $page) {
            preg_match_all('/\((.*?)(?<!\\\\)\)\s*\]?\s*T[jJ]/s', $page, $pieces);
            foreach ($pieces[1] as $piece) {
                $text .= mb_convert_encoding(stripslashes($piece), 'UTF-8', 'UTF-16BE').' ';
            }
        }

        return (string) preg_replace('/\s+/u', ' ', $text);
    }

    /** @return TestResponse<Response> */
    private function import(string $text, ?string $circuit = null): TestResponse
    {
        return $this->actingAs($this->technician)
            ->from('/import')
            ->post('/import', [
                'file' => UploadedFile::fake()->createWithContent('visit.json', $text),
                'circuit_id' => $circuit,
            ]);
    }

    public function test_what_is_dangerous_stands_first_until_it_is_made_safe_and_in_the_report(): void
    {
        $visit = $this->visit();
        $this->enter($visit, 'line', 'line', 'floor iced')->assertOk()->assertSee('Make safe first');
        foreach (['complaint', 'gauges', 'put_right', 'leave'] as $station) {
            $page = (string) $this->get("/visits/{$visit->id}/$station")->getContent();
            self::assertStringContainsString('Make safe first: iced or wet floor', $page);
            self::assertLessThan(strpos($page, 'id="stage"'), strpos($page, 'Make safe first'), $station);
        }
        $this->get("/visits/{$visit->id}/report")->assertSee('Danger: iced or wet floor. Not made safe yet');
        $this->post("/visits/{$visit->id}/close")->assertSessionHasErrors('value');
        $this->enter($visit, 'restored', 'iced_or_wet_floor', 'yes')->assertOk()->assertDontSee('Make safe first');
        $this->get("/visits/{$visit->id}/report")->assertDontSee('Not made safe yet');
        $this->post("/visits/{$visit->id}/close")->assertSessionHasNoErrors();
    }

    /** @return iterable<string, array{string, string, string, string}> kind, key, word, what holds it open */
    public static function held(): iterable
    {
        yield 'a stem on manual' => ['observation', 'regulator_stem', 'manual', 'regulator_stem_on_manual'];
        yield 'a changed thermostat' => ['line', 'line', 'set 4 found 2', 'thermostat'];
        yield 'a jumper' => ['line', 'line', 'jumpered', 'jumper'];
        yield 'a coil off its stem' => ['line', 'line', 'solenoid coil off', 'solenoid_coil_off'];
        yield 'a lock nut' => ['touched', 'lock_nut', 'yes', 'lock_nut'];
    }

    #[DataProvider('held')]
    public function test_it_holds_the_visit_open_until_it_is_put_back(
        string $kind,
        string $key,
        string $word,
        string $held,
    ): void {
        $visit = $this->visit();
        $this->enter($visit, $kind, $key, $word)->assertOk();
        self::assertSame([$held], OpenTouches::of($visit->log())->keys());
        $this->post("/visits/{$visit->id}/close")->assertSessionHasErrors('value');
        $this->enter($visit, 'restored', $held, 'yes')->assertOk();
        $this->post("/visits/{$visit->id}/close")->assertSessionHasNoErrors();
    }
}
