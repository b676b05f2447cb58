<?php

namespace Tests\Feature;

use App\Models\HouseRuleChoice;
use App\Models\Workshop;
use App\Records\LedgerImport;
use Tests\Core\Visits;
use Tests\TestCase;

/** The sheet on which repair is weighed against replacement: what speaks for each, and no verdict. */
final class ReplacementTest extends TestCase
{
    private const PRICES = ['commissioned' => '2006', 'replacement' => '12000', 'repair' => '1500', 'energy' => '0,30'];

    private function address(): string
    {
        return "/circuits/{$this->circuit->id}/replacement";
    }

    public function test_a_system_of_which_nothing_is_known_says_so_and_names_what_is_missing(): void
    {
        $this->actingAs($this->technician)->get($this->address())->assertOk()
            ->assertSee('Year of commissioning not entered.')
            ->assertSee('Not known: no full charge, or no record in the refrigerant ledger.')
            ->assertSee('Not judged at any visit.')
            ->assertSee('price of replacement; price of repair; electricity per kWh')
            ->assertDontSee('paid back');
    }

    public function test_prices_make_a_payback_with_a_width_and_stay_with_the_system(): void
    {
        Workshop::current()->fill(['call_out' => 8000, 'labour' => 7000, 'prices' => 'R-448A; kg; 60'])->save();
        $this->starved();
        $this->leaked();
        $this->actingAs($this->technician)->post($this->address(), self::PRICES)->assertRedirect($this->address());
        $page = $this->get($this->address())->assertOk()
            ->assertSee('years old')
            ->assertSee('Compared with repair: costs €11,000 more at first, saves')
            ->assertSee('Compared with leaving it as it is: costs €12,000 more at first, saves')
            ->assertSee('lost in 12 months')
            ->assertSee('kWh more')
            ->assertSee('value="2006"', false);
        self::assertMatchesRegularExpression('/likely paid back in \d+ years \(\d+/', (string) $page->getContent());
        $this->get("/circuits/{$this->circuit->id}")->assertSee('Repair or replace');
    }

    public function test_a_saving_that_nobody_knows_is_no_payback_and_a_sound_system_has_no_open_fault(): void
    {
        $this->actingAs($this->technician)->post($this->address(), self::PRICES);
        $this->get($this->address())->assertSee('more at first. No saving is known.')->assertDontSee('paid back');
        $visit = $this->visit();
        $this->enter($visit, 'state', 'state', 'running_settled');
        foreach (Visits::HEALTHY as $key => $value) {
            $this->read($visit, [$key => str_ends_with($key, '_kpa') ? "$value kPa" : (string) $value]);
        }
        $this->get($this->address())->assertSee('No fault that takes more.')
            ->assertSee('Nothing drifts and no fault is open.')
            ->assertDontSee('normal operation');
    }

    public function test_dearer_energy_pays_back_sooner(): void
    {
        $this->starved();
        $years = function (string $energy): int {
            $this->actingAs($this->technician)->post($this->address(), ['energy' => $energy] + self::PRICES);
            $content = (string) $this->get($this->address())->getContent();
            preg_match('/leaving it as it is.*?likely paid back in (\d+) years/', $content, $found);

            return (int) ($found[1] ?? 99);
        };
        self::assertLessThan($years('0.40'), $years('1.20'));
    }

    public function test_what_cannot_be_is_refused_with_what_was_given_and_kept(): void
    {
        $months = ['warmest' => '5', 'coldest' => '20'];
        $wrong = ['commissioned' => '1802', 'replacement' => 'much'] + $months + self::PRICES;
        $this->actingAs($this->technician)->from($this->address())->post($this->address(), $wrong)
            ->assertSessionHasErrors(['commissioned', 'replacement', 'warmest']);
        $this->get($this->address())->assertSee('1802')->assertSee('value="much"', false);
        self::assertNull($this->circuit->plant->refresh()->replacement);
    }

    public function test_climate_is_typed_in_the_readers_units_and_kept_in_kelvins(): void
    {
        $this->technician->update(['settings' => ['temperature' => 'f']]);
        $this->actingAs($this->technician)->post($this->address(), ['coldest' => '23', 'warmest' => '86']);
        self::assertEqualsWithDelta(268.15, $this->circuit->plant->refresh()->replacement['coldest'] ?? 0.0, 0.01);
        $this->get($this->address())->assertSee('value="86.0"', false);
    }

    public function test_the_law_of_the_place_moves_what_the_refrigerant_speaks_for(): void
    {
        $this->actingAs($this->technician)->get($this->address())->assertSee('but phased down');
        HouseRuleChoice::query()->create([
            'rule' => 'phase_down',
            'choice' => 'new_systems',
            'user_id' => $this->technician->id,
        ]);
        $this->get($this->address())->assertSee('refrigerant for service gets scarce');
    }

    private function leaked(): void
    {
        $rows = [];
        foreach ([[800, 6.0, 'commissioning'], [300, 0.9, 'leak'], [90, 0.8, 'leak']] as $i => [$days, $kg, $why]) {
            $rows[$i + 1] = [
                'circuit_id' => $this->circuit->id,
                'at' => now()->subDays($days)->toIso8601String(),
                'kilograms' => $kg,
                'purpose' => $why,
                'cylinder' => '',
                'bottle_before_kg' => null,
                'bottle_after_kg' => null,
            ];
        }
        (new LedgerImport($this->technician))->take($rows);
    }
}
