<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\MoveOutcome;
use Metrum\Knowledge\Speech;

/** How the plant answered a move at this visit: evidence, as a test is. */
final readonly class MoveAnswer
{
    /**
     * @param  float  $value  how far, SI; 1 for what is done or not
     * @param  bool  $again  the move before it, of the same thing, came to the same
     */
    public function __construct(
        public Control $control,
        public MoveOutcome $outcome,
        public float $value,
        public PartId $part,
        public bool $again = false,
    ) {
    }

    /** What that says of the plant's faults; null where it says nothing. */
    public function speech(): ?Speech
    {
        foreach ($this->control->row()->speaks as $speech) {
            if ($speech->fits($this->outcome, $this->value, $this->again)) {
                return $speech;
            }
        }

        return null;
    }
}
