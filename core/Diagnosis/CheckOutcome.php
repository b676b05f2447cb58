<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Word;

/** What a check might show, how likely that is, and which fault it would put first. */
final readonly class CheckOutcome
{
    public float $chance;

    public Fault $leads;

    public float $probability;

    /**
     * @param  ?Word  $word  the answer; null where a figure is read
     * @param  ?float  $from  SI, lower end of what is read; null where open
     * @param  ?float  $to  SI, upper end; null where open
     */
    public function __construct(public ?Word $word, public ?float $from, public ?float $to, Prospect $prospect)
    {
        $this->chance = $prospect->chance;
        $this->leads = $prospect->leads;
        $this->probability = $prospect->probability;
    }
}
