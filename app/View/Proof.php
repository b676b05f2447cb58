<?php

namespace App\View;

/** One thing that proves a repair: how it stands, and by what. */
final readonly class Proof
{
    /** @param  string  $sign  ○ proven, ◐ not shown yet, ● missed */
    public function __construct(public string $sign, public string $label, public string $said)
    {
    }
}
