<?php

namespace Tests\Feature;

use App\Picture\Course;
use App\Picture\CourseFacts;
use App\View\CellHints;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Place;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use Metrum\Twin\TwinExpectation;
use Metrum\Twin\Twins;
use PHPUnit\Framework\Attributes\Group;
use Tests\Core\Visits;
use Tests\TestCase;

/** The course: right places, right marks, and no label on another, whatever is known or missing. */
#[Group('figures')]
final class CourseTest extends TestCase
{
    private static ?Twins $twins = null;

    private const EXTRA = [
        'drier_inlet_temperature_c' => 31.5,
        'drier_outlet_temperature_c' => 31.1,
        'valve_inlet_temperature_c' => 30.4,
        'condenser_air_out_temperature_c' => 31.7,
    ];

    public function test_the_run_passes_the_places_in_the_order_of_the_refrigerant(): void
    {
        $course = self::course(Visits::cooler(self::EXTRA));
        self::assertSame(array_column(Place::cases(), 'value'), array_keys($course->facts->run));
        $x = array_column($course->points, 'x');
        $sorted = $x;
        sort($sorted);
        self::assertSame($sorted, $x);
    }

    public function test_warmer_is_higher_and_on_the_phone_further_right(): void
    {
        $wide = self::course(Visits::cooler());
        $slim = self::course(Visits::cooler(), downward: true);
        self::assertLessThan($wide->frame->along(270.0), $wide->frame->along(300.0));
        self::assertLessThan($wide->frame->along(300.0), $wide->frame->along(340.0));
        self::assertGreaterThan($slim->frame->along(270.0), $slim->frame->along(300.0));
        $folded = ($wide->frame->along(340.0) - $wide->frame->along(360.0)) / 20;
        $linear = ($wide->frame->along(270.0) - $wide->frame->along(290.0)) / 20;
        self::assertLessThan($linear, $folded, 'above the fold a kelvin is shorter');
    }

    public function test_what_is_not_measured_is_only_band(): void
    {
        $course = self::course(
            Visits::cooler([
                'suction_pressure_kpa' => null,
                'suction_temperature_evaporator_c' => null,
                'suction_temperature_compressor_c' => null,
            ]),
        );
        self::assertArrayNotHasKey('coil_out', $course->facts->run);
        self::assertArrayHasKey('coil_out', $course->facts->expected);
        self::assertArrayNotHasKey('coil_in', $course->facts->run);
        self::assertTrue(self::course(Visits::of([]))->isBlank());
    }

    public function test_no_line_is_drawn_over_what_is_unknown(): void
    {
        self::assertFalse(CourseFacts::joins(Place::Discharge, Place::CondenserOut));
        self::assertFalse(CourseFacts::joins(Place::ReceiverOutlet, Place::CoilIn));
        self::assertTrue(CourseFacts::joins(Place::ReceiverOutlet, Place::ValveInlet));
        self::assertTrue(CourseFacts::joins(Place::ValveInlet, Place::CoilIn));
    }

    public function test_gaps_are_marked_fine_look_or_act(): void
    {
        $marks = static function (Findings $findings): array {
            $course = self::course($findings);

            $marks = [];
            foreach ($course->gaps as $gap) {
                $marks[$gap->name->value] = $gap->mark->value;
            }

            return $marks;
        };
        self::assertSame(
            ['fine'],
            array_values(
                array_unique(
                    $marks(
                        Visits::cooler([
                            'suction_temperature_compressor_c' => 7.4,
                            'discharge_temperature_c' => 73,
                        ]),
                    ),
                ),
            ),
        );
        $starved = $marks(
            Visits::cooler([
                'suction_pressure_kpa' => 215,
                'suction_temperature_evaporator_c' => 1.6,
                'receiver_outlet_temperature_c' => 36.0,
            ]),
        );
        self::assertSame(['act', 'act'], [$starved['superheat'], $starved['TD']]);
        self::assertSame('look', $starved['subcooling']);
        // What the mark is judged by is what the evidence says.
        $findings = Visits::cooler(['suction_pressure_kpa' => 215, 'suction_temperature_evaporator_c' => 1.6]);
        $signals = (new Diagnosis())->of($findings)->signals;
        foreach (self::course($findings)->gaps as $gap) {
            $sign =
                ['superheat' => 'superheat_suction', 'TD' => 'td_suction', 'split' => 'split'][
                    $gap->name->value
                ] ?? null;
            if ($sign !== null) {
                self::assertEqualsWithDelta($signals[$sign]->expected->value, $gap->band->middle(), 0.05);
                self::assertEqualsWithDelta($signals[$sign]->measured, $gap->value, 1e-9);
            }
        }
        // Not settled: nothing is more than a look.
        self::assertNotContains(
            'act',
            $marks(
                Visits::cooler(
                    ['suction_pressure_kpa' => 215, 'suction_temperature_evaporator_c' => 1.6],
                    ['state' => 'pulling_down'],
                ),
            ),
        );
    }

    public function test_labels_lie_on_no_other_and_inside_the_frame(): void
    {
        $all = array_keys(Visits::HEALTHY + self::EXTRA);
        mt_srand(7);
        $crowded = 0;
        for ($try = 0; $try < 240; $try++) {
            $readings = self::EXTRA;
            foreach ($all as $key) {
                $value = (Visits::HEALTHY + self::EXTRA)[$key];
                $readings[$key] =
                    mt_rand(0, 9) < 2
                        ? null
                        : $value + (str_ends_with($key, '_kpa') ? mt_rand(-120, 250) : mt_rand(-60, 60) / 10);
            }
            foreach ([[380.0, false], [236.0, false], [0.0, true]] as [$height, $downward]) {
                $course = self::course(
                    Visits::cooler(
                        array_filter($readings, static fn (mixed $value): bool => $value !== null) +
                            array_fill_keys($all, null),
                    ),
                    $height,
                    $downward,
                );
                $boxes = array_map(self::box(...), $course->labels);
                foreach ($boxes as $i => [$left, $top, $right, $bottom]) {
                    self::assertGreaterThanOrEqual(-0.5, $left);
                    self::assertLessThanOrEqual($course->frame->width + 0.5, $right);
                    foreach (array_slice($boxes, $i + 1) as [$l, $t, $r, $b]) {
                        $overlap = min($right, $r) - max($left, $l) > 1 && min($bottom, $b) - max($top, $t) > 1;
                        $crowded += $overlap ? 1 : 0;
                    }
                }
            }
        }
        self::assertSame(0, $crowded);
    }

    public function test_the_same_as_a_table(): void
    {
        $rows = self::course(Visits::cooler())->rows();
        $bulb = array_values(
            array_filter($rows, static fn (array $row): bool => $row['place'] === 'At the bulb'),
        )[0];
        self::assertSame('1.7 °C', $bulb['measured']);
        self::assertMatchesRegularExpression('/^−?\d+(\.\d)? to −?\d+(\.\d)? °C$/u', $bulb['expected']);
        $fahrenheit = self::course(Visits::cooler(), units: new Units(Unit::Fahrenheit))->rows();
        self::assertSame(
            '35.1 °F',
            array_values(
                array_filter($fahrenheit, static fn (array $row): bool => $row['place'] === 'At the bulb'),
            )[0]['measured'],
        );
    }

    public function test_the_drawing_is_said_in_words_for_those_who_cannot_see_it(): void
    {
        $svg = view('components.picture.course', [
            'course' => self::course(Visits::cooler()),
            'name' => 't',
        ])->render();
        self::assertStringContainsString('role="img"', $svg);
        self::assertMatchesRegularExpression('/superheat 5\.6 K, expected [\d.]+ to [\d.]+ K: fine/', $svg);
    }

    /**
     * Left, top, right and bottom.
     *
     * @param  array{x: float, lines: list<array{text: string, y: float, size: float, x?: float}>}  $label
     * @return array{float, float, float, float}
     */
    private static function box(array $label): array
    {
        $widest = 0.0;
        foreach ($label['lines'] as $line) {
            $widest = max(
                $widest,
                ($line['x'] ?? $label['x']) - $label['x'] + mb_strlen($line['text']) * $line['size'] * 0.52,
            );
        }
        $ys = array_column($label['lines'], 'y');

        return [$label['x'], min($ys) - 9, $label['x'] + $widest, max($ys) + 2];
    }

    private static function course(
        Findings $findings,
        float $height = 380.0,
        bool $downward = false,
        Units $units = new Units(),
    ): Course {
        $twins = self::$twins ??= new Twins();
        $rules = new HouseRules();
        $expectation = new TwinExpectation($findings, $rules, $twins->of($findings->circuit, $rules));
        $facts = new CourseFacts($findings, Figures::of($findings, $rules), $rules, $expectation);

        return $downward ? Course::down($facts, $units) : Course::across($facts, $units, $height);
    }

    public function test_each_saturation_stands_beside_the_pressure_that_it_is_worked_from(): void
    {
        $hint = static function (Findings $findings, Reading $reading): string {
            $figures = Figures::of($findings, new HouseRules());

            return (new CellHints($findings, $figures, new Units()))->of($reading);
        };
        $one = Visits::cooler();
        self::assertMatchesRegularExpression('/dew · .* mid/', $hint($one, Reading::SuctionPressure));
        $both = Visits::cooler(['evaporator_pressure_kpa' => 360]);
        self::assertStringNotContainsString('mid', $hint($both, Reading::SuctionPressure));
        self::assertMatchesRegularExpression('/dew · .* mid/', $hint($both, Reading::EvaporatorPressure));
        $receiver = Visits::cooler(['discharge_pressure_kpa' => null, 'receiver_pressure_kpa' => 1500]);
        self::assertSame('', $hint($receiver, Reading::DischargePressure));
        self::assertStringContainsString('bubble', $hint($receiver, Reading::ReceiverPressure));
        self::assertSame('', $hint(Visits::cooler(['receiver_pressure_kpa' => 1500]), Reading::ReceiverPressure));
    }
}
