<?php

namespace Tests\Feature;

use App\Picture\CourseGaps;
use App\View\Explain;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\TypedOutcomes;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Units;
use Metrum\Twin\Twins;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** Nothing is named that no plant can show: no outcome of a check, and no span in which a figure should lie. */
#[Group('figures')]
final class PossibleTest extends TestCase
{
    private const READ = [
        Reading::SuctionPressure,
        Reading::DischargePressure,
        Reading::AmbientTemperature,
        Reading::BoxTemperature,
        Reading::SuctionTemperatureEvaporator,
        Reading::ReceiverOutletTemperature,
    ];

    public function test_outcomes_of_checks_are_such_as_a_plant_can_show(): void
    {
        $explain = new Explain(new Units());
        $told = 0;
        foreach (self::visits() as $name => $findings) {
            [$rules, $twins] = [new HouseRules(), new Twins()];
            $expectation = $twins->expectation($findings, $rules);
            $asTyped = new TypedOutcomes($findings, $rules, $expectation->yardstick());
            foreach ((new Diagnosis($rules, $twins))->of($findings, 40, expectation: $expectation)->checks as $check) {
                foreach ($check->outcomes as $outcome) {
                    $said = $explain->outcome($check, $outcome, $asTyped);
                    $isTyped = $outcome->word !== null || $asTyped->ends($check, $outcome) !== null;
                    if ($isTyped || $check->sign === null) {
                        continue;
                    }
                    $told++;
                    [$least, $most] = $check->sign->row()->possible;
                    $words = "$name, {$check->sign->value}: $said";
                    self::assertTrue($least === null || ! str_contains($said, '−'), $words);
                    preg_match('/(\d+) %/', $said, $percent);
                    self::assertTrue($most === null || (int) ($percent[1] ?? 0) <= 100, $words);
                }
            }
        }
        self::assertGreaterThan(100, $told);
    }

    public function test_no_span_begins_below_nothing(): void
    {
        $seen = 0;
        foreach (self::visits() as $name => $findings) {
            [$rules, $twins] = [new HouseRules(), new Twins()];
            $gaps = new CourseGaps(
                $findings,
                Figures::of($findings, $rules),
                $rules,
                $twins->expectation($findings, $rules),
            );
            foreach ($gaps->all() as $gap) {
                $seen++;
                self::assertStringNotContainsString('−', $gap->span(new Units()), "$name, {$gap->name->value}");
            }
        }
        self::assertGreaterThan(30, $seen);
    }

    /** @return iterable<string, Findings> */
    private static function visits(): iterable
    {
        $days = [
            'plain' => [],
            'warm box' => ['box_temperature_c' => 9],
            'frost' => ['ambient_temperature_c' => -5, 'discharge_pressure_kpa' => 700],
            'starved' => ['suction_pressure_kpa' => 120],
            'empty receiver' => ['receiver_level_percent' => 2],
        ];
        foreach ($days as $name => $day) {
            foreach ([0, 2, 4, 6] as $read) {
                $known = array_map(static fn (Reading $one): string => $one->value, array_slice(self::READ, 0, $read));
                $kept = array_intersect_key(Visits::HEALTHY, array_flip($known));
                $none = array_fill_keys(array_keys(Visits::HEALTHY), null);
                $complaint = ['complaint' => ['too_warm']];
                yield "$name, $read read" => Visits::cooler([...$none, ...$kept, ...$day], $complaint);
            }
        }
    }
}
