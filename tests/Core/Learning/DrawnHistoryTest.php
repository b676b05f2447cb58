<?php

declare(strict_types=1);

namespace Tests\Core\Learning;

use Metrum\Installation\Kind;
use Metrum\Knowledge\Reading;
use Metrum\Learning\DirtyCondenser;
use Metrum\Learning\DrawnHistory;
use Metrum\Quantity\Celsius;
use Metrum\Twin\PlantState;
use Metrum\Twin\RandomPlants;
use Metrum\Twin\Sizing;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;
use Metrum\Work\Record\FigureHistory;
use Metrum\Work\Record\HistoryFigure;
use Metrum\Work\Record\RecordedVisit;
use PHPUnit\Framework\TestCase;

/** Years of visits to simulated plants. */
final class DrawnHistoryTest extends TestCase
{
    private const WEEKS = 6 * 7 * 86400.0;

    public function test_the_same_number_gives_the_same(): void
    {
        $history = new DrawnHistory(3, self::WEEKS);
        self::assertEquals($history->number(4, 3), $history->number(4, 3));
        self::assertNotEquals($history->number(4, 3), $history->number(5, 3));
    }

    public function test_dirt_raises_the_split_by_what_was_asked_on_a_warm_day(): void
    {
        $machine = (new Sizing((new RandomPlants(8))->circuit(Kind::WalkInCooler)))->machine();
        $around = new Surroundings(Celsius::ZERO + 32.0, $machine->design->box);
        $dirty = DirtyCondenser::of($machine, 4.0);
        $condensing = static fn (PlantState $state): float => $machine->fluid->bubbleTemperature(
            $machine->circuit->atmosphere->absolute($state->reading(Reading::DischargePressure) ?? 0.0),
        );
        $risen = $condensing((new SteadyState($dirty, $around))->find()) -
            $condensing((new SteadyState($machine, $around))->find());
        self::assertEqualsWithDelta(4.0, $risen, 0.2);
        self::assertSame($machine, DirtyCondenser::of($machine, 0.0));
    }

    public function test_a_condenser_that_gets_dirty_fast_is_told_in_eight_visits_and_a_clean_one_is_not(): void
    {
        $told = fn (float $dirt): int => count(array_filter(
            range(1, 6),
            static fn (int $number): bool => FigureHistory::of(
                HistoryFigure::Split,
                RecordedVisit::all((new DrawnHistory(5, self::WEEKS, $dirt))->number($number, 8)),
            )->told() !== null,
        ));
        self::assertGreaterThanOrEqual(3, $told(1.2));
        self::assertSame(0, $told(0.0));
    }
}
