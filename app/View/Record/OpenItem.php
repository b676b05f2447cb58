<?php

namespace App\View\Record;

use Metrum\Findings\Mark;

/** One line of what is open at a circuit. */
final readonly class OpenItem
{
    /**
     * @param  string  $when  by when, since when, or what it is
     * @param  ?string  $address  where more of it stands
     * @param  bool  $isPressing  it should have been done, or must be before anything else
     */
    public function __construct(
        public Mark $mark,
        public string $what,
        public string $when,
        public ?string $address = null,
        public bool $isPressing = false,
    ) {
    }
}
