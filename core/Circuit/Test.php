<?php

declare(strict_types=1);

namespace Metrum\Circuit;

/** Something done to the plant to see how it answers. */
enum Test: string
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

    /** @return list<Word> what it may be answered with */
    public function words(): array
    {
        return match ($this) {
            self::ValveBulbWarmed => [Word::SuctionRises, Word::NoChange],
            self::ValveBulbIced => [Word::SuctionFalls, Word::NoChange],
            self::ValveScreen => [Word::Clean, Word::Plugged],
            self::CompressorLeakBack => [Word::Holds, Word::RisesFast],
            self::CrankcaseRise => [Word::FollowsSuction, Word::Rises],
            self::EqualisesWhenOff => [Word::Yes, Word::Slowly, Word::No],
            self::ThermostatMoved => [Word::SolenoidFollows, Word::NoChange],
            self::CircuitIsolated => [Word::LevelRecovers, Word::NoChange],
            self::CondenserWashed => [Word::HeadFalls, Word::NoChange],
            self::NonCondensableCheck => [Word::MatchesAmbient, Word::AboveAmbient],
            self::PowerToHeaters => [Word::Rated, Word::OneLegMissing, Word::None],
            self::NitrogenOrBubbleSearch => [Word::LeakFound, Word::NoLeakFound],
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::ValveBulbWarmed => 'Bulb warmed by hand',
            self::ValveBulbIced => 'Bulb in ice water',
            self::ValveScreen => 'Screen of the valve',
            self::CompressorLeakBack => 'Leak-back after pump-down',
            self::CrankcaseRise => 'Crankcase while suction falls',
            self::EqualisesWhenOff => 'Equalises when off',
            self::ThermostatMoved => 'Thermostat moved',
            self::CircuitIsolated => 'Circuit isolated',
            self::CondenserWashed => 'Condenser washed',
            self::NonCondensableCheck => 'Foreign gas check, off and cold',
            self::PowerToHeaters => 'Power to the heaters',
            self::NitrogenOrBubbleSearch => 'Leak search',
        };
    }
}
