<?php

namespace Tests\Feature;

use App\Records\Folds;
use App\View\BenchInputs;
use App\View\PlantBench;
use Metrum\Installation\Circuit;
use Metrum\Installation\Kind;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use Metrum\Twin\RunLength;
use Metrum\Twin\Surroundings;
use Metrum\Twin\Twin;
use Metrum\Twin\Twins;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** The plant bench: any circuit and every plain kind, set by form, answered from the twin. */
#[Group('figures')]
final class PlantBenchTest extends TestCase
{
    public function test_a_circuit_stands_at_the_bench_as_designed(): void
    {
        $this->actingAs($this->technician)
            ->get("/circuits/{$this->circuit->id}/plant")
            ->assertOk()
            ->assertSee('Healthy, as designed')
            ->assertSee('Readings')
            ->assertDontSee('Changes from healthy')
            ->assertSee('energy 0 %');
        $this->get("/circuits/{$this->circuit->id}")->assertSee("/circuits/{$this->circuit->id}/plant", false);
    }

    public function test_the_bench_needs_somebody_who_is_signed_in(): void
    {
        $this->get("/circuits/{$this->circuit->id}/plant")->assertRedirect('/sign-in');
        $this->get('/plants/walk_in_cooler/run')->assertRedirect('/sign-in');
    }

    /** @return array<string, array{string}> */
    public static function kinds(): array
    {
        return array_combine(
            array_column(Kind::cases(), 'value'),
            array_map(static fn (Kind $kind): array => [$kind->value], Kind::cases()),
        );
    }

    #[DataProvider('kinds')]
    public function test_every_kind_has_a_plain_plant_that_runs_and_that_faults_pull_down(string $kind): void
    {
        $this->actingAs($this->technician)
            ->get("/plants/{$kind}")
            ->assertOk()
            ->assertSee('Healthy, as designed')
            ->assertDontSee('● ');
        $bench = $this->bench($kind, ['fault' => 'valve_underfeeding', 'severity' => '80']);
        self::assertTrue($bench->before()->runs());
        self::assertLessThan($bench->before()->cooling, $bench->now()->cooling);
        self::assertGreaterThan($bench->before()->dryShare, $bench->now()->dryShare);
    }

    public function test_htmx_gets_the_answer_alone_and_an_address_that_keeps_what_is_set(): void
    {
        $answer = $this->actingAs($this->technician)
            ->get('/plants/walk_in_cooler?ambient=35&fault=condenser_airflow_low&severity=60&box=', [
                'HX-Request' => 'true',
            ])
            ->assertOk();
        $answer
            ->assertDontSee('<html', false)
            ->assertSee('id="answer"', false)
            ->assertSee('Changes from healthy')
            ->assertSee('Condensing');
        self::assertStringEndsWith(
            '/plants/walk_in_cooler?ambient=35&fault=condenser_airflow_low&severity=60',
            (string) $answer->headers->get('HX-Replace-Url'),
        );
        $this->get('/plants/walk_in_cooler?ambient=35', [
            'HX-Request' => 'true',
            'HX-History-Restore-Request' => 'true',
        ])
            ->assertSee('<html', false)
            ->assertSee('value="35"', false);
    }

    public function test_bad_input_is_answered_in_words_and_kept(): void
    {
        $page = $this->actingAs($this->technician)
            ->get(
                '/plants/walk_in_cooler?ambient=hot&coil=140&added=1e99&turns='.
                    str_repeat('9', 300).
                    '&fault=no_such&severity=many&box[]=3',
            )
            ->assertOk();
        $page
            ->assertSee('Ambient: “hot”', false)
            ->assertSee('value="hot"', false)
            ->assertSee('Coil fouling: you entered 140. Enter 0 to 100 %.', false)
            ->assertSee('Healthy, as designed');
        $this->get('/plants/windmill')->assertNotFound();
        $this->get('/circuits/none/plant')->assertNotFound();
    }

    public function test_ambient_above_where_the_refrigerant_condenses_is_refused(): void
    {
        $this->circuit->describe(['kind' => 'case_medium', 'refrigerant' => 'R-744', 'metering' => 'eev'], []);
        $this->actingAs($this->technician)
            ->get("/circuits/{$this->circuit->id}/plant?ambient=38")
            ->assertOk()
            ->assertSee('R-744 cannot condense above');
    }

    public function test_people_type_in_their_own_units(): void
    {
        $celsius = $this->bench('walk_in_cooler', ['ambient' => '35', 'box' => '4']);
        $fahrenheit = $this->bench(
            'walk_in_cooler',
            ['ambient' => '95', 'box' => '39.2'],
            new Units(Unit::Fahrenheit, Unit::Psi, Unit::Pound),
        );
        self::assertEqualsWithDelta($celsius->now()->cooling, $fahrenheit->now()->cooling, 1.0);
        self::assertSame(
            'Cooling ',
            substr(
                $this->bench('walk_in_cooler', ['added' => '-2 lb'], new Units(mass: Unit::Pound))->sentence(),
                0,
                8,
            ),
        );
    }

    public function test_a_load_finds_the_box_temperature(): void
    {
        $light = $this->bench('walk_in_cooler', ['load' => '60']);
        $heavy = $this->bench('walk_in_cooler', ['load' => '120']);
        self::assertEqualsWithDelta(
            0.6 * $light->sound->design->cooling,
            $light->now()->cooling,
            0.002 * $light->now()->cooling,
        );
        self::assertLessThan(
            $heavy->now()->readings['box_temperature_c'],
            $light->now()->readings['box_temperature_c'],
        );
        self::assertStringStartsWith('This heat load holds the box at', $light->sentence());
    }

    public function test_two_faults_stand_in_it_at_once(): void
    {
        $one = $this->bench('walk_in_cooler', ['fault' => 'condenser_airflow_low', 'severity' => '60']);
        $both = $this->bench('walk_in_cooler', [
            'fault' => 'condenser_airflow_low',
            'severity' => '60',
            'fault2' => 'evaporator_airflow_low',
            'severity2' => '60',
        ]);
        self::assertLessThan(
            $one->now()->readings['suction_pressure_kpa'],
            $both->now()->readings['suction_pressure_kpa'],
        );
        self::assertStringContainsString(' and ', $both->title());
    }

    public function test_a_stopped_plant_says_why(): void
    {
        $bench = $this->bench('walk_in_cooler', ['fault' => 'liquid_solenoid_shut', 'severity' => '100']);
        self::assertFalse($bench->now()->runs());
        $this->actingAs($this->technician)
            ->get('/plants/walk_in_cooler?fault=liquid_solenoid_shut&severity=100')
            ->assertOk()
            ->assertSee('● '.ucfirst((string) $bench->now()->stopped?->sentence()));
    }

    public function test_a_day_brings_its_defrosts_and_what_only_time_shows(): void
    {
        $this->actingAs($this->technician);
        $this->get('/plants/walk_in_freezer?fault=defrost_heater_failed&severity=100')->assertSee(
            'No effect in steady running at this box temperature. Simulate 1 day to see it',
        );
        $sound = $this->bench('walk_in_freezer', [])->run(RunLength::Day);
        $failed = $this->bench('walk_in_freezer', [
            'fault' => 'defrost_heater_failed',
            'severity' => '100',
        ])->run(RunLength::Day);
        $defrosts = static fn (array $events): int => count(
            array_filter($events, static fn (string $event): bool => str_ends_with($event, 'defrosting')),
        );
        self::assertGreaterThanOrEqual(2, $defrosts($sound->events()));
        self::assertGreaterThan($sound->runningShare(), $failed->runningShare());
        $this->get('/plants/walk_in_freezer/run?hours=24')
            ->assertOk()
            ->assertSee('Last 24 h, compressor on')
            ->assertSee('run-frost', false);
        $this->get("/circuits/{$this->circuit->id}/plant/run?hours=1")
            ->assertOk()
            ->assertSee('Last hour, compressor on');
    }

    public function test_before_it_is_done_the_visit_says_what_would_change(): void
    {
        $visit = $this->starved();
        $this->actingAs($this->technician)
            ->get("/visits/{$visit->id}/verdict")
            ->assertOk()
            ->assertSee('What if …')
            ->assertSee('Fault repaired');
        $bench = (string) $this->get("/visits/{$visit->id}/bench")
            ->assertRedirect()
            ->headers->get('Location');
        self::assertStringContainsString('fault=undercharge', $bench);
        self::assertMatchesRegularExpression('/severity=(20|40|60|80|100)/', $bench);
        $this->get("/visits/{$visit->id}/what-if/mended")
            ->assertOk()
            ->assertSeeInOrder(['Superheat at the bulb', '↓'])
            ->assertSee('s twin with the leading fault at the severity the readings suggest');
        $this->get("/visits/{$visit->id}/what-if/more")
            ->assertOk()
            ->assertSee('Do not add refrigerant yet');
        $this->get("/visits/{$visit->id}/what-if/turn_in")
            ->assertOk()
            ->assertSee('One small adjustment, then wait until settled');
        $this->get("/visits/{$visit->id}/what-if/dance")->assertNotFound();
    }

    public function test_an_empty_visit_asks_the_sound_twin(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician)
            ->get("/visits/{$visit->id}/verdict")
            ->assertOk()
            ->assertDontSee('Fault repaired');
        $this->get("/visits/{$visit->id}/what-if/hot")
            ->assertOk()
            ->assertSeeInOrder(['Condensing', '↑'])
            ->assertSee("Calculated on this system's twin, healthy");
    }

    public function test_weather_above_where_the_refrigerant_condenses_stops_no_page(): void
    {
        $this->circuit->describe(['kind' => 'case_medium', 'refrigerant' => 'R-744', 'metering' => 'eev'], []);
        $visit = $this->visit();
        $this->enter($visit, 'reading', 'ambient_temperature_c', '38')->assertOk();
        foreach (['gauges', 'verdict', 'leave', 'report'] as $page) {
            $this->get("/visits/{$visit->id}/{$page}")->assertOk();
        }
        $this->get("/visits/{$visit->id}/what-if/hot")->assertNotFound();
    }

    public function test_a_visit_that_ran_well_draws_the_twin_to_it_and_the_mark_can_be_taken_off(): void
    {
        $good = $this->visit();
        $this->actingAs($this->technician);
        $this->read($good, [
            'suction_pressure_kpa' => '2.60 bar',
            'discharge_pressure_kpa' => '13.5 bar',
            'ambient_temperature_c' => '25',
            'box_temperature_c' => '2',
            'suction_temperature_evaporator_c' => '-4.6',
            'receiver_outlet_temperature_c' => '31',
        ]);
        $around = new Surroundings(298.15, 275.15);
        $suction = function () use ($around): float {
            $circuit = $this->circuit->fresh()?->load('site', 'plant');
            assert($circuit !== null);

            return app(Twins::class)
                ->of($circuit->known(), new HouseRules(), app(Folds::class)->good($circuit))
                ->expectedAt($around)[Reading::SuctionPressure->value]->value;
        };
        $designed = $suction();
        $read = 260e3;
        self::assertGreaterThan(20e3, abs($designed - $read));
        $this->post("/visits/{$good->id}/ran-well", ['well' => 1])->assertRedirect("/visits/{$good->id}/leave");
        self::assertTrue($good->refresh()->ranWell());
        self::assertLessThan(0.7 * abs($designed - $read), abs($suction() - $read), 'drawn to what it read');
        $this->post("/visits/{$good->id}/ran-well", ['well' => 0]);
        self::assertFalse($good->refresh()->ranWell());
        self::assertEqualsWithDelta($designed, $suction(), 1.0);
    }

    /** @param  array<string, string>  $typed */
    private function bench(string $kind, array $typed, Units $units = new Units()): PlantBench
    {
        $twin = Twin::fittedTo(Circuit::plain(Kind::from($kind)));

        return new PlantBench($twin, new HouseRules(), new BenchInputs($typed, $units), $units);
    }
}
