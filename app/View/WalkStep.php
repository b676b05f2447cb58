<?php

namespace App\View;

use Metrum\Knowledge\Station;

/** A station of the walk, with how far it is done. */
final readonly class WalkStep
{
    /** @param  string  $said  how far, in words */
    public function __construct(
        public Station $station,
        private int $done,
        private int $all,
        public string $said,
    ) {
    }

    /** none, part or whole */
    public function mark(): string
    {
        return match (true) {
            $this->done === 0 => 'none',
            $this->done < $this->all => 'part',
            default => 'whole',
        };
    }
}
