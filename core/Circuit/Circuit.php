<?php

declare(strict_types=1);

namespace Metrum\Circuit;

use Metrum\Quantity\Atmosphere;
use Metrum\Refrigerant\Library;
use Metrum\Refrigerant\Refrigerant;

/** One refrigeration circuit as it is known: its words, its design values, its site's atmosphere. Null is not known. */
final readonly class Circuit
{
    public Design $design;

    public Atmosphere $atmosphere;

    public function __construct(
        public string $refrigerant,
        public ?Kind $kind = null,
        public ?Metering $metering = null,
        public ?CondenserPlace $condenser = null,
        public ?HeadPressureControl $headPressureControl = null,
        public ?bool $receiver = null,
        public ?bool $regulator = null,
        public ?bool $suctionAccumulator = null,
        public ?BoxControl $boxControl = null,
        public ?DefrostKind $defrost = null,
        ?Design $design = null,
        ?Atmosphere $atmosphere = null,
    ) {
        $this->design = $design ?? new Design();
        $this->atmosphere = $atmosphere ?? Atmosphere::atAltitude(0);
    }

    public function fluid(): Refrigerant
    {
        return Library::standard()->get($this->refrigerant);
    }

    public function isLowTemperature(): bool
    {
        return $this->kind?->isLowTemperature() ??
            $this->design->boxSetPoint !== null && $this->design->boxSetPoint < 268.15;
    }

    /** Whether a receiver is there; where it is not said, a valve-fed plant is taken to have one, a capillary not. */
    public function hasReceiver(): bool
    {
        return $this->receiver ??
            ! (
                $this->metering === Metering::Capillary ||
                $this->kind === Kind::ReachInCooler ||
                $this->kind === Kind::ReachInFreezer
            );
    }

    public function holdsHead(): bool
    {
        return $this->headPressureControl !== null && $this->headPressureControl !== HeadPressureControl::None;
    }
}
