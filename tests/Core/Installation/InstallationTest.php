<?php

declare(strict_types=1);

namespace Tests\Core\Installation;

use Metrum\Data\Refused;
use Metrum\Installation\Circuit;
use Metrum\Installation\DesignKey;
use Metrum\Installation\Installation;
use Metrum\Installation\InstallationReader;
use Metrum\Installation\InstallationWriter;
use Metrum\Installation\Kind;
use Metrum\Installation\NoPart;
use Metrum\Installation\PartId;
use Metrum\Installation\SuctionHold;
use Metrum\Twin\RandomPlants;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class InstallationTest extends TestCase
{
    private const DOCUMENT = [
        'version' => 1,
        'system' => ['refrigerant' => 'R-448A', 'condenser' => 'air_outdoor', 'receiver' => true],
        'design' => ['nameplate_charge_kg' => 40],
        'groups' => [['part' => 'group 1', 'held_by' => 'pressure', 'serves_others' => false]],
        'compressors' => [
            ['part' => 'compressor 1', 'group' => 'group 1', 'design' => ['capacity_kw' => 9, 'rated_current_a' => 12]],
            ['part' => 'compressor 2', 'name' => 'C2', 'group' => 'group 1', 'design' => ['rated_current_a' => 20.5]],
        ],
        'circuits' => [
            [
                'part' => 'circuit 1',
                'group' => 'group 1',
                'system' => ['kind' => 'walk_in_cooler', 'metering' => 'txv', 'evaporator_pressure_regulator' => true],
                'design' => ['box_set_point_c' => 2, 'capacity_kw' => 4],
                'coils' => [
                    ['part' => 'circuit 1/coil 1', 'evaporator_td_k' => 5.5],
                    ['part' => 'circuit 1/coil 2', 'evaporator_td_k' => 6],
                ],
            ],
            [
                'part' => 'circuit 3',
                'group' => 'group 1',
                'system' => ['kind' => 'case_medium'],
                'design' => ['capacity_kw' => 10],
                'coils' => [['part' => 'circuit 3/coil 1']],
            ],
        ],
    ];

    public function test_any_circuit_is_the_same_seen_in_its_plant_and_read_back_from_its_document(): void
    {
        $plants = new RandomPlants(2_241);
        foreach (Kind::cases() as $kind) {
            for ($i = 0; $i < 6; $i++) {
                $circuit = $plants->circuit($kind);
                $plant = Installation::of($circuit);
                self::assertEquals($circuit, $plant->circuit(PartId::circuit()), $kind->value);

                $document = InstallationWriter::stored($plant);
                $again = InstallationReader::stored($document);
                self::assertSame($document, InstallationWriter::stored($again), $kind->value);
                foreach (DesignKey::cases() as $key) {
                    $is = $again->circuit(PartId::circuit())->design->value($key);
                    $was = $circuit->design->value($key);
                    $was === null
                        ? self::assertNull($is, $key->value)
                        : self::assertEqualsWithDelta($was, $is, 1e-5 * max(1.0, abs($was)), $key->value);
                }
            }
        }
    }

    public function test_a_plant_of_several_circuits_is_read_and_written_the_same(): void
    {
        $json = json_encode(self::DOCUMENT, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES);
        $plant = InstallationReader::stored($json);
        $written = json_decode(InstallationWriter::stored($plant, withAir: false), true);

        self::assertEquals(self::DOCUMENT, $written);
        self::assertSame(SuctionHold::ByPressure, $plant->groups[0]->hold);
        self::assertCount(2, $plant->branches[0]->coils);
        self::assertTrue($plant->nextCircuit()->is(PartId::circuit(2)));
    }

    public function test_a_circuit_sees_what_it_shares_and_how_much_the_others_draw(): void
    {
        $plant = self::plant();
        $room = $plant->circuit(PartId::circuit(1));
        $case = $plant->circuit(PartId::circuit(3));

        self::assertSame(40.0, $room->design->nameplateCharge, 'the plate is of the high side');
        self::assertSame(40.0, $case->design->nameplateCharge);
        self::assertSame(32.5, $case->design->ratedCurrent, 'of all its compressors');
        self::assertEqualsWithDelta(2.5, $room->others, 1e-9, '10 kW beside its own 4 kW');
        self::assertEqualsWithDelta(0.4, $case->others, 1e-9);
        self::assertTrue($room->isShared(), 'by what hangs on the compressors, not by a word for its kind');
        self::assertSame(Kind::WalkInCooler, $room->kind);
        self::assertNull($case->regulator, 'nobody said');
    }

    public function test_what_is_shared_follows_from_the_structure(): void
    {
        $room = Circuit::plain(Kind::WalkInCooler);
        $alone = Installation::of($room);
        self::assertFalse($alone->circuit(PartId::circuit())->isShared());
        self::assertSame(SuctionHold::ByLoad, $alone->groups[0]->hold);

        $two = $alone->with($alone->nextCircuit(), $room);
        self::assertSame(1.0, $two->circuit(PartId::circuit(1))->others, 'as much as itself where nobody says more');
        self::assertTrue($two->circuit(PartId::circuit(2))->isShared());

        $rack = Installation::of(Circuit::plain(Kind::RackCircuitMedium));
        self::assertSame(5.0, $rack->circuit(PartId::circuit())->others, 'what is usual of those nobody listed');
        self::assertSame(SuctionHold::ByPressure, $rack->groups[0]->hold);
    }

    public function test_picking_another_kind_fills_its_group_as_is_usual(): void
    {
        $part = PartId::circuit();
        $room = Installation::of(Circuit::plain(Kind::WalkInCooler));
        $rack = $room->with($part, Circuit::plain(Kind::RackCircuitLow));

        self::assertTrue($rack->groups[0]->servesOthers);
        self::assertFalse($rack->with($part, Circuit::plain(Kind::CaseLow))->circuit($part)->isShared());
    }

    public function test_describing_one_circuit_leaves_the_others_own_and_changes_what_they_share(): void
    {
        $plant = self::plant();
        $part = PartId::circuit(1);
        $known = Circuit::fromWords(
            ['refrigerant' => 'R-134a', 'kind' => 'walk_in_cooler'],
            ['nameplate_charge_kg' => 12, 'box_set_point_c' => 5, 'rated_current_a' => 99],
        );
        $changed = $plant->with($part, $known);

        self::assertSame('R-134a', $changed->circuit(PartId::circuit(3))->refrigerant);
        self::assertSame(12.0, $changed->circuit(PartId::circuit(3))->design->nameplateCharge);
        self::assertSame(Kind::CaseMedium, $changed->circuit(PartId::circuit(3))->kind);
        self::assertEquals($plant->branches[0]->coils[1], $changed->branches[0]->coils[1], 'its second coil stays');
        self::assertSame($plant->branches[0]->capacity, $changed->branches[0]->capacity);
        self::assertSame(32.5, $changed->circuit($part)->design->ratedCurrent, 'two compressors keep their own');
    }

    public function test_a_circuit_that_is_not_there_is_named(): void
    {
        $this->expectException(NoPart::class);
        self::plant()->circuit(PartId::circuit(2));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function broken(): iterable
    {
        yield 'another version' => [['version' => 2], 'version: got 2, expected 1'];
        yield 'no circuit' => [['circuits' => []], 'at least one is required'];
        yield 'unknown key' => [['colour' => 'red'], 'colour: unknown key'];
        yield 'a word of a circuit at the plant' => [
            ['system' => ['refrigerant' => 'R-448A', 'metering' => 'txv']], 'system.metering: unknown key',
        ];
        yield 'a figure of a circuit at the plant' => [
            ['design' => ['superheat_k' => 5]],
            'design.superheat_k: unknown',
        ];
        yield 'no such group' => [
            ['circuits' => [['part' => 'circuit 1', 'group' => 'group 9']]],
            'circuits.0.group: got "group 9"; allowed: group 1',
        ];
        yield 'twice the same' => [
            ['circuits' => [['part' => 'circuit 1'], ['part' => 'circuit 1']]],
            'already used by another circuit',
        ];
        yield 'another kind of part' => [
            ['circuits' => [['part' => 'compressor 1']]],
            'circuits.0.part: got "compressor 1"',
        ];
        yield 'no part' => [['circuits' => [['part' => 'room']]], 'circuits.0.part: got "room"'];
        yield 'too large' => [
            ['compressors' => [['design' => ['capacity_kw' => 9e9]]]],
            'compressors.0.design.capacity_kw: got 9000000000',
        ];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('broken')]
    public function test_what_cannot_be_is_named_with_its_path(array $change, string $why): void
    {
        try {
            InstallationReader::stored(json_encode($change + self::DOCUMENT, JSON_THROW_ON_ERROR));
            self::fail('It was read.');
        } catch (Refused $refused) {
            self::assertStringContainsString($why, implode("\n", $refused->reasons));
        }
    }

    private static function plant(): Installation
    {
        return InstallationReader::stored(json_encode(self::DOCUMENT, JSON_THROW_ON_ERROR));
    }
}
