<?php

namespace Tests\Feature;

use App\Models\FactRecord;
use App\Models\Import;
use App\Models\Visit;
use App\Records\UploadLimit;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What is sent, however odd or much, takes nothing down and is never changed unsaid. */
final class StandingTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->technician);
        Storage::fake('local');
    }

    /** @param  array<string, mixed>  $more */
    private static function file(array $more = [], string $refrigerant = 'R-448A'): string
    {
        return json_encode(
            $more + [
                'format' => 'metrum-visit',
                'version' => 1,
                'system' => ['kind' => 'walk_in_cooler', 'refrigerant' => $refrigerant],
                'complaint' => ['too_warm'],
            ],
            JSON_THROW_ON_ERROR,
        );
    }

    private static function upload(string $text): UploadedFile
    {
        return UploadedFile::fake()->createWithContent('visits.jsonl', $text);
    }

    private static function many(int $visits): string
    {
        $lines = array_map(
            static fn (int $i): string => self::file([
                'id' => "visit $i",
                'readings' => ['box_temperature_c' => $i / 10],
            ]),
            range(1, $visits),
        );

        return implode("\n", $lines)."\n";
    }

    public function test_many_visits_are_checked_and_taken_in_steps_that_can_be_left_and_gone_on_with(): void
    {
        $text = self::many(45);
        $this->post('/import', ['file' => self::upload($text)])->assertRedirect();
        $import = Import::query()->sole();
        self::assertSame(0, Visit::query()->count(), 'nothing is taken before all is checked');
        $this->get('/import')->assertSee('visits.jsonl')->assertSee('not finished');
        for ($step = 0; $step < 60 && ! $import->refresh()->isDone(); $step++) {
            $this->post("/import/{$import->id}/step", [], ['HX-Request' => 'true'])->assertOk();
        }
        $this->get("/import/{$import->id}")->assertSee('45 of 45 visits imported');
        self::assertSame(45, Visit::query()->count());

        // The same file again doubles nothing, nor does a step that was cut off after it had taken a visit.
        $this->post('/import', ['file' => self::upload($text)]);
        $again = Import::query()->where('id', '!=', $import->id)->sole();
        for ($step = 0; $step < 60 && ! $again->refresh()->isDone(); $step++) {
            $this->post("/import/{$again->id}/step");
        }
        self::assertSame(45, Visit::query()->count());
    }

    public function test_one_bad_line_among_many_takes_nothing_in(): void
    {
        $text = self::many(30).self::file(['readings' => ['box_temperature_c' => 'warm']])."\n";
        $this->post('/import', ['file' => self::upload($text)]);
        $import = Import::query()->sole();
        for ($step = 0; $step < 60 && ! $import->refresh()->isDone(); $step++) {
            $this->post("/import/{$import->id}/step");
        }
        $this->get("/import/{$import->id}")
            ->assertSee('Nothing imported.')
            ->assertSee('line 31, readings.box_temperature_c');
        self::assertSame(0, Visit::query()->count());
    }

    public function test_an_id_in_other_letters_is_the_same_visit(): void
    {
        $id = '01J8ZQ6V7W8X9Y0Z1A2B3C4D5E';
        foreach ([$id, strtolower($id), $id] as $one) {
            $this->post('/import', ['file' => self::upload(self::file(['id' => $one]))])->assertRedirect();
        }
        self::assertSame(1, Visit::query()->count());
    }

    public function test_a_file_of_another_refrigerant_asks_first(): void
    {
        $send = fn (array $more) => $this->from('/import')->post(
            '/import',
            $more + [
                'file' => self::upload(self::file([], 'R-134a')),
                'circuit_id' => $this->circuit->id,
            ],
        );
        $send([])->assertSessionHasErrors('other_refrigerant');
        self::assertSame(0, Visit::query()->count());
        $this->get('/import')->assertSee('Import into this circuit anyway');
        $send(['other_refrigerant' => 1])->assertSessionHasNoErrors();
        self::assertSame(1, Visit::query()->count());
    }

    /** @return iterable<string, array{string}> */
    public static function noText(): iterable
    {
        yield 'a NUL' => ["4\0"];
        yield 'broken UTF-8' => ["caf\xE9"];
    }

    #[DataProvider('noText')]
    public function test_what_is_no_text_is_refused_in_words(string $typed): void
    {
        $visit = $this->visit();
        $this->post("/visits/{$visit->id}/entries", [
            'kind' => 'note',
            'key' => 'note',
            'value' => $typed,
        ])
            ->assertStatus(400)
            ->assertSee('The entry contains unreadable characters. Nothing was saved');
        $this->get('/find?q='.rawurlencode($typed))->assertStatus(400);
        $this->get('/circuits/'.rawurlencode($typed))->assertStatus(400);
        self::assertSame(0, FactRecord::query()->count());
    }

    public function test_a_note_or_summary_is_never_cut_unsaid(): void
    {
        $visit = $this->visit();
        $whole = str_repeat('é', 4000);
        foreach (['note', 'summary'] as $key) {
            $this->enter($visit, 'note', $key, $whole)->assertOk();
            $this->enter($visit, 'note', $key, $whole.'é')
                ->assertStatus(422)
                ->assertJsonPath(
                    'message',
                    'The note has 4001 characters; the limit is 4000. Shorten it; nothing was cut.',
                );
        }
        self::assertSame(
            [$whole, $whole],
            FactRecord::query()->get()->map(fn ($one) => $one->data['text'])->all(),
        );
    }

    public function test_done_and_ran_well_are_what_was_asked_however_often_it_is_clicked(): void
    {
        $visit = $this->starved();
        foreach ([1, 2] as $click) {
            $this->post("/visits/{$visit->id}/ran-well", ['well' => 1]);
        }
        self::assertTrue($visit->fresh()?->ranWell());
    }

    public function test_what_is_too_large_is_answered_with_the_real_limit(): void
    {
        Route::post('/too-large', static fn () => throw new PostTooLargeException());
        $this->post('/too-large')->assertStatus(413)->assertSee(UploadLimit::inWords())->assertSee('Metrum');
        self::assertGreaterThan(100, UploadLimit::kilobytes());
        self::assertLessThanOrEqual(
            ini_parse_quantity((string) ini_get('upload_max_filesize')) / 1024,
            UploadLimit::kilobytes(),
        );
        $this->get('/import')->assertSee('Up to '.UploadLimit::inWords());
    }

    public function test_up_looks_at_the_database(): void
    {
        $this->get('/up')->assertOk();
        DB::statement('alter table users rename to gone');
        $this->get('/up')->assertStatus(500);
    }

    public function test_pages_that_only_read_work_on_a_database_that_cannot_be_written(): void
    {
        if (DB::getDriverName() !== 'sqlite') {
            self::assertNotSame('sqlite', DB::getDriverName());

            return;
        }
        $visit = $this->starved();
        DB::statement('pragma query_only = on');
        try {
            $pages = ['/', '/sites', '/settings', '/import', "/circuits/{$this->circuit->id}"];
            foreach (['box', 'gauges', 'verdict', 'leave', 'report', 'file.json'] as $page) {
                $pages[] = "/visits/{$visit->id}/$page";
            }
            foreach ($pages as $page) {
                $this->get($page)->assertOk();
            }
            $this->enter($visit, 'reading', 'box_temperature_c', '4')->assertStatus(503);
        } finally {
            DB::statement('pragma query_only = off');
        }
    }

    public function test_a_pdf_of_hundreds_of_long_notes_answers(): void
    {
        $visit = $this->visit();
        $rows = [];
        for ($i = 0; $i < 850; $i++) {
            $rows[] = [
                'id' => sprintf('%026d', $i),
                'occasion_id' => $visit->id,
                'plant_id' => $this->circuit->plant_id,
                'user_id' => $this->technician->id,
                'kind' => 'note',
                'part' => 'circuit 1',
                'key' => 'note',
                'data' => json_encode([
                    'text' => "Note $i. ".str_repeat('ice on the drain and the key at the kiosk ', 8),
                ]),
                'source' => 'hand',
                'taken_at' => now(),
                'created_at' => now(),
            ];
        }
        foreach (array_chunk($rows, 100) as $some) {
            DB::table('facts')->insert($some);
        }
        $began = microtime(true);
        $this->get("/visits/{$visit->id}/report.pdf")
            ->assertOk()
            ->assertHeader('Content-Type', 'application/pdf');
        self::assertLessThan(30.0, microtime(true) - $began, 'within what a server waits');
    }

    public function test_files_broken_at_any_place_are_refused_in_words_or_read_as_what_they_say(): void
    {
        mt_srand(20261126);
        $whole = self::file([
            'id' => 'one',
            'readings' => ['box_temperature_c' => 4.2, 'suction_pressure_kpa' => 210],
        ]);
        $refused = 0;
        for ($i = 0; $i < 150; $i++) {
            $at = mt_rand(0, strlen($whole) - 1);
            $broken = match ($i % 4) {
                0 => substr($whole, 0, $at),
                1 => substr_replace($whole, '', $at, mt_rand(1, 9)),
                2 => substr_replace($whole, chr(mt_rand(33, 126)), $at, 1),
                default => substr_replace(
                    $whole,
                    substr($whole, $at, mt_rand(1, 30)),
                    mt_rand(0, strlen($whole)),
                    0,
                ),
            };
            $before = Visit::query()->count();
            $answer = $this->from('/import')->post('/import', ['file' => self::upload($broken)]);
            $answer->assertRedirect();
            $reasons = session('refused');
            self::assertSame(
                $reasons === null || $reasons === [],
                ! $answer->isRedirect(url('/import')),
                $broken,
            );
            if ($answer->isRedirect(url('/import'))) {
                self::assertSame($before, Visit::query()->count(), $broken);
                $refused++;
            }
            session()->forget('refused');
        }
        self::assertGreaterThan(100, $refused);
    }
}
