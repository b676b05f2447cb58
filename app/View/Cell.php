<?php

namespace App\View;

use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Taken;

/** An entry cell: a reading with its unit, what stands in it, and what follows from it. */
final readonly class Cell
{
    public function __construct(
        public Reading $reading,
        public string $unit,
        public string $value,
        public string $hint,
        public bool $proposed,
        public bool $doubted,
        public ?Taken $taken = null,
    ) {
    }

    public function domId(): string
    {
        return 'cell-'.str_replace('_', '-', $this->reading->value);
    }
}
