<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Card\Cards;
use Metrum\Installation\PartId;
use Metrum\Work\Cards\DefrostRun;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A defrost that is watched: its events on the clock, and what they come to. */
final class DefrostRunTest extends TestCase
{
    private const GOOD = [
        'defrost_clock' => 'right_time',
        'trips' => 'set',
        'length' => 35,
        'begins' => 'yes',
        'heat_off' => 'temperature',
        'ice' => 'none',
        'refrigerant_on' => 'yes',
        'fans_on' => 'cold',
    ];

    public function test_events_stand_on_the_clock(): void
    {
        $walker = self::walked(self::GOOD);
        $run = DefrostRun::of($walker->log(), PartId::circuit());
        self::assertNotNull($run);

        self::assertSame(0.0, $run->events['begins']);
        self::assertSame(600.0, $run->events['heat_off']);
        self::assertSame(35 * 60.0, $run->length);
        self::assertSame(600.0 + 3 * 600.0, $run->last());
        self::assertArrayNotHasKey('back', $run->events);
        self::assertNull(DefrostRun::of(self::walked(['defrost_clock' => 'right_time'])->log(), PartId::circuit()));
    }

    public function test_what_the_sensor_read_stands_between_them(): void
    {
        $before = array_slice(self::GOOD, 0, 4);
        $walker = self::walked([...$before, 'sensor' => [-12.0, 0.5, 9.0], 'heat_off' => 'temperature']);
        $run = DefrostRun::of($walker->log(), PartId::circuit());

        self::assertEquals([[600.0, 261.15], [1200.0, 273.65], [1800.0, 282.15]], $run?->sensor);
    }

    /** @return iterable<string, array{array<string, string>, string, int}> answers, outcome, s an answer takes */
    public static function ends(): iterable
    {
        yield 'in good time' => [[], 'good', 600];
        yield 'its clock stands' => [['defrost_clock' => 'not_turning'], 'clock', 600];
        yield 'a trip is missing' => [['trips' => 'missing'], 'trips', 600];
        yield 'ends early' => [['ice' => 'some'], 'early', 600];
        yield 'time limit with ice' => [['heat_off' => 'time', 'ice' => 'much'], 'not_enough', 600];
        yield 'time limit, clear' => [['heat_off' => 'time'], 'limit', 600];
        yield 'fans on a wet coil' => [['fans_on' => 'wet'], 'fans', 600];
        yield 'hardly any ice' => [[], 'too_many', 120];
        yield 'by hand' => [['heat_off' => 'hand'], 'hand', 600];
    }

    /** @param  array<string, string>  $changed */
    #[DataProvider('ends')]
    public function test_it_comes_to_one_verdict(array $changed, string $outcome, int $pace): void
    {
        self::assertSame($outcome, self::walked([...self::GOOD, ...$changed], $pace)->run()->outcome()?->key);
    }

    public function test_the_verdict_names_how_long_it_took(): void
    {
        $run = self::walked([...self::GOOD, 'heat_off' => 'time', 'ice' => 'some'])->run();

        self::assertStringContainsString('Ran its full 10', $run->says($run->outcome() ?? throw new \LogicException()));
    }

    /** @param  array<string, float|string|list<float>>  $answers */
    private static function walked(array $answers, int $pace = 600): CardWalker
    {
        $card = Cards::find(DefrostRun::CARD) ?? throw new \LogicException();

        return (new CardWalker($card))->paced($pace)->all($answers);
    }
}
