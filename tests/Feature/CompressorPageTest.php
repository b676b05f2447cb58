<?php

namespace Tests\Feature;

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
}
