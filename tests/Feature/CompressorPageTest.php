<?php

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** One page of a compressor: envelope, figures, and what must be answered before another one is put in. */
final class CompressorPageTest extends TestCase
{
    public function test_before_anything_was_read_it_says_what_to_read_and_what_the_twin_foretells(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician)
            ->get("/visits/{$visit->id}/compressor")
            ->assertOk()
            ->assertSee('Liquid return: open')
            ->assertSee('Hottest day')
            ->assertSee('Coldest day')
            ->assertSee('Replacement is not explained yet.')
            ->assertDontSee('Compression ratio');
    }

    public function test_readings_stand_on_the_envelope_with_their_figures(): void
    {
        $visit = $this->visit();
        $this->read($visit, [
            'suction_pressure_kpa' => '2.1 bar',
            'discharge_pressure_kpa' => '14 bar',
            'suction_temperature_compressor_c' => '-12',
            'discharge_temperature_c' => '104',
        ]);
        $page = $this->actingAs($this->technician)->get("/visits/{$visit->id}/compressor")->assertOk();
        $page->assertSeeInOrder(['Now', 'evaporating', 'inside'])
            ->assertSee('high: oil is breaking down')
            ->assertSee('134.0 °C to 144.0 °C')
            ->assertSee('danger: liquid may be returning');
    }

    public function test_another_class_has_another_envelope_and_nonsense_the_usual_one(): void
    {
        $visit = $this->visit();
        $this->read($visit, ['suction_pressure_kpa' => '2.1 bar', 'discharge_pressure_kpa' => '14 bar']);
        $address = "/visits/{$visit->id}/compressor";
        $usual = (string) $this->actingAs($this->technician)->get($address)->getContent();
        $low = (string) $this->get("$address?class=semi_hermetic_low")->assertOk()->getContent();

        self::assertNotSame($usual, $low);
        self::assertStringContainsString('outside', $low);
        self::assertSame($usual, (string) $this->get("$address?class=nonsense")->assertOk()->getContent());
        $this->get("$address?class[]=x")->assertOk();
    }

    public function test_sliders_move_a_point_and_say_what_it_costs(): void
    {
        $visit = $this->visit();
        $this->read($visit, ['suction_pressure_kpa' => '2.1 bar', 'discharge_pressure_kpa' => '14 bar']);
        $this->actingAs($this->technician)
            ->get("/visits/{$visit->id}/compressor")
            ->assertSeeInOrder(['What if', 'Dirt on the condenser', 'Air missing at the coil', 'Superheat setting'])
            ->assertDontSee('class="envelope-name">As tried', false);
        $this->get("/visits/{$visit->id}/compressor/tried?head=8&dirt=0.3")
            ->assertOk()
            ->assertSee('class="envelope-name">As tried', false)
            ->assertSeeInOrder(['Mass flow', 'kg/h', 'Discharge line', '+', 'Capacity', 'Current'])
            ->assertSee('id="said-head" hx-swap-oob="true">+8.0 K', false);
        $this->get("/visits/{$visit->id}/compressor/tried?head[]=8&dirt=x")->assertOk();
    }

    public function test_corner_points_of_the_manufacturer_win_and_stay_with_the_system(): void
    {
        $visit = $this->visit();
        $address = "/visits/{$visit->id}/compressor";
        $this->read($visit, ['suction_pressure_kpa' => '2.1 bar', 'discharge_pressure_kpa' => '14 bar']);
        $corners = ['of' => 'compressor 1', 'class' => 'semi_hermetic_low', 'corners' => "−40 20\n-10, 20\n−10/30"];
        $this->actingAs($this->technician)->post($address, $corners)->assertRedirect();
        $this->get($address)
            ->assertSee('Envelope by the manufacturer’s corner points')
            ->assertSee('−40.0 20.0')
            ->assertSee('outside');
        $this->post($address, ['of' => 'compressor 1', 'class' => 'semi_hermetic_low', 'corners' => ''])
            ->assertRedirect();
        $this->get($address)->assertSee('Typical envelope: Semi-hermetic, low temperature');
    }

    /** @return array<string, array{array<string, string>, string}> */
    public static function refused(): array
    {
        return [
            'no numbers' => [['of' => 'compressor 1', 'corners' => "−40 20\nten twenty"], 'Corner 2: you entered'],
            'two corners' => [['of' => 'compressor 1', 'corners' => "−40 20\n−10 20"], 'got 2 corners'],
            'crossing lines' => [
                ['of' => 'compressor 1', 'corners' => "−40 20\n−10 55\n−10 20\n−40 55"],
                'in order round the field',
            ],
            'no compressor' => [['of' => 'circuit 1', 'corners' => ''], 'Compressor: you entered circuit 1'],
            'one that is not there' => [['of' => 'compressor 7', 'corners' => ''], 'you entered compressor 7'],
            'no class' => [['of' => 'compressor 1', 'class' => 'steam'], 'class'],
        ];
    }

    /** @param  array<string, string>  $typed */
    #[DataProvider('refused')]
    public function test_what_is_no_field_is_told_and_kept_in_the_form(array $typed, string $why): void
    {
        $visit = $this->visit();
        $answer = $this->actingAs($this->technician)
            ->from("/visits/{$visit->id}/compressor")
            ->followingRedirects()
            ->post("/visits/{$visit->id}/compressor", $typed);

        $answer->assertOk()->assertSee($why);
        if (($typed['corners'] ?? '') !== '') {
            $answer->assertSee(explode("\n", $typed['corners'])[1]);
        }
    }

    public function test_a_discharge_taken_far_away_or_on_metal_says_nothing_of_the_inside(): void
    {
        $visit = $this->visit();
        $read = ['suction_pressure_kpa' => '2.1 bar', 'discharge_pressure_kpa' => '14 bar'];
        $this->read($visit, $read + ['discharge_temperature_c' => '84 far']);
        $page = fn () => $this->actingAs($this->technician)->get("/visits/{$visit->id}/compressor");
        $page()->assertSee('clamped far away: inside more than 114.0 °C');
        $this->read($visit, ['discharge_temperature_c' => '84 infrared bare']);
        $page()->assertSee('infrared on bare metal says nothing of the inside');
        $this->read($visit, ['discharge_temperature_c' => '84']);
        $page()->assertSee('inside about 114.0 °C to 124.0 °C');
    }

    public function test_a_ratio_by_the_liquid_port_is_marked_as_reading_low(): void
    {
        $visit = $this->visit();
        $this->read($visit, ['suction_pressure_kpa' => '2.1 bar', 'receiver_pressure_kpa' => '14 bar']);
        $this->actingAs($this->technician)
            ->get("/visits/{$visit->id}/compressor")
            ->assertSeeInOrder(['Compression ratio', 'from the liquid port: reads low']);
    }

    public function test_trips_on_oil_are_listed_and_their_cause_is_asked_in_order(): void
    {
        $visit = $this->visit();
        $this->enter($visit, 'observation', 'compressor', 'off_on_oil');
        $this->enter($visit, 'observation', 'oil_level', 'foaming');
        $this->actingAs($this->technician)
            ->get("/visits/{$visit->id}/compressor")
            ->assertSeeInOrder(['Oil trips', '● Liquid return', 'Close the expansion valve in small steps'])
            ->assertSeeInOrder(['Liquid return', 'Oil system', 'Wear'])
            ->assertSeeInOrder(['Trip history', 'off on oil']);
    }

    public function test_a_report_that_speaks_of_another_compressor_says_what_is_not_explained(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician);
        $this->get("/visits/{$visit->id}/report")->assertDontSee('Compressor replacement');
        $this->enter($visit, 'confirmed', 'compressor_inefficient', 'yes');
        $this->get("/visits/{$visit->id}/report")
            ->assertSee('Compressor replacement not explained yet. Open: liquid return, oil, overheating');
    }
}
