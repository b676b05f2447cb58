<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** What is said of an ice machine, and of any unit's age. Null: not known. */
final readonly class IceWords
{
    public function __construct(
        public ?IceMaking $making = null,
        public ?WaterFill $fill = null,
        public ?PlantAge $age = null,
    ) {
    }
}
