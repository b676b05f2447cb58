<?php

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\Visit;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** What may be advised, and to whom. */
#[Group('figures')]
final class AdviceTest extends TestCase
{
    private function visitOn(string $refrigerant): Visit
    {
        $this->circuit = Circuit::establish(
            $this->circuit->site,
            'Other room',
            ['kind' => 'walk_in_cooler', 'refrigerant' => $refrigerant],
            [],
        );
        $visit = $this->visit();
        $this->enter($visit, 'complaint', 'too_warm', 'yes');

        return $visit;
    }

    public function test_a_flammable_refrigerant_asks_for_licence_and_tools_first(): void
    {
        $visit = $this->visitOn('R-290');
        $this->get("/visits/{$visit->id}/verdict")
            ->assertSee('is safety class A3')
            ->assertDontSee('Checks and repair');
        $this->get("/visits/{$visit->id}/report")
            ->assertSee('Held back: work on A3 needs its own licence and tools')
            ->assertDontSee('Weigh in');
        // Wherever something would open the circuit, nothing begins that is refused then, and it says where to confirm.
        foreach (['card=charge', 'card=recovery', 'card=core_change', 'card=raise_pressure'] as $asked) {
            $this->get("/visits/{$visit->id}/put_right?$asked")
                ->assertSee('once per visit before opening the circuit')
                ->assertSee('card=licence_and_tools', false)
                ->assertDontSee('id="card-begin"', false)
                ->assertDontSee('id="move-charge"', false);
        }
        $this->get("/visits/{$visit->id}/put_right?card=condenser_washed")
            ->assertSee('id="move-condenser-washed"', false);
        $words = ['begun' => 'yes', 'who' => 'mine', 'tools' => 'rated', 'place' => 'aired', 'done' => 'yes'];
        foreach ($words as $step => $word) {
            $this->enter($visit, 'card', "licence_and_tools.$step", $word)->assertOk();
        }
        $this->get("/visits/{$visit->id}/verdict")
            ->assertDontSee('is safety class A3')
            ->assertSee('Checks and repair');
        $this->get("/visits/{$visit->id}/put_right?card=recovery")->assertSee('id="card-begin"', false);
    }

    public function test_ammonia_is_referred_everywhere(): void
    {
        $visit = $this->visitOn('R-717');
        foreach (['verdict', 'report'] as $page) {
            $this->get("/visits/{$visit->id}/$page")
                ->assertSee(
                    'R-717 (ammonia) is toxic and not covered by these procedures. Trained ammonia technicians only',
                )
                ->assertDontSee('Checks and repair')
                ->assertDontSee('Weigh in')
                ->assertDontSee('What would change');
        }
    }

    public function test_what_is_in_doubt_is_dashed_asked_again_and_counts_once_taken_twice(): void
    {
        $visit = $this->visit();
        $swapped = ['drier_inlet_temperature_c' => '30', 'drier_outlet_temperature_c' => '34'];
        $this->read($visit, $swapped + ['discharge_pressure_kpa' => '14', 'ambient_temperature_c' => '24']);
        $this->get("/visits/{$visit->id}/gauges")
            ->assertSee('clamp doubted', false)
            ->assertSee('re-read')
            ->assertSee('data-doubted', false);
        $this->read($visit, $swapped);
        $this->get("/visits/{$visit->id}/gauges")
            ->assertDontSee('clamp doubted', false)
            ->assertSee('warmer after the filter-drier than before it: clamps swapped, or on the wrong line');
    }
}
