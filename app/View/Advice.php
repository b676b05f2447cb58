<?php

namespace App\View;

use App\Records\JudgedVisit;
use Metrum\Diagnosis\Suspect;
use Metrum\Language\Sentence;
use Metrum\Work\Desk\Permits;

/** What is advised at this plant, in words. */
final readonly class Advice
{
    public Permits $permits;

    public function __construct(private JudgedVisit $judged)
    {
        $this->permits = $judged->desk->permits();
    }

    /** "R-290 is of safety class A3: licence, tools and place are confirmed once a visit, before …" */
    public function licenceWords(): string
    {
        $class = $this->permits->licenceAsked();
        $is = $class === 'R-744' ? 'is a very high pressure refrigerant' : "is safety class $class";

        return $this->judged->present()->circuit->refrigerant." $is: confirm licence, tools and work area once per ".
            'visit before opening the circuit.';
    }

    /** @return list<string|Sentence> what to do about a suspect */
    public function remedies(Suspect $suspect): array
    {
        if ($this->permits->isAdviceHeldBack()) {
            $class = $this->permits->licenceAsked();

            return ["Held back: work on $class needs its own licence and tools. Confirm them at the visit."];
        }
        $open = array_filter($this->permits->exclusions($suspect), static fn (array $one): bool => ! $one[1]);
        $still = 'Do not recommend replacement yet. Check first: '.implode('; ', array_column($open, 0)).'.';

        return [...$open === [] ? [] : [$still], ...$this->judged->verdict->remedies($suspect)];
    }
}
