<?php

namespace App\View;

use Metrum\Log\FactKind;

/** A control of a visit's page: of which kind of fact, and about what. */
final readonly class EntryControl
{
    public function __construct(public FactKind $kind, public string $key)
    {
    }
}
