<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Eris\Generators;
use Eris\TestTrait;
use Metrum\Data\Refused;
use Metrum\Exchange\VisitReader;
use Metrum\Exchange\VisitWriter;
use Metrum\Installation\Kind;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Test;
use Metrum\Quantity\QuantityKind as Quantity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The visit file: strict to read, whole to write, and the same after both. */
final class VisitFileTest extends TestCase
{
    use TestTrait;

    private const EXAMPLE = <<<'JSON'
    {
      "format": "metrum-visit", "version": 1,
      "id": "01J8ZQ6V7W8X9Y0Z1A2B3C4D5E", "taken_at": "2026-06-03T10:40:00+02:00",
      "system": {"kind": "walk_in_cooler", "refrigerant": "R-448A", "metering": "txv",
        "condenser": "air_outdoor", "head_pressure_control": "none", "receiver": true,
        "evaporator_pressure_regulator": false, "suction_accumulator": false, "box_control": "thermostat_pump_down",
        "defrost": "off_cycle", "atmospheric_kpa": 101.3},
      "design": {"evaporator_td_k": 5.5, "condenser_split_k": 11, "superheat_k": 5.5, "subcooling_k": 5,
        "box_set_point_c": 2.0, "rated_current_a": 9.8},
      "complaint": ["too_warm"], "confirmed": [], "state": "running_settled",
      "readings": {"suction_pressure_kpa": 310.2, "suction_temperature_evaporator_c": 1.4},
      "observations": {"sight_glass": "bubbles", "frost_coil": "inlet_only"},
      "tests": {"valve_bulb_warmed": "no_change"}
    }
    JSON;

    public function test_the_example_of_the_format_is_read(): void
    {
        $findings = VisitReader::json(self::EXAMPLE);
        self::assertSame('R-448A', $findings->circuit->refrigerant);
        self::assertSame(Kind::WalkInCooler, $findings->circuit->kind);
        self::assertSame(State::RunningSettled, $findings->state);
        self::assertSame([Complaint::TooWarm], $findings->complaints);
        self::assertEqualsWithDelta(310.2e3, $findings->reading(Reading::SuctionPressure), 1e-6);
        self::assertEqualsWithDelta(274.55, $findings->reading(Reading::SuctionTemperatureEvaporator), 1e-9);
        self::assertSame('bubbles', $findings->observed(Observation::SightGlass)?->value);
        self::assertSame('no_change', $findings->tested(Test::ValveBulbWarmed)?->value);
        self::assertEqualsWithDelta(101.3e3, $findings->circuit->atmosphere->pascal, 1e-6);
        self::assertEqualsWithDelta(275.15, $findings->circuit->design->boxSetPoint, 1e-9);
    }

    public function test_what_is_read_writes_the_same_file_again(): void
    {
        $first = VisitWriter::json(VisitWriter::file(VisitReader::json(self::EXAMPLE)));
        self::assertSame($first, VisitWriter::json(VisitWriter::file(VisitReader::json($first))));
        $wanted = json_decode(self::EXAMPLE, true);
        unset($wanted['confirmed']);
        self::assertEquals($wanted, json_decode($first, true));
    }

    public function test_the_least_file_is_enough(): void
    {
        $findings = VisitReader::json(
            '{"format":"metrum-visit","version":1,"system":{"refrigerant":"R-134a"}}',
        );
        self::assertTrue($findings->isEmpty());
        self::assertNull($findings->circuit->kind);
        self::assertNull($findings->state);
    }

    public function test_the_limits_themselves_are_possible_in_every_unit(): void
    {
        $spans = ['supply_air_temperature_c' => [-100, 300], 'pump_down_rise_kpa_per_min' => [-60000, 60000]];
        foreach ($spans as $key => $limits) {
            foreach ($limits as $limit) {
                $file = VisitWriter::file(
                    VisitReader::json(
                        '{"format":"metrum-visit","version":1,"system":{"refrigerant":"R-134a"},"readings":{"'.
                            $key.
                            '":'.
                            $limit.
                            '}}',
                    ),
                );
                self::assertEqualsWithDelta($limit, $file['readings'][$key] ?? null, 1e-9);
            }
        }
    }

    public function test_any_visit_survives_writing_and_reading(): void
    {
        $this->limitTo(80)
            ->forAll(
                Generators::subset(Reading::cases()),
                Generators::subset(Observation::cases()),
                Generators::subset(Test::cases()),
                Generators::subset(Fault::cases()),
                Generators::choose(1, 99999),
            )
            ->then(function (
                array $readings,
                array $observations,
                array $tests,
                array $confirmed,
                int $dice,
            ): void {
                $file = [
                    'format' => 'metrum-visit',
                    'version' => 1,
                    'system' => ['refrigerant' => 'R-449A', 'atmospheric_kpa' => 80 + ($dice % 21)],
                ];
                foreach ($readings as $reading) {
                    [$least, $most] = [$reading->row()->field->least, $reading->row()->field->most];
                    $least = $reading->quantity() === Quantity::GaugePressure ? -79e3 : $least;
                    $value = $reading->fileUnit()->fromSi($least + (($most - $least) * ($dice % 997)) / 997);
                    $file['readings'][$reading->value] =
                        $reading->quantity() === Quantity::Count ? (int) $value : round($value, 3);
                }
                foreach ($observations as $one) {
                    $file['observations'][$one->value] = $one->words()[$dice % count($one->words())]->value;
                }
                foreach ($tests as $one) {
                    $file['tests'][$one->value] = $one->words()[$dice % count($one->words())]->value;
                }
                $file['confirmed'] = array_column($confirmed, 'value');
                $again = VisitWriter::file(VisitReader::json(json_encode($file, JSON_THROW_ON_ERROR)));
                self::assertEquals(
                    $file['readings'] ?? [],
                    array_map(
                        static fn (int|float $value): float => round((float) $value, 3),
                        $again['readings'] ?? [],
                    ),
                );
                self::assertEquals($file['observations'] ?? [], $again['observations'] ?? []);
                self::assertEquals($file['tests'] ?? [], $again['tests'] ?? []);
                self::assertEquals($file['confirmed'], $again['confirmed'] ?? []);
            });
    }

    /** @return iterable<string, array{string, string}> what is laid over the least file, and the reason */
    public static function refused(): iterable
    {
        yield 'not JSON' => ['suction 2 bar', 'file: '];
        yield 'a list' => ['[]', 'got a list, expected a JSON object'];
        yield 'another format' => ['{"format":"other"}', 'format: got "other", expected metrum-visit'];
        yield 'a later version' => ['{"version":3}', 'version: got 3, expected 1 or 2'];
        yield 'no refrigerant' => ['{"system":{}}', 'refrigerant'];
        yield 'an unknown refrigerant' => [
            '{"system":{"refrigerant":"R-9000"}}',
            'system.refrigerant: "R-9000" is not in the library; known: R-12, R-22',
        ];
        yield 'an unknown key' => ['{"weather":"fine"}', 'weather: unknown key'];
        yield 'a near miss is guessed' => [
            '{"readings":{"suction_pressure_kp":3}}',
            'readings.suction_pressure_kp: unknown key; did you mean suction_pressure_kpa?',
        ];
        yield 'a number for a word' => [
            '{"state":4}',
            'state: got 4; allowed: starting, pulling_down',
        ];
        yield 'a word for a number' => [
            '{"readings":{"box_temperature_c":"warm"}}',
            'readings.box_temperature_c: got "warm", expected a number',
        ];
        yield 'null for a number' => [
            '{"readings":{"box_temperature_c":null}}',
            'readings.box_temperature_c: got null, expected a number',
        ];
        yield 'true for a number' => [
            '{"readings":{"box_temperature_c":true}}',
            'readings.box_temperature_c: got true, expected a number',
        ];
        yield 'below absolute zero' => [
            '{"readings":{"box_temperature_c":-300}}',
            'readings.box_temperature_c: got -300; enter −100 to 300 °C',
        ];
        yield 'below vacuum' => [
            '{"readings":{"suction_pressure_kpa":-110}}',
            'A gauge cannot read below full vacuum',
        ];
        yield 'below vacuum at that height' => [
            '{"system":{"refrigerant":"R-134a","atmospheric_kpa":80},"readings":{"suction_pressure_kpa":-90}}',
            'Enter −80 to 20000 kPa',
        ];
        yield 'half a fan' => [
            '{"readings":{"fans_running":1.5}}',
            'readings.fans_running: got 1.5',
        ];
        yield 'a level above full' => ['{"readings":{"receiver_level_percent":140}}', 'enter 0 to 100 %'];
        yield 'a word of another question' => [
            '{"observations":{"sight_glass":"dirty"}}',
            'observations.sight_glass: got "dirty"; allowed: clear, bubbles, no_line_visible, not_fitted',
        ];
        yield 'an unknown fault' => ['{"confirmed":["bad_luck"]}', 'confirmed.0: got "bad_luck"'];
        yield 'a word where a list belongs' => [
            '{"complaint":"too_warm"}',
            'complaint: got "too_warm", expected a list of words',
        ];
        yield 'a list where an object belongs' => [
            '{"readings":[1]}',
            'readings: got a list, expected an object',
        ];
        yield 'air too thin' => [
            '{"system":{"refrigerant":"R-134a","atmospheric_kpa":5}}',
            'system.atmospheric_kpa: ',
        ];
        yield 'a word for yes' => [
            '{"system":{"refrigerant":"R-134a","receiver":"yes"}}',
            'system.receiver: got "yes", expected true or false',
        ];
        yield 'a design value beyond any plant' => [
            '{"design":{"superheat_k":400}}',
            'design.superheat_k: got 400; enter 0 to 40',
        ];
        yield 'a time that is none' => ['{"taken_at":"yesterday"}', 'taken_at: got "yesterday"'];
        yield 'a number as a key' => ['{"readings":{"5":1}}', 'readings.5: unknown key'];
    }

    #[DataProvider('refused')]
    public function test_it_refuses_with_path_and_reason(string $over, string $reason): void
    {
        $given = json_decode($over, true);
        $text =
            is_array($given) && ! array_is_list($given)
                ? json_encode(
                    $given + [
                        'format' => 'metrum-visit',
                        'version' => 1,
                        'system' => ['refrigerant' => 'R-134a'],
                    ],
                    JSON_THROW_ON_ERROR,
                )
                : $over;
        $text = str_replace('"system":[]', '"system":{}', $text);
        try {
            VisitReader::json($text);
            self::fail('was taken');
        } catch (Refused $file) {
            self::assertStringContainsString($reason, implode("\n", $file->reasons));
        }
    }

    public function test_all_reasons_are_given_at_once(): void
    {
        try {
            VisitReader::json(
                '{"format":"metrum-visit","version":1,"system":{"refrigerant":"R-134a","kind":"igloo"},'.
                    '"readings":{"box_temperature_c":"x","y":1},"state":"dancing"}',
            );
            self::fail('was taken');
        } catch (Refused $file) {
            self::assertCount(4, $file->reasons);
        }
    }

    public function test_a_hostile_file_is_answered_briefly(): void
    {
        try {
            VisitReader::json(
                json_encode(
                    [
                        'format' => 'metrum-visit',
                        'version' => 1,
                        'system' => ['refrigerant' => str_repeat('R', 100)],
                        str_repeat('k', 5000) => 1,
                    ],
                    JSON_THROW_ON_ERROR,
                ),
            );
            self::fail('was taken');
        } catch (Refused $file) {
            foreach ($file->reasons as $reason) {
                self::assertLessThan(600, strlen($reason));
            }
        }
        $deep = str_repeat('{"a":', 600).'1'.str_repeat('}', 600);
        $this->expectException(Refused::class);
        VisitReader::json($deep);
    }
}
