<?php

namespace App\View\Replacement;

use App\Models\Circuit;
use App\Models\Workshop;
use Metrum\Work\Replacement\Estimate;
use Metrum\Work\Replacement\Payback;

/** What replacing a system costs and saves, in the workshop's currency. */
final readonly class ReplacementCosts
{
    private const HUNDREDTHS = 100.0;

    /** h that a call for a fault takes at least, besides being there. */
    private const CALL_HOURS = 1.5;

    /** Shares of leaks and calls that are saved against a repaired system, and against one that is left as it is. */
    private const AFTER_REPAIR = [0.0, 0.5, 1.0];

    private const AS_NOW = [0.8, 1.0, 1.2];

    /** By which the saving of a new system is uncertain. */
    private const BETTER_WIDTH = [0.5, 1.0, 1.5];

    public function __construct(
        private Circuit $circuit,
        private SystemRecord $record,
        private ReplacementTerms $terms,
        private Workshop $workshop,
    ) {
    }

    /** Against repair, or against leaving it as it is; null where the prices are not entered. */
    public function against(bool $repaired): ?Payback
    {
        $price = $this->terms->replacement;
        if ($price === null || ($repaired && $this->terms->repair === null)) {
            return null;
        }
        $extra = $price - ($repaired ? (float) $this->terms->repair : 0.0);

        return new Payback($extra, $this->saving($repaired));
    }

    /** What replacement saves a year. */
    private function saving(bool $repaired): Estimate
    {
        $shares = Estimate::of(...$repaired ? self::AFTER_REPAIR : self::AS_NOW);
        $lost = ($this->record->lost[0] ?? 0.0) * ($this->kilogram() ?? 0.0);
        $calls = ($this->record->callsAYear ?? 0.0) * $this->call();

        return $this->energy($repaired)->plus($shares->scaled($lost))->plus($shares->scaled($calls));
    }

    private function energy(bool $repaired): Estimate
    {
        $energy = $this->record->energy;
        if ($energy === null) {
            return Estimate::none();
        }
        $better = Estimate::of(...self::BETTER_WIDTH)->scaled($this->terms->better ?? ReplacementTerms::BETTER);
        $saved = $energy->sound->times($better);

        return ($repaired ? $saved : $saved->plus($energy->extra))->scaled($this->terms->energy ?? 0.0);
    }

    /** Of its refrigerant; null where it is not on the price list. */
    private function kilogram(): ?float
    {
        $price = $this->workshop->price($this->circuit->refrigerant());

        return $price === null ? null : $price / self::HUNDREDTHS;
    }

    private function call(): float
    {
        return ($this->workshop->call_out + self::CALL_HOURS * $this->workshop->labour) / self::HUNDREDTHS;
    }

    /** @return list<string> what is missing */
    public function missing(): array
    {
        return array_keys(array_filter([
            'price of replacement' => $this->terms->replacement === null,
            'price of repair' => $this->terms->repair === null,
            'electricity per kWh' => $this->terms->energy === null,
            'price of '.$this->circuit->refrigerant().' (price list in Settings)' => $this->kilogram() === null,
            'a visit with readings, for the energy' => $this->record->energy === null,
        ]));
    }
}
