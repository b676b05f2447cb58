<?php

declare(strict_types=1);

namespace Tests\Core\Learning;

use Metrum\Diagnosis\Scale;
use Metrum\Knowledge\Fault;
use Metrum\Learning\Arrows;
use Metrum\Learning\Columns;
use PHPUnit\Framework\TestCase;

/** Fitted curves are kept to the trade's arrows, and no further. */
final class KeptCurvesTest extends TestCase
{
    private const FAULTS = [Fault::NoFault, Fault::Undercharge, Fault::CondenserAirflowLow];

    public function test_a_curve_that_turned_back_is_made_level_there(): void
    {
        $columns = new Columns();
        $weights = array_fill(0, $columns->count, [0.0, 0.0, 0.0]);
        $wavy = [-1.2, -1.0, -0.8, -0.2, -0.6, -0.1, 0.9, 0.5, 1.4, 1.2, 1.6];
        foreach ($columns->curves['sign split'] as $i => $column) {
            $weights[$column][2] = $wavy[$i];
        }
        $kept = (new Arrows($columns, self::FAULTS))->kept($weights);
        $curve = array_map(static fn (int $column): float => $kept[$column][2], $columns->curves['sign split']);
        for ($i = 1; $i < count($curve); $i++) {
            self::assertGreaterThanOrEqual($curve[$i - 1], $curve[$i]);
        }
        self::assertEqualsWithDelta(array_sum($wavy), array_sum($curve), 1e-9, 'its mean stays');
        self::assertSame(-1.2, $curve[0], 'what rises is left as it is');
    }

    public function test_what_is_as_expected_speaks_for_nothing_that_is_wrong(): void
    {
        $columns = new Columns();
        $weights = array_fill(0, $columns->count, [0.1, 0.6, -0.3]);
        $kept = (new Arrows($columns, self::FAULTS))->kept($weights);
        foreach (['sign split', 'reading discharge_pressure_kpa'] as $feature) {
            $at = $columns->curves[$feature][(int) array_search(0.0, Scale::DEVIATIONS, true)];
            self::assertEqualsWithDelta([0.1, 0.1, -0.3], $kept[$at], 1e-9, $feature);
            self::assertSame(0.6, $kept[$columns->curves[$feature][2]][1], 'elsewhere it stays as it was learned');
        }
        $own = $columns->curves['share least_subcooling'];
        self::assertSame(0.6, $kept[$own[3]][1], 'no subcooling is not as it ought to be');
    }

    public function test_the_arrows_are_those_of_the_trade(): void
    {
        $short = Arrows::clearSigns(Fault::Undercharge);
        self::assertSame(1, $short['superheat_suction']);
        self::assertSame(-1, $short['subcooling']);
        self::assertSame(1, Arrows::clearSigns(Fault::CondenserAirflowLow)['split']);
        self::assertSame([], Arrows::clearSigns(Fault::NoFault));
    }

    public function test_every_value_has_its_place_between_knots(): void
    {
        self::assertSame([0, 0.0], Scale::place('sign split', -19.0));
        self::assertSame([count(Scale::DEVIATIONS) - 2, 1.0], Scale::place('sign split', 40.0));
        [$knot, $way] = Scale::place('sign split', 0.25);
        self::assertSame([(int) array_search(0.0, Scale::DEVIATIONS, true), 0.25], [$knot, $way]);
        foreach (Scale::DEVIATIONS as $i => $value) {
            [$knot, $way] = Scale::place('sign split', $value);
            self::assertEqualsWithDelta((float) $i, $knot + $way, 1e-9);
        }
    }
}
