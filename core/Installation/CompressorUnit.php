<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Quantity\Copies;

/** One compressor of a group. SI; null: not known. */
final readonly class CompressorUnit
{
    use Copies;

    /**
     * @param  string  $name  what people call it; empty: by its number
     * @param  ?float  $capacity  W of cooling
     * @param  ?float  $ratedCurrent  A
     * @param  list<array{float, float}>  $corners  of the field in which it may run: evaporating and condensing, K
     * @param  ?CompressorClass  $class  null: as is usual for such a plant
     */
    public function __construct(
        public PartId $part,
        public string $name = '',
        public ?float $capacity = null,
        public ?float $ratedCurrent = null,
        public array $corners = [],
        public ?CompressorClass $class = null,
    ) {
    }

    /**
     * The same of another class, that may run in another field.
     *
     * @param  list<array{float, float}>  $corners  K; none: as is usual for its class
     */
    public function within(array $corners, ?CompressorClass $class): self
    {
        return $this->but(corners: $corners, class: $class);
    }

    /** Where it may run: as its corners say, else as is usual for its class. @param  CompressorClass  $usual */
    public function envelope(CompressorClass $usual): Envelope
    {
        return $this->corners === [] ? ($this->class ?? $usual)->envelope() : Envelope::around($this->corners);
    }

    /** The same rated for another current, A. */
    public function ratedFor(?float $current): self
    {
        return $this->but(ratedCurrent: $current);
    }
}
