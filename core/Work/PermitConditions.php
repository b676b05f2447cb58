<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Diagnosis\Cautions;
use Metrum\Diagnosis\Requirement;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Prerequisite;
use Metrum\Knowledge\Ruling;
use Metrum\Knowledge\Test;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\Log;

/** What must be permitted before the refrigerant circuit is opened: licence and tools, and a leak that was searched. */
final readonly class PermitConditions
{
    public function __construct(private Assessment $assessment, private Findings $findings)
    {
    }

    /** Flammable, high-pressure and toxic refrigerants: confirmed for this visit, and ammonia never (A-06). */
    public function licence(): Requirement
    {
        $label = 'licence and tools';
        $refrigerant = $this->findings->circuit->refrigerant;
        $referral = Cautions::referral($refrigerant);
        if ($referral !== null) {
            return Requirement::refuses($label, $referral);
        }
        $class = Cautions::licensedClass($refrigerant);
        $asked = self::licenceAsked($refrigerant, $this->assessment->log);

        return match (true) {
            $class === null => Requirement::holds($label, 'as for every refrigerant'),
            $asked === null => Requirement::holds($label, "confirmed for $class at this visit"),
            default => Requirement::refuses(
                $label,
                "$class asks for a licence and tools made for it: confirm them for this visit",
            ),
        };
    }

    /**
     * Safety class, or name, of a refrigerant for which licence, tools and place are still to be confirmed at a visit;
     * null where nothing is asked, or they are confirmed.
     */
    public static function licenceAsked(string $refrigerant, Log $log): ?string
    {
        $isConfirmed = false;
        foreach ($log->history(FactKind::Card) as $fact) {
            $outcome = StepTaken::outcome($fact->content);
            if ($outcome !== null && StepTaken::card($fact->content->key)?->canPermit(Prerequisite::Licence) === true) {
                $isConfirmed = $outcome->permits === Prerequisite::Licence;
            }
        }

        return $isConfirmed ? null : Cautions::licensedClass($refrigerant);
    }

    /** Refrigerant into a plant whose leak nobody looked for wants a reason, or a search (Z-09, N-11). */
    public function leakSearched(): Requirement
    {
        $label = 'the leak is searched';
        if ($this->findings->tested(Test::NitrogenOrBubbleSearch) !== null) {
            return Requirement::holds($label, 'at this visit');
        }
        if ($this->assessment->rules->follow(Ruling::NothingBeforeSearch)) {
            return Requirement::refuses($label, 'nothing is added before a search, by the house rule');
        }
        foreach ($this->assessment->log->history(FactKind::Move) as $move) {
            $reason = $move->content->text(PlantMoved::OVERRULED);
            if ($move->content->key === Control::Charge->value && $reason !== '') {
                return Requirement::holds($label, 'added before it, because '.$reason);
            }
        }

        return Requirement::fails(
            $label,
            'not yet: search first, or say why it cannot wait',
            Test::NitrogenOrBubbleSearch,
        );
    }
}
