<?php

declare(strict_types=1);

namespace Metrum\Circuit;

use Metrum\Quantity\Kind as Quantity;
use Metrum\Quantity\Unit;

/** A measuring point or figure of a visit: what it is called, where it is taken, what kind of quantity it is. */
enum Reading: string
{
    case SuctionPressure = 'suction_pressure_kpa';
    case EvaporatorPressure = 'evaporator_pressure_kpa';
    case DischargePressure = 'discharge_pressure_kpa';
    case ReceiverPressure = 'receiver_pressure_kpa';
    case AmbientTemperature = 'ambient_temperature_c';
    case CondenserAirOutTemperature = 'condenser_air_out_temperature_c';
    case BoxTemperature = 'box_temperature_c';
    case SupplyAirTemperature = 'supply_air_temperature_c';
    case SuctionTemperatureEvaporator = 'suction_temperature_evaporator_c';
    case SuctionTemperatureCompressor = 'suction_temperature_compressor_c';
    case DischargeTemperature = 'discharge_temperature_c';
    case CondenserOutletTemperature = 'condenser_outlet_temperature_c';
    case ReceiverOutletTemperature = 'receiver_outlet_temperature_c';
    case DrierInletTemperature = 'drier_inlet_temperature_c';
    case DrierOutletTemperature = 'drier_outlet_temperature_c';
    case ValveInletTemperature = 'valve_inlet_temperature_c';
    case CompressorCurrent = 'compressor_current_a';
    case SupplyVoltage = 'supply_voltage_v';
    case ReceiverLevel = 'receiver_level_percent';
    case CoilInletTemperature = 'coil_inlet_temperature_c';
    case SuperheatSwing = 'superheat_swing_k';
    case SuperheatLowest = 'superheat_lowest_k';
    case SuperheatPeriod = 'superheat_period_min';
    case MinutesSinceDisturbance = 'minutes_since_disturbance_min';
    case PullDownRate = 'pull_down_rate_k_per_h';
    case PumpDownFloor = 'pump_down_floor_kpa';
    case PumpDownRise = 'pump_down_rise_kpa_per_min';
    case DrierDrop = 'drier_drop_kpa';
    case LowCutOut = 'low_cut_out_kpa';
    case LowCutIn = 'low_cut_in_kpa';
    case OilPressureDifference = 'oil_pressure_difference_kpa';
    case Added = 'added_kg';
    case FansRunning = 'fans_running';
    case FansFitted = 'fans_fitted';
    case FanDelaySet = 'fan_delay_set_c';
    case FanDelaySensor = 'fan_delay_sensor_c';
    case HeaterCurrent = 'heater_current_a';
    case HeaterRatedCurrent = 'heater_rated_current_a';
    case FreezeTime = 'freeze_time_min';
    case HarvestTime = 'harvest_time_min';
    case WaterTemperature = 'water_temperature_c';

    public function quantity(): Quantity
    {
        return match ($this) {
            self::SuctionPressure,
            self::EvaporatorPressure,
            self::DischargePressure,
            self::ReceiverPressure,
            self::PumpDownFloor,
            self::LowCutOut,
            self::LowCutIn => Quantity::GaugePressure,
            self::AmbientTemperature,
            self::CondenserAirOutTemperature,
            self::BoxTemperature,
            self::SupplyAirTemperature,
            self::SuctionTemperatureEvaporator,
            self::SuctionTemperatureCompressor,
            self::DischargeTemperature,
            self::CondenserOutletTemperature,
            self::ReceiverOutletTemperature,
            self::DrierInletTemperature,
            self::DrierOutletTemperature,
            self::ValveInletTemperature,
            self::CoilInletTemperature,
            self::FanDelaySet,
            self::FanDelaySensor,
            self::WaterTemperature => Quantity::Temperature,
            self::CompressorCurrent, self::HeaterCurrent, self::HeaterRatedCurrent => Quantity::Current,
            self::SupplyVoltage => Quantity::Voltage,
            self::ReceiverLevel => Quantity::Share,
            self::SuperheatSwing, self::SuperheatLowest => Quantity::Difference,
            self::SuperheatPeriod,
            self::MinutesSinceDisturbance,
            self::FreezeTime,
            self::HarvestTime => Quantity::Duration,
            self::PullDownRate => Quantity::DifferenceRate,
            self::PumpDownRise => Quantity::PressureRate,
            self::DrierDrop, self::OilPressureDifference => Quantity::PressureDifference,
            self::Added => Quantity::Mass,
            self::FansRunning, self::FansFitted => Quantity::Count,
        };
    }

    /** The unit of the visit file: the key's last word. */
    public function fileUnit(): Unit
    {
        return $this->quantity()->units()[0];
    }

    /** The full name. */
    public function label(): string
    {
        return match ($this) {
            self::SuctionPressure => 'Suction pressure',
            self::EvaporatorPressure => 'Coil pressure',
            self::DischargePressure => 'Discharge pressure',
            self::ReceiverPressure => 'Receiver pressure',
            self::AmbientTemperature => 'Air entering the condenser',
            self::CondenserAirOutTemperature => 'Air leaving the condenser',
            self::BoxTemperature => 'Box air, entering the coil',
            self::SupplyAirTemperature => 'Air leaving the coil',
            self::SuctionTemperatureEvaporator => 'Pipe at the valve\'s bulb',
            self::SuctionTemperatureCompressor => 'Suction pipe at the compressor',
            self::DischargeTemperature => 'Discharge pipe',
            self::CondenserOutletTemperature => 'Liquid leaving the condenser',
            self::ReceiverOutletTemperature => 'Liquid leaving the receiver',
            self::DrierInletTemperature => 'Pipe before the filter-drier',
            self::DrierOutletTemperature => 'Pipe after the filter-drier',
            self::ValveInletTemperature => 'Liquid entering the expansion valve',
            self::CompressorCurrent => 'Compressor current',
            self::SupplyVoltage => 'Supply voltage',
            self::ReceiverLevel => 'Receiver level',
            self::CoilInletTemperature => 'Pipe at the coil\'s inlet',
            self::SuperheatSwing => 'Superheat swing',
            self::SuperheatLowest => 'Lowest superheat of the swing',
            self::SuperheatPeriod => 'Period of the swing',
            self::MinutesSinceDisturbance => 'Time since last disturbance',
            self::PullDownRate => 'Pull-down rate',
            self::PumpDownFloor => 'Pump-down floor',
            self::PumpDownRise => 'Rise after pump-down',
            self::DrierDrop => 'Drier drop by two pressures',
            self::LowCutOut => 'Low-pressure cut-out',
            self::LowCutIn => 'Low-pressure cut-in',
            self::OilPressureDifference => 'Net oil pressure',
            self::Added => 'Refrigerant added this visit',
            self::FansRunning => 'Coil fans running',
            self::FansFitted => 'Coil fans fitted',
            self::FanDelaySet => 'Fan delay setting',
            self::FanDelaySensor => 'Coil at the fan delay sensor',
            self::HeaterCurrent => 'Defrost heater current',
            self::HeaterRatedCurrent => 'Defrost heater rated current',
            self::FreezeTime => 'Freeze time',
            self::HarvestTime => 'Harvest time',
            self::WaterTemperature => 'Water entering',
        };
    }

    /** The name on a cell or in the course. */
    public function short(): string
    {
        return match ($this) {
            self::SuctionPressure => 'Suction',
            self::EvaporatorPressure => 'Coil pressure',
            self::DischargePressure => 'Head',
            self::ReceiverPressure => 'Receiver',
            self::AmbientTemperature => 'Ambient',
            self::CondenserAirOutTemperature => 'Hot air out',
            self::BoxTemperature => 'Box',
            self::SupplyAirTemperature => 'Supply air',
            self::SuctionTemperatureEvaporator => 'Bulb',
            self::SuctionTemperatureCompressor => 'Suction pipe',
            self::DischargeTemperature => 'Discharge',
            self::CondenserOutletTemperature => 'Condenser out',
            self::ReceiverOutletTemperature => 'Receiver out',
            self::DrierInletTemperature => 'Drier in',
            self::DrierOutletTemperature => 'Drier out',
            self::ValveInletTemperature => 'Valve in',
            self::CompressorCurrent => 'Current',
            self::SupplyVoltage => 'Supply',
            self::ReceiverLevel => 'Liquid level',
            self::CoilInletTemperature => 'Coil inlet',
            self::SuperheatSwing => 'Swing',
            self::SuperheatLowest => 'Lowest superheat',
            self::SuperheatPeriod => 'Swing period',
            self::MinutesSinceDisturbance => 'Undisturbed',
            self::PullDownRate => 'Pull-down',
            self::PumpDownFloor => 'Pump-down floor',
            self::PumpDownRise => 'Rise after stop',
            self::DrierDrop => 'Drier drop',
            self::LowCutOut => 'Cut-out',
            self::LowCutIn => 'Cut-in',
            self::OilPressureDifference => 'Net oil pressure',
            self::Added => 'Added',
            self::FansRunning => 'Fans running',
            self::FansFitted => 'Fans fitted',
            self::FanDelaySet => 'Fan delay set',
            self::FanDelaySensor => 'Fan delay sensor',
            self::HeaterCurrent => 'Heater current',
            self::HeaterRatedCurrent => 'Heater rated',
            self::FreezeTime => 'Freeze',
            self::HarvestTime => 'Harvest',
            self::WaterTemperature => 'Water',
        };
    }

    /** Where and how it is taken. */
    public function place(): string
    {
        return match ($this) {
            self::SuctionPressure => 'at the compressor\'s suction service port',
            self::EvaporatorPressure => 'at the coil, upstream of any pressure regulator',
            self::DischargePressure => 'at the compressor\'s discharge',
            self::ReceiverPressure => 'at the receiver or liquid port',
            self::AmbientTemperature => 'in the air stream entering the condenser, out of the sun',
            self::CondenserAirOutTemperature => 'in the air leaving the condenser',
            self::BoxTemperature => 'in the air entering the coil, or in the box',
            self::SupplyAirTemperature => 'in the air leaving the coil',
            self::SuctionTemperatureEvaporator => 'on clean pipe beside the bulb, insulated from the air',
            self::SuctionTemperatureCompressor => 'about 15 cm from the compressor',
            self::DischargeTemperature => 'on the pipe about 15 cm from the compressor',
            self::CondenserOutletTemperature => 'on the liquid pipe as it leaves the condenser',
            self::ReceiverOutletTemperature => 'on the liquid pipe leaving the receiver',
            self::DrierInletTemperature => 'on the pipe before the filter-drier',
            self::DrierOutletTemperature => 'on the pipe after it, same side of the pipe',
            self::ValveInletTemperature => 'on the liquid pipe entering the expansion valve',
            self::CompressorCurrent => 'clamp meter around one compressor lead',
            self::SupplyVoltage => 'between lines at the contactor, running',
            self::ReceiverLevel => 'share of its volume, by feel, clamp or infrared at heights',
            self::CoilInletTemperature => 'after the distributor',
            self::SuperheatSwing => 'peak to peak over several minutes',
            self::SuperheatLowest => 'over several minutes',
            self::SuperheatPeriod => 'from peak to peak',
            self::MinutesSinceDisturbance => 'since start, defrost, door or last change',
            self::PullDownRate => 'of the box air, doors shut',
            self::PumpDownFloor => 'lowest suction pressure with the liquid line shut',
            self::PumpDownRise => 'of the suction pressure after stopping at the floor',
            self::DrierDrop => 'over the filter-drier',
            self::LowCutOut => 'where the control really opens',
            self::LowCutIn => 'where the control really closes',
            self::OilPressureDifference => 'oil pump less crankcase',
            self::Added => 'by the scale',
            self::FansRunning => 'counted at the coil',
            self::FansFitted => 'counted at the coil',
            self::FanDelaySet => 'on the control',
            self::FanDelaySensor => 'clamp beside the sensor',
            self::HeaterCurrent => 'per line, heaters on',
            self::HeaterRatedCurrent => 'from the plate',
            self::FreezeTime => 'start of freeze to start of harvest',
            self::HarvestTime => 'start of harvest to start of freeze',
            self::WaterTemperature => 'at the machine\'s inlet',
        };
    }

    /**
     * Plausible span in SI (gauge Pa for pressures): beyond it a value is refused as impossible on any plant.
     *
     * @return array{float, float}
     */
    public function span(): array
    {
        return match ($this->quantity()) {
            Quantity::Temperature => [173.15, 573.15],
            Quantity::GaugePressure => [-110e3, 20e6],
            Quantity::Difference => [-150.0, 150.0],
            Quantity::PressureDifference => [-5e6, 20e6],
            Quantity::PressureRate => [-1e6, 1e6],
            Quantity::DifferenceRate => [-1.0, 1.0],
            Quantity::Share => [0.0, 1.0],
            Quantity::Mass => [0.0, 5000.0],
            Quantity::Duration => [0.0, 60.0 * 60 * 24 * 60],
            Quantity::Current => [0.0, 5000.0],
            Quantity::Voltage => [0.0, 1500.0],
            default => [0.0, 1000.0],
        };
    }
}
