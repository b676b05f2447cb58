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

    public function test_other_plants_have_no_ice_sheet_and_machines_without_a_cycle_a_page_of_their_own(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician)->get("/visits/{$visit->id}/box")
            ->assertOk()->assertDontSee('ice-sheet', false);
        $flakes = $this->machine([], 'continuous');
        $this->get("/visits/{$flakes->id}/help-sheet")
            ->assertOk()
            ->assertSee('Gearbox motor current')
            ->assertSee('Suction pressure')
            ->assertDontSee('Freeze time')
            ->assertDontSee('ice-cycle', false);
        $this->sheet($flakes)
            ->assertSee('id="ice-sheet"', false)
            ->assertSee('Production not measured')
            ->assertDontSee('ice-cycle', false)
            ->assertDontSee('Freeze time')
            ->assertDontSee('Hot gas line and valve burn in the harvest');
    }

    public function test_a_flake_machine_is_held_against_its_air_water_and_moisture(): void
    {
        $flakes = $this->machine([
            'ambient_temperature_c' => 21.0,
            'water_temperature_c' => 10.0,
            'ice_in_15_min_kg' => 4.2,
            'ice_moisture_percent' => 22.0,
        ], 'continuous');
        $this->sheet($flakes)
            ->assertSeeInOrder(['○ 403 kg a day', 'expected 400 ± 24 kg a day', 'by both rated points'])
            ->assertSee('It makes what it should.')
            ->assertSee('Ice a day across inlet water temperature');
        $this->read($flakes, ['ice_in_15_min_kg' => '2.6 kg', 'ice_moisture_percent' => '38 %']);
        $this->sheet($flakes)->assertSee('● 250 kg a day')->assertSee('Wet ice: warm water, scale on the barrel');
    }

    public function test_earlier_visits_stand_against_their_water(): void
    {
        $batch = ['freeze_time_min' => 13.0, 'harvest_time_min' => 2.0, 'ice_per_cycle_kg' => 4.0];
        $first = $this->machine($batch + ['ambient_temperature_c' => 21.0, 'water_temperature_c' => 8.0]);
        $first->update(['closed_at' => now()]);
        $this->travel(40)->days();
        $later = Visit::open($first->circuit->load('site', 'plant'), $this->technician, now());
        $this->sheet($later)->assertSee('class="level-dot"', false)->assertDontSee('class="level-now"', false);
        $this->read($later, [
            'water_temperature_c' => '16',
            'freeze_time_min' => '16',
            'harvest_time_min' => '2',
            'ice_per_cycle_kg' => '4',
        ]);
        $this->sheet($later)->assertSee('class="level-dot"', false)->assertSee('class="level-now"', false);
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

    public function test_only_a_batch_machine_freezes_and_harvests(): void
    {
        $ice = $this->machine();
        $this->get("/visits/{$ice->id}/gauges")->assertSee('state-harvesting', false)
            ->assertDontSee('state-in-defrost', false);
        $flakes = $this->machine([], 'continuous');
        $this->get("/visits/{$flakes->id}/gauges")->assertDontSee('state-harvesting', false);
        $cooler = $this->visit();
        $this->get("/visits/{$cooler->id}/gauges")->assertDontSee('state-harvesting', false)
            ->assertSee('state-in-defrost', false);
    }
}
