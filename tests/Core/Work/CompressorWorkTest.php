<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Card\Cards;
use Metrum\Findings\Findings;
use Metrum\Findings\Mark;
use Metrum\Installation\Circuit;
use Metrum\Installation\CompressorClass;
use Metrum\Installation\CompressorUnit;
use Metrum\Installation\Envelope;
use Metrum\Installation\EnvelopeCorners;
use Metrum\Installation\Kind;
use Metrum\Installation\PartId;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\Log;
use Metrum\Log\Source;
use Metrum\Quantity\Celsius;
use Metrum\Twin\Surroundings;
use Metrum\Twin\Twin;
use Metrum\Work\Compressor\OilCause;
use Metrum\Work\Compressor\OilTrips;
use Metrum\Work\Compressor\PumpDownPath;
use Metrum\Work\Compressor\ReplacementReasons;
use Metrum\Work\Compressor\SliderRun;
use Metrum\Work\Compressor\Sliders;
use Metrum\Work\Compressor\SliderTwin;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is tried on a compressor, why it trips on oil, how long it runs outside its field, what explains a new one. */
final class CompressorWorkTest extends TestCase
{
    private static function twin(): SliderTwin
    {
        $twin = Twin::fittedTo(Circuit::plain(Kind::WalkInCooler));
        $around = new Surroundings(Celsius::ZERO + 25.0, Celsius::ZERO + 3.0);

        return new SliderTwin($twin->machine, $around, $twin->at($around));
    }

    private static function tried(Sliders $set): SliderRun
    {
        $run = self::twin()->tried($set);
        self::assertNotNull($run);

        return $run;
    }

    /** @return array<string, array{array<string, float>, array<string, int>}> sliders, and in which way each goes */
    public static function tries(): array
    {
        return [
            'dirt' => [['dirt' => 0.6], ['condensing' => 1, 'discharge' => 1, 'capacity' => -1, 'current' => 1]],
            'no air' => [['air' => 0.6], ['evaporating' => -1, 'capacity' => -1, 'massFlow' => -1]],
            'a higher superheat' => [['superheat' => 6.0], ['evaporating' => -1, 'massFlow' => -1, 'discharge' => 1]],
            'a warm suction line' => [['gain' => 15.0], ['discharge' => 1, 'capacity' => -1]],
            'head' => [['head' => 8.0], ['condensing' => 1, 'discharge' => 1, 'massFlow' => -1, 'current' => 1]],
            'less head' => [['head' => -5.0], ['condensing' => -1, 'discharge' => -1, 'capacity' => 1]],
        ];
    }

    /**
     * @param  array<string, float>  $set
     * @param  array<string, int>  $ways
     */
    #[DataProvider('tries')]
    public function test_each_slider_moves_a_compressor_as_it_does_on_site(array $set, array $ways): void
    {
        $base = self::tried(new Sliders());
        $run = self::tried(Sliders::of($set));

        foreach ($ways as $figure => $way) {
            self::assertSame($way, $run->$figure <=> $base->$figure, $figure);
        }
    }

    public function test_head_is_moved_by_what_was_asked_on_top_of_the_rest(): void
    {
        $dirty = self::tried(Sliders::of(['dirt' => 0.4]));
        $both = self::tried(Sliders::of(['dirt' => 0.4, 'head' => 6.0]));

        self::assertEqualsWithDelta($dirty->condensing + 6.0, $both->condensing, 0.3);
    }

    public function test_sliders_stop_at_their_ends_and_take_no_nonsense(): void
    {
        $set = Sliders::of(['dirt' => '7', 'head' => '-400', 'gain' => 'much', 'air' => ['x'], 'superheat' => null]);

        self::assertSame([1.0, 0.0, 0.0, 0.0, -10.0], array_values(get_object_vars($set)));
        self::assertTrue(Sliders::of([])->areAtRest());
    }

    /** @param  array<string, float>  $readings */
    private static function oil(?Word $level = null, array $readings = [], ?Word $crank = null): OilTrips
    {
        $findings = new Findings(
            Circuit::plain(Kind::WalkInFreezer),
            readings: $readings,
            observations: $level === null ? [] : [Observation::OilLevel->value => $level],
            tests: $crank === null ? [] : [Test::CrankcaseRise->value => $crank],
        );

        return new OilTrips($findings, new HouseRules());
    }

    /**
     * At a dew of −30 °C.
     *
     * @return array<string, float>
     */
    private static function superheat(float $kelvin): array
    {
        $fluid = Circuit::plain(Kind::WalkInFreezer)->fluid();

        return [
            Reading::SuctionPressure->value => $fluid->dewPressure(Celsius::ZERO - 30.0) - 101_325.0,
            Reading::SuctionTemperatureCompressor->value => Celsius::ZERO - 30.0 + $kelvin,
        ];
    }

    public function test_liquid_return_comes_first_and_is_told_by_superheat_or_foam(): void
    {
        self::assertSame(OilCause::LiquidReturn, self::oil(Word::Normal, self::superheat(1.0))->first());
        self::assertSame(OilCause::LiquidReturn, self::oil(Word::Foaming, self::superheat(12.0))->first());
        self::assertSame(OilCause::LiquidReturn, self::oil(Word::Low, self::superheat(1.0))->first(), 'before low oil');
        self::assertSame(Mark::Fine, self::oil(Word::Normal, self::superheat(12.0))->marks()['liquid_return']);
    }

    public function test_low_oil_or_weak_pressure_with_dry_gas_is_the_oil_system(): void
    {
        self::assertSame(OilCause::OilSystem, self::oil(Word::Low, self::superheat(12.0))->first());
        $weak = self::superheat(12.0) + [Reading::OilPressureDifference->value => 60e3];
        self::assertSame(OilCause::OilSystem, self::oil(Word::Normal, $weak)->first());
    }

    public function test_wear_is_named_last_and_only_once_the_rest_is_ruled_out_or_it_is_proved(): void
    {
        $right = self::superheat(12.0) + [Reading::OilPressureDifference->value => 200e3];
        self::assertSame(OilCause::Wear, self::oil(Word::Normal, $right)->first());
        self::assertSame(Test::CrankcaseRise, self::oil(Word::Normal, $right)->next(OilCause::Wear));
        self::assertSame(Mark::Act, self::oil(Word::Normal, $right, Word::Rises)->marks()['wear']);
        self::assertNull(self::oil(Word::Normal, $right, Word::FollowsSuction)->first(), 'all ruled out');
    }

    public function test_what_is_open_asks_for_what_would_tell(): void
    {
        $none = self::oil();
        self::assertSame(OilCause::LiquidReturn, $none->first());
        self::assertSame(Reading::SuctionTemperatureCompressor, $none->next(OilCause::LiquidReturn));
        self::assertSame(Observation::OilLevel, $none->next(OilCause::OilSystem));
    }

    public function test_a_pump_down_runs_outside_of_a_field_the_longer_the_warmer_that_ends(): void
    {
        $machine = Twin::fittedTo(Circuit::plain(Kind::WalkInCooler))->machine;
        $seconds = static fn (float $least): ?float => PumpDownPath::outside(
            $machine,
            Envelope::around(self::kelvin([[$least, 15], [10, 15], [10, 60], [$least, 60]])),
            Celsius::ZERO + 2.0,
            Celsius::ZERO + 25.0,
            111_325.0,
            Celsius::ZERO + 38.0,
        );

        self::assertSame(0.0, $seconds(-45.0));
        self::assertGreaterThan($seconds(-18.0), $seconds(-10.0));
        self::assertGreaterThan(2.0, $seconds(-18.0));
    }

    /**
     * @param  list<array{float, float}>  $celsius
     * @return list<array{float, float}>
     */
    private static function kelvin(array $celsius): array
    {
        return array_map(
            static fn (array $one): array => [Celsius::ZERO + $one[0], Celsius::ZERO + $one[1]],
            $celsius,
        );
    }

    /** @return array<string, array{list<array{float, float}>, ?string}> */
    public static function corners(): array
    {
        return [
            'a field' => [[[-40, 20], [-10, 20], [-10, 55], [-40, 40]], null],
            'two' => [[[-40, 20], [-10, 20]], 'got 2 corners'],
            'out of reach' => [[[-40, 20], [-10, 20], [-10, 155]], 'corner 3'],
            'condensing below' => [[[-40, 20], [10, 5], [-10, 55]], 'corner 2: condensing must be above'],
            'crossed' => [[[-40, 20], [-10, 55], [-10, 20], [-40, 55]], 'cross'],
        ];
    }

    /** @param  list<array{float, float}>  $celsius */
    #[DataProvider('corners')]
    public function test_corner_points_that_are_no_field_are_refused(array $celsius, ?string $why): void
    {
        $objection = EnvelopeCorners::objection(self::kelvin($celsius));

        if ($why === null) {
            self::assertNull($objection);
        } else {
            self::assertStringContainsString($why, (string) $objection);
        }
    }

    public function test_every_cause_must_be_answered_before_another_compressor_explains_itself(): void
    {
        $circuit = Circuit::plain(Kind::WalkInFreezer);
        $bare = new ReplacementReasons(new Findings($circuit), new Log([]));
        self::assertContains('Acid', $bare->open());
        self::assertContains('Liquid return', $bare->open());

        $card = Cards::all()['acid_test'];
        $done = new Fact(
            'a',
            FactKind::Card,
            StepTaken::done($card, $card->ends()[array_key_last($card->ends())], 'No acid in the oil.', []),
            new \DateTimeImmutable('2026-11-30 10:00'),
            Source::Hand,
            'M. Vik',
            '',
            PartId::circuit(),
        );
        $read = new Findings($circuit, readings: self::superheat(9.0));
        $told = new ReplacementReasons($read, new Log([$done]));
        self::assertNotContains('Acid', $told->open());
        self::assertNotContains('Liquid return', $told->open());
        self::assertContains('Electrical supply', $told->open());
    }

    public function test_a_class_may_be_said_and_corners_win_over_it(): void
    {
        $unit = new CompressorUnit(PartId::of('compressor 1'));
        $low = $unit->within([], CompressorClass::SemiHermeticLow);

        self::assertTrue($low->envelope(CompressorClass::ScrollMedium)->holds(233.0, 300.0));
        self::assertFalse($unit->envelope(CompressorClass::ScrollMedium)->holds(233.0, 300.0));
        $own = $low->within(self::kelvin([[-20, 20], [0, 20], [0, 50]]), CompressorClass::SemiHermeticLow);
        self::assertFalse($own->envelope(CompressorClass::ScrollMedium)->holds(233.0, 300.0));
    }
}
