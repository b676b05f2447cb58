<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Quantity\Copies;

/** One coil of a branch: of a room, or of one display case. SI; null: not known. */
final readonly class Coil
{
    use Copies;

    /**
     * @param  ?float  $difference  air entering it less saturated evaporating, by design, K
     * @param  string  $name  what people call its case; empty: by its number
     * @param  ?CaseForm  $form  of its case; null: a room, or not known
     * @param  ?float  $capacity  W of cooling
     */
    public function __construct(
        public PartId $part,
        public ?float $difference = null,
        public string $name = '',
        public ?CaseForm $form = null,
        public ?float $capacity = null,
    ) {
    }

    /** The same with another difference. */
    public function differing(?float $difference): self
    {
        return $this->but(difference: $difference);
    }
}
