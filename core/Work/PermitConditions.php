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
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\Log;

/** What must be permitted before the refrigerant circuit is opened: Licence and tools, and a leak that was searched. */
final readonly class PermitConditions
{
    public function __construct(private Assessment $assessment, private Findings $findings)
    {
    }

    /** Flammable, high-pressure and toxic refrigerants: confirmed for this visit, and ammonia never (A-06). */
    public function licence(): Requirement
    {
        $label = Reason::Licence;
        $refrigerant = $this->findings->circuit->refrigerant;
        $referral = Cautions::referral($refrigerant);
        if ($referral !== null) {
            return Requirement::refuses($label, Sentence::plain($referral));
        }
        $class = Cautions::licensedClass($refrigerant);
        $asked = self::licenceAsked($refrigerant, $this->assessment->log);

        return match (true) {
            $class === null => Requirement::holds($label, Reason::AsForEveryRefrigerant),
            $asked === null => Requirement::holds($label, Sentence::of(Reason::ConfirmedForClass, class: $class)),
            default => Requirement::refuses(
                $label,
                Sentence::of(Reason::ClassAsksLicence, class: $class),
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
        $label = Reason::LeakSearched;
        if ($this->findings->tested(Test::NitrogenOrBubbleSearch) !== null) {
            return Requirement::holds($label, Reason::SearchedAtThisVisit);
        }
        if ($this->assessment->rules->follow(Ruling::NothingBeforeSearch)) {
            return Requirement::refuses($label, Reason::NothingBeforeSearch);
        }
        foreach ($this->assessment->log->history(FactKind::Move) as $move) {
            $reason = $move->content->text(PlantMoved::OVERRULED);
            if ($move->content->key === Control::Charge->value && $reason !== '') {
                return Requirement::holds($label, Sentence::of(Reason::AddedBeforeSearch, because: $reason));
            }
        }

        return Requirement::fails(
            $label,
            Reason::SearchFirst,
            Test::NitrogenOrBubbleSearch,
        );
    }
}
