<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

use Metrum\Findings\DerivedFigure;
use Metrum\Knowledge\Reading;

/** A figure or reading as found, and now; SI, null where it was not read. */
final readonly class BeforeAndNow
{
    public function __construct(public DerivedFigure|Reading $of, public ?float $was, public ?float $is)
    {
    }

    public function wasRead(): bool
    {
        return $this->was !== null || $this->is !== null;
    }

    /** Null where it was not read twice. */
    public function change(): ?float
    {
        return $this->was === null || $this->is === null ? null : $this->is - $this->was;
    }
}
