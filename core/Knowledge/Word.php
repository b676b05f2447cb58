<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** A word that answers an observation or a test. What each key may be answered with stands in Observation and Test. */
enum Word: string
{
    case Clear = 'clear';
    case Bubbles = 'bubbles';
    case NoLineVisible = 'no_line_visible';
    case NotFitted = 'not_fitted';
    case None = 'none';
    case InletOnly = 'inlet_only';
    case Even = 'even';
    case Blocked = 'blocked';
    case OutletOnly = 'outlet_only';
    case InletIced = 'inlet_iced';
    case OutletIced = 'outlet_iced';
    case ToCoilOutlet = 'to_coil_outlet';
    case ToCompressor = 'to_compressor';
    case ValveBody = 'valve_body';
    case LineAfterValve = 'line_after_valve';
    case AllRunning = 'all_running';
    case SomeStopped = 'some_stopped';
    case AllStopped = 'all_stopped';
    case Backwards = 'backwards';
    case Clean = 'clean';
    case Dirty = 'dirty';
    case Recirculating = 'recirculating';
    case Running = 'running';
    case OffOnLowPressure = 'off_on_low_pressure';
    case OffOnHighPressure = 'off_on_high_pressure';
    case OffOnOverload = 'off_on_overload';
    case OffOnOil = 'off_on_oil';
    case OffOnThermostat = 'off_on_thermostat';
    case ShortCycling = 'short_cycling';
    case WillNotStart = 'will_not_start';
    case EnergisedOpen = 'energised_open';
    case EnergisedShut = 'energised_shut';
    case NotEnergised = 'not_energised';
    case Steady = 'steady';
    case HissingGas = 'hissing_gas';
    case Surging = 'surging';
    case Silent = 'silent';
    case WarmBottomCoolLiquid = 'warm_bottom_cool_liquid';
    case SameAllOver = 'same_all_over';
    case HotterThanCondenserOutlet = 'hotter_than_condenser_outlet';
    case NoChange = 'no_change';
    case ColdAfterDrier = 'cold_after_drier';
    case ColdAfterRestriction = 'cold_after_restriction';
    case Hot = 'hot';
    case Cold = 'cold';
    case Normal = 'normal';
    case Low = 'low';
    case Foaming = 'foaming';
    case High = 'high';
    case Found = 'found';
    case ShutAndSealing = 'shut_and_sealing';
    case Leaking = 'leaking';
    case LeftOpen = 'left_open';
    case HotOrNewLoad = 'hot_or_new_load';
    case StackedInAirPath = 'stacked_in_air_path';
    case BlockedOrFrozen = 'blocked_or_frozen';
    case RightTime = 'right_time';
    case WrongTime = 'wrong_time';
    case NotTurning = 'not_turning';
    case ClearedCoil = 'cleared_coil';
    case LeftIce = 'left_ice';
    case DidNotRun = 'did_not_run';
    case RanTooLong = 'ran_too_long';
    case Automatic = 'automatic';
    case Manual = 'manual';
    case SuctionRises = 'suction_rises';
    case SuctionFalls = 'suction_falls';
    case Plugged = 'plugged';
    case Holds = 'holds';
    case RisesFast = 'rises_fast';
    case FollowsSuction = 'follows_suction';
    case Rises = 'rises';
    case Yes = 'yes';
    case Slowly = 'slowly';
    case No = 'no';
    case SolenoidFollows = 'solenoid_follows';
    case LevelRecovers = 'level_recovers';
    case HeadFalls = 'head_falls';
    case MatchesAmbient = 'matches_ambient';
    case AboveAmbient = 'above_ambient';
    case Rated = 'rated';
    case OneLegMissing = 'one_leg_missing';
    case LeakFound = 'leak_found';
    case NoLeakFound = 'no_leak_found';
    case On = 'on';
    case Off = 'off';
    case ByUs = 'by_us';
    case FoundShut = 'found_shut';
    case Whole = 'whole';
    case Broken = 'broken';
    case BlockedReturn = 'blocked_return';
    case OffNotCalled = 'off_not_called';
    case ThinAllOver = 'thin_all_over';
    case ThinAtOutlet = 'thin_at_outlet';
    case Patchy = 'patchy';
    case ThickBridge = 'thick_bridge';
    case Cloudy = 'cloudy';
    case Uneven = 'uneven';
    case Weak = 'weak';
    case Shut = 'shut';
    case Right = 'right';
    case Overflowing = 'overflowing';
    case Light = 'light';
    case Heavy = 'heavy';
    case AllAtOnce = 'all_at_once';
    case InPieces = 'in_pieces';
    case StaysOn = 'stays_on';
    case ByThickness = 'by_thickness';
    case ByLevel = 'by_level';
    case ByTime = 'by_time';
    case ByHand = 'by_hand';
    case RunsFreely = 'runs_freely';
    case Trickles = 'trickles';
    case NeverStops = 'never_stops';
    case Opens = 'opens';
    case StaysShut = 'stays_shut';
    case Follows = 'follows';

    /** What is seen of fans that do not all move air as they should. */
    public const FANS_STAND = [self::SomeStopped, self::AllStopped, self::Backwards];

    /** By what the compressor stands, where it says that it does. */
    public function stop(): ?CompressorStop
    {
        return CompressorStop::tryFrom($this->value);
    }

    public function label(): string
    {
        return match ($this) {
            self::NoLineVisible => 'No line visible (full or empty)',
            self::EnergisedOpen => 'Energised, opens',
            self::EnergisedShut => 'Energised, stays closed',
            self::WarmBottomCoolLiquid => 'Warm, bottom cooler',
            self::SameAllOver => 'Same temperature all over',
            self::Recirculating => 'Recirculating hot air',
            self::OffOnOil => 'Off on oil pressure',
            self::RightTime => 'Correct time',
            self::NotTurning => 'Stopped',
            self::HotOrNewLoad => 'Warm or new product',
            self::StackedInAirPath => 'Blocking the air path',
            self::MatchesAmbient => 'Matches saturation',
            self::AboveAmbient => 'Above saturation',
            self::Found => 'Oil found',
            self::SolenoidFollows => 'Solenoid responds',
            self::ShutAndSealing => 'Closed and sealing',
            self::FoundShut => 'Found closed',
            self::BlockedReturn => 'Return grille blocked',
            self::OffNotCalled => 'Off, not called',
            self::ThinAtOutlet => 'Thin towards the outlet',
            self::ThickBridge => 'Bridge too thick',
            self::Weak => 'Weak everywhere',
            self::Shut => 'Closed',
            self::StaysOn => 'Stays on the plate',
            self::RunsFreely => 'Runs freely',
            self::NeverStops => 'Runs even with the machine off',
            self::StaysShut => 'Stays closed',
            default => ucfirst(str_replace('_', ' ', $this->value)),
        };
    }
}
