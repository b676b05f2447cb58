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

        if ($class !== null && $this->verdict->referral === null) {
            return [
                "Held back: work on $class asks for a licence and tools made for it. Confirm them at the visit.",
            ];
        }
        $open = array_filter($this->exclusions($suspect), static fn (array $one): bool => ! $one[1]);

        return [
            ...$open === []
                ? []
                : [
                    'Not yet for replacement. Still to be looked at: '.
                    implode('; ', array_column($open, 0)).
                    '.',
                ],
            ...$this->verdict->remedies($suspect),
        ];
    }

    /** @return list<array{string, bool}> what is looked at before a part is replaced, and whether it was */
    public function exclusions(Suspect $suspect): array
    {
        $all = [];
        foreach ($suspect->entry()->beforeReplacing as $one) {
            if ($one->fits($this->findings)) {
                $all[] = [$one->text, $one->isDone($this->findings)];
            }
        }

        return $all;
    }
}
