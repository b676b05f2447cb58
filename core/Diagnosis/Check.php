<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Sign;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Effort;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Copies;

/** A check worth doing next: what to look at, how, how long, what each outcome would mean. */
final readonly class Check
{
    use Copies;

    /** Probability by which outcomes differ at least, where all leave the same suspect first. */
    private const APART = 0.03;

    /**
     * @param  Asked  $key  what is entered first
     * @param  list<Reading>  $readings  all readings it takes, where it is a measured sign
     * @param  ?Sign  $sign  the figure that will be judged, where it is one
     * @param  float  $gain  expected information, bits
     * @param  int  $minutes  of work
     * @param  list<string>  $cautions  in words
     * @param  list<CheckOutcome>  $outcomes
     * @param  float  $worth  gain for its minutes and risk, by which checks are ranked
     */
    public function __construct(
        public Asked $key,
        public array $readings,
        public ?Sign $sign,
        public float $gain,
        public int $minutes,
        public Effort $effort,
        public string $how,
        public array $cautions,
        public array $outcomes,
        public float $worth,
        public Purpose $purpose = Purpose::TellApart,
    ) {
    }

    public function for(Purpose $purpose): self
    {
        return $this->but(purpose: $purpose);
    }

    /** The same that brings more bits than its own sign. */
    public function bringing(float $gain): self
    {
        return $this->but(gain: $gain, worth: $this->gain > 0.0 ? ($this->worth * $gain) / $this->gain : 0.0);
    }

    /** Whether its outcomes leave other suspects, or the same as surely as otherwise. */
    public function tells(): bool
    {
        $faults = $chances = [];
        foreach ($this->outcomes as $outcome) {
            $faults[$outcome->leads->value] = true;
            $chances[] = $outcome->probability;
        }

        return count($faults) > 1 || ($chances !== [] && max($chances) - min($chances) > self::APART);
    }

    public function title(): string
    {
        return $this->sign !== null && count($this->readings) > 1
            ? $this->sign->row()->label
            : $this->key->label();
    }
}
