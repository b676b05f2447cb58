<?php

declare(strict_types=1);

namespace Tests\Core\Learning;

use Metrum\Knowledge\Fault;
use Metrum\Learning\Curriculum;
use Metrum\Learning\CurveFit;
use Metrum\Learning\DrawnVisit;
use Metrum\Learning\Lesson;
use Metrum\Learning\Measured;
use PHPUnit\Framework\TestCase;

/** What is learned from lessons: that which they show, from where the trade put it, and the same every time. */
final class FitTest extends TestCase
{
    /** Two words and a curve of three knots. */
    private const FEATURES = [[0, 1], [2, 3, 4]];

    public function test_it_learns_what_tells_the_faults_apart(): void
    {
        $fit = self::fitted(self::lessons(200));

        self::assertGreaterThan(0.9, $fit->probabilities(new Lesson([0], [1.0], []))[0]);
        self::assertGreaterThan(0.9, $fit->probabilities(new Lesson([1], [1.0], []))[1]);
        // What was not looked at says nothing: the shares of the lessons are left.
        self::assertEqualsWithDelta(0.5, $fit->probabilities(new Lesson([], [], []))[0], 0.05);
    }

    public function test_a_value_between_two_knots_is_between_them(): void
    {
        $fit = self::fitted(self::lessons(200));
        $at = static fn (float $way): float => $fit->probabilities(new Lesson([2, 3], [1 - $way, $way], []))[0];

        self::assertGreaterThan(min($at(0.0), $at(1.0)) - 1e-9, $at(0.4));
        self::assertLessThan(max($at(0.0), $at(1.0)) + 1e-9, $at(0.4));
        self::assertEqualsWithDelta($at(0.4), $at(0.41), 0.02);
    }

    public function test_steeper_curves_say_the_same_more_surely(): void
    {
        $fit = self::fitted(self::lessons(200));
        $lesson = new Lesson([0], [1.0], []);
        $before = $fit->probabilities($lesson);
        $tried = $fit->probabilities($lesson, 1.5);
        $fit->sharpened(1.5);

        self::assertEqualsWithDelta($tried, $fit->probabilities($lesson), 1e-12);
        self::assertEqualsWithDelta(
            1.5 * log($before[0] / $before[1]),
            log($tried[0] / $tried[1]),
            1e-9,
        );
    }

    public function test_what_no_lesson_shows_keeps_the_trades_weight(): void
    {
        $prior = array_fill(0, 5, [0.0, 0.0]);
        $prior[4] = [1.5, -1.5];
        $fit = new CurveFit($prior, [0.0, 0.0], self::FEATURES);
        $fit->to(array_slice(self::lessons(200), 0, 100), 20, static function (): void {
        });

        self::assertSame([1.5, -1.5], $fit->weights[4]);
    }

    public function test_a_family_keeps_its_shape_and_only_counts_more_or_less(): void
    {
        $prior = array_fill(0, 5, [0.0, 0.0]);
        [$prior[0], $prior[1]] = [[0.9, -0.9], [-0.3, 0.3]];
        $fit = new CurveFit($prior, [0.0, 0.0], [[2, 3, 4]], ['seal' => [0, 1]]);
        $fit->to(self::lessons(200), 40, static function (): void {
        });

        $share = $fit->families->shares['seal'];
        self::assertGreaterThan(1.0, $share, 'these lessons show more than the files say');
        self::assertLessThanOrEqual(1.1, $share);
        foreach ([0, 1] as $column) {
            self::assertEqualsWithDelta($share * $prior[$column][0], $fit->weights[$column][0], 1e-9);
        }
    }

    public function test_what_is_held_beforehand_is_not_fitted(): void
    {
        $fit = new CurveFit(array_fill(0, 5, [0.0, 0.0]), [log(3.0), 0.0], self::FEATURES);
        $fit->to(self::lessons(200), 20, static function (): void {
        });

        self::assertEqualsWithDelta(0.75, $fit->probabilities(new Lesson([], [], []))[0], 1e-9);
    }

    public function test_a_fault_that_a_plant_cannot_have_learns_nothing_from_it(): void
    {
        $closed = array_map(
            static fn (Lesson $one): Lesson => new Lesson($one->columns, $one->parts, [0 => 1.0], [1]),
            self::lessons(100),
        );
        $fit = self::fitted($closed);

        self::assertSame(array_fill(0, 5, [0.0, 0.0]), $fit->weights, 'there is nothing to tell apart');
        self::assertSame([1.0, 0.0], $fit->probabilities($closed[0]));
        self::assertEqualsWithDelta([0.5, 0.5], $fit->probabilities(new Lesson([], [], [])), 1e-6);
    }

    public function test_the_regulator_of_a_plant_without_one_is_not_asked_for(): void
    {
        $taught = new Curriculum();
        $lesson = static fn (array $features): array => array_map(
            static fn (int $place): Fault => $taught->learned[$place],
            $taught->lesson(new DrawnVisit(1, [], null, false, $features))->closed,
        );

        self::assertSame([], $lesson([]), 'what is not known may be there');
        $regulators = [Fault::RegulatorSetHigh, Fault::RegulatorSetLow];
        self::assertSame($regulators, $lesson(['plant regulator' => 'no']));
        self::assertSame([], $lesson(['plant regulator' => 'yes']));
        self::assertContains(Fault::WinterUndercharge, $lesson(['plant flooding_valve' => 'no']));
    }

    public function test_the_same_lessons_give_the_same_curves(): void
    {
        self::assertSame(self::fitted(self::lessons(120))->weights, self::fitted(self::lessons(120))->weights);
    }

    public function test_the_loss_falls_from_round_to_round(): void
    {
        $losses = [];
        $fit = new CurveFit(array_fill(0, 5, [0.0, 0.0]), [0.0, 0.0], self::FEATURES);
        $fit->to(self::lessons(200), 30, static function (int $percent, float $loss) use (&$losses): void {
            $losses[$percent] = $loss;
        });
        self::assertLessThan(0.5 * reset($losses), end($losses));
        self::assertSame(100, array_key_last($losses));
    }

    public function test_calibration_is_measured_as_the_distance_of_claim_and_truth(): void
    {
        $measured = new Measured();
        foreach ([true, true, true, false] as $right) {
            $measured->add(
                ['undercharge' => 0.75, 'overcharge' => 0.2, 'no_fault' => 0.05],
                [$right ? 'undercharge' : 'overcharge'],
            );
        }
        $measured->add(['undercharge' => 0.95, 'no_fault' => 0.05], []);

        self::assertEqualsWithDelta(0.6, $measured->first(), 1e-9);
        self::assertEqualsWithDelta(1.0, $measured->three(), 1e-9);
        // Three of four at 75 % are no error; the one at 95 % was wrong.
        self::assertEqualsWithDelta(0.95 / 5, $measured->calibrationError(), 1e-9);
        // Of four such claims a quarter more or less is chance.
        $chance = sqrt(2 / M_PI) * (sqrt(4 * 0.75 * 0.25) + sqrt(0.95 * 0.05)) / 5;
        self::assertEqualsWithDelta($chance, $measured->errorByChance(), 1e-9);
        self::assertEqualsWithDelta((3 * -log(0.75) - log(0.2) - log(0.05)) / 5, $measured->loss(), 1e-9);
    }

    /** @param  list<Lesson>  $lessons */
    private static function fitted(array $lessons): CurveFit
    {
        $fit = new CurveFit(array_fill(0, 5, [0.0, 0.0]), [0.0, 0.0], self::FEATURES);
        $fit->to($lessons, 60, static function (): void {
        });

        return $fit;
    }

    /** @return list<Lesson> the word tells the fault, the curve nearly, where it was read */
    private static function lessons(int $count): array
    {
        $lessons = [];
        for ($i = 0; $i < $count; $i++) {
            $fault = $i % 2;
            $knot = $i % 7 === 0 ? 3 : 2 + $fault;
            $isRead = intdiv($i, 2) % 4 !== 0;
            $lessons[] = new Lesson(
                $isRead ? [$fault, $knot] : [$fault],
                $isRead ? [1.0, 1.0] : [1.0],
                [$fault => 1.0],
            );
        }

        return $lessons;
    }
}
