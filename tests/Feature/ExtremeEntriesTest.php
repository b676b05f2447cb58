<?php

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\HouseRules;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Values that are possible each by itself and make no plant together take no page down. */
#[Group('figures')]
final class ExtremeEntriesTest extends TestCase
{
    /** @return iterable<string, array{string, string, array<string, float>, string}> with the value that is too much */
    public static function impossible(): iterable
    {
        yield 'superheat' => ['walk_in_freezer', 'R-449A', ['superheat_k' => 40.0], 'superheat_k'];
        yield 'a box too cold' => [
            'reach_in_cooler',
            'R-448A',
            ['box_set_point_c' => -60.0],
            'box_set_point_c',
        ];
        yield 'a box too warm' => ['walk_in_cooler', 'R-744', ['box_set_point_c' => 40.0], 'box_set_point_c'];
    }

    /** @param  array<string, float>  $design */
    #[DataProvider('impossible')]
    public function test_the_form_says_at_once_which_value_stands_in_the_way(
        string $kind,
        string $refrigerant,
        array $design,
        string $culprit,
    ): void {
        $form = "/sites/{$this->circuit->site->id}/circuits/create";
        $this->actingAs($this->technician)
            ->from($form)
            ->post(
                "/sites/{$this->circuit->site->id}/circuits",
                [
                    'name' => 'Odd',
                    'kind' => $kind,
                    'refrigerant' => $refrigerant,
                    'condenser' => 'air_outdoor',
                ] + array_map(strval(...), $design),
            )
            ->assertRedirect($form)
            ->assertSessionHasErrors($culprit);
        $this->get($form)
            ->assertSee('Not possible with '.$refrigerant)
            ->assertSee('value="Odd"', false);
        self::assertSame(1, Circuit::query()->count());
    }

    /** @param  array<string, float>  $design */
    #[DataProvider('impossible')]
    public function test_one_that_is_there_already_takes_no_page_down(
        string $kind,
        string $refrigerant,
        array $design,
    ): void {
        $system = ['kind' => $kind, 'refrigerant' => $refrigerant, 'condenser' => 'air_outdoor'];
        $circuit = Circuit::establish($this->circuit->site, 'Odd room', $system, $design);
        $visit = Visit::open($circuit->load('site', 'plant'), $this->technician, now());
        $this->enter($visit, 'complaint', 'too_warm', 'yes')->assertOk();
        $this->read($visit, ['box_temperature_c' => '9', 'ambient_temperature_c' => '28']);
        foreach (
            ['complaint', 'box', 'unit', 'gauges', 'verdict', 'leave', 'report', 'report.pdf', 'file.json'] as $page
        ) {
            $this->get("/visits/{$visit->id}/$page")->assertOk();
        }
        foreach (['charge', 'leak_search'] as $card) {
            $this->get("/visits/{$visit->id}/put_right?card=$card")->assertOk();
        }
        $this->get("/visits/{$visit->id}/what-if/mended")->assertNotFound();
        $this->get("/visits/{$visit->id}/bench")->assertRedirect();
        $this->post("/visits/{$visit->id}/close")->assertRedirect();
        $this->get('/')->assertOk();
        $this->get("/circuits/{$circuit->id}")
            ->assertOk()
            ->assertSee('Not possible with '.$refrigerant)
            ->assertSee('judged by design values and house rules');
        foreach (['plant', 'plant/run', 'edit', 'refrigerant', 'winter', 'tag'] as $page) {
            $this->get("/circuits/{$circuit->id}/$page")->assertOk();
        }
        $this->get("/circuits/{$circuit->id}/plant")->assertSee('cannot be simulated');
        self::assertSame(0, Artisan::call('metrum:verdicts', ['--all' => true]));
    }

    /** @return iterable<string, array{string, bool}> kind, and whether every own figure is the highest it can be */
    public static function rulesAtTheirEnds(): iterable
    {
        foreach (['walk_in_cooler', 'reach_in_cooler', 'rack_circuit_low'] as $kind) {
            yield "$kind, lowest" => [$kind, false];
            yield "$kind, highest" => [$kind, true];
        }
    }

    #[DataProvider('rulesAtTheirEnds')]
    public function test_no_own_rule_that_is_taken_takes_a_page_down(string $kind, bool $highest): void
    {
        $this->technician->update(['role' => User::LEAD]);
        $rules = $own = [];
        foreach (HouseRule::cases() as $rule) {
            $row = $rule->row();
            if ($row->field !== null) {
                $unit = $row->field->fileUnit();
                [$least, $most] = [$unit->fromSi($row->field->least), $unit->fromSi($row->field->most)];
                $low = $highest ? $most - $row->width : $least;
                $rules[$rule->value] = 'own';
                $own[$rule->value] = [
                    'low' => $low.' '.$unit->symbol(),
                    'high' => ($low + $row->width).' '.$unit->symbol(),
                ];
            }
        }
        $this->actingAs($this->technician)
            ->put('/settings/rules', ['rules' => $rules, 'own' => $own])
            ->assertSessionHasNoErrors();
        $circuit = Circuit::establish($this->circuit->site, 'Ruled room', [
            'kind' => $kind,
            'refrigerant' => 'R-448A',
            'condenser' => 'air_outdoor',
            'head_pressure_control' => 'flooding_valve',
            'receiver' => true,
            'metering' => 'txv',
        ], ['receiver_volume_l' => 8, 'nameplate_charge_kg' => 4]);
        $visit = Visit::open($circuit->load('site', 'plant'), $this->technician, now());
        $this->enter($visit, 'complaint', 'too_warm', 'yes')->assertOk();
        $this->read($visit, [
            'box_temperature_c' => '9',
            'ambient_temperature_c' => '28',
            'suction_pressure_kpa' => '2 bar',
            'discharge_pressure_kpa' => '15 bar',
            'suction_temperature_evaporator_c' => '4',
            'receiver_outlet_temperature_c' => '30',
        ]);
        foreach (['gauges', 'verdict', 'put_right', 'leave', 'report', 'report.pdf'] as $page) {
            $this->get("/visits/{$visit->id}/$page")->assertOk();
        }
        $this->get("/visits/{$visit->id}/put_right?card=charge")->assertOk();
        foreach (['', '/plant', '/refrigerant', '/winter', '/tag'] as $page) {
            $this->get("/circuits/{$circuit->id}$page")->assertOk();
        }
        $this->get('/bench')->assertOk();
    }

    public function test_an_own_rule_of_nothing_is_refused_and_one_that_is_kept_counts_for_nothing(): void
    {
        $this->technician->update(['role' => User::LEAD]);
        foreach (HouseRule::cases() as $rule) {
            if ($rule->row()->width > 0.0) {
                $this->actingAs($this->technician)->from('/settings')->put('/settings/rules', [
                    'rules' => [$rule->value => 'own'],
                    'own' => [$rule->value => ['low' => '0', 'high' => '0']],
                ])->assertSessionHasErrors("rules.$rule->value");
            }
        }
        $kept = new HouseRules(['td_cooler' => [0.0, 0.0]]);
        self::assertSame($kept->band(HouseRule::TdCooler)->low, (new HouseRules())->band(HouseRule::TdCooler)->low);
        self::assertNotNull($kept->schoolOf(HouseRule::TdCooler));
    }

    /** @return iterable<string, array{string, string, array<string, float>}> */
    public static function odd(): iterable
    {
        yield 'next to no receiver' => ['rack_circuit_medium', 'R-290', ['receiver_volume_l' => 0.033]];
        yield 'a plate of a ton and a half' => ['walk_in_cooler', 'R-134a', ['nameplate_charge_kg' => 1500]];
        yield 'carbon dioxide' => ['rack_circuit_low', 'R-744', ['receiver_volume_l' => 20, 'condenser_volume_l' => 5]];
        yield 'ammonia' => ['walk_in_freezer', 'R-717', ['nameplate_charge_kg' => 40]];
        yield 'never cold' => ['walk_in_freezer', 'R-404A', ['coldest_ambient_c' => 27, 'receiver_volume_l' => 12]];
        yield 'a line like a tunnel' => [
            'walk_in_cooler',
            'R-448A',
            ['liquid_line_length_m' => 400, 'liquid_line_bore_mm' => 140],
        ];
    }

    /** @param  array<string, float>  $design */
    #[DataProvider('odd')]
    public function test_refrigerant_in_odd_plants_takes_no_page_down(
        string $kind,
        string $refrigerant,
        array $design,
    ): void {
        $system = [
            'kind' => $kind,
            'refrigerant' => $refrigerant,
            'condenser' => 'air_outdoor',
            'head_pressure_control' => 'flooding_valve',
            'receiver' => true,
        ];
        $circuit = Circuit::establish($this->circuit->site, 'Odd room', $system, $design);
        $visit = Visit::open($circuit->load('site', 'plant'), $this->technician, now());
        $this->read($visit, [
            'box_temperature_c' => '3',
            'ambient_temperature_c' => '12',
            'suction_pressure_kpa' => '2 bar',
            'discharge_pressure_kpa' => '11 bar',
            'suction_temperature_evaporator_c' => '4',
            'receiver_outlet_temperature_c' => '18',
        ]);
        foreach (['', '/refrigerant', '/winter', '/tag', '/plant'] as $page) {
            $this->get("/circuits/{$circuit->id}$page")->assertOk();
        }
        foreach (['charge', 'leak_search', 'winter_charge', 'charge_by_weight'] as $card) {
            $this->get("/visits/{$visit->id}/put_right?card=$card")->assertOk();
        }
        $answer = $this->enter($visit, 'move', 'charge', '1 kg', ['overruled' => 'odd']);
        self::assertContains($answer->getStatusCode(), [200, 422]);
        if ($refrigerant === 'R-717') {
            $answer->assertUnprocessable()->assertSee('toxic');
        }
    }

    public function test_a_file_of_such_a_plant_is_refused_with_its_path(): void
    {
        $file = [
            'format' => 'metrum-visit',
            'version' => 1,
            'system' => ['kind' => 'walk_in_freezer', 'refrigerant' => 'R-449A'],
            'design' => ['superheat_k' => 40],
        ];
        $this->actingAs($this->technician)
            ->from('/import')
            ->post('/import', [
                'file' => UploadedFile::fake()->createWithContent(
                    'visit.json',
                    json_encode($file, JSON_THROW_ON_ERROR),
                ),
            ])
            ->assertRedirect('/import');
        $this->get('/import')->assertSee('design.superheat_k: ')->assertSee('you entered 40.0 K');
        self::assertSame(0, Visit::query()->count());
    }
}
