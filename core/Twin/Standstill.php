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
            self::SolenoidShut => 'off on low pressure: solenoid passes no liquid',
            self::TooLittleRefrigerant => 'off on low pressure: too little refrigerant reaches the coil',
            self::Starved => 'off on low pressure: the coil is starved',
            self::CondenserFull => 'off on high pressure: liquid fills the condenser',
            self::HeatNotGivenOff => 'off on high pressure: the condenser cannot reject the heat',
            self::OutsideTable => "off: outside the refrigerant's range",
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
