<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Metrum\Data\Refused;
use Metrum\Exchange\VisitReader;
use Metrum\Exchange\VisitWriter;
use Metrum\Findings\Chapters;
use Metrum\Installation\Branch;
use Metrum\Installation\CompressorClass;
use Metrum\Installation\InstallationReader;
use Metrum\Installation\InstallationWriter;
use Metrum\Installation\Kind;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Taken;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\ReadingTaken;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The second version of the visit file: the plant with its circuits, and facts of its parts. */
final class PartsFileTest extends TestCase
{
    private const PLAIN = [
        'format' => 'metrum-visit',
        'version' => 2,
        'system' => ['kind' => 'walk_in_cooler', 'refrigerant' => 'R-448A'],
        'log' => [
            ['kind' => 'reading', 'key' => 'suction_pressure_kpa', 'value' => 310.2],
            [
                'kind' => 'reading',
                'key' => 'suction_temperature_evaporator_c',
                'value' => 1.4,
                'part' => 'circuit 1/coil 2',
            ],
            ['kind' => 'move', 'key' => 'valve_turn', 'value' => -0.25, 'part' => 'circuit 1/valve B'],
        ],
    ];

    private const PLANT = [
        'format' => 'metrum-visit',
        'version' => 2,
        'part' => 'circuit 2',
        'system' => ['refrigerant' => 'R-448A', 'condenser' => 'air_outdoor', 'receiver' => true],
        'design' => ['nameplate_charge_kg' => 40],
        'readings' => ['discharge_pressure_kpa' => 1600],
        'compressors' => [['name' => 'C1', 'design' => ['capacity_kw' => 12, 'rated_current_a' => 20]]],
        'circuits' => [
            ['system' => ['kind' => 'case_medium'], 'design' => ['capacity_kw' => 3]],
            [
                'system' => ['kind' => 'walk_in_cooler', 'metering' => 'txv'],
                'design' => ['capacity_kw' => 6, 'box_set_point_c' => 2],
                'state' => 'running_settled',
                'readings' => ['suction_pressure_kpa' => 310.2],
                'observations' => ['frost_coil' => 'even'],
            ],
        ],
    ];

    public function test_a_compressor_is_told_with_its_class_and_corner_points_and_written_so(): void
    {
        $file = self::PLANT;
        $file['compressors'][0]['class'] = 'semi_hermetic_medium';
        $file['compressors'][0]['design']['envelope_c'] = [[-20, 20], [5, 20], [5, 55], [-20, 42.5]];
        $visit = VisitReader::visit(json_encode($file, JSON_THROW_ON_ERROR));
        $unit = $visit->plant->compressors()[0];

        self::assertSame(CompressorClass::SemiHermeticMedium, $unit->class);
        self::assertEqualsWithDelta([253.15, 315.65], $unit->corners[3], 1e-6);
        $again = InstallationReader::stored(InstallationWriter::stored($visit->plant));
        self::assertEquals($visit->plant, $again);
    }

    /** @return array<string, array{mixed, string}> */
    public static function noCorners(): array
    {
        return [
            'a word' => ['wide', 'envelope_c: expected pairs of evaporating and condensing'],
            'one number each' => [[[-20], [5], [5]], 'envelope_c: expected pairs'],
            'too few' => [[[-20, 20], [5, 20]], 'envelope_c: got 2 corners'],
            'upside down' => [[[20, -20], [20, 5], [55, 5]], 'condensing must be above evaporating'],
        ];
    }

    #[DataProvider('noCorners')]
    public function test_corner_points_that_are_none_are_refused_with_their_place(mixed $corners, string $why): void
    {
        $file = self::PLANT;
        $file['compressors'][0]['design']['envelope_c'] = $corners;
        $this->expectException(Refused::class);
        $this->expectExceptionMessage($why);
        VisitReader::visit(json_encode($file, JSON_THROW_ON_ERROR));
    }

    public function test_with_what_a_reading_was_taken_goes_with_the_file_both_ways(): void
    {
        $file = self::PLAIN;
        $file['log'][] = [
            'kind' => 'reading',
            'key' => 'discharge_temperature_c',
            'value' => 84,
            'data' => ['taken' => 'infrared_bare'],
        ];
        $visit = VisitReader::visit(json_encode($file, JSON_THROW_ON_ERROR));
        $window = $visit->told;
        self::assertNotNull($window);
        $facts = $window->log->history(FactKind::Reading);
        self::assertSame(Taken::InfraredBare, ReadingTaken::with($facts[count($facts) - 1]->content));
        $file['log'][3]['data']['taken'] = 'by_ear';
        $this->expectException(Refused::class);
        $this->expectExceptionMessage('log.3.data.taken');
        VisitReader::visit(json_encode($file, JSON_THROW_ON_ERROR));
    }

    public function test_circuits_are_of_the_plants_kind_unless_they_say_another(): void
    {
        $plant = ['system' => ['kind' => 'rack_circuit_low'] + self::PLANT['system']] + self::PLANT;
        $plant['circuits'][] = ['system' => ['metering' => 'txv']];
        $read = VisitReader::visit(json_encode($plant, JSON_THROW_ON_ERROR))->plant;

        self::assertSame(
            [Kind::CaseMedium, Kind::WalkInCooler, Kind::RackCircuitLow],
            array_map(static fn (Branch $one): ?Kind => $one->load->kind, $read->branches),
        );
    }

    public function test_facts_name_their_part(): void
    {
        $visit = VisitReader::visit(json_encode(self::PLAIN, JSON_THROW_ON_ERROR));
        self::assertNotNull($visit->told);
        $chapters = Chapters::of($visit->told)->all;

        self::assertSame('circuit 1/valve B', $chapters[1]->began?->part->value);
        self::assertEqualsWithDelta(
            274.55,
            (float) $chapters[0]->readingOf(PartId::of('circuit 1/coil 2'), Reading::SuctionTemperatureEvaporator),
            1e-9,
        );
        self::assertNull(
            $chapters[0]->readingOf(PartId::of('circuit 1/coil 3'), Reading::SuctionTemperatureEvaporator),
            'never of another part',
        );
    }

    public function test_the_first_version_calls_them_as_people_do(): void
    {
        $log = array_map(static function (array $row): array {
            $called = isset($row['part']) ? ['subject' => substr($row['part'], strlen('circuit 1/'))] : [];

            return array_diff_key($row, ['part' => true]) + $called;
        }, self::PLAIN['log']);
        $first = VisitReader::visit(json_encode(['version' => 1, 'log' => $log] + self::PLAIN, JSON_THROW_ON_ERROR));
        $second = VisitReader::visit(json_encode(self::PLAIN, JSON_THROW_ON_ERROR));

        self::assertNotNull($first->told);
        self::assertNotNull($second->told);
        self::assertEquals(Chapters::of($second->told), Chapters::of($first->told));
    }

    public function test_a_plant_is_told_with_what_was_found_of_one_of_its_circuits(): void
    {
        $visit = VisitReader::visit(json_encode(self::PLANT, JSON_THROW_ON_ERROR));
        $circuit = $visit->findings->circuit;

        self::assertTrue($visit->circuit->is(PartId::circuit(2)));
        self::assertSame(40.0, $circuit->design->nameplateCharge, 'of the high side');
        self::assertSame(20.0, $circuit->design->ratedCurrent);
        self::assertSame(0.5, $circuit->others, '3 kW beside its 6 kW');
        $discharge = $visit->findings->reading(Reading::DischargePressure);
        self::assertNotNull($discharge, 'of the plant, known in its circuits');
        self::assertNotNull($visit->findings->reading(Reading::SuctionPressure));
    }

    public function test_what_is_written_is_read_back_the_same(): void
    {
        foreach ([self::PLAIN, self::PLANT] as $given) {
            $visit = VisitReader::visit(json_encode($given, JSON_THROW_ON_ERROR));
            $written = VisitWriter::json(VisitWriter::whole($visit));
            $again = VisitReader::visit($written);

            self::assertEquals($visit->findings, $again->findings);
            self::assertEquals($visit->plant, $again->plant);
            self::assertSame($written, VisitWriter::json(VisitWriter::whole($again)));
        }
        self::assertStringContainsString('"part": "circuit 2"', $written);
    }

    /** A visit to a rack is one of all its circuits, at whichever of them it was opened. */
    public function test_the_log_of_a_plant_tells_of_all_its_circuits(): void
    {
        $file = array_diff_key(self::PLANT, ['readings' => true]);
        $file['circuits'] = [
            ['name' => 'Dairy'] + self::PLANT['circuits'][0],
            array_diff_key(self::PLANT['circuits'][1], ['readings' => true, 'observations' => true]),
        ];
        $file['log'] = [
            ['kind' => 'reading', 'key' => 'box_temperature_c', 'value' => 9.5, 'part' => 'circuit 1'],
            ['kind' => 'observation', 'key' => 'sight_glass', 'word' => 'bubbles', 'part' => 'plant'],
        ];
        $visit = VisitReader::visit(json_encode($file, JSON_THROW_ON_ERROR));
        $written = json_decode(VisitWriter::json(VisitWriter::whole($visit)), true);
        $parts = array_column($written['log'], 'part', 'key');

        self::assertSame(['circuit 1' => 'Dairy'], $visit->names);
        self::assertSame('Dairy', $written['circuits'][0]['name']);
        self::assertSame('circuit 1', $parts['box_temperature_c'], 'of the one that is not visited');
        self::assertSame('plant', $parts['sight_glass']);
        self::assertArrayNotHasKey('box_temperature_c', $visit->findings->readings, 'and is none of the other');
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'a name of before' => [
            ['log' => [['kind' => 'touched', 'key' => 'cap_off', 'subject' => 'coil 1']]] + self::PLAIN,
            'log.0.subject: unknown key',
        ];
        yield 'no part' => [
            ['log' => [['kind' => 'touched', 'key' => 'cap_off', 'part' => 'coil 1']]] + self::PLAIN,
            'log.0.part: got "coil 1"',
        ];
        yield 'not a circuit' => [
            ['part' => 'compressor 1'] + self::PLAIN,
            'part: got "compressor 1"',
        ];
        yield 'no such kind' => [
            ['system' => ['kind' => 'spaceship'] + self::PLANT['system']] + self::PLANT,
            'system.kind: got "spaceship"; allowed: walk_in_cooler',
        ];
        yield 'no such circuit' => [
            ['part' => 'circuit 9', 'circuits' => [self::PLANT['circuits'][0]]] + self::PLANT,
            'part: got "circuit 9"; allowed: circuit 1',
        ];
        yield 'two visited at once' => [
            ['part' => 'circuit 1'] + self::PLANT,
            'circuits.1: what was found of circuit 1',
        ];
        yield 'a plant in the first version' => [['version' => 1] + self::PLANT, 'circuits: unknown key'];
        yield 'a word of a circuit at the plant' => [
            ['system' => ['refrigerant' => 'R-448A', 'metering' => 'txv']] + self::PLANT,
            'system.metering: unknown key',
        ];
    }

    /** @param  array<string, mixed>  $file */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_is_named_with_its_path(array $file, string $why): void
    {
        try {
            VisitReader::visit(json_encode($file, JSON_THROW_ON_ERROR));
            self::fail('It was read.');
        } catch (Refused $refused) {
            self::assertStringContainsString($why, implode("\n", $refused->reasons));
        }
    }
}
