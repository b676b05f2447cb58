<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Findings\DerivedFigure;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Word;
use Metrum\Twin\ChargeCurve;
use Metrum\Twin\Surroundings;
use Metrum\Work\Charging\ChargeModel;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a plant would show at any charge, and how its own size is told from the twin's. */
final class ChargeModelTest extends TestCase
{
    public function test_more_refrigerant_lowers_superheat_and_raises_subcooling_without_a_receiver(): void
    {
        $model = self::model(ChargeHand::cabinet(1.0));
        $before = null;
        foreach (range(0.6, 1.3, 0.05) as $share) {
            $now = [
                (float) $model->figure(DerivedFigure::EvaporatorSuperheat, $share * $model->right),
                (float) $model->figure(DerivedFigure::Subcooling, $share * $model->right),
                (float) $model->figure(DerivedFigure::SaturatedCondensing, $share * $model->right),
            ];
            if ($before !== null) {
                self::assertLessThanOrEqual($before[0] + 0.05, $now[0]);
                self::assertGreaterThanOrEqual($before[1] - 0.05, $now[1]);
                self::assertGreaterThan($before[2], $now[2]);
            }
            $before = $now;
        }
    }

    public function test_at_the_right_charge_it_shows_what_was_planned(): void
    {
        $model = self::model(ChargeHand::cabinet(1.0));

        self::assertEqualsWithDelta(6.0, (float) $model->figure(DerivedFigure::Subcooling, $model->right), 0.4);
        self::assertEqualsWithDelta(0.38, $model->right, 0.002);
        self::assertLessThan($model->right, $model->sealed);
    }

    public function test_the_glass_bubbles_below_the_seal_and_is_clear_above_it(): void
    {
        foreach ([ChargeHand::cabinet(1.0), ChargeHand::cooler(1.0)] as $hand) {
            $model = self::model($hand);
            self::assertGreaterThan(0.6, $model->glass(Word::Bubbles, 0.8 * $model->sealed));
            self::assertGreaterThan(0.8, $model->glass(Word::Clear, 1.1 * $model->sealed));
            self::assertGreaterThan(0.0, $model->glass(Word::Clear, 0.8 * $model->sealed), 'people err');
        }
    }

    public function test_the_level_rises_with_the_charge_between_covered_and_full(): void
    {
        $hand = ChargeHand::cooler(1.0);
        $model = self::model($hand);
        self::assertEqualsWithDelta(0.0, $model->level(0.9 * $model->sealed), 0.03);
        self::assertEqualsWithDelta(0.4, $model->level($model->right), 0.05);
        $heavy = $hand->machine->fluid->liquidDensity(310.0) * $hand->machine->receiverVolume;
        $rise = $model->level($model->right + 1.0) - $model->level($model->right);
        self::assertEqualsWithDelta(1.0 / $heavy, $rise, 0.15 / $heavy);
    }

    /** @return iterable<string, array{float, float}> */
    public static function places(): iterable
    {
        foreach ([0.6, 0.9, 1.0, 1.4] as $size) {
            foreach ([0.5, 0.95, 1.05, 1.6] as $share) {
                yield "$share of the seal, a plant $size as large" => [$share, $size];
            }
        }
    }

    #[DataProvider('places')]
    public function test_kilograms_of_plant_and_twin_turn_into_each_other(float $share, float $size): void
    {
        foreach ([ChargeHand::cabinet(1.0), ChargeHand::cooler(1.0)] as $hand) {
            $model = self::model($hand);
            $charge = $share * $model->sealed;
            $above = $model->aboveSeal($charge, $size);
            self::assertEqualsWithDelta($charge, $model->charge($above, $size), 1e-9);
            self::assertSame($share > 1.0, $above > 0.0);
        }
    }

    public function test_a_receiver_whose_volume_is_known_is_as_large_as_its_twin_s(): void
    {
        $known = self::model(ChargeHand::cooler(1.0));
        $cabinet = self::model(ChargeHand::cabinet(1.0));

        self::assertEqualsWithDelta(1.0, $known->aboveSeal($known->sealed + 1.0, 1.5), 1e-9);
        self::assertEqualsWithDelta(-1.5, $known->aboveSeal($known->sealed - 1.0, 1.5), 1e-9);
        self::assertEqualsWithDelta(0.15, $cabinet->aboveSeal($cabinet->sealed + 0.1, 1.5), 1e-9);
    }

    public function test_saturated_liquid_is_surer_than_how_far_it_is_subcooled(): void
    {
        $model = self::model(ChargeHand::cooler(1.0));
        $at = static fn (float $there, float $read): float => $model->deviation(
            DerivedFigure::Subcooling,
            $there,
            $read,
        );

        self::assertLessThan($at(3.0, 3.0), $at(0.0, 0.0));
        self::assertLessThan($at(3.0, 4.0), $at(3.0, 2.0), 'less than a seal has is told from it sooner than more');
        self::assertSame(2.5, $model->deviation(DerivedFigure::EvaporatorSuperheat, 5.0, 7.0));
    }

    private static function model(ChargeHand $hand): ChargeModel
    {
        $around = new Surroundings($hand->machine->design->ambient, $hand->machine->design->box);
        $model = ChargeModel::of(ChargeCurve::of($hand->machine, $around), new HouseRules());
        assert($model !== null);

        return $model;
    }
}
