<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Data\BrokenData;
use Metrum\Data\Knowledge;

/** What can be wrong. The catalogue in data/faults tells each in full. */
enum Fault: string
{
    case NoFault = 'no_fault';
    case Undercharge = 'undercharge';
    case WinterUndercharge = 'winter_undercharge';
    case Overcharge = 'overcharge';
    case NonCondensables = 'non_condensables';
    case ValveUnderfeeding = 'valve_underfeeding';
    case ValveOverfeeding = 'valve_overfeeding';
    case LiquidLineRestriction = 'liquid_line_restriction';
    case LiquidSolenoidShut = 'liquid_solenoid_shut';
    case SuctionRestriction = 'suction_restriction';
    case EvaporatorAirflowLow = 'evaporator_airflow_low';
    case EvaporatorIced = 'evaporator_iced';
    case CondenserAirflowLow = 'condenser_airflow_low';
    case CompressorInefficient = 'compressor_inefficient';
    case HeadPressureValveBypassing = 'head_pressure_valve_bypassing';
    case HeadPressureLow = 'head_pressure_low';
    case RegulatorSetHigh = 'regulator_set_high';
    case RegulatorSetLow = 'regulator_set_low';
    case HotGasLeaking = 'hot_gas_leaking';
    case ExcessLoad = 'excess_load';
    case ThermostatWrong = 'thermostat_wrong';
    case LowPressureControlWrong = 'low_pressure_control_wrong';
    case FanDelayHolding = 'fan_delay_holding';
    case DefrostClockWrong = 'defrost_clock_wrong';
    case DefrostHeaterFailed = 'defrost_heater_failed';
    case DefrostNotTerminating = 'defrost_not_terminating';
    case DefrostTooFew = 'defrost_too_few';
    case DrainBlocked = 'drain_blocked';
    case ValveHunting = 'valve_hunting';
    case SuctionLineWarm = 'suction_line_warm';
    case OilReturnPoor = 'oil_return_poor';
    case WaterFeedFault = 'water_feed_fault';
    case CompressorOut = 'compressor_out';
    case SuctionSetWrong = 'suction_set_wrong';
    case PlateScaled = 'plate_scaled';
    case IceThicknessWrong = 'ice_thickness_wrong';
    case HarvestFault = 'harvest_fault';

    /** As the catalogue names it. @throws BrokenData */
    public function label(): string
    {
        return Knowledge::file('faults/'.$this->value)->text('name');
    }

    /** Whether it is one of what all circuits of a plant share. @throws BrokenData */
    public function isShared(): bool
    {
        return Knowledge::file('faults/'.$this->value)->flag('shared', false);
    }
}
