<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;

/**
 * Readings that cannot be true together, or not at all: what is wrong and which to take again, most likely culprit
 * first.
 */
final readonly class Contradiction
{
    /**
     * @param  non-empty-list<Reading|Observation>  $repeat
     * @param  bool  $doubts  whether what is named is no evidence until it was taken again; not where it is the
     *                        refrigerant that is in doubt
     */
    public function __construct(public Sentence $what, public array $repeat, public bool $doubts = true)
    {
    }

    public function sentence(): Sentence
    {
        $labels = array_map(
            static fn (Reading|Observation $key): string => mb_strtolower($key->label()),
            $this->repeat,
        );

        return Sentence::of(Reason::TakeAgain, what: $this->what, readings: implode(', then ', $labels));
    }
}
