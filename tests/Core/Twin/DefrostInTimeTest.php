<?php

declare(strict_types=1);

namespace Tests\Core\Twin;

use Metrum\Installation\Circuit;
use Metrum\Installation\Kind;
use Metrum\Knowledge\HouseRules;
use Metrum\Twin\DefrostInTime;
use Metrum\Twin\Machine;
use Metrum\Twin\Twins;
use PHPUnit\Framework\TestCase;

/** A defrost of a sound freezer: heat, drip, refreeze, fans, and the ice that is gone in the end. */
final class DefrostInTimeTest extends TestCase
{
    public function test_its_events_follow_each_other(): void
    {
        $defrost = DefrostInTime::of(self::machine(Kind::WalkInFreezer), 298.0);
        self::assertNotNull($defrost);

        self::assertGreaterThan(120.0, $defrost->heat);
        self::assertLessThan(2100.0, $defrost->heat, 'it ends by temperature, before its time limit');
        self::assertGreaterThanOrEqual($defrost->heat + 120.0, $defrost->refrigerant, 'it drips');
        self::assertGreaterThanOrEqual($defrost->refrigerant, $defrost->fans, 'the coil is fed before its fans start');
        self::assertGreaterThanOrEqual($defrost->fans, $defrost->back);
    }

    public function test_the_coil_waits_at_the_melting_point_until_its_ice_is_gone(): void
    {
        $defrost = DefrostInTime::of(self::machine(Kind::WalkInFreezer), 298.0);
        self::assertNotNull($defrost);
        self::assertGreaterThan(0.1, $defrost->ice());
        $warmest = -INF;
        foreach ($defrost->points as [$at, $coil, $frost]) {
            $isLate = $at > 60.0 && $at < $defrost->heat;
            if ($isLate && $frost > 0.3 * $defrost->ice()) {
                $warmest = max($warmest, $coil);
            }
        }
        self::assertLessThan(277.0, $warmest);
        $left = array_filter($defrost->points, static fn (array $one): bool => $one[0] === $defrost->heat);
        self::assertLessThan(0.1 * $defrost->ice(), array_values($left)[0][2] ?? 1.0, 'the ice is gone');
    }

    public function test_what_melts_by_air_has_no_such_course(): void
    {
        self::assertNull(DefrostInTime::of(self::machine(Kind::WalkInCooler), 298.0));
    }

    private static function machine(Kind $kind): Machine
    {
        return (new Twins())->of(Circuit::plain($kind), new HouseRules(), [])->machine;
    }
}
