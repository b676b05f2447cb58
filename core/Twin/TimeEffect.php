<?php

declare(strict_types=1);

namespace Metrum\Twin;

/**
 * What a fault changes at the box, a clock or a control: nothing in the refrigerant's loop at a given box temperature.
 * How far it goes at full severity stands in the fault's file.
 */
enum TimeEffect: string
{
    case Burden = 'burden';
    case SensorError = 'sensor_error';
    case CutOutRaised = 'cut_out_raised';
    case HeatLost = 'heat_lost';
    case NotTerminating = 'not_terminating';
    case ClockStopped = 'clock_stopped';
    case FewerDefrosts = 'fewer_defrosts';
    case Refreezing = 'refreezing';
    case FanDelayLowered = 'fan_delay_lowered';

    /** How many numbers it takes. */
    public function takes(): int
    {
        return match ($this) {
            self::HeatLost => 0,
            self::SensorError,
            self::NotTerminating,
            self::ClockStopped,
            self::FewerDefrosts,
            self::Refreezing,
            self::FanDelayLowered => 1,
            self::CutOutRaised => 2,
            self::Burden => 3,
        };
    }
}
