<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Diagnosis\Curves;
use Metrum\Diagnosis\CurveSet;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\Scale;
use Metrum\Diagnosis\Verdict;
use Metrum\Exchange\VisitReader;
use Metrum\Findings\Sign;
use Metrum\Installation\Kind;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Twin\Twins;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** An ice machine judged by what a technician times, weighs and sees. */
final class IceJudgementTest extends TestCase
{
    /** As it ought to run: air 24, water 14 °C. */
    private const SOUND = [
        'ambient_temperature_c' => 24.0,
        'water_temperature_c' => 14.0,
        'freeze_time_min' => 13.0,
        'harvest_time_min' => 1.7,
        'ice_per_cycle_kg' => 4.0,
        'measured_bridge_mm' => 4.0,
    ];

    private const LOOKS = ['ice_pattern' => 'even', 'water_flow' => 'even', 'harvest' => 'all_at_once'];

    /**
     * @param  array<string, float|null>  $readings  besides; null: not taken
     * @param  array<string, string>  $looks
     * @param  array<string, string>  $system
     */
    private static function verdict(array $readings = [], array $looks = [], array $system = []): Verdict
    {
        $findings = VisitReader::json(json_encode([
            'format' => 'metrum-visit',
            'version' => 1,
            'id' => 'ice',
            'system' => $system + [
                'kind' => 'ice_machine',
                'ice' => 'batch',
                'refrigerant' => 'R-404A',
                'metering' => 'txv',
                'condenser' => 'air_indoor',
                'head_pressure_control' => 'fan_cycling',
                'receiver' => true,
                'age' => 'in_service',
            ],
            'design' => [
                'ice_per_day_kg' => 400,
                'ice_per_day_hot_kg' => 335,
                'ice_per_cycle_kg' => 4,
                'bridge_thickness_mm' => 4,
            ],
            'complaint' => ['low_production'],
            'state' => 'running_settled',
            'readings' => array_filter($readings + self::SOUND, static fn (?float $one): bool => $one !== null),
            'observations' => $looks + self::LOOKS,
        ], JSON_THROW_ON_ERROR));

        return (new Diagnosis(new HouseRules(), new Twins()))->of($findings);
    }

    private static function chance(Verdict $verdict, Fault $fault): float
    {
        foreach ($verdict->suspects as $suspect) {
            if ($suspect->fault === $fault) {
                return $suspect->probability;
            }
        }

        return 0.0;
    }

    /** @return iterable<string, array{array<string, float>, array<string, string>, Fault}> */
    public static function cases(): iterable
    {
        yield 'slow freeze, batch right, plate white' => [
            ['freeze_time_min' => 17.5, 'harvest_time_min' => 2.3],
            ['scale' => 'heavy', 'harvest' => 'in_pieces'],
            Fault::PlateScaled,
        ];
        yield 'harvest long, freeze and batch right' => [
            ['harvest_time_min' => 6.0],
            ['harvest' => 'stays_on'],
            Fault::HarvestFault,
        ];
        yield 'thick bridge, heavy batch, long freeze' => [
            ['freeze_time_min' => 17.0, 'ice_per_cycle_kg' => 5.4, 'measured_bridge_mm' => 6.5],
            ['ice_pattern' => 'thick_bridge'],
            Fault::IceThicknessWrong,
        ];
        yield 'water runs in during the freeze' => [
            ['freeze_time_min' => 18.0, 'water_per_cycle_l' => 18.0],
            ['water_inlet_in_freeze' => 'running', 'water_level' => 'overflowing'],
            Fault::WaterFeedFault,
        ];
        yield 'hot gas line hot in the freeze' => [
            ['freeze_time_min' => 16.5],
            ['hot_gas_line_in_freeze' => 'hot'],
            Fault::HotGasLeaking,
        ];
        yield 'condenser white with dust, head up' => [
            ['freeze_time_min' => 16.0, 'discharge_end_kpa' => 2400.0],
            ['condenser_face' => 'dirty'],
            Fault::CondenserAirflowLow,
        ];
    }

    /**
     * @param  array<string, float>  $readings
     * @param  array<string, string>  $looks
     */
    #[DataProvider('cases')]
    public function test_a_plain_case_of_the_trade_is_told(array $readings, array $looks, Fault $fault): void
    {
        self::assertSame($fault, self::verdict($readings, $looks)->first()->fault);
    }

    public function test_what_is_as_it_should_be_is_called_so(): void
    {
        self::assertSame(Fault::NoFault, self::verdict()->first()->fault);
    }

    public function test_nothing_is_asked_or_suspected_of_a_box(): void
    {
        $verdict = self::verdict(['freeze_time_min' => 18.0]);
        $box = [Reading::BoxTemperature, Observation::Doors, Observation::EvaporatorFans, Observation::FrostCoil];
        foreach ($verdict->checks as $check) {
            self::assertNotContains($check->key, $box);
        }
        foreach ([Fault::EvaporatorIced, Fault::ExcessLoad, Fault::DefrostTooFew, Fault::ThermostatWrong] as $fault) {
            self::assertSame(0.0, self::chance($verdict, $fault));
        }
    }

    public function test_on_a_float_water_that_runs_in_the_freeze_is_normal(): void
    {
        $running = ['water_inlet_in_freeze' => 'running'];
        $once = self::verdict([], $running, ['water_fill' => 'once']);
        $float = self::verdict([], $running, ['water_fill' => 'float']);

        self::assertSame(Fault::WaterFeedFault, $once->first()->fault);
        self::assertLessThan(0.25, self::chance($float, Fault::WaterFeedFault));
    }

    public function test_a_new_machine_has_debris_and_settings_before_scale_and_wear(): void
    {
        $slow = ['freeze_time_min' => 17.0];
        $used = self::verdict($slow);
        $new = self::verdict($slow, [], ['age' => 'new']);
        foreach ([Fault::PlateScaled, Fault::CompressorInefficient] as $fault) {
            self::assertLessThan(self::chance($used, $fault), self::chance($new, $fault));
        }
        self::assertGreaterThan(
            self::chance($used, Fault::LiquidLineRestriction),
            self::chance($new, Fault::LiquidLineRestriction),
        );
        self::assertStringContainsString('warranty', implode(' ', $new->cautions));
        self::assertStringNotContainsString('warranty', implode(' ', $used->cautions));
    }

    public function test_every_sign_of_a_cycle_moves_the_verdict(): void
    {
        $curves = Curves::learned(CurveSet::Ice);
        foreach (Sign::OF_ICE as $sign) {
            $weights = [];
            foreach (Scale::DEVIATIONS as $deviation) {
                $weights[] = $curves->weightsOf('sign '.$sign->value, $deviation) ?? [];
            }
            $most = 0.0;
            foreach (array_keys($weights[0]) as $place) {
                $of = array_column($weights, $place);
                $most = max($most, max($of) - min($of));
            }
            self::assertGreaterThan(0.2, $most, $sign->value);
        }
    }

    public function test_other_kinds_are_judged_by_their_own_curves(): void
    {
        foreach (Kind::cases() as $kind) {
            $set = CurveSet::of(\Metrum\Installation\Circuit::plain($kind));

            self::assertSame($kind === Kind::IceMachine ? CurveSet::Ice : CurveSet::Settling, $set);
        }
    }
}
