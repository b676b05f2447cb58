<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Findings\DerivedFigure;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\HouseRules;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Quantity\Magnitude;
use Metrum\Twin\Filling;

/** How much refrigerant goes in next: as much as is surely missing, in parts, and within every limit. */
final readonly class NextAddition
{
    /** Share of what is missing that goes in at least, and of the right charge at most, in one addition. */
    private const LEAST_PART = 0.35;

    private const MOST_AT_ONCE = 0.2;

    /** Share of the right charge in one addition near the clear glass. */
    private const TO_THE_SEAL = 0.03;

    /** Deviations by which a proposal stays below what seems to be missing. */
    private const CAREFUL = 1.0;

    /** Steps (kg) that a scale is read in, by the charge (kg) up to which they serve. */
    private const SCALES = [[0.25, 0.002], [1.0, 0.005], [3.0, 0.01], [20.0, 0.05], [INF, 0.1]];

    /** K of condensing dew below the high-pressure stop that are left free. */
    public const HEADROOM = 6.0;

    public const HIGH_STOP = 334.0;

    /** Chance with which a plant may hold more than a limit is asked for. */
    private const LIKELY = 0.05;

    public function __construct(private Charging $charging, private HouseRules $rules)
    {
    }

    /** kg to add next, below 0 to take back; null where it is right, nothing is known, or a limit binds. */
    public function kilograms(): ?float
    {
        $missing = $this->charging->missing();
        $estimate = $this->charging->estimate();
        $isTopUp = $this->charging->school === ChargingSchool::Capillary && $missing > 0.0;
        if ($missing === null || $estimate === null || $isTopUp || ($missing > 0.0 && $this->charging->isSilent())) {
            return null;
        }
        $scale = self::scale($estimate->right);
        if ($missing < 0.0) {
            $steps = round($missing / $scale);

            return $steps < 0.0 ? $steps * $scale : null;
        }
        $wanted = min($this->careful($missing, $estimate), self::MOST_AT_ONCE * $estimate->right, $this->room());
        $steps = floor($wanted / $scale + 1e-6);
        while ($steps > 0.0 && $this->limits($steps * $scale) !== []) {
            $steps--;
        }

        return $steps > 0.0 ? $steps * $scale : null;
    }

    /** kg of what is missing that may go in at once: never past where the plant would answer otherwise. */
    private function careful(float $missing, ChargeEstimate $estimate): float
    {
        $less = self::CAREFUL * $estimate->deviation;
        if ($this->charging->school !== ChargingSchool::Receiver) {
            return max(self::LEAST_PART * $missing, $missing - $less);
        }

        // First to the clear glass in small steps, then what is reckoned on top (N-04).
        return $this->charging->isUnsealed()
            ? max(self::TO_THE_SEAL * $estimate->right, $missing - $this->charging->margin() - $less)
            : $missing;
    }

    private static function scale(float $charge): float
    {
        foreach (self::SCALES as [$upTo, $step]) {
            if ($charge <= $upTo) {
                return $step;
            }
        }

        return 0.1;
    }

    /** kg that fit in at most: what the receiver may hold pumped down, and the plate with its question. */
    public function room(): float
    {
        $machine = $this->charging->machine();
        $estimate = $this->charging->estimate();
        if ($machine === null || $estimate === null) {
            return INF;
        }
        $now = $this->charging->in() ?? $estimate->in();
        $design = $machine->circuit->design;
        $over = 1 + $this->rules->band(HouseRule::OverPlate)->low;
        $plate = $design->nameplateCharge === null ? INF : $over * $design->nameplateCharge;
        $holds = $design->receiverVolume === null ? INF : Filling::receiverHolds($machine) ?? INF;

        return max(0.0, min($plate, $holds) - $now);
    }

    /**
     * Limits that an addition would pass, by the highest charge that is likely to be in (N-08, N-09).
     *
     * @return list<Sentence>
     */
    public function limits(float $value): array
    {
        $model = $this->charging->model();
        $estimate = $this->charging->estimate();
        if ($model === null || $estimate === null || $value <= 0.0) {
            return [];
        }
        $highest = $model->aboveSeal($estimate->highest(self::LIKELY) * $model->right, $estimate->size);
        $after = $model->charge($highest + $value, $estimate->size);
        $level = $model->level($after);
        $dew = $model->figure(DerivedFigure::CondensingDew, $after);
        $floor = $this->rules->band(HouseRule::CompressorSuperheatFloor)->low;
        $gas = $model->figure(DerivedFigure::CompressorSuperheat, $after);

        $all = [
            $level > Filling::FULLEST
                ? Sentence::of(Reason::WouldStandAt, level: Magnitude::share($level))
                : null,
            $dew !== null && $dew > self::HIGH_STOP - self::HEADROOM
                ? Sentence::of(Reason::WouldNearStop, headroom: self::headroom())
                : null,
            $gas !== null && $gas < $floor ? Sentence::of(Reason::LiquidWouldCome) : null,
        ];

        return array_values(array_filter($all));
    }

    /** As it is told. */
    public static function headroom(): Magnitude
    {
        return Magnitude::difference(self::HEADROOM)->whole();
    }
}
