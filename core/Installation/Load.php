<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** What a branch cools, what ends the cooling, and how its coils are freed of ice. Null: not known. */
final readonly class Load
{
    /** @param  ?float  $setPoint  of what is cooled, K */
    public function __construct(
        public ?Kind $kind = null,
        public ?BoxControl $control = null,
        public ?DefrostKind $defrost = null,
        public ?float $setPoint = null,
        public IceWords $ice = new IceWords(),
        public IceRating $rating = new IceRating(),
    ) {
    }
}
