<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Findings\Sign;
use Metrum\Findings\Yardstick;
use Metrum\Knowledge\Reading;

/** What this plant should read, here and now, were it healthy. */
interface Expectation
{
    /** The healthy value of a sign, SI; null where nothing can be expected. */
    public function healthy(Sign $sign): ?Expected;

    /** What one instrument would read at the healthy plant, SI, its own errors not counted; null: not known. */
    public function reading(Reading $reading): ?Expected;

    /** The sound plant's differences, by which some signs are measured. */
    public function yardstick(): Yardstick;

    /** Whether the air is so cold that head pressure control has to hold; null where that is not known. */
    public function isCold(): ?bool;

    /**
     * The expected temperatures (K) along the circuit, by Place; a place is missing where nothing is known.
     *
     * @return array<string, Expected>
     */
    public function run(): array;

    /** Where it comes from, in words. */
    public function by(): string;
}
