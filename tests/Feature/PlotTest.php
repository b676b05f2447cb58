<?php

namespace Tests\Feature;

use App\Picture\Axis;
use App\Picture\Plot;
use PHPUnit\Framework\TestCase;

/** Where values stand on an axis, which all pictures share. */
final class PlotTest extends TestCase
{
    public function test_a_value_and_its_place_are_each_others_inverse(): void
    {
        $axes = [
            Axis::of(44.0, 700.0, -12.5, 31.0),
            Axis::of(250.0, 20.0, 0.0, 1.0),
            Axis::logarithmic(196.0, 12.0, 5e4, 2.6e6),
        ];
        foreach ($axes as $axis) {
            foreach ([0.0, 0.01, 0.3, 0.5, 0.99, 1.0] as $share) {
                $place = $axis->at($axis->value($share));
                $start = $axis->at($axis->value(0.0));
                $end = $axis->at($axis->value(1.0));
                self::assertEqualsWithDelta($start + $share * ($end - $start), $place, 1e-9);
                self::assertTrue($axis->holds(round($place, 9)));
            }
        }
    }

    public function test_upward_a_higher_value_stands_at_a_lower_number(): void
    {
        $axis = Axis::of(250.0, 20.0, 0.0, 10.0);

        self::assertSame(250.0, $axis->at(0.0));
        self::assertSame(20.0, $axis->at(10.0));
        self::assertGreaterThan($axis->at(5.0), $axis->at(4.0));
    }

    public function test_held_what_lies_beyond_stands_at_the_end(): void
    {
        $axis = Axis::of(0.0, 100.0, 0.0, 10.0);

        self::assertSame(150.0, $axis->at(15.0));
        self::assertSame(100.0, $axis->held()->at(15.0));
        self::assertSame(0.0, $axis->held()->at(-3.0));
        self::assertSame(-30.0, $axis->heldAtItsEnd()->at(-3.0));
        self::assertFalse($axis->holds(100.1));
    }

    public function test_round_values_are_counted_from_their_zero_and_none_lies_outside(): void
    {
        self::assertSame([-10.0, -5.0, 0.0, 5.0], Axis::of(0.0, 1.0, -12.0, 9.0)->rounds(5.0));
        self::assertSame([273.15, 278.15], Axis::of(0.0, 1.0, 272.0, 280.0)->rounds(5.0, 273.15));
        self::assertSame([], Axis::of(0.0, 1.0, 1.0, 4.0)->rounds(5.0));
    }

    public function test_an_axis_of_no_length_draws_all_at_its_start(): void
    {
        self::assertSame(10.0, Axis::of(10.0, 90.0, 5.0, 5.0)->at(5.0));
    }

    public function test_a_line_goes_through_its_points_and_none_is_drawn_through_none(): void
    {
        $plot = new Plot(Axis::of(0.0, 100.0, 0.0, 1.0), Axis::of(50.0, 0.0, 0.0, 2.0));

        self::assertSame('M0.0 50.0 L50.0 25.0 L100.0 0.0', $plot->path([[0.0, 0.0], [0.5, 1.0], [1.0, 2.0]]));
        self::assertSame('', $plot->path([]));
    }
}
