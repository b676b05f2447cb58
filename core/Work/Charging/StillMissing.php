<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Diagnosis\Requirement;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Language\Several;
use Metrum\Quantity\Magnitude;

/** Whether anything is still missing while a charge goes on: by its estimate, else by what the plant shows itself. */
final readonly class StillMissing
{
    /** @param  Shortage  $shown  by what was read last */
    public function __construct(private Charging $charging, private Shortage $shown)
    {
    }

    /** @return list<Requirement> none where nothing was added yet */
    public function all(): array
    {
        $estimate = $this->charging->estimate();
        if (! $this->charging->log->isCharging() || $estimate === null) {
            return [];
        }

        return [$this->charging->isInKilograms() ? $this->byEstimate($estimate) : $this->byItself()];
    }

    private function byEstimate(ChargeEstimate $estimate): Requirement
    {
        $missing = $this->charging->missing();
        $share = Magnitude::share(abs($estimate->missing) / $estimate->right);
        if ($missing !== null && $missing > 0.0) {
            return Requirement::holds(Reason::StillMissing, Sentence::of(Reason::AboutMissing, share: $share));
        }
        $said = $missing === null
            ? Sentence::of(Reason::NothingTold)
            : Sentence::of(Reason::NoneTooMuch, share: $share);

        return Requirement::fails(Reason::StillMissing, $said, Reading::CondenserOutletTemperature);
    }

    /** Where no kilograms can be said the plant says itself when it has enough. */
    private function byItself(): Requirement
    {
        if ($this->shown->for !== []) {
            $shows = Sentence::of(Reason::StillShows, signs: Several::beside($this->shown->for));

            return Requirement::holds(Reason::StillMissing, $shows);
        }
        $against = Sentence::of(Reason::ShowsNoMore, signs: Several::beside($this->shown->against));

        return Requirement::fails(Reason::StillMissing, $against, Observation::SightGlass);
    }
}
