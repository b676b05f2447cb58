<?php

declare(strict_types=1);

namespace Tests\Core\Installation;

use Metrum\Installation\NoPart;
use Metrum\Installation\PartId;
use Metrum\Installation\PartKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PartIdTest extends TestCase
{
    /** @return iterable<string, array{string, string, string}> */
    public static function said(): iterable
    {
        yield 'nothing is the circuit itself' => ['  ', 'circuit 2', ''];
        yield 'a part of it' => ['valve B', 'circuit 2/valve B', 'valve B'];
        yield 'in other letters' => ['Coil  1', 'circuit 2/coil 1', 'coil 1'];
        yield 'by a name of its own' => ['the left one', 'circuit 2/part the left one', 'the left one'];
        yield 'a part of a part' => ['coil 1/valve B', 'circuit 2/coil 1/valve B', 'coil 1, valve B'];
        yield 'the whole way' => ['circuit 1/coil 2', 'circuit 1/coil 2', 'coil 2'];
        yield 'what all circuits share' => ['compressor 2', 'compressor 2', 'compressor 2'];
        yield 'a name that begins as another kind does' => [
            'condenser fan', 'circuit 2/part condenser fan', 'condenser fan',
        ];
    }

    #[DataProvider('said')]
    public function test_what_people_say_names_a_part_of_their_circuit(string $said, string $value, string $name): void
    {
        $part = PartId::said($said, PartId::circuit(2));

        self::assertSame($value, $part->value);
        self::assertSame($name, $part->name());
        self::assertTrue($part->is(PartId::of($value)), 'and is read back as it is kept');
    }

    public function test_what_people_called_a_part_before_keeps_its_name(): void
    {
        foreach (['valve B', 'left/right', 'compressor 2', 'circuit 7', 'B', str_repeat('x', 48)] as $name) {
            $part = PartId::called($name, PartId::circuit());
            self::assertTrue($part->isWithin(PartId::circuit()), $name);
            self::assertSame(str_replace('/', '∕', $name), $part->name());
        }
    }

    /** @return iterable<string, array{string}> */
    public static function none(): iterable
    {
        $none = ['', 'circuit', 'circuit 0', 'circuit 1/', 'valve B', 'circuit 1/circuit 2', 'plant 2', 'x 1'];
        foreach ($none as $one) {
            yield '"'.$one.'"' => [$one];
        }
        yield 'too long' => ['circuit 1/part '.str_repeat('x', 160)];
    }

    #[DataProvider('none')]
    public function test_what_is_no_part_is_refused_with_what_is_possible(string $value): void
    {
        $this->expectException(NoPart::class);
        $this->expectExceptionMessage('valve B or circuit 2/coil 1');
        PartId::of($value);
    }

    public function test_what_is_known_of_a_circuit_is_its_own_and_what_all_share(): void
    {
        $one = PartId::circuit(1);
        $tenth = PartId::circuit(10);
        $valve = $one->below(PartKind::Valve, 'B');

        self::assertTrue($valve->concerns($one));
        self::assertFalse($valve->concerns($tenth), 'circuit 1 is not the beginning of circuit 10');
        self::assertFalse($tenth->isWithin($one));
        self::assertTrue(PartId::shared(PartKind::Compressor, '2')->concerns($tenth));
        self::assertTrue(PartId::plant()->concerns($one));
        self::assertTrue($valve->isWithin(PartId::plant()), 'all belongs to the plant');
        self::assertTrue($valve->ofCircuit()?->is($one));
        self::assertNull(PartId::shared(PartKind::Receiver)->ofCircuit());
        self::assertSame('circuit 10/valve B', $valve->at($one, $tenth)->value);
        self::assertSame('receiver', PartId::shared(PartKind::Receiver)->at($one, $tenth)->value);
    }
}
