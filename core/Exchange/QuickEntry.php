<?php

declare(strict_types=1);

namespace Metrum\Exchange;

/** One thing said in a quick line: of which kind, about what, and the value as it was typed or the word that was meant. */
final readonly class QuickEntry
{
    /** @param  string  $kind  reading, observation, test, state, complaint or note */
    public function __construct(public string $kind, public string $key, public string $value)
    {
    }
}
