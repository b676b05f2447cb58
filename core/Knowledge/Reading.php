<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Data\BrokenData;
use Metrum\Data\Knowledge;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Field;
use Metrum\Quantity\QuantityKind as Quantity;
use Metrum\Quantity\Unit;

/**
 * A measuring point or figure of a visit. What it is called, where and how it is taken stands in data/readings.json.
 */
enum Reading: string implements Asked
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
    case IcePerCycle = 'ice_per_cycle_kg';
    case IceInQuarter = 'ice_in_15_min_kg';
    case IceMoisture = 'ice_moisture_percent';
    case GearboxCurrent = 'gearbox_current_a';
    case MeasuredBridge = 'measured_bridge_mm';
    case WaterPerCycle = 'water_per_cycle_l';
    case SumpTemperature = 'sump_temperature_c';
    case FreezeMinute = 'freeze_minute_min';
    case SuctionBegin = 'suction_begin_kpa';
    case SuctionEnd = 'suction_end_kpa';
    case DischargeEnd = 'discharge_end_kpa';
    case SuctionHarvest = 'suction_harvest_kpa';
    case DischargeHarvest = 'discharge_harvest_kpa';
    case CyclesSinceStart = 'cycles_since_start';
    case CondenserWaterIn = 'condenser_water_in_c';
    case CondenserWaterOut = 'condenser_water_out_c';
    case SuctionHeader = 'suction_header_kpa';
    case SuctionSet = 'suction_set_kpa';
    case HeadSet = 'head_set_kpa';
    case CompressorsRunning = 'compressors_running';
    case CompressorsFitted = 'compressors_fitted';
    case CondenserFansRunning = 'condenser_fans_running';
    case CondenserFansFitted = 'condenser_fans_fitted';
    case StoreTemperature = 'store_temperature_c';
    case StoreHumidity = 'store_humidity_percent';
    case ProductTemperature = 'product_temperature_c';

    /** @throws BrokenData */
    public function row(): ReadingRow
    {
        return Knowledge::kept('readings', self::rows(...))[$this->value];
    }

    /** @return array<string, ReadingRow> */
    private static function rows(): array
    {
        $rows = [];
        foreach (self::cases() as $one) {
            $rows[$one->value] = ReadingRow::of(Knowledge::file('readings')->row($one->value), $one->value);
        }

        return $rows;
    }

    /** The full name. */
    public function label(): string
    {
        return $this->row()->label;
    }

    /** The name on its cell. */
    public function short(): string
    {
        return $this->row()->short;
    }

    /** Where it is taken. */
    public function place(): string
    {
        return $this->row()->place;
    }

    public function taking(): Taking
    {
        return $this->row()->taking;
    }

    public function quantity(): Quantity
    {
        return $this->row()->field->kind;
    }

    /** What can be typed or written for it at a site. */
    public function field(Atmosphere $atmosphere): Field
    {
        return $this->row()->field->at($atmosphere);
    }

    /** The unit of the visit file: the key's last word. */
    public function fileUnit(): Unit
    {
        return $this->row()->field->fileUnit();
    }
}
