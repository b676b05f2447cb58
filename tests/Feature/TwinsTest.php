<?php

namespace Tests\Feature;

use App\Records\Edition;
use App\Records\TwinShelf;
use Illuminate\Support\Facades\Cache;
use Metrum\Knowledge\HouseRules;
use Metrum\Twin\Surroundings;
use Metrum\Twin\Twin;
use Metrum\Twin\Twins;
use Tests\TestCase;

/** Twins are kept between requests with what they worked out, and only for the circuit as it is known. */
final class TwinsTest extends TestCase
{
    public function test_a_kept_twin_answers_as_a_new_one(): void
    {
        $circuit = $this->circuit->known();
        $around = new Surroundings(303.15, 276.15);
        $new = Twin::fittedTo($circuit);
        $expected = $new->expectedAt($around);
        $kept = unserialize(serialize($new));
        self::assertInstanceOf(Twin::class, $kept);
        self::assertFalse($kept->hasLearned());
        self::assertEquals($expected, $kept->expectedAt($around));
        self::assertFalse($kept->hasLearned(), 'all of it was kept');
        self::assertEqualsWithDelta(
            $new->at($around)->cooling,
            $kept->at($around)->cooling,
            0.01 * $new->at($around)->cooling,
        );
        $kept->expectedAt(new Surroundings(293.15, 276.15));
        self::assertTrue($kept->hasLearned());
    }

    public function test_a_page_keeps_its_twin_and_a_changed_circuit_gets_another(): void
    {
        config(['cache.stores.array.serialize' => true]);
        Cache::forgetDriver('array');
        $this->app->forgetInstance('cache.store');
        $this->app->forgetInstance(Twins::class);
        $this->actingAs($this->technician)
            ->get("/circuits/{$this->circuit->id}/plant")
            ->assertOk();
        $twins = app(Twins::class);
        self::assertFalse(
            $twins->of($this->circuit->known(), new HouseRules())->hasLearned(),
            'the one that the page kept',
        );
        $this->circuit->describe($this->circuit->systemWords(), ['evaporator_td_k' => 10.0]);
        self::assertTrue(
            $twins
                ->of($this->circuit->refresh()->load('site', 'plant')->known(), new HouseRules())
                ->hasLearned(),
        );
    }

    public function test_what_cannot_be_read_back_is_worked_anew(): void
    {
        $twins = new Twins(new TwinShelf(Cache::store(), app(Edition::class)));
        Cache::partialMock()->shouldReceive('get')->andReturn('something else');
        self::assertTrue($twins->of($this->circuit->known(), new HouseRules())->hasLearned());
    }
}
