<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Data\Knowledge;

/** Something done to the plant to see how it answers. What is known of it stands in data/tests.json. */
enum Test: string implements Question
{
    case ValveBulbWarmed = 'valve_bulb_warmed';
    case ValveBulbIced = 'valve_bulb_iced';
    case ValveScreen = 'valve_screen';
    case CompressorLeakBack = 'compressor_leak_back';
    case CrankcaseRise = 'crankcase_rise';
    case EqualisesWhenOff = 'equalises_when_off';
    case ThermostatMoved = 'thermostat_moved';
    case CircuitIsolated = 'circuit_isolated';
    case CondenserWashed = 'condenser_washed';
    case NonCondensableCheck = 'non_condensable_check';
    case PowerToHeaters = 'power_to_heaters';
    case NitrogenOrBubbleSearch = 'nitrogen_or_bubble_search';
    case HotGasValveCalled = 'hot_gas_valve_called';
    case ThicknessControlMoved = 'thickness_control_moved';

    public function row(): QuestionRow
    {
        return Knowledge::kept('tests', self::rows(...))[$this->value];
    }

    /** @return array<string, QuestionRow> */
    private static function rows(): array
    {
        $rows = [];
        foreach (self::cases() as $one) {
            $rows[$one->value] = QuestionRow::of(Knowledge::file('tests')->row($one->value));
        }

        return $rows;
    }

    public function label(): string
    {
        return $this->row()->label;
    }

    public function taking(): Taking
    {
        return $this->row()->taking;
    }

    public function words(): array
    {
        return $this->row()->words;
    }
}
