<?php

declare(strict_types=1);

namespace Tests\Core\Twin;

use Metrum\Findings\Findings;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Twin\Likeness;
use Metrum\Twin\Surroundings;
use Metrum\Twin\Twin;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** The severity at which the twin reads most like the plant is the one the plant was given. */
final class LikenessTest extends TestCase
{
    private static function around(): Surroundings
    {
        return new Surroundings(298.15, 276.15);
    }

    private static function likeness(Twin $twin, Findings $read): Likeness
    {
        return new Likeness($twin, self::around(), $read, new HouseRules());
    }

    #[TestWith([Fault::CondenserAirflowLow, 0.35])]
    #[TestWith([Fault::CondenserAirflowLow, 0.8])]
    #[TestWith([Fault::ValveUnderfeeding, 0.35])]
    #[TestWith([Fault::ValveUnderfeeding, 0.65])]
    #[TestWith([Fault::EvaporatorAirflowLow, 0.5])]
    public function test_a_severity_is_found_again_within_a_step(Fault $fault, float $severity): void
    {
        $sound = Visits::cooler();
        $twin = Twin::fittedTo($sound->circuit);
        $sick = $twin->withFault($fault, $severity, self::around());
        $read = new Findings(
            circuit: $sound->circuit,
            state: $sound->state,
            readings: self::gauges($sound, $sick->readings),
        );

        [$found, $state] = self::likeness($twin, $read)->closest($fault);

        self::assertEqualsWithDelta($severity, $found, 0.076);
        self::assertEquals($twin->withFault($fault, $found, self::around())->readings, $state->readings);
    }

    public function test_with_nothing_to_compare_it_stays_within_what_is_tried(): void
    {
        $twin = Twin::fittedTo(Visits::cooler()->circuit);
        $nothing = new Findings(circuit: Visits::cooler()->circuit);

        [$found] = self::likeness($twin, $nothing)->closest(Fault::CondenserAirflowLow);

        self::assertGreaterThanOrEqual(0.2, $found);
        self::assertLessThanOrEqual(0.95, $found);
    }

    /**
     * @param  array<string, float>  $read  what the twin's instruments show
     * @return array<string, float> what was also measured on the sound plant
     */
    private static function gauges(Findings $sound, array $read): array
    {
        return array_intersect_key($read, $sound->readings);
    }
}
