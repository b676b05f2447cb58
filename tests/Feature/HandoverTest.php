<?php

namespace Tests\Feature;

use App\Models\FollowUp;
use Illuminate\Support\Carbon;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Tests\TestCase;

/** A visit that goes on with a colleague: on one page what was asked, tried, excluded, touched, and what is next. */
final class HandoverTest extends TestCase
{
    public function test_it_says_all_that_the_next_one_needs_while_the_visit_is_open(): void
    {
        $visit = $this->starved();
        $this->enter($visit, 'complaint', 'too_warm', 'yes')->assertOk();
        $this->enter($visit, 'observation', 'valve_sound', 'hissing_gas')->assertOk();
        $this->enter($visit, 'ruled_out', 'liquid_line_restriction', 'yes');
        $this->enter($visit, 'touched', 'stem_cracked', 'yes')->assertOk();
        $this->enter($visit, 'move', 'valve_turn', '0.25 out', ['reason' => '3 turns open', 'overruled' => 'to try']);
        $this->circuit->keepWeakPoint('Cap of the liquid valve does not seal');
        $promise = ['bring' => 'a new cap', 'prepare' => ''];
        FollowUp::note($visit, $this->technician, Carbon::today()->addDays(3), 'Put a cap on', null, $promise);
        $page = $this->actingAs($this->colleague())->get("/visits/{$visit->id}/handover")->assertOk();
        $page->assertSeeInOrder([
            'visit still open',
            'Not restored yet',
            'Stem cracked',
            'Asked',
            'Too warm.',
            'Most likely: Low refrigerant charge',
            'Tried and changed',
            '¼ out',
            'Next check:',
            'Bring',
            'a new cap',
            'Weak points',
            'Cap of the liquid valve',
            'Put a cap on',
        ]);
        $this->actingAs($this->technician);
        $this->enter($visit, 'restored', 'stem_cracked', 'yes')->assertOk();
        $this->get("/visits/{$visit->id}/handover")->assertDontSee('Stem cracked');
    }

    public function test_an_empty_visit_says_that_nothing_was_entered(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician)->get("/visits/{$visit->id}/handover")->assertOk()
            ->assertSee('No complaint entered.')
            ->assertSee('Nothing entered yet.')
            ->assertSee('No tests or changes yet.')
            ->assertDontSee('Not restored yet');
    }

    public function test_the_help_sheet_of_any_system_names_places_what_was_tried_and_what_is_not_known(): void
    {
        $visit = $this->starved();
        $this->enter($visit, 'observation', 'valve_sound', 'hissing_gas')->assertOk();
        $this->enter($visit, 'ruled_out', 'liquid_line_restriction', 'yes');
        $this->actingAs($this->technician)->get("/visits/{$visit->id}/help-sheet")->assertOk()
            ->assertSee('R-448A')
            ->assertSee('Suction pressure')
            ->assertSee(Reading::SuctionTemperatureEvaporator->place())
            ->assertSee('Sound at exp. valve')
            ->assertSee('Superheat')
            ->assertSee('Nameplate and design:')
            ->assertSee('Ruled out:</b> '.Fault::LiquidLineRestriction->label(), false)
            ->assertSee('Most likely:</b> Low refrigerant charge', false)
            ->assertSee('Not measured or checked:')
            ->assertSee('discharge line,', false)
            ->assertDontSee(Reading::DischargeTemperature->place());
        $this->read($visit, ['discharge_temperature_c' => '88']);
        $this->get("/visits/{$visit->id}/help-sheet")->assertSee('88.0')
            ->assertSee(Reading::DischargeTemperature->place())
            ->assertDontSee('discharge line,', false);
    }
}
