<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

use Metrum\Card\Card;
use Metrum\Diagnosis\Suspect;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Prerequisite;
use Metrum\Work\PermitConditions;

/** What may be advised at this plant, and worked on, before licence, tools and place are confirmed. */
final readonly class Permits
{
    public function __construct(private Desk $desk)
    {
    }

    /**
     * Safety class of the refrigerant for which licence, tools and place are not confirmed at this visit yet (A-06);
     * null where nothing is asked.
     */
    public function licenceAsked(): ?string
    {
        $assessment = $this->desk->assessment;

        return PermitConditions::licenceAsked(
            $assessment->present()->findings()->circuit->refrigerant,
            $assessment->log,
        );
    }

    /** Whether a card or a move is held back until they are. */
    public function isLocked(Card|Control $work): bool
    {
        $gates = $work instanceof Card ? $work->gates : $work->row()->gates;

        return $this->licenceAsked() !== null && in_array(Prerequisite::Licence, $gates, true);
    }

    /** Whether nothing is said of how to put it right: that is for who is licensed, and nobody said so yet. */
    public function isAdviceHeldBack(): bool
    {
        return $this->licenceAsked() !== null && $this->desk->verdict->referral === null;
    }

    /** @return list<array{string, bool}> what is looked at before a part is replaced, and whether it was */
    public function exclusions(Suspect $suspect): array
    {
        $found = $this->desk->assessment->present()->findings();
        $all = [];
        foreach ($suspect->entry()->beforeReplacing as $one) {
            if ($one->fits($found)) {
                $all[] = [$one->text, $one->isDone($found)];
            }
        }

        return $all;
    }
}
