<?php

namespace Tests\Feature;

use App\Models\FactRecord;
use App\Models\TrendRecord;
use App\Models\Visit;
use App\View\Trend\TrendColumns;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** A controller's export at a visit: sent, its columns said, drawn with what was done, taken as readings. */
final class TrendTest extends TestCase
{
    private Visit $visit;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        $this->travelTo('2026-11-30 12:00:00');
        $this->visit = $this->visit();
        $this->actingAs($this->technician);
    }

    public function test_an_export_becomes_a_trend_with_what_was_done_on_it(): void
    {
        $this->travelTo('2026-11-30 12:30:00');
        $this->enter($this->visit, 'move', 'door_mended', 'done')->assertOk();
        $this->travelTo('2026-11-30 13:40:00');
        $columns = $this->sent(self::export())->assertRedirect()->headers->get('Location');
        $this->get($columns)
            ->assertSee('Box air [°C]')
            ->assertSee('value="box_temperature_c" selected', false)
            ->assertSee('value="c" selected', false);
        $this->post($columns, $this->said('Box air [°C]', 'box_temperature_c', 'c'))->assertRedirect();

        $page = $this->get("/visits/{$this->visit->id}/trend")->assertOk();
        $page->assertSee('1 trends kept.')->assertSee('rises')->assertSee('falls')->assertSee('Turned downward.');
        $page->assertSee('Door', false);
    }

    public function test_what_was_said_of_columns_is_known_at_the_next_export(): void
    {
        $columns = $this->sent(self::export('Raum'))->headers->get('Location');
        $this->get($columns)->assertSee('leave out')->assertDontSee(' selected>Box', false);
        $this->post($columns, $this->said('Raum', 'box_temperature_c', 'f'));
        $again = $this->sent(self::export('Raum'))->headers->get('Location');
        $this->get($again)
            ->assertSee('value="box_temperature_c" selected', false)
            ->assertSee('value="f" selected', false);
    }

    public function test_a_unit_that_does_not_fit_is_asked_again_and_the_choice_kept(): void
    {
        $columns = $this->sent(self::export())->headers->get('Location');
        $this->from($columns)->post($columns, $this->said('Box air [°C]', 'box_temperature_c', 'bar'))
            ->assertRedirect($columns);
        $this->get($columns)
            ->assertSee('Choose a unit that fits for: Box air [°C].')
            ->assertSee('value="bar" selected', false);
        self::assertSame(0, TrendRecord::query()->count());
    }

    public function test_what_is_no_table_is_refused(): void
    {
        $this->from("/visits/{$this->visit->id}/trend");
        $this->sent('nothing')->assertSessionHasErrors('file');
        $this->post("/visits/{$this->visit->id}/trend")->assertSessionHasErrors('file');
        $this->get("/visits/{$this->visit->id}/trend/01jd0000000000000000000000/columns")->assertRedirect();
    }

    public function test_a_value_is_taken_as_a_reading_where_somebody_says_so(): void
    {
        $this->travelTo('2026-11-30 13:40:00');
        $columns = $this->sent(self::export())->headers->get('Location');
        $this->post($columns, $this->said('Box air [°C]', 'box_temperature_c', 'c'));
        self::assertSame(0, FactRecord::query()->count(), 'nothing by itself');
        $trend = TrendRecord::query()->sole();
        $take = "/visits/{$this->visit->id}/trend/{$trend->id}/take";
        $this->post($take, ['at' => '2026-11-30T13:30'])->assertSessionHas('said');
        $fact = FactRecord::query()->sole()->fact();
        self::assertSame('box_temperature_c', $fact->content->key);
        self::assertSame('import', $fact->source->value);
        self::assertSame('13:30', $fact->seenAt()->format('H:i'));
        $this->post($take, ['at' => '2026-11-30T23:30'])->assertSessionHasErrors($trend->id);
        $this->post($take, ['at' => 'soon'])->assertSessionHasErrors($trend->id);
        $this->travelTo('2026-12-09 13:40:00');
        $this->post($take, ['at' => '2026-11-30T13:30'])->assertSessionHasErrors($trend->id);
        self::assertSame(1, FactRecord::query()->count());
        $this->post("/visits/{$this->visit->id}/trend/{$trend->id}/remove")->assertRedirect();
        self::assertSame([0, 1], [TrendRecord::query()->count(), FactRecord::query()->count()]);
    }

    public function test_another_sees_it_and_changes_nothing(): void
    {
        $other = $this->colleague(\App\Models\User::TECHNICIAN);
        $this->actingAs($other)->get("/visits/{$this->visit->id}/trend")->assertOk()->assertDontSee('Send file');
        $this->sent(self::export())->assertForbidden();
    }

    /** @return array<string, string> */
    private function said(string $heading, string $reading, string $unit): array
    {
        return [
            'time' => 'Time',
            'format' => 'year_first',
            TrendColumns::field('reading', $heading) => $reading,
            TrendColumns::field('part', $heading) => 'circuit 1',
            TrendColumns::field('unit', $heading) => $unit,
        ];
    }

    /** @return TestResponse<Response> */
    private function sent(string $text): TestResponse
    {
        return $this->post("/visits/{$this->visit->id}/trend", [
            'file' => UploadedFile::fake()->createWithContent('trend.csv', $text),
        ]);
    }

    /** Air that rises until half past twelve and falls then, a value every five minutes. */
    private static function export(string $heading = 'Box air [°C]'): string
    {
        $lines = ["Time;$heading"];
        for ($i = 0; $i <= 24; $i++) {
            $air = 4.0 + ($i < 12 ? 0.1 * $i : 1.2 - 0.12 * ($i - 12)) + ($i % 3 === 0 ? 0.02 : 0.0);
            $minute = 30 + 5 * $i;
            $lines[] = sprintf('2026-11-30 %02d:%02d;%.2f', 11 + intdiv($minute, 60), $minute % 60, $air);
        }

        return implode("\n", $lines);
    }
}
