<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Metrum\Data\Refused;
use Metrum\Exchange\ScenarioAnswer;
use Metrum\Exchange\ScenarioReader;
use Metrum\Exchange\VisitReader;
use Metrum\Knowledge\Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ScenarioTest extends TestCase
{
    private const EXAMPLE = <<<'JSON'
    {
        "system": {
            "kind": "walk_in_cooler", "refrigerant": "R-448A", "metering": "txv",
            "condenser": "air_outdoor", "head_pressure_control": "none", "receiver": true
        },
        "design": {"evaporator_td_k": 8.5, "rated_current_a": 9.8},
        "conditions": {
            "ambient_temperature_c": 31, "box_temperature_c": 3.5, "load_share": 0.8, "return_gas_gain_k": 4
        },
        "faults": [{"fault": "undercharge", "severity": 0.4}],
        "adjust": {"valve_turns": -0.5, "regulator_turns": 0, "added_kg": 0}
    }
    JSON;

    public function test_a_steady_answer_is_a_visit_file_with_the_plants_figures(): void
    {
        $scenario = ScenarioReader::json(self::EXAMPLE);
        $answer = ScenarioAnswer::steady($scenario, $scenario->steady());
        $plant = $answer['plant'];
        unset($answer['plant']);
        self::assertSame(
            [
                'mass_flow_kg_s',
                'cooling_w',
                'power_w',
                'flooded_share',
                'receiver_level_percent',
                'valve_inlet_quality',
                'coil_dry_share',
                'charge_kg',
                'valve_opening',
                'energy_residual',
                'mass_residual',
            ],
            array_keys($plant),
        );
        self::assertLessThan(0.005, $plant['energy_residual']);
        self::assertLessThan(0.001, $plant['mass_residual']);
        $findings = VisitReader::json(json_encode($answer, JSON_THROW_ON_ERROR));
        self::assertSame('bubbles', $findings->observations['sight_glass']->value);
        self::assertEqualsWithDelta(
            4.0,
            $answer['readings']['suction_temperature_compressor_c'] -
                $answer['readings']['suction_temperature_evaporator_c'],
            1.0,
        );
    }

    public function test_what_is_adjusted_moves_its_way(): void
    {
        $steady = static fn (string $adjust): array => ScenarioReader::json(
            '{"system":{"kind":"walk_in_cooler","refrigerant":"R-134a","metering":"txv","receiver":true},'.
                '"conditions":{"ambient_temperature_c":28,"box_temperature_c":4},"adjust":{'.
                $adjust.
                '}}',
        )->steady()->readings;
        $superheat = static fn (array $readings): float => $readings[
            Reading::SuctionTemperatureEvaporator->value
        ] - $readings[Reading::CoilInletTemperature->value];
        self::assertGreaterThan($superheat($steady('')) + 0.4, $superheat($steady('"valve_turns":0.5')));
        self::assertLessThan($superheat($steady('')) - 0.4, $superheat($steady('"valve_turns":-0.5')));
        self::assertGreaterThan(
            $steady('')[Reading::ReceiverLevel->value] + 0.1,
            $steady('"added_kg":1')[Reading::ReceiverLevel->value],
        );
    }

    public function test_a_load_finds_its_box(): void
    {
        $box = static fn (float $share): float => (float) ScenarioReader::json(
            '{"system":{"refrigerant":"R-404A","kind":"walk_in_cooler"},"conditions":{"load_share":'.
                $share.
                '}}',
        )
            ->steady()
            ->reading(Reading::BoxTemperature);
        self::assertGreaterThan($box(0.7) + 5, $box(1.1));
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'not JSON' => ['hot day', 'scenario: no JSON object'];
        yield 'no refrigerant' => ['{"system":{}}', 'system.refrigerant: missing'];
        yield 'an unknown key' => ['{"system":{"refrigerant":"R-134a"},"weather":{}}', 'weather: unknown key'];
        yield 'an unknown condition' => [
            '{"system":{"refrigerant":"R-134a"},"conditions":{"wind":3}}',
            'conditions.wind: unknown key',
        ];
        yield 'hotter than anywhere' => [
            '{"system":{"refrigerant":"R-134a"},"conditions":{"ambient_temperature_c":90}}',
            'conditions.ambient_temperature_c: got 90; enter −45 to 52 °C',
        ];
        yield 'carbon dioxide in the sun' => [
            '{"system":{"refrigerant":"R-744","kind":"walk_in_freezer"},"conditions":{"ambient_temperature_c":35}}',
            'ambient_temperature_c',
        ];
        yield 'an unknown fault' => [
            '{"system":{"refrigerant":"R-134a"},"faults":[{"fault":"gremlins","severity":0.5}]}',
            'faults.0.fault: got "gremlins"',
        ];
        yield 'a fault without name' => [
            '{"system":{"refrigerant":"R-134a"},"faults":[{"severity":0.5}]}',
            'faults.0.fault: missing',
        ];
        yield 'worse than worst' => [
            '{"system":{"refrigerant":"R-134a"},"faults":[{"fault":"overcharge","severity":2}]}',
            'faults.0.severity: got 2; enter 0 to 1',
        ];
        yield 'a word for turns' => [
            '{"system":{"refrigerant":"R-134a"},"adjust":{"valve_turns":"half"}}',
            'adjust.valve_turns: got "half", expected a number',
        ];
        yield 'an impossible size' => [
            '{"system":{"refrigerant":"R-134a"},"design":{"receiver_volume_l":-3}}',
            'design.receiver_volume_l: got -3',
        ];
        yield 'faults as a word' => [
            '{"system":{"refrigerant":"R-134a"},"faults":"none"}',
            'faults: got "none", expected a list',
        ];
    }

    #[DataProvider('refused')]
    public function test_it_refuses_with_path_and_reason(string $text, string $reason): void
    {
        try {
            ScenarioReader::json($text);
            self::fail('was taken');
        } catch (Refused $file) {
            self::assertStringContainsString($reason, implode("\n", $file->reasons));
        }
    }

    public function test_a_moment_is_one_line_with_every_reading_named(): void
    {
        $simulation = ScenarioReader::json(self::EXAMPLE)->simulation();
        $simulation->advance(5.0);
        $line = ScenarioAnswer::moment($simulation->now());
        self::assertSame(5.0, $line['time_s']);
        foreach (Reading::cases() as $reading) {
            self::assertArrayHasKey($reading->value, $line);
        }
    }
}
