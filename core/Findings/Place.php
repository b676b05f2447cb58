<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Knowledge\Reading;

/** The places along the circuit, in the order in which refrigerant passes them. */
enum Place: string
{
    case Discharge = 'discharge';
    case CondenserIn = 'condenser_in';
    case CondenserOut = 'condenser_out';
    case CondenserOutlet = 'condenser_outlet';
    case ReceiverOutlet = 'receiver_outlet';
    case DrierInlet = 'drier_inlet';
    case DrierOutlet = 'drier_outlet';
    case ValveInlet = 'valve_inlet';
    case CoilIn = 'coil_in';
    case CoilOut = 'coil_out';
    case Bulb = 'bulb';
    case SuctionPipe = 'suction_pipe';

    public function label(): string
    {
        return match ($this) {
            self::Discharge => 'Discharge line',
            self::CondenserIn => 'Condensing, dew',
            self::CondenserOut => 'Condensing, bubble',
            self::CondenserOutlet => 'Condenser outlet',
            self::ReceiverOutlet => 'Receiver outlet',
            self::DrierInlet => 'Drier inlet',
            self::DrierOutlet => 'Drier outlet',
            self::ValveInlet => 'Expansion valve inlet',
            self::CoilIn => 'Coil, inlet',
            self::CoilOut => 'Coil, dew',
            self::Bulb => 'At the bulb',
            self::SuctionPipe => 'At the compressor',
        };
    }

    /** Where its temperature comes from: a clamp, or a pressure by way of saturation. */
    public function source(): Reading|DerivedFigure
    {
        return match ($this) {
            self::Discharge => Reading::DischargeTemperature,
            self::CondenserIn => DerivedFigure::CondensingDew,
            self::CondenserOut => DerivedFigure::SaturatedCondensing,
            self::CondenserOutlet => Reading::CondenserOutletTemperature,
            self::ReceiverOutlet => Reading::ReceiverOutletTemperature,
            self::DrierInlet => Reading::DrierInletTemperature,
            self::DrierOutlet => Reading::DrierOutletTemperature,
            self::ValveInlet => Reading::ValveInletTemperature,
            self::CoilIn => DerivedFigure::CoilInlet,
            self::CoilOut => DerivedFigure::SaturatedEvaporator,
            self::Bulb => Reading::SuctionTemperatureEvaporator,
            self::SuctionPipe => Reading::SuctionTemperatureCompressor,
        };
    }

    /** Whether an instrument stands there; the others come from a pressure. */
    public function isClamp(): bool
    {
        return $this->source() instanceof Reading;
    }

    /** In a pipe that carries liquid. */
    public function isLiquid(): bool
    {
        return match ($this) {
            self::CondenserOutlet,
            self::ReceiverOutlet,
            self::DrierInlet,
            self::DrierOutlet,
            self::ValveInlet => true,
            self::Discharge,
            self::CondenserIn,
            self::CondenserOut,
            self::CoilIn,
            self::CoilOut,
            self::Bulb,
            self::SuctionPipe => false,
        };
    }

    /** Whether what comes before it is a change of phase at saturation. */
    public function endsSaturation(): bool
    {
        return $this === self::CondenserOut || $this === self::CoilOut;
    }

    /** How many places farther along. */
    public function after(self $other): int
    {
        return (int) array_search($this, self::cases(), true) - (int) array_search($other, self::cases(), true);
    }
}
