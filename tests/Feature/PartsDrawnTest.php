<?php

namespace Tests\Feature;

use App\Picture\EnvelopePicture;
use App\Picture\FrostCoil;
use App\Picture\IceTrendPicture;
use App\Picture\LadderScale;
use App\Picture\SwingPicture;
use App\Picture\WeightBar;
use Metrum\Installation\CompressorClass;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Units;
use Metrum\Twin\Expected;
use Metrum\Work\Compressor\OperatingPoint;
use Metrum\Work\Compressor\PointKind;
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

    public function test_what_swings_is_drawn_swinging_and_what_stands_still(): void
    {
        $swings = static fn (string $answer): array => array_column(SwingPicture::of($answer)->rows, 'swings', 'name');

        self::assertSame(['head' => false, 'line' => true, 'suction' => false], $swings('pipe'));
        self::assertSame(['head' => false, 'line' => true, 'suction' => true], $swings('both'));
        self::assertSame(['head' => true, 'line' => true, 'suction' => true], $swings('head'));
        self::assertSame([false, false, false], array_values($swings('nothing')));
        foreach (SwingPicture::of('head')->rows as $row) {
            preg_match_all('/ (\d+(?:\.\d+)?)(?: L|$)/', $row['path'], $found);
            self::assertGreaterThan(0.0, min(array_map(floatval(...), $found[1])));
            self::assertLessThan(SwingPicture::HEIGHT, max(array_map(floatval(...), $found[1])));
        }
    }

    public function test_names_of_points_in_an_envelope_leave_each_other_room(): void
    {
        $points = [
            new OperatingPoint(PointKind::Now, 243.0, 308.0),
            new OperatingPoint(PointKind::PumpDown, 233.0, 308.0),
            new OperatingPoint(PointKind::Coldest, 239.0, 307.5),
        ];
        $envelope = CompressorClass::SemiHermeticLow->envelope();
        $placed = (new EnvelopePicture($envelope, $points, new Units()))->points;

        self::assertSame('end', $placed[1]['anchor'], 'another point stands to its right');
        self::assertSame('start', $placed[0]['anchor']);
        foreach ($placed as $one) {
            self::assertGreaterThan(EnvelopePicture::LEFT, $one['x']);
            self::assertLessThan(EnvelopePicture::RIGHT, $one['x']);
        }
    }

    public function test_ice_of_a_day_falls_with_the_water_and_a_light_day_lies_below_its_band(): void
    {
        $expected = static fn (float $water): Expected => new Expected(500.0 - 5 * ($water - 273.15), 20.0);
        $picture = IceTrendPicture::of($expected, [[283.15, 450.0]], [288.15, 300.0], new Units());

        self::assertNotNull($picture);
        self::assertGreaterThan($picture->dots[0][1], $picture->now[1] ?? 0.0, 'further down is less');
        self::assertGreaterThan($picture->dots[0][0], $picture->now[0] ?? 0.0, 'further right is warmer');
        self::assertSame('300 kg', $picture->now[2] ?? '');
        self::assertNull(IceTrendPicture::of($expected, [], null, new Units()), 'nothing was made yet');
        self::assertNull(IceTrendPicture::of(static fn (): ?Expected => null, [], [288.15, 300.0], new Units()));
    }
}
