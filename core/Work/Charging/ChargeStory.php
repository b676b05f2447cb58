<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Language\Several;
use Metrum\Language\WorkReason;
use Metrum\Quantity\Magnitude;
use Metrum\Work\Assessment;

/** What is told of a charge: what is missing and by what that is known, where the knee is, what could take it. */
final readonly class ChargeStory
{
    public function __construct(
        private Assessment $assessment,
        private Charging $charging,
        private ChargingCircumstances $around,
    ) {
    }

    /** What is missing: by weights and the twin, or how it is found where no kilograms can be said. */
    public function missing(): Sentence
    {
        $estimate = $this->charging->estimate();

        return match (true) {
            $this->charging->isShared() => Sentence::of(WorkReason::ChargeShared),
            $this->charging->isSilent() => Sentence::of(WorkReason::ChargeSilent, where: $this->whatTakesIt()),
            ! $this->charging->isInKilograms() => Sentence::of(WorkReason::ChargeUnsized, way: $this->way()),
            $estimate === null => Sentence::of(WorkReason::ChargeUntold),
            default => $this->estimated($estimate),
        };
    }

    private function estimated(ChargeEstimate $estimate): Sentence
    {
        $missing = $this->charging->missing();
        $about = Sentence::of(
            WorkReason::MoreOrLess,
            value: Magnitude::mass(abs($estimate->missing)),
            deviation: Magnitude::mass($estimate->deviation),
        );
        $isWeighed = $this->assessment->weighedIn()->exact !== null;
        if ($missing === null && $this->charging->isUnsealed()) {
            $by = Sentence::of($isWeighed ? WorkReason::ByScaleAndTwin : WorkReason::ByTheTwin);

            return Sentence::of(WorkReason::ChargeUnsealed, by: $by, about: $about);
        }
        $by = Sentence::of($isWeighed ? WorkReason::ByScaleAndTwinFirst : WorkReason::ByTheTwinFirst);

        return $missing === null
            ? Sentence::of(WorkReason::ChargeRight, by: $by, about: $about)
            : Sentence::of(
                $missing > 0.0 ? WorkReason::ChargeMissing : WorkReason::ChargeTooMuch,
                by: $by,
                about: $about,
                share: Magnitude::share(abs($estimate->missing) / $estimate->right),
            );
    }

    /** How the end is found without kilograms. */
    private function way(): Sentence
    {
        return Sentence::of(match ($this->charging->school) {
            ChargingSchool::Receiver => WorkReason::UntilGlassClears,
            ChargingSchool::Knee => WorkReason::UntilSuperheatStands,
            ChargingSchool::ByWeight, ChargingSchool::Capillary => WorkReason::NoWayButThePlate,
        });
    }

    /** Where refrigerant may go that changes nothing. */
    private function whatTakesIt(): Sentence
    {
        $circuit = $this->assessment->present()->chapter->findings->circuit;
        $places = array_filter([
            $circuit->hasReceiver() ? WorkReason::ReceiverFillsUnseen : null,
            $this->around->floods() ? WorkReason::CondenserFloodsInCold : null,
            $this->around->isCool() ? WorkReason::ColdOilTakesIt : null,
            WorkReason::ScaleDeceives,
            WorkReason::CoilHeldShort,
        ]);
        $told = array_map(static fn (WorkReason $one): Sentence => Sentence::of($one), array_values($places));

        return Sentence::of(WorkReason::WhatCouldTakeIt, places: Several::apart($told));
    }

    /** Where superheat stopped falling; null where that is not seen yet. */
    public function knee(): ?Sentence
    {
        $knee = $this->charging->knee();
        $isLookedFor = $this->charging->school === ChargingSchool::Knee && $this->charging->log->isCharging();

        return match (true) {
            $knee === null => $isLookedFor ? Sentence::of(WorkReason::NoKneeYet) : null,
            $knee->added <= 0.0 => Sentence::of(WorkReason::KneeBeforeAnything),
            default => Sentence::of(
                WorkReason::KneeAt,
                at: Magnitude::mass($knee->added)->signed(),
                all: $this->inAll($knee),
            ),
        };
    }

    /** ", 1.35 kg in all"; nothing where nobody weighed what is in. */
    private function inAll(Knee $knee): Sentence
    {
        $exact = $this->assessment->weighedIn()->exact;

        return $exact === null
            ? Sentence::of(Reason::Nothing)
            : Sentence::of(
                WorkReason::KneeInAll,
                mass: Magnitude::mass($exact - $this->charging->log->added() + $knee->added),
            );
    }
}
