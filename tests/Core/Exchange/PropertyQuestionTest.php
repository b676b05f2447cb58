<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Metrum\Data\Refused;
use Metrum\Exchange\PropertyQuestion;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PropertyQuestionTest extends TestCase
{
    public function test_saturation_at_a_temperature(): void
    {
        $answer = PropertyQuestion::answer('{"refrigerant": "R-448A", "t_c": -7.3}');
        self::assertSame(
            [
                'refrigerant',
                't_c',
                'bubble_kpa_abs',
                'dew_kpa_abs',
                'liquid_kg_m3',
                'vapour_kg_m3',
                'liquid_kj_kg',
                'vapour_kj_kg',
                'liquid_kj_kgk',
                'vapour_kj_kgk',
            ],
            array_keys($answer),
        );
        self::assertGreaterThan($answer['dew_kpa_abs'], $answer['bubble_kpa_abs']);
        // Reference state: 200 kJ/kg and 1 kJ/(kg K) for saturated liquid at 0 °C.
        $zero = PropertyQuestion::answer('{"refrigerant": "R-134a", "t_c": 0}');
        self::assertEqualsWithDelta(200.0, $zero['liquid_kj_kg'], 0.01);
        self::assertEqualsWithDelta(1.0, $zero['liquid_kj_kgk'], 1e-4);
    }

    public function test_saturation_at_a_pressure(): void
    {
        $answer = PropertyQuestion::answer('{"refrigerant": "R-448A", "p_kpa_abs": 312.0}');
        self::assertEqualsWithDelta($answer['dew_c'] - $answer['bubble_c'], $answer['glide_k'], 1e-4);
    }

    public function test_superheated_vapour_and_compression(): void
    {
        $answer = PropertyQuestion::answer(
            '{"refrigerant": "R-134a", "dew_c": -10, "superheat_k": 10, "discharge_kpa_abs": 1000}',
        );
        self::assertEqualsWithDelta(0.0, $answer['t_c'], 1e-9);
        self::assertEqualsWithDelta(200.6, $answer['p_kpa_abs'], 0.3);
        self::assertGreaterThan(39.0, $answer['isentropic_discharge_c']);
        self::assertGreaterThan(25.0, $answer['isentropic_work_kj_kg']);
        $byPressure = PropertyQuestion::answer(
            '{"refrigerant": "R-134a", "p_kpa_abs": '.$answer['p_kpa_abs'].', "superheat_k": 10}',
        );
        self::assertEqualsWithDelta($answer['vapour_kj_kg'], $byPressure['vapour_kj_kg'], 0.01);
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'outside the table' => ['{"refrigerant": "R-448A", "t_c": 400}', 'outside the property table'];
        yield 'outside by superheat' => [
            '{"refrigerant": "R-448A", "dew_c": 0, "superheat_k": 500}',
            'outside the property table',
        ];
        yield 'no such refrigerant' => ['{"refrigerant": "R-1", "t_c": 0}', 'is not available'];
        yield 'a word' => ['{"refrigerant": "R-22", "t_c": "cold"}', 't_c: expected a number'];
        yield 'an unknown key' => ['{"refrigerant": "R-22", "temperature": 3}', 'temperature: unknown key'];
        yield 'not JSON' => ['R-22 at 3', 'expected a JSON object'];
        yield 'no question' => ['{"refrigerant": "R-22"}', ''];
    }

    #[DataProvider('refused')]
    public function test_it_refuses(string $line, string $reason): void
    {
        try {
            PropertyQuestion::answer($line);
            self::fail('was answered');
        } catch (Refused $file) {
            self::assertStringContainsString($reason, implode(' ', $file->reasons));
        }
    }
}
