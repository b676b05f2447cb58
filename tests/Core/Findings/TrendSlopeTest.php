<?php

declare(strict_types=1);

namespace Tests\Core\Findings;

use Metrum\Findings\Slope;
use Metrum\Findings\Trend;
use Metrum\Findings\TrendMoves;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Reading;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Log\Source;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** How a trend goes, and whether it goes differently after something was done. */
final class TrendSlopeTest extends TestCase
{
    private const RUNS = 300;

    public function test_a_straight_line_is_its_own_slope(): void
    {
        $slope = Slope::through([[0.0, 10.0], [60.0, 10.6], [120.0, 11.2], [180.0, 11.8], [240.0, 12.4]]);

        self::assertEqualsWithDelta(0.01, $slope?->perSecond, 1e-12);
        self::assertEqualsWithDelta(0.0, $slope?->deviation, 1e-9);
        self::assertEqualsWithDelta(12.4, $slope?->end, 1e-9);
        self::assertTrue($slope?->isSure());
    }

    public function test_too_few_samples_have_none(): void
    {
        self::assertNull(Slope::through([[0.0, 1.0], [60.0, 2.0], [120.0, 3.0]]));
        self::assertNull(Slope::through([[5.0, 1.0], [5.0, 2.0], [5.0, 3.0], [5.0, 4.0]]));
    }

    /** Samples that follow each other: the true slope lies within two deviations as often as it should. */
    public function test_the_deviation_holds_for_samples_that_follow_each_other(): void
    {
        $random = new Randomizer(new Mt19937(5));
        $within = 0;
        for ($run = 0; $run < self::RUNS; $run++) {
            $noise = 0.0;
            $points = [];
            for ($i = 0; $i < 60; $i++) {
                $noise = 0.6 * $noise + $random->getInt(-1000, 1000) / 1000;
                $points[] = [60.0 * $i, 280.0 + 0.001 * 60.0 * $i + 0.2 * $noise];
            }
            $slope = Slope::through($points);
            self::assertNotNull($slope);
            $within += abs($slope->perSecond - 0.001) < 2 * $slope->deviation ? 1 : 0;
        }
        self::assertGreaterThan(0.88 * self::RUNS, $within);
        self::assertLessThan(self::RUNS, $within, 'and is not told too wide');
    }

    public function test_a_trend_that_turns_at_a_move_is_told_to_turn(): void
    {
        $points = [];
        for ($i = 0; $i <= 120; $i++) {
            $points[] = [60.0 * $i, 275.0 + ($i < 60 ? 0.02 * $i : 1.2 - 0.03 * ($i - 60)) + 0.02 * sin($i)];
        }
        $trend = Trend::of(Reading::BoxTemperature, PartId::circuit(), $points);
        $moves = TrendMoves::of($trend, new Log([self::move(3600)]))->all;

        self::assertCount(1, $moves);
        self::assertGreaterThan(0.0, $moves[0]['before']?->perSecond);
        self::assertLessThan(0.0, $moves[0]['after']?->perSecond);
        self::assertTrue($moves[0]['after']?->differs($moves[0]['before']));
        $calm = TrendMoves::of($trend, new Log([self::move(1800), self::move(3600)]))->all;
        self::assertFalse($calm[0]['after']?->differs($calm[0]['before'] ?? throw new \LogicException()));
        self::assertSame([], TrendMoves::of($trend, new Log([self::move(99_000)]))->all, 'outside of it');
    }

    public function test_what_lies_between_two_moves_is_of_neither_other(): void
    {
        $points = array_map(static fn (int $i): array => [60.0 * $i, $i < 30 ? 1.0 * $i : 30.0], range(0, 60));
        $trend = Trend::of(Reading::SuctionHeader, PartId::plant(), $points);
        $moves = TrendMoves::of($trend, new Log([self::move(600), self::move(1800)]))->all;

        self::assertEqualsWithDelta(1800.0, $moves[0]['after']?->to, 60.0);
        self::assertEqualsWithDelta(600.0, $moves[1]['before']?->from, 60.0);
    }

    public function test_a_moment_has_the_nearest_value_or_none(): void
    {
        $trend = Trend::of(Reading::BoxTemperature, PartId::circuit(), [[600.0, 276.0], [0.0, 275.0], [600.0, 277.0]]);

        self::assertSame([600.0, 277.0], $trend->at(1000.0), 'the later one of a moment stands');
        self::assertSame([0.0, 275.0], $trend->at(-100.0));
        self::assertNull($trend->at(5000.0));
    }

    private static function move(int $at): Fact
    {
        return new Fact(
            sprintf('01J%023d', $at),
            FactKind::Move,
            new Content('valve_turn', 0.25),
            new \DateTimeImmutable("@$at"),
            Source::Hand,
            'somebody',
            '',
            PartId::circuit(),
        );
    }
}
