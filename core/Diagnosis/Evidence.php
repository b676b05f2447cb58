<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Diagnosis\Seen\FoundState;
use Metrum\Findings\Figure;
use Metrum\Findings\Mark;
use Metrum\Findings\Share;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Speech;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Copies;
use Metrum\Twin\Expected;

/** One thing that was found, and what its curves say of each fault. */
final readonly class Evidence
{
    use Copies;

    /**
     * @param  array<int, float>  $weights  nats by place of the fault
     * @param  ?Signal  $signal  a sign beside what a sound plant would show
     * @param  ?array{Reading, float, Expected}  $reading  one reading beside what the twin would show, SI
     * @param  ?FoundState  $found  what is wrong although nobody complained of it
     * @param  ?Speech  $speech  what a move came to
     * @param  ?array{Share, float}  $share  one figure by another of the same plant
     * @param  ?Figure  $figure  a figure as it stands
     */
    public function __construct(
        public string $feature,
        public array $weights,
        public ?Signal $signal = null,
        public ?array $reading = null,
        public ?array $share = null,
        public ?Figure $figure = null,
        public ?Question $asked = null,
        public ?Word $word = null,
        public ?Complaint $complaint = null,
        public ?Speech $speech = null,
        public ?FoundState $found = null,
    ) {
    }

    /**
     * The same thing with more to say.
     *
     * @param  array<int, float>  $weights  nats by place of the fault
     */
    public function saying(array $weights): self
    {
        $sum = $this->weights;
        foreach ($weights as $place => $weight) {
            $sum[$place] += $weight;
        }

        return $this->but(weights: $sum);
    }

    /** A sign where a sound plant has it: nobody is told that it speaks for a fault. */
    public function isAsPlanned(): bool
    {
        return $this->signal !== null && abs($this->signal->deviations()) <= Mark::FINE_WITHIN;
    }

    /** A sign on the other side of what is expected than a fault moves it to: it never counts for that fault. */
    public function isOnOtherSide(Fault $fault): bool
    {
        if ($this->signal === null || $this->isAsPlanned()) {
            return false;
        }
        $shift = FaultCatalogue::entry($fault)->signs[$this->signal->sign->value] ?? null;

        return $shift !== null && $shift->mean * $this->signal->deviations() < 0.0;
    }

    /** A figure of the circuit, beside the twin's or as it stands. */
    public function isMeasured(): bool
    {
        return $this->signal !== null || $this->reading !== null || $this->share !== null || $this->figure !== null;
    }

    /** What kind of plant it is, in which weather and state: nothing that anybody found at it. */
    public function isContext(): bool
    {
        return $this->feature === Pieces::CONTEXT;
    }

    /** What was found at the rest of the plant. */
    public function isOfPlant(): bool
    {
        return $this->feature === Pieces::PLANT;
    }
}
