<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Metrum\Data\Refused;
use Metrum\Exchange\RackAnswer;
use Metrum\Exchange\VisitFile;
use Metrum\Exchange\VisitReader;
use Metrum\Findings\RackFindings;
use Metrum\Installation\BoxControl;
use Metrum\Installation\CaseForm;
use Metrum\Installation\InstallationReader;
use Metrum\Installation\InstallationWriter;
use Metrum\Installation\PartId;
use Metrum\Installation\SuctionGroup;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Word;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Racks;
use Tests\Core\TwoGroups;

/** A visit to a whole rack as a file, what of it is refused, and its answer. */
final class RackFileTest extends TestCase
{
    public function test_everything_stands_at_the_part_it_was_said_of(): void
    {
        $found = Racks::of(
            ['receiver_level_percent' => 42],
            ['heat_reclaim' => 'on'],
            ['Fish' => ['state' => 'in_defrost'], 'Room' => ['observations' => ['shut' => 'by_us']]],
            ['Dairy 2' => ['readings' => ['box_temperature_c' => 8.1], 'observations' => ['air_curtain' => 'broken']]],
            ['C2' => ['observations' => ['compressor' => 'off_not_called']]],
        );

        self::assertEqualsWithDelta(0.42, $found->shared->reading(Reading::ReceiverLevel), 1e-9);
        self::assertTrue($found->shared->saw(Observation::HeatReclaim, Word::On));
        self::assertCount(5, $found->plant->branches);
        $dairy = $found->plant->branches[0];
        self::assertSame('Dairy', $found->nameOf($dairy));
        self::assertSame(CaseForm::OpenMultideck, $dairy->coils[1]->form);
        self::assertEqualsWithDelta(
            281.25,
            $found->ofCoil($dairy, $dairy->coils[1])->reading(Reading::BoxTemperature),
            1e-6,
        );
        self::assertSame(BoxControl::Header, $found->plant->branches[3]->load->control);
        self::assertSame(State::InDefrost, $found->of(PartId::circuit(4))->state);
        self::assertFalse($found->cools($found->plant->branches[3]));
        self::assertTrue($found->isShut($found->plant->branches[4]));
        self::assertSame(Word::OffNotCalled, $found->of(PartId::of('compressor 2'))->observed(Observation::Compressor));
    }

    public function test_a_plant_is_written_and_read_back_the_same(): void
    {
        $plant = Racks::of()->plant;
        self::assertEquals($plant, InstallationReader::stored(InstallationWriter::stored($plant)));
    }

    public function test_a_plant_of_two_groups_is_written_and_read_back_the_same(): void
    {
        $plant = TwoGroups::of()->plant;

        self::assertEquals($plant, InstallationReader::stored(InstallationWriter::stored($plant)));
        $names = array_map(static fn (SuctionGroup $one): string => $one->label(), $plant->groups);
        self::assertSame(['MT', 'LT'], $names);
        self::assertCount(3, $plant->groups[1]->compressors);
        self::assertSame('LT', $plant->group($plant->branches[6])->name);
    }

    public function test_of_two_groups_each_is_answered_with_its_limit_and_a_fault_with_its_group(): void
    {
        $answer = RackAnswer::of(TwoGroups::of(['LT' => ['suction_header_kpa' => 115, 'suction_set_kpa' => 115]]));

        self::assertSame('suction_set_wrong', $answer['ranking'][0]['fault']);
        self::assertSame('LT', $answer['ranking'][0]['of']);
        self::assertSame(['MT', 'LT'], array_column($answer['groups'], 'name'));
        self::assertSame(['Fish', 'Ice cream'], array_column(array_column($answer['groups'], 'limit'), 'circuit'));
        self::assertArrayNotHasKey('groups', RackAnswer::of(Racks::of()), 'of one group the answer is what it was');
    }

    public function test_a_reading_of_a_header_says_of_which_group(): void
    {
        $file = TwoGroups::file();
        $file['readings']['suction_set_kpa'] = 284;
        $file['circuits'][0]['group'] = 'XT';
        try {
            Racks::read($file);
            self::fail('a header of no group is refused');
        } catch (Refused $refused) {
            $said = implode(' ', $refused->reasons);
            self::assertStringContainsString('circuits.0.group: got "XT"; allowed: MT, LT', $said);
            self::assertStringContainsString('readings.suction_set_kpa: of which group', $said);
        }
    }

    public function test_a_file_of_one_circuit_is_what_it_was(): void
    {
        $file = ['format' => 'metrum-visit', 'version' => 1, 'system' => ['refrigerant' => 'R-448A']];
        self::assertInstanceOf(VisitFile::class, VisitReader::any(json_encode($file, JSON_THROW_ON_ERROR)));
        $rack = VisitReader::any(json_encode(Racks::file(), JSON_THROW_ON_ERROR));
        self::assertInstanceOf(RackFindings::class, $rack);
    }

    public function test_a_circuit_without_a_name_has_none(): void
    {
        $file = Racks::file();
        unset($file['circuits'][1]['name']);
        $rack = VisitReader::any(json_encode($file, JSON_THROW_ON_ERROR));

        self::assertInstanceOf(RackFindings::class, $rack);
        self::assertSame('Dairy', $rack->names['circuit 1']);
        self::assertArrayNotHasKey('circuit 2', $rack->names);
    }

    /** @return iterable<string, array{\Closure(array<string, mixed>): array<string, mixed>, string}> */
    public static function mistakes(): iterable
    {
        yield 'a word that is no key' => [
            static fn (array $file): array => ['circuit' => []] + $file,
            'circuit: unknown key',
        ];
        yield 'no circuit' => [static fn (array $file): array => ['circuits' => []] + $file, 'circuits: '];
        yield 'two of one name' => [
            static function (array $file): array {
                $file['circuits'][1]['name'] = 'Dairy';

                return $file;
            },
            'circuits.1.name: already used by another circuit',
        ];
        yield 'a reading of another quantity' => [
            static function (array $file): array {
                $file['circuits'][0]['cases'][0]['readings']['box_temperature_c'] = 'warm';

                return $file;
            },
            'circuits.0.cases.0.readings.box_temperature_c: got "warm"',
        ];
        yield 'too much of it' => [
            static function (array $file): array {
                $file['readings']['receiver_level_percent'] = 140;

                return $file;
            },
            'readings.receiver_level_percent: got 140',
        ];
        yield 'an answer that there is not' => [
            static function (array $file): array {
                $file['circuits'][0]['cases'][0]['observations']['air_curtain'] = 'torn';

                return $file;
            },
            'circuits.0.cases.0.observations.air_curtain: got "torn"',
        ];
        yield 'a refrigerant at a circuit' => [
            static function (array $file): array {
                $file['circuits'][0]['system']['refrigerant'] = 'R-404A';

                return $file;
            },
            'circuits.0.system.refrigerant: ',
        ];
        yield 'a kind that is no rack' => [
            static function (array $file): array {
                $file['system']['kind'] = 'ice_machine';

                return $file;
            },
            'system.kind: expected one of rack_circuit_medium, rack_circuit_low',
        ];
    }

    /** @param  \Closure(array<string, mixed>): array<string, mixed>  $harm */
    #[DataProvider('mistakes')]
    public function test_what_is_wrong_is_named_with_its_place(\Closure $harm, string $said): void
    {
        try {
            Racks::read($harm(Racks::file()));
            self::fail('it was read');
        } catch (Refused $refused) {
            self::assertStringContainsString($said, implode("\n", $refused->reasons));
        }
    }

    public function test_the_answer_has_what_is_asked_of_it(): void
    {
        $answer = RackAnswer::of(
            Racks::of(
                ['receiver_level_percent' => 20, 'discharge_pressure_kpa' => 1387],
                circuits: ['Fish' => ['state' => 'in_defrost']],
                cases: [
                    'Dairy 1' => ['readings' => ['box_temperature_c' => 2.9]],
                    'Dairy 2' => ['readings' => ['box_temperature_c' => 7.6]],
                    'Dairy 3' => ['readings' => ['box_temperature_c' => 3.2]],
                ],
            ),
        );

        self::assertSame(
            ['id', 'derived', 'ranking', 'circuits', 'level', 'limit', 'next_tests', 'cautions', 'refused'],
            array_keys($answer),
        );
        self::assertEqualsWithDelta(1.0, array_sum(array_column($answer['ranking'], 'probability')), 1e-3);
        self::assertSame(['Dairy', 'Deli', 'Produce', 'Fish', 'Room'], array_column($answer['circuits'], 'name'));
        foreach ($answer['circuits'] as $circuit) {
            self::assertEqualsWithDelta(1.0, array_sum(array_column($circuit['ranking'], 'probability')), 1e-3);
        }
        self::assertSame('Dairy 2', $answer['circuits'][0]['holds_open']);
        self::assertNull($answer['circuits'][1]['holds_open']);
        self::assertSame(20.0, (float) $answer['level']['measured']);
        self::assertGreaterThan(30.0, $answer['level']['expected_percent']);
        self::assertGreaterThan(0.0, $answer['level']['deviation']);
        self::assertNotSame('Fish', $answer['limit']['circuit'], 'it is in defrost');
        self::assertGreaterThan(200.0, $answer['limit']['suction_set_kpa']);
        self::assertNotSame([], $answer['next_tests']);
        foreach ($answer['next_tests'] as $check) {
            self::assertSame(['reading', 'of', 'gain_bits'], array_keys($check));
        }
    }
}
