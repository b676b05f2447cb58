<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** What switches the cooling. */
enum BoxControl: string
{
    case Thermostat = 'thermostat';
    case ThermostatPumpDown = 'thermostat_pump_down';
    case LowPressure = 'low_pressure';
    case PressureRegulator = 'pressure_regulator';
    /** Held by the pressure of the rack's header alone. */
    case Header = 'header';

    /** Whether a thermostat in the box ends the cooling. */
    public function isByThermostat(): bool
    {
        return match ($this) {
            self::ThermostatPumpDown, self::Thermostat => true,
            self::LowPressure, self::PressureRegulator, self::Header => false,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Thermostat => 'Thermostat, stops compressor',
            self::ThermostatPumpDown => 'Thermostat with pump-down',
            self::LowPressure => 'Low-pressure control',
            self::PressureRegulator => 'Evaporator pressure regulator',
            self::Header => 'Rack suction pressure',
        };
    }
}
