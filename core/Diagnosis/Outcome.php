<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Fault;
use Metrum\Circuit\Word;

/** What a check might show, how likely that is, and which fault it would put first. */
final readonly class Outcome
{
    /**
     * @param  ?float  $from  SI, lower end of what is read; null where open
     * @param  ?float  $to  SI, upper end; null where open
     */
    public function __construct(
        public ?Word $word,
        public ?float $from,
        public ?float $to,
        public float $chance,
        public Fault $leads,
        public float $probability,
    ) {
    }
}
