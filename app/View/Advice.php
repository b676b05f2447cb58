<?php

namespace App\View;

use Metrum\Card\Card;
use Metrum\Diagnosis\Suspect;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Prerequisite;
use Metrum\Log\Log;
use Metrum\Work\PermitConditions;

/** What may be advised at this plant. */
final readonly class Advice
{
    public function __construct(private Log $log, private Findings $findings, private Verdict $verdict)
    {
    }

    /**
     * Safety class of the refrigerant for which licence, tools and place are not confirmed at this visit yet (A-06);
     * null where nothing is asked.
     */
    public function licenceAsked(): ?string
    {
        return PermitConditions::licenceAsked($this->findings->circuit->refrigerant, $this->log);
    }

    /** Whether a card is held back until they are. */
    public function isLocked(Card $card): bool
    {
        return $this->licenceAsked() !== null && in_array(Prerequisite::Licence, $card->gates, true);
    }

    /** Whether a move is. */
    public function isLockedMove(Control $control): bool
    {
        return $this->licenceAsked() !== null && in_array(Prerequisite::Licence, $control->row()->gates, true);
    }

    /** "R-290 is of safety class A3: licence, tools and place are confirmed once a visit, before …" */
    public function licenceWords(): string
    {
        $class = $this->licenceAsked();
        $is = $class === 'R-744' ? 'works at very high pressures' : "is of safety class $class";

        return $this->findings->circuit->refrigerant." $is: licence, tools and place are confirmed once a visit, ".
            'before anything opens the circuit.';
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
