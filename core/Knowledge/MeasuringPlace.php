<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** A place of the circuit at which something is measured, as it can be drawn. */
enum MeasuringPlace: string
{
    case Bulb = 'bulb';
    case Suction = 'suction';
    case Discharge = 'discharge';
    case CondenserOutlet = 'condenser_outlet';
    case ReceiverOutlet = 'receiver_outlet';
    case ReceiverLevel = 'receiver_level';
    case Drier = 'drier';
    case ValveInlet = 'valve_inlet';
    case AirIn = 'air_in';
    case AirOut = 'air_out';
}
