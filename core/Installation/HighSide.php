<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Quantity\Copies;

/** What gives off the heat of a plant and holds its refrigerant, shared by all of its circuits. SI; null: not known. */
final readonly class HighSide
{
    use Copies;

    /**
     * @param  string  $refrigerant  as the library names it
     * @param  ?bool  $receiver  whether there is one
     * @param  ?float  $condenserSplit  saturated condensing less air entering the condenser, K
     * @param  ?float  $coldestAmbient  K
     * @param  ?float  $receiverVolume  m³
     * @param  ?float  $condenserVolume  m³
     * @param  ?float  $plateCharge  kg, of the whole plant
     * @param  ?float  $liquidLineLength  m
     * @param  ?float  $liquidLineBore  inside diameter, m
     */
    public function __construct(
        public string $refrigerant,
        public ?CondenserPlace $condenser = null,
        public ?HeadPressureControl $headPressureControl = null,
        public ?bool $receiver = null,
        public ?float $condenserSplit = null,
        public ?float $coldestAmbient = null,
        public ?float $receiverVolume = null,
        public ?float $condenserVolume = null,
        public ?float $plateCharge = null,
        public ?float $liquidLineLength = null,
        public ?float $liquidLineBore = null,
        public RackDesign $rack = new RackDesign(),
    ) {
    }

    /** The same with what is planned for all of its circuits. */
    public function planned(RackDesign $rack): self
    {
        return $this->but(rack: $rack);
    }

    /** @param  float  $charge  kg, of the whole plant */
    public function plated(float $charge): self
    {
        return $this->but(plateCharge: $charge);
    }

    /** As a circuit says it; what a circuit does not say stays as it is in an earlier one. */
    public static function of(Circuit $circuit, ?self $before = null): self
    {
        $design = $circuit->design;

        return new self(
            $circuit->refrigerant,
            $circuit->condenser,
            $circuit->headPressureControl,
            $circuit->receiver,
            $design->condenserSplit,
            $design->coldestAmbient,
            $design->receiverVolume,
            $design->condenserVolume,
            $design->nameplateCharge,
            $design->liquidLineLength,
            $design->liquidLineBore,
            $before->rack ?? new RackDesign(),
        );
    }
}
