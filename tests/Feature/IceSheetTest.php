<?php

namespace Tests\Feature;

use App\Models\Visit;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** The one page of an ice machine, and the sheet for a help line. */
final class IceSheetTest extends TestCase
{
    /** @param  array<string, float>  $readings */
    private function machine(array $readings = [], string $ice = 'batch'): Visit
    {
        $text = json_encode([
            'format' => 'metrum-visit',
            'version' => 1,
            'id' => 'ice '.$ice,
            'system' => [
                'kind' => 'ice_machine',
                'ice' => $ice,
                'refrigerant' => 'R-404A',
                'metering' => 'txv',
                'condenser' => 'air_indoor',
                'head_pressure_control' => 'fan_cycling',
            ],
            'design' => ['ice_per_day_kg' => 400, 'ice_per_day_hot_kg' => 335, 'ice_per_cycle_kg' => 4],
            'readings' => (object) $readings,
        ], JSON_THROW_ON_ERROR);
        $this->actingAs($this->technician)
            ->post('/import', ['file' => UploadedFile::fake()->createWithContent('ice.json', $text)])
            ->assertRedirect();

        return Visit::query()->latest('id')->firstOrFail();
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function sheet(Visit $visit): TestResponse
    {
        return $this->get("/visits/{$visit->id}/box")->assertOk();
    }

    public function test_it_says_what_this_machine_should_make_before_anything_was_timed(): void
    {
        $this->sheet($this->machine())
            ->assertSee('Production not measured')
            ->assertSee('assumed: air, water')
            ->assertSee('Ice &amp; water', false)
            ->assertSee('ice-cycle', false)
            ->assertSee('ice-plate', false)
            ->assertDontSee('Course so far')
            ->assertDontSee('In the air entering the coil');
    }

    public function test_what_was_timed_and_weighed_stands_beside_what_is_expected(): void
    {
        $visit = $this->machine([
            'ambient_temperature_c' => 24.0,
            'water_temperature_c' => 14.0,
            'freeze_time_min' => 19.0,
            'harvest_time_min' => 2.0,
            'ice_per_cycle_kg' => 4.0,
            'cycles_since_start' => 1,
        ]);
        // 86 400 s ÷ 1260 s × 4 kg
        $this->sheet($visit)
            ->assertSee('274 kg a day')
            ->assertSee('The batch is right, the freeze is slow')
            ->assertSee('only the third counts')
            ->assertDontSee('assumed:');
    }

    public function test_a_reading_moves_the_sheet(): void
    {
        $visit = $this->machine(['ambient_temperature_c' => 24.0, 'water_temperature_c' => 14.0]);
        $this->sheet($visit)->assertDontSee('the freeze is slow');
        $this->read($visit, ['freeze_time_min' => '19', 'harvest_time_min' => '2', 'ice_per_cycle_kg' => '4']);
        $this->sheet($visit)->assertSee('the freeze is slow');
    }

    public function test_the_help_sheet_names_what_was_not_measured(): void
    {
        $visit = $this->machine(['freeze_time_min' => 19.0, 'suction_begin_kpa' => 240.0]);
        $this->get("/visits/{$visit->id}/help-sheet")
            ->assertOk()
            ->assertSee('19 min')
            ->assertSee('Suction at the start of freeze')
            ->assertSee('Not measured or checked:')
            ->assertSee('suction at the end of freeze')
            ->assertDontSee('freeze time,', false);
    }

    public function test_other_plants_and_machines_without_a_cycle_have_neither(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician)->get("/visits/{$visit->id}/help-sheet")->assertNotFound();
        $this->get("/visits/{$visit->id}/box")->assertOk()->assertDontSee('ice-sheet', false);
        $flakes = $this->machine([], 'continuous');
        $this->get("/visits/{$flakes->id}/help-sheet")->assertNotFound();
        $this->sheet($flakes)->assertDontSee('id="ice-sheet"', false);
    }

    public function test_a_form_asks_only_what_such_a_plant_has(): void
    {
        $ice = $this->machine()->circuit;
        $this->get("/circuits/{$ice->id}/edit")->assertOk()
            ->assertSee('Ice per day, mild rating')
            ->assertSee('Water fill')
            ->assertDontSee('Box set point');
        $this->get("/circuits/{$ice->id}")->assertOk()->assertDontSee('Box set point');
        $this->get("/circuits/{$this->circuit->id}/edit")->assertOk()
            ->assertSee('Box set point')
            ->assertDontSee('Ice per day')
            ->assertDontSee('Water fill');
    }

    public function test_only_an_ice_machine_freezes_and_harvests(): void
    {
        $ice = $this->machine();
        $this->get("/visits/{$ice->id}/gauges")->assertSee('state-harvesting', false)
            ->assertDontSee('state-in-defrost', false);
        $cooler = $this->visit();
        $this->get("/visits/{$cooler->id}/gauges")->assertDontSee('state-harvesting', false)
            ->assertSee('state-in-defrost', false);
    }
}
