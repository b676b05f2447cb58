<?php

declare(strict_types=1);

namespace Metrum\Bench;

use Metrum\Data\Knowledge;

/** The calculators of the bench by name. Their titles stand in data/bench.json. */
enum Calculator: string
{
    case Superheat = 'superheat';
    case Subcooling = 'subcooling';
    case SuperheatGlideTrap = 'superheat_glide_trap';
    case SubcoolingGlideTrap = 'subcooling_glide_trap';
    case SuperheatTwoPlaces = 'superheat_two_places';
    case EstimateWithoutGauges = 'estimate_without_gauges';
    case NonCondensableCheck = 'non_condensable_check';
    case CompressionRatio = 'compression_ratio';
    case CompressionRatioSensitivity = 'compression_ratio_sensitivity';
    case IdealDischargeTemperature = 'ideal_discharge_temperature';
    case ReturnGasEffect = 'return_gas_effect';
    case RegulatorTarget = 'regulator_target';
    case LowPressureControlAsThermostat = 'low_pressure_control_as_thermostat';
    case LowPressureControlPumpDown = 'low_pressure_control_pump_down';
    case HeadPressureTarget = 'head_pressure_target';
    case WinterFloodingCharge = 'winter_flooding_charge';
    case WinterFloodingStep = 'winter_flooding_step';
    case ReceiverCapacity = 'receiver_capacity';
    case ReceiverHoldsPumpDown = 'receiver_holds_pump_down';
    case LeakRateAnnualised = 'leak_rate_annualised';
    case LeakRateRolling = 'leak_rate_rolling';
    case RefrigerantLedger = 'refrigerant_ledger';
    case DefrostHeaterAmps = 'defrost_heater_amps';
    case DefrostHeaterLegMissing = 'defrost_heater_leg_missing';
    case DefrostHeaterElementOpen = 'defrost_heater_element_open';
    case PullDownForecast = 'pull_down_forecast';
    case PullDownRate = 'pull_down_rate';
    case Hunting = 'hunting';
    case CurrentShare = 'current_share';
    case ValveTurns = 'valve_turns';
    case ChargingKnee = 'charging_knee';
    case IcedBulb = 'iced_bulb';
    case DefrostStaggerCheck = 'defrost_stagger_check';
    case DefrostStaggerPlan = 'defrost_stagger_plan';
    case IcePerDay = 'ice_per_day';
    case IceElsewhere = 'ice_at_other_conditions';
    case IceWaterEnergy = 'ice_water_and_energy';
    case IceScale = 'ice_scale';

    public function does(): Calculation
    {
        return match ($this) {
            self::Superheat => new Calculators\Superheat(),
            self::Subcooling => new Calculators\Subcooling(),
            self::SuperheatGlideTrap => new Calculators\SuperheatGlideTrap(),
            self::SubcoolingGlideTrap => new Calculators\SubcoolingGlideTrap(),
            self::SuperheatTwoPlaces => new Calculators\SuperheatTwoPlaces(),
            self::EstimateWithoutGauges => new Calculators\EstimateWithoutGauges(),
            self::NonCondensableCheck => new Calculators\NonCondensableCheck(),
            self::CompressionRatio => new Calculators\CompressionRatio(),
            self::CompressionRatioSensitivity => new Calculators\CompressionRatioSensitivity(),
            self::IdealDischargeTemperature => new Calculators\IdealDischargeTemperature(),
            self::ReturnGasEffect => new Calculators\ReturnGasEffect(),
            self::RegulatorTarget => new Calculators\RegulatorTarget(),
            self::LowPressureControlAsThermostat => new Calculators\LowPressureControlAsThermostat(),
            self::LowPressureControlPumpDown => new Calculators\LowPressureControlPumpDown(),
            self::HeadPressureTarget => new Calculators\HeadPressureTarget(),
            self::WinterFloodingCharge => new Calculators\WinterFloodingCharge(),
            self::WinterFloodingStep => new Calculators\WinterFloodingStep(),
            self::ReceiverCapacity => new Calculators\ReceiverCapacity(),
            self::ReceiverHoldsPumpDown => new Calculators\ReceiverHoldsPumpDown(),
            self::LeakRateAnnualised => new Calculators\LeakRateAnnualised(),
            self::LeakRateRolling => new Calculators\LeakRateRolling(),
            self::RefrigerantLedger => new Calculators\RefrigerantLedger(),
            self::DefrostHeaterAmps => new Calculators\DefrostHeaterAmps(),
            self::DefrostHeaterLegMissing => new Calculators\DefrostHeaterLegMissing(),
            self::DefrostHeaterElementOpen => new Calculators\DefrostHeaterElementOpen(),
            self::PullDownForecast => new Calculators\PullDownForecast(),
            self::PullDownRate => new Calculators\PullDownRate(),
            self::Hunting => new Calculators\Hunting(),
            self::CurrentShare => new Calculators\CurrentShare(),
            self::ValveTurns => new Calculators\ValveTurns(),
            self::ChargingKnee => new Calculators\ChargingKnee(),
            self::IcedBulb => new Calculators\IcedBulb(),
            self::DefrostStaggerCheck => new Calculators\DefrostStaggerCheck(),
            self::DefrostStaggerPlan => new Calculators\DefrostStaggerPlan(),
            self::IcePerDay => new Calculators\IcePerDay(),
            self::IceElsewhere => new Calculators\IceElsewhere(),
            self::IceWaterEnergy => new Calculators\IceWaterEnergy(),
            self::IceScale => new Calculators\IceScale(),
        };
    }

    public function title(): string
    {
        return Knowledge::file('bench')->row($this->value)->text('title');
    }

    /** When one reaches for it. */
    public function purpose(): string
    {
        return Knowledge::file('bench')->row($this->value)->text('purpose');
    }

    public function group(): Group
    {
        return Knowledge::file('bench')->row($this->value)->word('group', Group::class);
    }

    /** What is drawn of its answer; null where a picture says no more than the figures. */
    public function drawing(): ?AnswerPicture
    {
        $row = Knowledge::file('bench')->row($this->value);

        return $row->has('drawing') ? $row->word('drawing', AnswerPicture::class) : null;
    }
}
