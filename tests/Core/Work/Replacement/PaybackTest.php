<?php

declare(strict_types=1);

namespace Tests\Core\Work\Replacement;

use Metrum\Knowledge\HouseRules;
use Metrum\Work\Compressor\PointKind;
use Metrum\Work\Replacement\Estimate;
use Metrum\Work\Replacement\Leaning;
use Metrum\Work\Replacement\Payback;
use Metrum\Work\Replacement\PlantStanding;
use PHPUnit\Framework\TestCase;

/** When replacement has paid itself back, and for what each thing speaks. */
final class PaybackTest extends TestCase
{
    public function test_it_is_paid_back_sooner_by_the_most_saving_and_later_by_the_least(): void
    {
        $payback = new Payback(8000.0, new Estimate(500.0, 1000.0, 2000.0));
        self::assertSame([4.0, 8.0, 16.0], [$payback->earliest(), $payback->likely(), $payback->latest()]);
        self::assertEqualsWithDelta(0.0, $payback->after(8.0)->likely, 1e-9);
        self::assertSame(-8000.0, $payback->after(0.0)->low);
    }

    public function test_what_saves_nothing_is_never_paid_back_and_what_costs_no_more_is_at_once(): void
    {
        self::assertNull((new Payback(8000.0, new Estimate(-10.0, 0.0, 40.0)))->likely());
        self::assertSame(200.0, (new Payback(8000.0, new Estimate(-10.0, 0.0, 40.0)))->earliest());
        self::assertSame(0.0, (new Payback(-50.0, Estimate::none()))->latest());
    }

    public function test_ends_of_a_spread_stay_in_their_order_whatever_they_are_made_of(): void
    {
        $spread = Estimate::of(3.0, 2.0, 1.0)->plus(new Estimate(-1.0, 0.0, 1.0))->scaled(-2.0);
        self::assertLessThanOrEqual($spread->likely, $spread->low);
        self::assertLessThanOrEqual($spread->high, $spread->likely);
    }

    public function test_each_thing_speaks_for_repair_for_replacement_for_neither_or_is_not_known(): void
    {
        $standing = new PlantStanding(new HouseRules());
        $sides = static fn (callable $of, array $values): array => array_map(
            static fn (mixed $one): string => $of($one)->value,
            $values,
        );
        $all = ['not_known', 'repair', 'neither', 'replacement'];
        self::assertSame($all, $sides($standing->age(...), [null, 3.0, 14.0, 18.0]));
        $refrigerants = $sides($standing->refrigerant(...), [3.0, 1430.0, 3922.0]);
        self::assertSame(['repair', 'neither', 'replacement'], $refrigerants);
        self::assertSame($all, $sides($standing->leaks(...), [null, 0.0, 0.14, 0.3]));
        self::assertSame($all, $sides($standing->faults(...), [null, 0.5, 2.0, 4.0]));
        $worn = static fn (?float $chance): Leaning => $standing->compressor($chance, false);
        self::assertSame($all, $sides($worn, [null, 0.02, 0.3, 0.9]));
        self::assertSame(Leaning::Replacement, $standing->compressor(0.02, true));
        $days = [null, [], [PointKind::Coldest]];
        self::assertSame(['not_known', 'repair', 'neither'], $sides($standing->envelope(...), $days));
        self::assertSame(Leaning::NotKnown, $standing->surfaces([]));
        self::assertSame(Leaning::NotKnown, $standing->energy(null, null));
    }

    public function test_a_house_rule_moves_the_law_of_the_place(): void
    {
        $strict = new PlantStanding(new HouseRules(['phase_down' => 'new_systems']));
        self::assertSame(Leaning::Replacement, $strict->refrigerant(1387.0));
        self::assertSame(Leaning::Neither, (new PlantStanding(new HouseRules()))->refrigerant(1387.0));
    }
}
