<?php

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\HouseRuleChoice;
use App\Models\Plant;
use App\Models\Site;
use App\Models\User;
use App\Models\Visit;
use Metrum\Knowledge\HouseRule;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Today, sites, circuits, settings. */
final class PagesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->technician);
    }

    public function test_an_empty_workshop_says_what_to_do(): void
    {
        Circuit::query()->delete();
        Plant::query()->delete();
        Site::query()->delete();
        $this->get('/')
            ->assertOk()
            ->assertSee('No open visits. Find a circuit above to start one')
            ->assertSee('No follow-ups. You add them when closing out a visit');
        $this->get('/sites')->assertOk()->assertSee('No sites yet');
    }

    public function test_a_circuit_is_found_by_any_of_its_words(): void
    {
        foreach (['brygga', 'COLD room', 'quay', 'r-448a', 'walk in cooler', 'room brygga'] as $typed) {
            $this->get('/find?q='.urlencode($typed))
                ->assertOk()
                ->assertSee('Cold room 2');
        }
        foreach (['kitchen', '%', '__', "x' or 1=1 --"] as $typed) {
            $this->get('/find?q='.urlencode($typed))
                ->assertOk()
                ->assertDontSee('Cold room 2');
        }
    }

    public function test_today_shows_what_is_open_and_what_last_went_wrong(): void
    {
        $this->technician->update(['role' => User::LEAD]);
        $visit = $this->starved();
        $this->get('/')->assertSee('since ')->assertDontSee('● Short of refrigerant');
        $this->post("/visits/{$visit->id}/close");
        $this->get('/')
            ->assertSee('No open visits. Find a circuit above to start one')
            ->assertSee('Low refrigerant charge');
        $this->post("/visits/{$visit->id}/reopen");
        $this->enter($visit, 'confirmed', 'undercharge', 'yes');
        $this->post("/visits/{$visit->id}/close");
        $this->get('/')->assertSee('No circuit needs attention');
    }

    public function test_a_site_has_an_altitude_and_with_it_an_atmosphere(): void
    {
        $this->post('/sites', [
            'name' => 'Fjellrosa',
            'altitude' => '6,230 ft',
            'place' => 'High meadow',
            'contact' => '',
        ])->assertRedirect();
        $site = Site::query()->where('name', 'Fjellrosa')->sole();
        self::assertEqualsWithDelta(1898.9, $site->altitude_m, 0.1);
        self::assertEqualsWithDelta(80.5e3, $site->atmosphere()->pascal, 300.0);
        $this->get("/sites/{$site->id}")
            ->assertOk()
            ->assertSee('Fjellrosa');
        $this->get("/sites/{$site->id}/edit")
            ->assertOk()
            ->assertSee('High meadow');
        $this->put("/sites/{$site->id}", ['name' => 'Fjellrosa', 'altitude' => '1900 m'])->assertRedirect();
        self::assertEqualsWithDelta(1900.0, $site->fresh()?->altitude_m, 1e-6);
    }

    /** @return iterable<string, array{string, string}> */
    public static function altitudes(): iterable
    {
        yield 'a word' => ['high up', 'is not a height'];
        yield 'the moon' => ['384000 km', 'km is not a height unit'];
        yield 'above the highest plant' => ['9000', 'Enter −500 to 6000 m'];
    }

    #[DataProvider('altitudes')]
    public function test_an_impossible_altitude_is_answered_and_kept(string $typed, string $said): void
    {
        $this->from('/sites/create')
            ->post('/sites', ['name' => 'Nowhere', 'altitude' => $typed])
            ->assertRedirect('/sites/create')
            ->assertSessionHasErrors('altitude');
        $this->get('/sites/create')
            ->assertSee($said)
            ->assertSee('value="'.$typed.'"', false)
            ->assertSee('value="Nowhere"', false);
        self::assertSame(1, Site::query()->count());
    }

    public function test_a_circuit_is_made_from_the_defaults_of_its_kind(): void
    {
        $this->get("/sites/{$this->circuit->site->id}/circuits/create?kind=walk_in_freezer")
            ->assertOk()
            ->assertSee('default: Electric')
            ->assertSee('default: −20.0');
        $this->post("/sites/{$this->circuit->site->id}/circuits", [
            'name' => 'Freezer',
            'kind' => 'walk_in_freezer',
            'refrigerant' => 'R-452A',
            'receiver' => 'yes',
            'box_set_point_c' => '-4 F',
            'superheat_k' => '7.2 F',
            'rated_current_a' => '12.5',
            'receiver_volume_l' => '9',
        ])->assertRedirect();
        $circuit = Circuit::query()->where('name', 'Freezer')->sole();
        self::assertEqualsWithDelta(-20.0, $circuit->designWords()['box_set_point_c'], 1e-3);
        self::assertEqualsWithDelta(4.0, $circuit->designWords()['superheat_k'], 1e-3, 'a difference is never offset');
        self::assertTrue($circuit->plant->known()->highSide->receiver, 'what circuits share stands with the plant');
        self::assertArrayNotHasKey('evaporator_td_k', $circuit->designWords(), 'what was left empty is not known');
        $this->get("/circuits/{$circuit->id}")
            ->assertOk()
            ->assertSee('not given')
            ->assertSee('−20.0 °C');
        $this->get("/circuits/{$circuit->id}/edit")
            ->assertOk()
            ->assertSee('−20.0', false);
    }

    public function test_a_bad_design_value_is_answered_at_its_field_and_all_is_kept(): void
    {
        $form = "/sites/{$this->circuit->site->id}/circuits/create";
        $this->from($form)
            ->post("/sites/{$this->circuit->site->id}/circuits", [
                'name' => 'Odd',
                'refrigerant' => '',
                'superheat_k' => '400',
                'box_set_point_c' => 'cold',
            ])
            ->assertRedirect($form)
            ->assertSessionHasErrors(['refrigerant', 'superheat_k', 'box_set_point_c']);
        $this->get($form)
            ->assertSee('Enter 0 to 40 K')
            ->assertSee('value="400"', false)
            ->assertSee('value="cold"', false)
            ->assertSee('value="Odd"', false);
        self::assertSame(1, Circuit::query()->count());
    }

    public function test_a_field_sent_as_a_list_is_an_empty_one(): void
    {
        $form = "/sites/{$this->circuit->site->id}/circuits/create";
        $this->from($form)
            ->post("/sites/{$this->circuit->site->id}/circuits", ['name' => ['x'], 'refrigerant' => 'R-404A'])
            ->assertRedirect($form)
            ->assertSessionHasErrors('name');
        $this->get($form)->assertOk();
        $visit = $this->visit();
        $this->post("/visits/{$visit->id}/entries", [
            'kind' => 'reading',
            'key' => 'box_temperature_c',
            'value' => ['4'],
        ])->assertRedirect();
        self::assertSame([], $visit->findings()->readings);
        $this->get("/circuits/{$this->circuit->id}/plant?ambient[]=3")->assertOk();
    }

    public function test_the_circuits_page_tells_its_history(): void
    {
        $this->get("/circuits/{$this->circuit->id}")
            ->assertSee('No visits yet. The first visit where it runs well becomes the reference')
            ->assertSee('Expected readings')
            ->assertSee('class="course"', false);
        $visit = $this->visit();
        $this->read($visit, [
            'suction_pressure_kpa' => '3.45',
            'box_temperature_c' => '2.5',
            'suction_temperature_evaporator_c' => '1.7',
        ]);
        $this->enter($visit, 'confirmed', 'drain_blocked', 'yes');
        $this->post("/visits/{$visit->id}/close");
        $this->get("/circuits/{$this->circuit->id}")
            ->assertSee('Last visit')
            ->assertSee($visit->opened_at->format('j M Y'))
            ->assertSee('· confirmed');
    }

    public function test_units_and_theme_are_each_persons_own(): void
    {
        $this->put('/settings', ['temperature' => 'f', 'pressure' => 'psi', 'mass' => 'lb', 'theme' => 'cold'])
            ->assertRedirect('/settings')
            ->assertSessionHasNoErrors();
        $this->get('/settings')->assertSee('data-theme="dark"', false);
        self::assertSame('°F', $this->technician->fresh()?->units()->temperature->symbol());
        $this->get('/settings')->assertSee('8.1 to 11.7 °F');
        $this->from('/settings')
            ->put('/settings', ['temperature' => 'x', 'pressure' => 'psi', 'mass' => 'lb', 'theme' => 'cold'])
            ->assertSessionHasErrors('temperature');
    }

    public function test_house_rules_hold_for_visits_opened_from_then_on(): void
    {
        $before = $this->visit();
        $this->technician->update(['role' => User::LEAD]);
        $this->put('/settings/rules', [
            'rules' => ['td_cooler' => 'own', 'superheat_medium' => 'high'],
            'own' => ['td_cooler' => ['low' => '6,5', 'high' => '9']],
        ])->assertSessionHasNoErrors();
        self::assertSame(
            [6.5, 9.0],
            array_map(floatval(...), HouseRuleChoice::inForce()->choices['td_cooler']),
        );
        $this->post("/circuits/{$this->circuit->id}/visits");
        self::assertEqualsWithDelta(6.5, $before->rules()->band(HouseRule::SuperheatMedium)->high, 1e-9);
        $before->update(['closed_at' => now()]);
        $this->post("/circuits/{$this->circuit->id}/visits");
        self::assertEqualsWithDelta(
            9.0,
            Visit::query()
                ->whereNull('closed_at')
                ->latest('opened_at')
                ->firstOrFail()
                ->rules()
                ->band(HouseRule::SuperheatMedium)->high,
            1e-9,
        );
        $this->get('/settings')->assertSee('value="6.5"', false);
    }

    public function test_an_own_band_needs_two_numbers_in_order(): void
    {
        $this->technician->update(['role' => User::LEAD]);
        foreach ([['8', '3'], ['', '5'], ['a', 'b'], ['1', '9999']] as [$low, $high]) {
            $this->from('/settings')
                ->put('/settings/rules', [
                    'rules' => ['td_cooler' => 'own'],
                    'own' => ['td_cooler' => ['low' => $low, 'high' => $high]],
                ])
                ->assertSessionHasErrors('rules.td_cooler');
        }
        self::assertSame(0, HouseRuleChoice::query()->count());
    }

    public function test_rules_of_every_kind_of_quantity_are_grouped_and_a_refused_one_is_in_sight(): void
    {
        $this->technician->update(['role' => User::LEAD]);
        $inOrder = ['Target values', 'Test limits', 'Leak-back rise: weak at / worn at'];
        $this->get('/settings')->assertSeeInOrder($inOrder);
        $open = static fn (string $page): int => preg_match_all('/rule-group"\s+open/', $page);
        self::assertSame(1, $open((string) $this->get('/settings')->getContent()));
        $own = fn (string $rule, string $low, string $high) => $this->from('/settings')->put('/settings/rules', [
            'rules' => [$rule => 'own'],
            'own' => [$rule => ['low' => $low, 'high' => $high]],
        ]);
        $own('leak_back', '0.1 bar/min', '0.3 bar/min')->assertSessionHasNoErrors();
        $rise = HouseRuleChoice::inForce()->band(HouseRule::LeakBack);
        self::assertEqualsWithDelta(30e3 / 60, $rise->high, 0.1, 'Pa a second');
        $own('vacuum_floor', '-0.2 bar', '0.2 bar')->assertSessionHasNoErrors();
        self::assertEqualsWithDelta(-20e3, HouseRuleChoice::inForce()->band(HouseRule::VacuumFloor)->low, 0.1);
        $own('supply_imbalance', '1 %', '3 %')->assertSessionHasNoErrors();
        self::assertEqualsWithDelta(0.03, HouseRuleChoice::inForce()->band(HouseRule::SupplyImbalance)->high, 1e-9);
        $own('leak_back', '9', '1')->assertSessionHasErrors('rules.leak_back');
        self::assertSame(2, $open((string) $this->get('/settings')->getContent()));
    }

    public function test_names_are_shown_as_text(): void
    {
        $this->circuit->update(['name' => '<script>x</script>', 'notes' => '"><img src=x>']);
        foreach (
            [
                '/',
                '/sites',
                "/circuits/{$this->circuit->id}",
                "/sites/{$this->circuit->site->id}",
                '/find?q=script',
            ] as $path
        ) {
            $this->get($path)
                ->assertOk()
                ->assertDontSee('<script>x', false)
                ->assertDontSee('<img src=x', false);
        }
    }
}
