<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** What holds the pressure of all coils of its branch up, or the word that there is none. */
final readonly class Regulator
{
    public function __construct(public PartId $part, public bool $isFitted)
    {
    }
}
