<?php

namespace App\View;

use App\Models\User;
use Metrum\Diagnosis\Cautions;
use Metrum\Diagnosis\Suspect;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Findings;

/** What may be advised to this person at this plant. */
final readonly class Advice
{
    public function __construct(private User $user, private Findings $findings, private Verdict $verdict)
    {
    }

    /**
     * Safety class of the refrigerant for which this person has not yet said that licence and tools are there (A-06);
     * null where nothing is asked.
     */
    public function licenceAsked(): ?string
    {
        $class = Cautions::licensedClass($this->findings->circuit->refrigerant);

        return $class === null || $this->user->holdsLicenceFor($class) ? null : $class;
    }

    /** @return list<string> what to do about a suspect */
    public function remedies(Suspect $suspect): array
    {
        $class = $this->licenceAsked();

        return $class === null || $this->verdict->referral !== null
            ? $this->verdict->remedies($suspect)
            : ["Held back: work on $class asks for a licence and tools made for it. Confirm them at the visit."];
    }
}
