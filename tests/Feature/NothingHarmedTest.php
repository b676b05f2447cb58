<?php

namespace Tests\Feature;

use App\Models\Cylinder;
use App\Models\FactRecord;
use App\Models\FollowUp;
use App\Models\Import;
use App\Models\StockMove;
use App\Models\User;
use App\Models\Visit;
use App\Records\ImportSteps;
use App\Records\SignInGuard;
use App\Records\VisitLines;
use App\Records\WritersLock;
use ErrorException;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use Tests\Core\Visits;
use Tests\TestCase;

/** What goes wrong around the logbook harms nothing in it: full disks, copies brought back, two at once, strangers. */
final class NothingHarmedTest extends TestCase
{
    #[Group('figures')]
    public function test_of_a_logbook_that_cannot_be_written_all_is_read_and_entries_wait(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician)->get("/circuits/{$this->circuit->id}")->assertOk();
        DB::statement('pragma query_only = on');
        try {
            foreach (['/', '/sites', "/circuits/{$this->circuit->id}", '/refrigerant', '/handbook'] as $page) {
                $this->get($page)->assertOk();
            }
            foreach (['complaint', 'gauges', 'verdict', 'put_right', 'leave', 'report'] as $page) {
                $this->get("/visits/{$visit->id}/$page")->assertOk();
            }
            $this->enter($visit, 'reading', 'box_temperature_c', '9')
                ->assertStatus(503)
                ->assertSee('Saving is not possible right now. Saved entries are safe. Try again in a moment');
            $this->post("/circuits/{$this->circuit->id}/visits")->assertRedirect();
        } finally {
            DB::statement('pragma query_only = off');
        }
        $this->enter($visit, 'reading', 'box_temperature_c', '9')->assertOk();
    }

    public function test_a_full_disk_signs_nobody_out_and_takes_no_page_down(): void
    {
        config(['session.driver' => 'file', 'session.files' => $folder = $this->emptyFolder()]);
        $this->app->instance(Filesystem::class, $full = new class() extends Filesystem
        {
            public bool $isFull = false;

            public function replace($path, $content, $mode = null)
            {
                $said = 'file_put_contents(): Only 0 of 9 bytes written, possibly out of free disk space';
                throw_if($this->isFull, new ErrorException($said));
                parent::replace($path, $content, $mode);
            }
        });
        $this->post('/sign-in', ['email' => 'ylva@tarnevik.example', 'password' => 'a cold room'])->assertRedirect('/');
        $kept = glob("$folder/*") ?: [];
        self::assertNotSame([], $kept);
        $before = array_map(file_get_contents(...), $kept);
        $full->isFull = true;
        $this->get('/')->assertOk();
        self::assertSame($before, array_map(file_get_contents(...), $kept));
    }

    private function emptyFolder(): string
    {
        $folder = sys_get_temp_dir().'/metrum-'.bin2hex(random_bytes(6));
        mkdir($folder);
        $this->beforeApplicationDestroyed(static function () use ($folder): void {
            array_map(unlink(...), glob("$folder/*") ?: []);
            rmdir($folder);
        });

        return $folder;
    }

    public function test_while_a_copy_is_brought_back_nobody_writes_and_everybody_reads(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician);
        WritersLock::shut(1.0, function () use ($visit): void {
            $this->get("/visits/{$visit->id}/gauges")->assertOk();
            $this->enter($visit, 'reading', 'box_temperature_c', '9')
                ->assertStatus(503)
                ->assertHeader('Retry-After')
                ->assertSee('A backup is being restored. Nothing can be saved during that time');
        });
        self::assertSame(0, FactRecord::query()->count());
        $this->enter($visit, 'reading', 'box_temperature_c', '9')->assertOk();
        self::assertSame(1, FactRecord::query()->count());
    }

    public function test_writers_under_way_are_waited_for(): void
    {
        self::assertTrue(WritersLock::share());
        try {
            $this->expectExceptionMessage('Someone is still writing');
            WritersLock::shut(0.05, static fn (): bool => true);
        } finally {
            WritersLock::release();
        }
    }

    public function test_pages_that_are_read_write_nothing(): void
    {
        $visit = $this->visit();
        $this->read($visit, ['box_temperature_c' => '9', 'suction_pressure_kpa' => '2 bar']);
        DB::table('verdicts')->delete();
        $this->actingAs($this->technician);
        DB::enableQueryLog();
        foreach (['/', "/circuits/{$this->circuit->id}", "/visits/{$visit->id}/report"] as $page) {
            $this->get($page)->assertOk();
        }
        $written = array_filter(
            array_column(DB::getQueryLog(), 'query'),
            static fn (string $one): bool => preg_match('/^\s*(insert|update|delete|replace)/i', $one) === 1,
        );
        self::assertSame([], array_values($written));
    }

    public function test_a_visit_started_again_is_the_same(): void
    {
        $this->actingAs($this->technician);
        $to = array_map(
            fn (): string => (string) $this->post("/circuits/{$this->circuit->id}/visits")->headers->get('Location'),
            range(1, 4),
        );
        self::assertSame(1, Visit::query()->count());
        self::assertStringContainsString((string) Visit::query()->sole()->id, $to[3]);
        $lead = $this->colleague(User::LEAD);
        $this->actingAs($lead)->post("/circuits/{$this->circuit->id}/visits")->assertRedirect();
        self::assertSame(2, Visit::query()->count());
    }

    private function cylinder(string $gross = '14 kg'): Cylinder
    {
        $this->actingAs($this->technician)->post('/cylinders', [
            'id' => (string) Str::ulid(),
            'label' => 'C-'.Str::random(4),
            'refrigerant' => 'R-448A',
            'tare' => '8 kg',
            'water' => '12 l',
            'gross' => $gross,
        ])->assertSessionHasNoErrors();

        return Cylinder::query()->latest('id')->firstOrFail();
    }

    public function test_weights_that_contradict_are_refused_and_named(): void
    {
        $cylinder = $this->cylinder();
        $told = ['label' => $cylinder->label, 'tare' => '8 kg', 'water' => '12 l'];
        $edit = "/cylinders/{$cylinder->id}";
        $this->put($edit, ['refrigerant' => 'R-404A'] + $told)->assertSessionHasErrors('refrigerant');
        $this->put($edit, ['refrigerant' => 'R-448A', 'water' => '1 l'] + $told)->assertSessionHasErrors('water');
        self::assertSame('R-448A', $cylinder->refresh()->refrigerant);
        $this->put($edit, ['refrigerant' => 'R-448A'] + $told)->assertSessionHasNoErrors();
        $new = ['label' => 'X', 'refrigerant' => 'R-448A', 'tare' => '8 kg', 'water' => '1 l', 'gross' => '890 kg'];
        $this->post('/cylinders', $new)->assertSessionHasErrors('gross');
        $this->post('/cylinders', ['gross' => '7 kg', 'water' => '12 l'] + $new)->assertSessionHasErrors('gross');
        $weigh = fn (string $why, string $gross) => $this->post("$edit/weigh", ['why' => $why, 'gross' => $gross]);
        $weigh('bought', '13 kg')->assertSessionHasErrors('gross');
        $weigh('returned', '15 kg')->assertSessionHasErrors('gross');
        $weigh('counted', '7 kg')->assertSessionHasErrors('gross');
        $weigh('counted', '13 kg')->assertSessionHasNoErrors();
    }

    public function test_an_id_that_another_cylinder_has_breaks_nothing_and_the_same_sent_again_is_one(): void
    {
        $new = ['id' => (string) Str::ulid(), 'refrigerant' => 'R-448A', 'tare' => '8 kg', 'water' => '12 l'];
        $this->actingAs($this->technician);
        foreach (['A', 'A', 'B'] as $label) {
            $this->post('/cylinders', ['label' => $label] + $new)->assertRedirect()->assertSessionHasNoErrors();
        }
        self::assertSame(['A', 'B'], Cylinder::query()->orderBy('label')->pluck('label')->all());
    }

    public function test_an_import_in_three_tabs_ends_once_and_is_not_refused(): void
    {
        $one = ['format' => 'metrum-visit', 'version' => 1, 'system' => Visits::COOLER['system']];
        $file = json_encode(['id' => 'a'] + $one)."\n".json_encode(['id' => 'b'] + $one)."\n";
        $lines = VisitLines::of($file);
        $steps = app(ImportSteps::class);
        $import = $steps->begin($this->technician, 'two', $file, $lines, null);
        $tabs = array_map(static fn (): Import => Import::query()->findOrFail($import->id), range(1, 3));
        foreach ([...$tabs, ...$tabs] as $tab) {
            $steps->step($tab);
        }
        foreach ($tabs as $tab) {
            self::assertTrue($tab->isDone());
            self::assertSame([], $tab->refused ?? []);
        }
        self::assertSame(2, Visit::query()->count());
    }

    public function test_a_weight_is_taken_back_by_whoever_entered_it_or_a_lead(): void
    {
        $cylinder = $this->cylinder();
        $move = StockMove::query()->sole();
        $undo = "/cylinders/{$cylinder->id}/moves/{$move->id}/undo";
        $this->actingAs($this->colleague())->post($undo)->assertForbidden();
        $this->get("/cylinders/{$cylinder->id}")->assertDontSee('Undo');
        self::assertNull($move->refresh()->taken_back_at);
        $this->actingAs($this->technician)->post($undo)->assertRedirect();
        self::assertNotNull($move->refresh()->taken_back_at);
    }

    public function test_a_promise_is_ticked_off_by_whoever_gave_it_or_is_there(): void
    {
        $promise = FollowUp::note($this->visit(), $this->technician, Carbon::now()->addWeek(), 'Look again', null);
        $odd = $this->colleague();
        $this->actingAs($odd)->post("/follow-ups/{$promise->id}/done", ['done' => 1])->assertForbidden();
        self::assertNull($promise->refresh()->done_at);
        Visit::open($this->circuit->load('site', 'plant'), $odd, now());
        $this->post("/follow-ups/{$promise->id}/done", ['done' => 1])->assertRedirect();
        self::assertNotNull($promise->refresh()->done_at);
    }

    public function test_guesses_are_counted_before_they_are_looked_at(): void
    {
        $guard = app(SignInGuard::class);
        $under = array_map(
            static fn (): int => $guard->wait('ylva@tarnevik.example', '10.0.0.1', false),
            range(1, 7),
        );
        self::assertSame([0, 0, 0, 0, 0, 0], array_slice($under, 0, 6));
        self::assertGreaterThan(0, $under[6], 'seven at once: none was answered yet');
    }

    public function test_a_known_device_is_not_locked_out_from_behind_its_own_router(): void
    {
        for ($try = 0; $try < 30; $try++) {
            $this->post('/sign-in', ['email' => "guess$try@tarnevik.example", 'password' => 'no'])->assertRedirect();
        }
        $own = ['email' => 'ylva@tarnevik.example', 'password' => 'a cold room'];
        $this->post('/sign-in', $own)->assertStatus(429);
        $this->withCookie('metrum_known', (string) $this->technician->id)->post('/sign-in', $own)->assertRedirect('/');
    }

    public function test_the_present_password_cannot_be_guessed_from_within(): void
    {
        $this->actingAs($this->technician)->from('/settings');
        $new = ['password' => 'much colder rooms', 'password_confirmation' => 'much colder rooms'];
        for ($try = 0; $try < 6; $try++) {
            $this->put('/password', ['current' => "guess $try"] + $new)->assertSessionHasErrors('current');
        }
        $this->put('/password', ['current' => 'a cold room'] + $new)->assertSessionHasErrors('current');
        $this->travel(61)->seconds();
        $this->put('/password', ['current' => 'a cold room'] + $new)->assertSessionHasNoErrors();
    }

    public function test_the_frameworks_own_way_to_files_is_shut(): void
    {
        $open = array_filter(
            array_map(static fn ($route): string => $route->uri(), Route::getRoutes()->getRoutes()),
            static fn (string $uri): bool => str_starts_with($uri, 'storage/'),
        );
        self::assertSame([], array_values($open));
    }
}
