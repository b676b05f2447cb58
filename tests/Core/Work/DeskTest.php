<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Exchange\VisitReader;
use Metrum\Findings\Mark;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\MoveGroup;
use Metrum\Knowledge\Station;
use Metrum\Quantity\Units;
use Metrum\Twin\Twins;
use Metrum\Work\Assessment;
use Metrum\Work\Desk\Desk;
use Metrum\Work\Desk\LeftAs;
use Metrum\Work\Desk\Missing;
use Metrum\Work\Desk\NextStep;
use Metrum\Work\Desk\OwnerView;
use Metrum\Work\Desk\Proof;
use Metrum\Work\Desk\Target;
use PHPUnit\Framework\TestCase;

/** What may be done at a visit, in types, without a page. */
final class DeskTest extends TestCase
{
    private const ROOM = [
        'kind' => 'walk_in_cooler',
        'refrigerant' => 'R-134a',
        'metering' => 'txv',
        'receiver' => true,
    ];

    private const STARVED = [
        'suction_pressure_kpa' => 133, 'discharge_pressure_kpa' => 880, 'ambient_temperature_c' => 25,
        'box_temperature_c' => 7, 'suction_temperature_evaporator_c' => 4,
    ];

    public function test_only_what_this_plant_has_can_be_moved_in_the_order_of_the_work(): void
    {
        $desk = self::desk(self::ROOM, []);
        $controls = $desk->controls();

        self::assertSame(Control::ValveTurn, $controls[0]);
        self::assertNotContains(Control::RegulatorTurn, $controls, 'nobody said that there is one');
        self::assertNotContains(Control::HeadValveTurn, $controls);
        self::assertContains(
            Control::RegulatorTurn,
            self::desk(['evaporator_pressure_regulator' => true] + self::ROOM, [])->controls(),
        );
        self::assertNotContains(
            Control::ValveTurn,
            self::desk(['metering' => 'capillary'] + self::ROOM, [])->controls(),
            'a capillary is not turned',
        );
        self::assertSame(MoveGroup::Refrigerant, Control::Charge->row()->group);
        $order = array_map(static fn (Control $one): int => $one->row()->order, Control::inOrder());
        self::assertSame(range(1, count(Control::cases())), $order, 'each has a place of its own');
    }

    public function test_a_move_that_was_made_stands_open_and_one_that_was_chosen_before_it(): void
    {
        $washed = [...self::read(self::STARVED), ['kind' => 'move', 'key' => 'condenser_washed', 'word' => 'done']];
        $desk = self::desk(self::ROOM, $washed);

        self::assertSame(Control::CondenserWashed, $desk->move()->control);
        self::assertTrue($desk->move()->isOpen);
        self::assertSame(Control::ValveTurn, $desk->move(Control::ValveTurn)->control);
        self::assertNull($desk->move()->value, 'what is done is done by no amount');
    }

    public function test_a_turn_is_laid_in_toward_what_is_wanted_and_may_be_chosen_otherwise(): void
    {
        $flooded = ['suction_temperature_evaporator_c' => -6.5] + self::STARVED;
        $starved = self::desk(self::ROOM, self::read(self::STARVED))->move(Control::ValveTurn);

        self::assertLessThan(0.0, $starved->value, 'Out: less superheat');
        self::assertGreaterThan(0.0, self::desk(self::ROOM, self::read($flooded))->move(Control::ValveTurn)->value);
        self::assertSame(0.5, self::desk(self::ROOM, [])->move(Control::ValveTurn, 0.5)->value);
        self::assertContains($starved->step(), [NextStep::Move, NextStep::Unknown]);
        self::assertNull($starved->turned(), 'it stands where it was found');
        self::assertNotNull($starved->band());
    }

    public function test_a_flammable_refrigerant_locks_work_until_it_is_confirmed(): void
    {
        $room = ['refrigerant' => 'R-290'] + self::ROOM;
        $card = ['kind' => 'card', 'key' => 'licence_and_tools.done', 'word' => 'confirmed'];
        $locked = self::desk($room, [])->permits();

        self::assertSame('A3', $locked->licenceAsked());
        self::assertTrue($locked->isLocked(Control::Charge));
        self::assertFalse($locked->isLocked(Control::CondenserWashed), 'nothing is opened for it');
        self::assertTrue($locked->isAdviceHeldBack());
        self::assertFalse(self::desk($room, [$card])->permits()->isLocked(Control::Charge));
        self::assertNull(self::desk(self::ROOM, [])->permits()->licenceAsked());
    }

    public function test_what_is_touched_or_dangerous_holds_the_visit_open(): void
    {
        $leaving = self::desk(self::ROOM, [
            ['kind' => 'touched', 'key' => 'cap_off'],
            ['kind' => 'touched', 'key' => 'valve_shut'],
            ['kind' => 'restored', 'key' => 'valve_shut'],
            ['kind' => 'touched', 'key' => 'iced_or_wet_floor'],
        ])->leaving();

        self::assertSame(['cap_off', 'iced_or_wet_floor'], array_column($leaving->heldOpen(), 0));
        self::assertSame(['cap_off'], array_column($leaving->touched(), 0), 'a danger is told above it');
        self::assertCount(1, $leaving->hazards());
        self::assertNotContains('cap_off', $leaving->touchable());
        self::assertContains('valve_shut', $leaving->touchable(), 'put back, it can be touched again');
    }

    public function test_targets_are_proven_missed_or_not_read(): void
    {
        $proofs = self::proofs(self::desk(self::ROOM, self::read(self::STARVED)));

        self::assertSame(Mark::Act, $proofs[Target::CoilSuperheat->name]->mark);
        self::assertTrue($proofs[Target::Box->name]->isMissed(), '5 K above its set point');
        self::assertSame(Missing::NotReadYet, $proofs[Target::Subcooling->name]->missing);
        self::assertSame(Missing::NotTimed, $proofs[Target::PullDown->name]->missing);
        self::assertSame('Nothing to restore', $proofs[Target::NothingTouched->name]->label()->in(new Units()));
        self::assertArrayNotHasKey(Target::PutBack->name, $proofs, 'nothing was touched');
        self::assertArrayNotHasKey(Target::SecondLook->name, $proofs, 'nothing slow was changed');

        $set = ['kind' => 'move', 'key' => 'thermostat_set', 'value' => 2];
        $desk = self::desk(self::ROOM, [...self::read(self::STARVED), $set]);
        self::assertSame(Missing::NotDated, self::proofs($desk)[Target::SecondLook->name]->missing);
        self::assertSame(Missing::NotReadAgain, self::proofs($desk)[Target::Settled->name]->missing);
        $dated = self::proofs($desk, new \DateTimeImmutable('2026-07-09'));
        self::assertSame(Mark::Fine, $dated[Target::SecondLook->name]->mark);
    }

    public function test_what_is_told_to_the_owner_follows_from_what_was_read_after_the_work(): void
    {
        $read = self::read(self::STARVED);
        $turn = ['kind' => 'move', 'key' => 'valve_turn', 'value' => -0.25];
        $view = static fn (array $log): OwnerView => new OwnerView(self::desk(self::ROOM, $log));

        self::assertFalse($view($read)->isMoved());
        self::assertSame(LeftAs::NotReadAgain, $view([...$read, $turn])->leftAs());
        self::assertNotSame(LeftAs::NotReadAgain, $view([...$read, $turn, ...$read])->leftAs());
        self::assertFalse($view($read)->isRight(), 'it is too warm');
        $charged = [...$read, ['kind' => 'move', 'key' => 'charge', 'value' => 0.2], $turn];
        self::assertCount(1, $view($charged)->did(), 'refrigerant is told by its kilograms');
    }

    public function test_the_cards_of_a_station_come_as_the_verdict_asks_for_them(): void
    {
        $desk = self::desk(self::ROOM, self::read(self::STARVED));
        $asked = array_map($desk->cards()->asked(...), $desk->cards()->at(Station::Verdict));
        $sorted = $asked;
        rsort($sorted);

        self::assertSame($sorted, $asked);
        self::assertGreaterThan(0.0, $asked[0]);
    }

    /**
     * @param  array<string, mixed>  $system
     * @param  list<array<string, mixed>>  $log
     */
    private static function desk(array $system, array $log): Desk
    {
        $file = VisitReader::visit(json_encode([
            'format' => 'metrum-visit', 'version' => 1, 'taken_at' => '2026-07-01T09:00:00Z', 'system' => $system,
            'design' => ['box_set_point_c' => 2], 'state' => 'running_settled', 'log' => $log,
        ], JSON_THROW_ON_ERROR));
        self::assertNotNull($file->told);
        $assessment = new Assessment($file->told, new HouseRules(), new Twins());

        return new Desk($assessment, $assessment->checked(0));
    }

    /** @return array<string, Proof> by target */
    private static function proofs(Desk $desk, ?\DateTimeImmutable $return = null): array
    {
        $proofs = [];
        foreach ($desk->proofs()->all(new \DateTimeImmutable('2026-07-03'), $return) as $one) {
            $proofs[$one->target->name] = $one;
        }

        return $proofs;
    }

    /**
     * @param  array<string, float|int>  $readings
     * @return list<array<string, mixed>>
     */
    private static function read(array $readings): array
    {
        return array_map(
            static fn (string $key, float|int $value): array => ['kind' => 'reading', 'key' => $key, 'value' => $value],
            array_keys($readings),
            $readings,
        );
    }
}
