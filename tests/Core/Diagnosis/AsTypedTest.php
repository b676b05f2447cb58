<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\TypedOutcomes;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Findings\Signals;
use Metrum\Findings\Yardstick;
use Metrum\Knowledge\HouseRules;
use Metrum\Twin\Twins;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** The ends of outcomes are said in what is typed, and typing them gives the figure that the end is of. */
final class AsTypedTest extends TestCase
{
    /** @return iterable<string, array{array<string, null>}> */
    public static function missing(): iterable
    {
        foreach (
            [
                'suction_pressure_kpa',
                'discharge_pressure_kpa',
                'suction_temperature_evaporator_c',
            ] as $key
        ) {
            yield $key => [[$key => null]];
        }
        // Another place to read subcooling would be as good.
        yield 'receiver_outlet_temperature_c' => [
            ['receiver_outlet_temperature_c' => null, 'condenser_outlet_temperature_c' => null],
        ];
    }

    /** @param  array<string, null>  $without */
    #[DataProvider('missing')]
    public function test_what_is_typed_at_an_end_gives_the_end(array $without): void
    {
        $rules = new HouseRules();
        $findings = Visits::cooler($without);
        $expectation = (new Twins())->expectation($findings, $rules);
        $asTyped = new TypedOutcomes($findings, $rules, $expectation->yardstick());
        $tried = 0;
        foreach ((new Diagnosis())->of($findings, checks: 40)->checks as $check) {
            $reading = TypedOutcomes::reading($check);
            if ($reading === null || ! array_key_exists($reading->value, $without)) {
                continue;
            }
            foreach ($check->outcomes as $outcome) {
                $ends = $asTyped->ends($check, $outcome);
                if ($ends === null) {
                    continue;
                }
                foreach (array_filter($ends, static fn (?float $end): bool => $end !== null) as $end) {
                    $figure = self::sign(
                        $findings->with($reading, $end),
                        $check->sign,
                        $expectation->yardstick(),
                    );
                    self::assertEqualsWithDelta(
                        0.0,
                        min(
                            array_map(
                                static fn (?float $one): float => $one === null ? INF : abs($one - $figure),
                                [$outcome->from, $outcome->to],
                            ),
                        ),
                        0.03,
                    );
                    $tried++;
                }
                self::assertTrue($ends[0] === null || $ends[1] === null || $ends[0] < $ends[1]);
            }
        }
        self::assertGreaterThan(0, $tried);
    }

    private static function sign(Findings $findings, ?Sign $sign, Yardstick $by): float
    {
        self::assertNotNull($sign);

        return (float) (new Signals($findings, Figures::of($findings, new HouseRules()), $by))->measured($sign);
    }
}
