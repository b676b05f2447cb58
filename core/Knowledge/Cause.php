<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** What lies behind a fault, where a look, a feel or a test can tell one from another. Data: data/faults, "causes". */
enum Cause: string
{
    case FansStopped = 'fans_stopped';
    case FaceDirty = 'face_dirty';
    case AirPathBlocked = 'air_path_blocked';
    case CondenserFansStopped = 'condenser_fans_stopped';
    case CondenserDirty = 'condenser_dirty';
    case AirRecirculating = 'air_recirculating';
    case SetTooFarIn = 'set_too_far_in';
    case ScreenPlugged = 'screen_plugged';
    case BulbChargeLost = 'bulb_charge_lost';
    case SetTooFarOut = 'set_too_far_out';
    case BulbLoose = 'bulb_loose';
    case StuckOpen = 'stuck_open';
    case DrierClogged = 'drier_clogged';
    case OutletValvePartShut = 'outlet_valve_part_shut';
    case SolenoidHalfOpen = 'solenoid_half_open';
    case ValvesLeaking = 'valves_leaking';
    case RingsWorn = 'rings_worn';
    case SolenoidWithoutPower = 'solenoid_without_power';
    case SolenoidStuck = 'solenoid_stuck';
    case DoorsOpen = 'doors_open';
    case ProductHot = 'product_hot';
    case InletLeaks = 'inlet_leaks';
    case SupplyLow = 'supply_low';
    case PumpWeak = 'pump';
    case Distribution = 'distribution';
    case DumpLeaks = 'dump_leaks';
    case HotGasValve = 'hot_gas_valve';
    case HeadLow = 'head_low';
    case EndsEarly = 'ends_early';
    case TooThick = 'too_thick';
    case TooThin = 'too_thin';
    case CoolingWaterLow = 'water_low';
}
