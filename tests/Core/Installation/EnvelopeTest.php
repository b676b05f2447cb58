<?php

declare(strict_types=1);

namespace Tests\Core\Installation;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Installation\Circuit;
use Metrum\Installation\CompressorClass;
use Metrum\Installation\Envelope;
use Metrum\Installation\Kind;
use Metrum\Quantity\Celsius;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Where a compressor may run. */
final class EnvelopeTest extends TestCase
{
    private static function holds(CompressorClass $class, float $evaporating, float $condensing): bool
    {
        return $class->envelope()->holds(Celsius::ZERO + $evaporating, Celsius::ZERO + $condensing);
    }

    /** @return iterable<string, array{CompressorClass, float, float, bool}> */
    public static function points(): iterable
    {
        $medium = CompressorClass::SemiHermeticMedium;
        yield 'a cooler on a mild day' => [$medium, -8.0, 38.0, true];
        yield 'a freezer on a compressor for coolers' => [$medium, -30.0, 38.0, false];
        yield 'head beyond the top' => [$medium, 0.0, 61.0, false];
        yield 'cold evaporating with high head, beyond the slope' => [$medium, -20.0, 50.0, false];
        yield 'on its edge' => [$medium, 12.0, 40.0, true];
        yield 'on its corner' => [$medium, -20.0, 15.0, true];
        yield 'a freezer' => [CompressorClass::SemiHermeticLow, -30.0, 35.0, true];
        yield 'a freezer on a scroll for coolers' => [CompressorClass::ScrollMedium, -32.0, 35.0, false];
    }

    #[DataProvider('points')]
    public function test_a_point_lies_inside_or_outside(
        CompressorClass $class,
        float $evaporating,
        float $condensing,
        bool $isIn,
    ): void {
        self::assertSame($isIn, self::holds($class, $evaporating, $condensing));
    }

    public function test_every_kind_runs_inside_what_it_usually_has(): void
    {
        foreach (Kind::cases() as $kind) {
            $circuit = Circuit::plain($kind);
            $box = $circuit->design->boxSetPoint ?? Celsius::ZERO;
            $evaporating = $box - ($circuit->design->evaporatorTd ?? 10.0) - 1.0;

            self::assertTrue(
                CompressorClass::usual($circuit)->envelope()->holds($evaporating, Celsius::ZERO + 38.0),
                $kind->value,
            );
        }
    }

    public function test_a_zone_lies_in_its_field_and_names_what_is_needed(): void
    {
        foreach (CompressorClass::cases() as $class) {
            $envelope = $class->envelope();
            foreach ($envelope->zones as [$label, $corners]) {
                $x = array_sum(array_column($corners, 0)) / count($corners);
                $y = array_sum(array_column($corners, 1)) / count($corners);

                self::assertTrue($envelope->holds($x, $y), $class->value);
                self::assertSame($label, $envelope->zoneAt($x, $y));
            }
            self::assertNull($envelope->zoneAt(Celsius::ZERO + 100.0, Celsius::ZERO + 100.0));
        }
    }

    public function test_two_corners_are_no_field(): void
    {
        $this->expectException(BrokenData::class);
        Envelope::of(new DataRow('envelopes', ['label' => 'x', 'corners' => [[1, 2], [3, 4]], 'zones' => []]));
    }
}
