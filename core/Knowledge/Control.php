<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Data\Knowledge;

/** What can be moved at a plant: a control turned or set, refrigerant, a thing put right. Data: data/moves.json. */
enum Control: string
{
    case ValveTurn = 'valve_turn';
    case RegulatorTurn = 'regulator_turn';
    case HeadValveTurn = 'head_valve_turn';
    case Charge = 'charge';
    case LowCutOutSet = 'low_cut_out_set';
    case LowCutInSet = 'low_cut_in_set';
    case ThermostatSet = 'thermostat_set';
    case FanDelaySet = 'fan_delay_set';
    case DefrostCountSet = 'defrost_count_set';
    case DefrostLengthSet = 'defrost_length_set';
    case DefrostEndSet = 'defrost_end_set';
    case DripTimeSet = 'drip_time_set';
    case CondenserWashed = 'condenser_washed';
    case CoilCleaned = 'coil_cleaned';
    case PlateDescaled = 'plate_descaled';
    case CoilThawed = 'coil_thawed';
    case FanMended = 'fan_mended';
    case DoorMended = 'door_mended';
    case DrainCleared = 'drain_cleared';
    case BulbRemounted = 'bulb_remounted';
    case PartReplaced = 'part_replaced';
    case ValveShut = 'valve_shut';
    case ValveOpened = 'valve_opened';

    public function row(): ControlRow
    {
        return Knowledge::once(
            'move '.$this->value,
            fn (): ControlRow => ControlRow::of(Knowledge::file('moves')->row($this->value), $this->value),
        );
    }

    /** @return list<self> all of them, in the order of the work */
    public static function inOrder(): array
    {
        $all = self::cases();
        usort($all, static fn (self $a, self $b): int => $a->row()->order <=> $b->row()->order);

        return $all;
    }

    public function label(): string
    {
        return $this->row()->label;
    }

    /** Whether it has a position that must be known before it is moved. */
    public function hasPosition(): bool
    {
        return $this->row()->field !== null && $this !== self::Charge;
    }

    /** Whether what is said of it is how far it goes on from where it was, not where it is set. */
    public function isStep(): bool
    {
        return match ($this) {
            self::ValveTurn, self::RegulatorTurn, self::HeadValveTurn, self::Charge => true,
            self::LowCutOutSet,
            self::LowCutInSet,
            self::ThermostatSet,
            self::FanDelaySet,
            self::DefrostCountSet,
            self::DefrostLengthSet,
            self::DefrostEndSet,
            self::DripTimeSet,
            self::CondenserWashed,
            self::CoilCleaned,
            self::PlateDescaled,
            self::CoilThawed,
            self::FanMended,
            self::DoorMended,
            self::DrainCleared,
            self::BulbRemounted,
            self::PartReplaced,
            self::ValveShut,
            self::ValveOpened => false,
        };
    }
}
