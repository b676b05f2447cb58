<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Test;

/** A check worth doing next: what to look at, how, how long, what each outcome would mean. */
final readonly class Check
{
    /**
     * @param  Reading|Observation|Test  $key  what is entered first
     * @param  list<Reading>  $readings  all readings it takes, where it is a measured sign
     * @param  ?Sign  $sign  the figure that will be judged, where it is one
     * @param  float  $gain  expected information, bits
     * @param  int  $minutes  of work
     * @param  string  $effort  look, hand, clamp, gauge or intervention
     * @param  list<string>  $cautions  in words
     * @param  list<Outcome>  $outcomes
     */
    public function __construct(
        public Reading|Observation|Test $key,
        public array $readings,
        public ?Sign $sign,
        public float $gain,
        public int $minutes,
        public string $effort,
        public string $how,
        public array $cautions,
        public array $outcomes,
        public float $worth,
    ) {
    }

    public function title(): string
    {
        return $this->sign !== null && count($this->readings) > 1 ? $this->sign->label : $this->key->label();
    }
}
