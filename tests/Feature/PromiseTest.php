<?php

namespace Tests\Feature;

use App\Models\FollowUp;
use App\Models\User;
use App\Models\Visit;
use App\Models\Workshop;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Tests\TestCase;

/** Promises: why, when else, what is prepared and brought; overdue first; calendars to subscribe to. */
final class PromiseTest extends TestCase
{
    public function test_a_promise_says_why_and_what_it_needs_wherever_it_is_shown(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician)->post("/visits/{$visit->id}/follow-ups", [
            'what' => 'Look at the coil again',
            'due_on' => now()->addDays(9)->format('Y-m-d'),
            'why' => 'it was iced at the back',
            'condition' => 'after two defrosts',
            'prepare' => 'empty the lower shelves',
            'bring' => 'the long probe',
            'stage' => 'leave',
        ], self::OUTBOX)->assertOk();
        $kept = FollowUp::query()->sole();
        self::assertSame('after two defrosts', $kept->condition);
        foreach (['/', "/circuits/{$this->circuit->id}", "/visits/{$visit->id}/leave"] as $page) {
            $this->get($page)->assertOk()->assertSee('Bring: the long probe')
                ->assertSee('Customer prepares: empty the lower shelves');
        }
        $this->get("/follow-ups/{$kept->id}/calendar.ics")->assertSee('the long probe');
        $this->post("/visits/{$visit->id}/follow-ups", [
            'what' => 'x',
            'due_on' => now()->addDays(9)->format('Y-m-d'),
            'why' => str_repeat('x', 300),
            'stage' => 'leave',
        ], self::OUTBOX)->assertStatus(422);
    }

    public function test_what_is_overdue_stands_first_and_says_since_when(): void
    {
        $visit = $this->visit();
        $this->promise('Later', 20);
        $this->promise('Long ago', -12);
        $this->promise('Yesterday', -1);
        $this->actingAs($this->technician)->get('/')
            ->assertSeeInOrder(['Long ago', 'overdue since', 'Yesterday', 'overdue since', 'Later']);
        self::assertSame($visit->id, FollowUp::query()->first()?->visit_id);
    }

    public function test_what_does_not_fit_into_the_time_on_site_becomes_a_follow_up_in_one_tap(): void
    {
        $visit = $this->starved();
        $this->get("/visits/{$visit->id}/verdict")->assertSee('Time on site: not entered')->assertDontSee('Fits now');
        $at = ['stage' => 'verdict'];
        $this->enter($visit, 'site', 'no_unit', 'yes', $at)->assertOk()->assertSee('Does not fit');
        $page = (string) $this->get("/visits/{$visit->id}/verdict")->assertSee('no access to the unit')->getContent();
        $isForm = preg_match('~<form class="row-link".*?</form>~', $page, $form) === 1;
        self::assertTrue($isForm);
        preg_match_all('/name="(what|due_on|why|prepare|bring)" value="([^"]*)"/', $form[0], $fields, PREG_SET_ORDER);
        $promise = array_column($fields, 2, 1);
        self::assertSame('access to the unit', $promise['prepare']);
        $this->post("/visits/{$visit->id}/follow-ups", $promise + $at, self::OUTBOX)->assertOk();
        $kept = FollowUp::query()->sole();
        self::assertSame('no access to the unit', $kept->why);
        $shown = '<span class="grow">'.$promise['what'];
        $this->get("/visits/{$visit->id}/verdict")->assertDontSee($shown, false);
        $this->get('/')->assertSee($promise['what']);
        $this->enter($visit, 'site', 'leave_by', 'soon', $at)->assertStatus(422)->assertSee('Enter a time as 22:30');
        $this->enter($visit, 'site', 'leave_by', '5 min', $at)->assertOk()->assertSee('Nothing that is proposed fits.');
    }

    public function test_a_leak_search_that_found_nothing_brings_its_own_return_and_no_other_does(): void
    {
        foreach (['found' => 0, 'nothing' => 1] as $end => $count) {
            $visit = $this->starved();
            $card = ['card' => 'leak_search', 'stage' => 'put_right'];
            $this->enter($visit, 'card', 'leak_search.begun', 'yes', $card)->assertOk();
            $this->enter($visit, 'card', 'leak_search.ports', 'clear_both', $card)->assertOk();
            $this->enter($visit, 'card', 'leak_search.found', $end, $card)->assertOk();
            $came = $end === 'found' ? 'found' : 'likely_left';
            $this->enter($visit, 'card', 'leak_search.done', $came, $card)->assertOk();
            self::assertSame($count, $visit->followUps()->count(), $end);
        }
        $kept = FollowUp::query()->sole();
        self::assertStringStartsWith('Leak search: nothing found', $kept->what);
        self::assertStringContainsString('Chance a leak remains', $kept->why);
        self::assertSame('a time at which the system may be stopped', $kept->prepare);
    }

    public function test_what_shows_only_over_days_is_dated_when_a_visit_is_closed_without_a_date(): void
    {
        $closed = function (bool $dated): array {
            $visit = $this->visit();
            $set = ['reason' => '6', 'overruled' => 'as agreed'];
            $this->enter($visit, 'move', 'defrost_count_set', '4', $set)->assertOk();
            if ($dated) {
                $due = Carbon::today()->addDays(5);
                FollowUp::note($visit, $this->technician, $due, 'Come back', null);
            }
            $this->post("/visits/{$visit->id}/close")->assertRedirect("/visits/{$visit->id}/report");
            $this->post("/visits/{$visit->id}/close");

            return $visit->followUps()->pluck('what')->all();
        };
        self::assertContains('Re-check: defrosts per day changed', $closed(dated: false));
        self::assertNotContains('Re-check: defrosts per day changed', $closed(dated: true));
        $kept = FollowUp::query()->where('what', 'Re-check: defrosts per day changed')->sole();
        self::assertSame('after two defrosts or a day', $kept->condition);
        self::assertTrue($kept->due_on->isSameDay(Carbon::today()->addDays(2)));
    }

    public function test_a_technician_and_the_workshop_have_calendars_at_secret_addresses_that_can_be_renewed(): void
    {
        $this->visit();
        $this->promise('Mine', 3);
        $other = $this->colleague();
        $this->promise('Theirs', 4, $other);
        $this->actingAs($this->technician)->post('/settings/calendar')->assertRedirect('/settings');
        $key = (string) $this->technician->refresh()->calendar_key;
        $this->get('/settings')->assertSee("/calendar/$key.ics");
        $this->post('/settings/workshop/calendar')->assertForbidden();
        $this->actingAs($this->colleague(User::LEAD))->post('/settings/workshop/calendar')->assertRedirect();
        $whole = (string) Workshop::current()->calendar_key;
        Auth::logout();
        self::assertSame(['Mine (Cold room 2)'], $this->summaries($key));
        self::assertSame(['Mine (Cold room 2)', 'Theirs (Cold room 2)'], $this->summaries($whole));
        $this->actingAs($this->technician)->post('/settings/calendar');
        Auth::logout();
        $this->get("/calendar/$key.ics")->assertNotFound();
        $this->get('/calendar/.ics')->assertNotFound();
        $this->technician->refresh()->update(['disabled_at' => now()]);
        $this->get('/calendar/'.$this->technician->calendar_key.'.ics')->assertNotFound();
    }

    /** @return list<string> what stands in a calendar, as another program reads it */
    private function summaries(string $key): array
    {
        $calendar = Reader::read((string) $this->get("/calendar/$key.ics")->assertOk()->getContent());
        self::assertInstanceOf(VCalendar::class, $calendar);
        $summaries = [];
        foreach ($calendar->select('VEVENT') as $event) {
            $summaries[] = (string) $event->SUMMARY;
        }

        return $summaries;
    }

    private function promise(string $what, int $days, ?User $user = null): void
    {
        $visit = Visit::query()->with('circuit')->firstOrFail();
        FollowUp::note($visit, $user ?? $this->technician, Carbon::today()->addDays($days), $what, null);
    }
}
