<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Knowledge\Word;

/** Why a plant stands still. */
enum Standstill
{
    case SolenoidShut;
    case TooLittleRefrigerant;
    case Starved;
    case CondenserFull;
    case HeatNotGivenOff;
    case OutsideTable;

    public function sentence(): string
    {
        return match ($this) {
            self::SolenoidShut => 'off on low pressure: no liquid passes the solenoid, the coil is pumped empty',
            self::TooLittleRefrigerant => 'off on low pressure: too little refrigerant reaches the coil',
            self::Starved => 'off on low pressure: the coil is starved',
            self::CondenserFull => 'off on high pressure: liquid fills the condenser',
            self::HeatNotGivenOff => 'off on high pressure: the condenser cannot give off the heat',
            self::OutsideTable => 'off: its refrigerant has no state for this',
        };
    }

    /** What is seen of the compressor then, an answer to Observation::Compressor. */
    public function seen(): Word
    {
        return $this->isByHighPressure() ? Word::OffOnHighPressure : Word::OffOnLowPressure;
    }

    public function isByHighPressure(): bool
    {
        return $this === self::CondenserFull || $this === self::HeatNotGivenOff;
    }
}
