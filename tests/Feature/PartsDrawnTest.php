<?php

namespace Tests\Feature;

use App\Picture\FrostCoil;
use App\Picture\LadderScale;
use App\Picture\WeightBar;
use Metrum\Knowledge\Word;
use PHPUnit\Framework\TestCase;

/** Small drawings: what they show follows from what they are of. */
final class PartsDrawnTest extends TestCase
{
    public function test_frost_stands_where_the_word_says(): void
    {
        $frosted = static fn (Word $word): array => array_keys(array_filter(
            (new FrostCoil($word))->fins,
            static fn (array $fin): bool => $fin['isFrosted'],
        ));

        self::assertSame([], $frosted(Word::None));
        self::assertSame(range(0, 11), $frosted(Word::Even));
        self::assertSame(range(0, 3), $frosted(Word::InletOnly));
        self::assertSame(range(8, 11), $frosted(Word::OutletOnly));
        self::assertNull((new FrostCoil(Word::Even))->ice);
        self::assertNotNull((new FrostCoil(Word::Blocked))->ice);
    }

    public function test_the_heavier_a_piece_the_longer_its_bar_and_none_leaves_its_frame(): void
    {
        $before = 0.0;
        foreach ([0.1, 0.5, 1.0, 2.0, 2.7] as $nats) {
            $bar = new WeightBar($nats);
            self::assertGreaterThan($before, $bar->width);
            self::assertEqualsWithDelta(56.0, $bar->x + $bar->width, 1e-9, 'it grows from the right');
            $before = $bar->width;
        }
        self::assertSame(56.0, (new WeightBar(40.0))->width);
        self::assertSame(1.0, (new WeightBar(-40.0))->x);
    }

    public function test_a_rung_spans_from_what_stood_before_it_to_what_stands_with_it(): void
    {
        $scale = new LadderScale(-2.0, 2.0);
        $for = $scale->rung(0.0, 1.0);
        $against = $scale->rung(1.0, -1.0);

        self::assertSame(100.0, $scale->middle());
        self::assertSame($scale->middle(), $for['x']);
        self::assertEqualsWithDelta(2 * $for['width'], $against['width'], 1e-9);
        self::assertGreaterThan(0.0, $scale->rung(0.5, 0.5)['width'], 'the smallest is seen too');
    }
}
