<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** One coil of a branch. */
final readonly class Coil
{
    /** @param  ?float  $difference  air entering it less saturated evaporating, by design, K; null: not known */
    public function __construct(public PartId $part, public ?float $difference = null)
    {
    }
}
