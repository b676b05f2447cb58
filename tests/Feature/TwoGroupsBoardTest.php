<?php

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\Visit;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Metrum\Findings\PartFindings;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Reading;
use Tests\Core\TwoGroups;
use Tests\TestCase;

/** A rack with two suction groups on one receiver: each has its header, and nothing of one is said of the other. */
final class TwoGroupsBoardTest extends TestCase
{
    private Visit $visit;

    protected function setUp(): void
    {
        parent::setUp();
        $this->visit = $this->imported(TwoGroups::file(
            ['LT' => ['suction_header_kpa' => 105]],
            ['receiver_level_percent' => 48],
            ['Peas' => ['readings' => ['box_temperature_c' => -13]]],
        ));
    }

    /** @param  array<string, mixed>  $file */
    private function imported(array $file): Visit
    {
        $text = json_encode($file, JSON_THROW_ON_ERROR);
        $this->actingAs($this->technician)
            ->post('/import', ['file' => UploadedFile::fake()->createWithContent('rack.json', $text)])
            ->assertSessionMissing('refused');
        $visit = Visit::query()->latest('id')->firstOrFail();
        $visit->update(['closed_at' => null]);

        return $visit->fresh();
    }

    /** @return TestResponse<Response> */
    private function tell(string $key, string $value, string $part, int $status = 200): TestResponse
    {
        return $this->actingAs($this->technician)
            ->enter($this->visit, 'reading', $key, $value, ['part' => $part, 'stage' => 'board'])
            ->assertStatus($status);
    }

    /** @return array<string, Circuit> by part */
    private function circuits(): array
    {
        return Circuit::query()
            ->where('plant_id', $this->visit->circuit->plant_id)
            ->get()
            ->keyBy('part')
            ->all();
    }

    private function ofGroup(string $part): PartFindings
    {
        return Visit::query()->findOrFail($this->visit->id)->rack()->of(PartId::of($part));
    }

    public function test_the_board_has_a_header_of_each(): void
    {
        $this->get("/visits/{$this->visit->id}/board")
            ->assertOk()
            ->assertSeeInOrder(['MT compressors', '2 of 3', 'LT compressors', '2 of 3'])
            ->assertSeeInOrder(['MT limit', 'Fish needs', 'LT limit', 'The header is 4.1 K above its set point'])
            ->assertSeeInOrder(['One compressor out, LT', 'LT: suction header above set 4.1 K', 'Next check: L1'])
            ->assertSeeInOrder(['Suction group MT', 'Dairy, Deli', 'Suction group LT', 'Peas, Ice cream'])
            ->assertSeeInOrder(['MT header', 'LT header']);
    }

    public function test_a_header_without_its_group_is_asked_back_and_nothing_is_kept(): void
    {
        $this->tell('suction_header_kpa', '300 kPa', 'plant', 422)
            ->assertJsonPath(
                'errors.value.0',
                'Of which suction group is “Suction header pressure”? Start with its name, as “MT: …”.',
            );
        self::assertNull($this->visit->fresh()->rack()->shared->reading(Reading::SuctionHeader));
        $this->tell('suction_header_kpa', '300 kPa', 'group 7', 422)->assertJsonPath(
            'errors.value.0',
            'Suction group: you entered group 7. Enter group 1 or group 2.',
        );
    }

    public function test_a_line_with_its_name_is_of_that_group(): void
    {
        $this->actingAs($this->technician)
            ->enter($this->visit, 'line', 'line', 'lt: header 90 kPa', ['stage' => 'board'])
            ->assertOk()
            ->assertSee('LT: suction header 0.90 bar');
        $this->enter($this->visit, 'line', 'line', 'L2: discharge line 96', ['stage' => 'board'])
            ->assertSee('L2: discharge line 96.0 °C');

        self::assertEqualsWithDelta(90e3, $this->ofGroup('group 2')->reading(Reading::SuctionHeader), 1.0);
        self::assertEqualsWithDelta(284e3, $this->ofGroup('group 1')->reading(Reading::SuctionHeader), 1.0);
    }

    public function test_what_is_set_at_a_group_is_its_suction_set_point(): void
    {
        $lines = ['header 95 kPa, set 71 kPa' => 71e3, 'set point 72 kPa' => 72e3, 'suction set 73 kPa' => 73e3];
        foreach ($lines as $line => $pascal) {
            $this->enter($this->visit, 'line', 'line', "LT: $line", ['stage' => 'board'])->assertOk();
            self::assertEqualsWithDelta($pascal, $this->ofGroup('group 2')->reading(Reading::SuctionSet), 1.0, $line);
        }
        self::assertEqualsWithDelta(95e3, $this->ofGroup('group 2')->reading(Reading::SuctionHeader), 1.0);
    }

    public function test_what_is_read_at_the_compressors_on_a_circuits_page_is_its_groups(): void
    {
        $this->visit->walking($this->circuits()['circuit 7']);
        $this->tell('suction_pressure_kpa', '98 kPa', 'circuit 7');

        self::assertEqualsWithDelta(98e3, $this->ofGroup('group 2')->reading(Reading::SuctionHeader), 1.0);
    }

    public function test_a_circuit_knows_the_header_of_its_own_group_alone(): void
    {
        foreach (['circuit 1' => 284e3, 'circuit 6' => 105e3] as $part => $pascal) {
            $walked = Visit::query()->findOrFail($this->visit->id)->walking($this->circuits()[$part]);
            self::assertEqualsWithDelta($pascal, $walked->findings()->reading(Reading::SuctionPressure), 1.0, $part);
        }
        $this->get("/visits/{$this->visit->id}~6/verdict")->assertOk();
        $this->get("/visits/{$this->visit->id}/report")->assertOk()->assertSee('One compressor out, LT');
    }

    public function test_a_circuit_that_is_closed_moves_the_header_of_its_own_group(): void
    {
        $this->travel(1)->minutes();
        $this->enter($this->visit, 'observation', 'shut', 'by_us', ['part' => 'circuit 7', 'stage' => 'board']);
        $this->travel(10)->minutes();
        $this->tell('suction_header_kpa', '290 kPa', 'group 1');
        $this->tell('suction_header_kpa', '96 kPa', 'group 2');
        $this->get("/visits/{$this->visit->id}/board")
            ->assertSeeInOrder(['Ice cream closed', 'Header', '−24.0 °C → −25.0 °C']);
    }

    public function test_a_trend_of_a_header_is_that_of_its_group(): void
    {
        $row = static fn (int $i): string => sprintf('2026-11-30 08:%02d,%.2f', $i, 0.9 - $i / 100);
        $rows = array_map($row, range(0, 30));
        $csv = "Time,LT suction header [bar]\n".implode("\n", $rows);
        $address = "/visits/{$this->visit->id}/trend";
        $this->post($address, ['file' => UploadedFile::fake()->createWithContent('trend.csv', $csv)])
            ->assertRedirect();
        $columns = $this->followingRedirects()->post($address, [
            'file' => UploadedFile::fake()->createWithContent('trend.csv', $csv),
        ]);
        $columns->assertOk()->assertSee('<option value="group 2" selected', false)->assertSee('MT');
    }

    public function test_each_compressor_has_its_page_at_its_own_header(): void
    {
        $this->get("/visits/{$this->visit->id}/compressor?of=compressor%205")
            ->assertOk()
            ->assertSee('Compressor L2')
            ->assertSeeInOrder(['C1', 'L1', 'L3'])
            ->assertSeeInOrder(['Coldest day', 'evaporating −28', 'Hottest day']);
        $this->get("/visits/{$this->visit->id}/compressor?of=compressor%201")
            ->assertSee('Compressor C1')
            ->assertSeeInOrder(['Coldest day', 'evaporating −8']);
        $this->get("/visits/{$this->visit->id}/compressor?of=nonsense")->assertOk()->assertSee('Compressor C1');
    }

    public function test_a_file_that_reads_a_header_of_no_group_is_refused_with_its_place(): void
    {
        $file = TwoGroups::file();
        $file['readings']['suction_header_kpa'] = 284;
        $text = json_encode($file, JSON_THROW_ON_ERROR);
        $this->actingAs($this->technician)
            ->post('/import', ['file' => UploadedFile::fake()->createWithContent('rack.json', $text)])
            ->assertSessionHas('refused');

        self::assertStringContainsString('readings.suction_header_kpa: of which group?', session('refused')[0]);
    }

    public function test_what_is_exported_is_read_back_with_its_groups(): void
    {
        $file = (string) $this->get("/visits/{$this->visit->id}/file.json")->getContent();
        $read = json_decode($file, true);

        self::assertSame(['MT', 'LT'], array_column($read['groups'], 'name'));
        self::assertSame(-28.0, (float) $read['groups'][1]['design']['suction_saturated_c']);
    }
}
