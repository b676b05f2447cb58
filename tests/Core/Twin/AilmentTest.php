<?php

declare(strict_types=1);

namespace Tests\Core\Twin;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Knowledge\Fault;
use Metrum\Twin\Ailment;
use Metrum\Twin\Controls;
use Metrum\Twin\Disorder;
use Metrum\Twin\LoopEffect;
use Metrum\Twin\Machine;
use Metrum\Twin\Room;
use Metrum\Twin\Sizing;
use Metrum\Twin\TimeEffect;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Each fault's file says what it changes at the simulated plant, and it does. */
final class AilmentTest extends TestCase
{
    /** @return iterable<string, array{Fault}> */
    public static function faults(): iterable
    {
        foreach (Fault::cases() as $fault) {
            yield $fault->value => [$fault];
        }
    }

    #[DataProvider('faults')]
    public function test_a_fault_changes_its_plain_plant_where_its_file_says(Fault $fault): void
    {
        $ailment = Ailment::of($fault);
        $machine = self::plain($fault);
        self::assertSame($ailment->loop !== null, $ailment->showsAt($machine), 'its plain plant can have it');
        $sick = Disorder::in($machine, $fault, 0.8);
        self::assertSame($ailment->loop !== null, $sick != $machine, 'in the loop');
        self::assertSame($ailment->isShortage(), $sick->charge < $machine->charge, 'refrigerant is missing');
        self::assertSame($ailment->isSurplus(), $sick->charge > $machine->charge, 'there is too much');
        $isOfFeed = $ailment->loop?->isOfFeed() ?? false;
        self::assertSame($isOfFeed, $sick->feed != $machine->feed, 'the valve feeds otherwise');

        $controls = Controls::for($machine);
        $room = Room::for($machine);
        $inTime = $controls->with($fault, 0.8, $machine) != $controls || $room->with($fault, 0.8) != $room;
        self::assertSame($ailment->time !== null, $inTime, 'in time');
        self::assertEquals($room, $room->with($fault, 0.0));
    }

    public function test_every_effect_is_that_of_a_fault(): void
    {
        $ailments = array_map(Ailment::of(...), Fault::cases());
        self::assertEqualsCanonicalizing(
            array_column(LoopEffect::cases(), 'value'),
            array_values(array_unique(array_column(array_filter(array_column($ailments, 'loop')), 'value'))),
        );
        self::assertEqualsCanonicalizing(
            array_column(TimeEffect::cases(), 'value'),
            array_values(array_unique(array_column(array_filter(array_column($ailments, 'time')), 'value'))),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function broken(): iterable
    {
        yield 'no effect' => [[], 'effect'];
        yield 'an effect that nobody knows' => [['effect' => 'bad_luck'], '"bad_luck" is not an effect'];
        yield 'too few numbers' => [['effect' => 'coil_iced', 'by' => [0.8]], 'coil_iced takes 2 numbers, got 1'];
        yield 'numbers of nothing' => [['effect' => 'nothing', 'by' => [1]], 'nothing takes 0 numbers'];
        yield 'a word for a number' => [['effect' => 'line_gain', 'by' => ['much']], 'expected a number'];
        yield 'other weather' => [['effect' => 'line_gain', 'by' => [9], 'weather' => 'rain'], '"rain" is not "cold"'];
        yield 'a key of its own' => [['effect' => 'line_gain', 'by' => [9], 'colour' => 'red'], 'colour'];
        yield 'no such plant' => [['effect' => 'line_gain', 'by' => [9], 'plant' => ['kind' => 'igloo']], 'igloo'];
    }

    /** @param  array<string, mixed>  $row */
    #[DataProvider('broken')]
    public function test_a_file_that_is_wrong_says_where(array $row, string $said): void
    {
        $this->expectException(BrokenData::class);
        $this->expectExceptionMessage($said);
        Ailment::ofRow(new DataRow('data/faults/x.json', $row));
    }

    private static function plain(Fault $fault): Machine
    {
        return (new Sizing(Ailment::of($fault)->plainPlant()))->machine();
    }
}
