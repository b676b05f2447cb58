<?php

declare(strict_types=1);

namespace Metrum\Plant;

/** What this plant should read, here and now, were it healthy. Design values and house rules answer first; a fitted model may. */
interface Expectation
{
    /** The healthy value of a sign of data/evidence/signs.json, SI; null where nothing can be expected. */
    public function healthy(string $sign): ?Expected;

    /** Whether the air is so cold that head pressure control has to hold; null where that is not known. */
    public function isCold(): ?bool;

    /**
     * The expected temperatures (K) along the circuit, by place of the course; a place is missing where nothing is known.
     *
     * @return array<string, Expected>
     */
    public function run(): array;
}
