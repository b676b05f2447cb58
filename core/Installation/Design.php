<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Quantity\Copies;

/** What the plate, the plan or the maker says of this plant. SI; null where it is not known. */
final readonly class Design
{
    use Copies;

    /**
     * @param  ?float  $evaporatorTd  air entering the coil less saturated evaporating, K
     * @param  ?float  $condenserSplit  saturated condensing less air entering the condenser, K
     * @param  ?float  $superheat  at the bulb, K
     * @param  ?float  $subcooling  K
     * @param  ?float  $boxSetPoint  K
     * @param  ?float  $ratedCurrent  A
     * @param  ?float  $coldestAmbient  K
     * @param  ?float  $receiverVolume  m³
     * @param  ?float  $condenserVolume  m³
     * @param  ?float  $nameplateCharge  kg
     * @param  ?float  $liquidLineLength  m
     * @param  ?float  $liquidLineBore  inside diameter, m
     * @param  ?float  $icePerCycle  kg
     * @param  ?float  $icePerDay  kg at 21 °C air and 10 °C water
     * @param  ?float  $icePerDayHot  kg at 32 °C air and 21 °C water
     * @param  ?float  $bridgeThickness  of the ice between cubes, m
     */
    public function __construct(
        public ?float $evaporatorTd = null,
        public ?float $condenserSplit = null,
        public ?float $superheat = null,
        public ?float $subcooling = null,
        public ?float $boxSetPoint = null,
        public ?float $ratedCurrent = null,
        public ?float $coldestAmbient = null,
        public ?float $receiverVolume = null,
        public ?float $condenserVolume = null,
        public ?float $nameplateCharge = null,
        public ?float $liquidLineLength = null,
        public ?float $liquidLineBore = null,
        public ?float $icePerCycle = null,
        public ?float $icePerDay = null,
        public ?float $icePerDayHot = null,
        public ?float $bridgeThickness = null,
    ) {
    }

    /** SI; null where it is not known. */
    public function value(DesignKey $key): ?float
    {
        return match ($key) {
            DesignKey::BoxSetPoint => $this->boxSetPoint,
            DesignKey::EvaporatorTd => $this->evaporatorTd,
            DesignKey::CondenserSplit => $this->condenserSplit,
            DesignKey::Superheat => $this->superheat,
            DesignKey::Subcooling => $this->subcooling,
            DesignKey::RatedCurrent => $this->ratedCurrent,
            DesignKey::ColdestAmbient => $this->coldestAmbient,
            DesignKey::ReceiverVolume => $this->receiverVolume,
            DesignKey::CondenserVolume => $this->condenserVolume,
            DesignKey::NameplateCharge => $this->nameplateCharge,
            DesignKey::LiquidLineLength => $this->liquidLineLength,
            DesignKey::LiquidLineBore => $this->liquidLineBore,
            DesignKey::IcePerCycle => $this->icePerCycle,
            DesignKey::IcePerDay => $this->icePerDay,
            DesignKey::IcePerDayHot => $this->icePerDayHot,
            DesignKey::BridgeThickness => $this->bridgeThickness,
        };
    }

    /** Inside of the liquid line, m³; null where length or bore is not known. */
    public function liquidLineVolume(): ?float
    {
        return $this->liquidLineLength === null || $this->liquidLineBore === null
            ? null
            : M_PI / 4 * $this->liquidLineBore ** 2 * $this->liquidLineLength;
    }

    /** @param  ?float  $value  SI */
    public function with(DesignKey $key, ?float $value): self
    {
        return $this->but(...[$key->property() => $value]);
    }
}
