<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Circuit\HouseRule;
use Metrum\Circuit\Word;
use Metrum\Findings\Derived;
use Metrum\Plant\Filling;
use Metrum\Plant\Machine;
use Metrum\Plant\TwinExpectation;
use Metrum\Quantity\Format;
use Metrum\Work\Forecast;
use Metrum\Work\Foretold;
use Metrum\Work\Work;

/**
 * The charging of a plant: what its log says it still lacks or has too much, and the next addition that passes no limit.
 */
final class Charging
{
    /** Deviation of a plant's size against its twin's (logarithm): by what is known of it. */
    private const SIZE_BY_PLATE = 0.06;

    private const SIZE_BY_CURRENT = 0.25;

    private const SIZE_BY_KIND = 0.45;

    /** Share of the right charge within which it is right. */
    public const RIGHT = 0.025;

    /** Share of what is missing that goes in at least, and of the right charge at most, in one addition. */
    private const LEAST_PART = 0.35;

    private const MOST_AT_ONCE = 0.2;

    /** Share of the right charge in one addition near the clear glass, and K of subcooling that show it. */
    private const TO_THE_SEAL = 0.03;

    private const SEALED = 1.0;

    /** Share of the right charge that goes in between the first clear glass and a covered outlet. */
    private const HALF_DRAINED = 0.1;

    /** Deviations by which a proposal stays below what seems to be missing, and above which something is missing. */
    private const CAREFUL = 1.0;

    private const SURE = 1.0;

    /** Steps (kg) that a scale is read in, by the charge (kg) up to which they serve. */
    private const SCALES = [[0.25, 0.002], [1.0, 0.005], [3.0, 0.01], [20.0, 0.05], [INF, 0.1]];

    /** K of condensing dew below the high-pressure stop that are left free. */
    private const HEADROOM = 6.0;

    private const HIGH_STOP = 334.0;

    /** Share by which the plate may be passed without a question. */
    public const OVER_PLATE = 0.1;

    /** Chance with which a plant may hold more than a limit is asked for. */
    private const LIKELY = 0.05;

    /** K by which a forecast of any figure is off at least. */
    private const BLUR = 0.4;

    private const UNSURE = 0.35;

    public readonly ChargeLog $log;

    public readonly School $school;

    private ?TwinExpectation $expectation = null;

    private bool $isWorked = false;

    private ?ChargeModel $model = null;

    private ?ChargeEstimate $estimate = null;

    public function __construct(private readonly Work $work, string $subject)
    {
        $this->log = ChargeLog::of($work, $subject);
        $this->school = School::for($work->present()->chapter->findings->circuit, $work->rules);
    }

    /** What the twin would show at each charge, in today's weather; null where nothing was read or no twin stands. */
    public function model(): ?ChargeModel
    {
        $this->work();

        return $this->model;
    }

    public function estimate(): ?ChargeEstimate
    {
        $this->work();

        return $this->estimate;
    }

    /** The plant's twin as it is charged; null where none stands. */
    public function machine(): ?Machine
    {
        $this->work();

        return $this->expectation?->twin->machine;
    }

    private function work(): void
    {
        if ($this->isWorked) {
            return;
        }
        $this->isWorked = true;
        $last = $this->log->last();
        $chapter = $last === null
            ? $this->work->judged()->chapter
            : $this->work->chapters->all[$last->number - 1];
        $this->expectation = $this->work->byTwin->expectation($chapter->findings);
        if ($this->expectation === null || $last === null) {
            return;
        }
        $curve = $this->work->byTwin->chargeCurve($this->expectation);
        $this->model = ChargeModel::of($curve, $this->work->rules);
        $this->estimate = $this->model === null
            ? null
            : ChargeEstimate::of($this->log, $this->model, $this->sizeUnknown());
    }

    private function sizeUnknown(): float
    {
        $design = $this->work->present()->chapter->findings->circuit->design;

        return match (true) {
            $design->nameplateCharge !== null => self::SIZE_BY_PLATE,
            $design->ratedCurrent !== null => self::SIZE_BY_CURRENT,
            default => self::SIZE_BY_KIND,
        };
    }

    public function knee(): ?Knee
    {
        return $this->school === School::Knee ? Knee::in($this->log->rows) : null;
    }

    /** kg to be right, below 0 to be taken back; null where it is right within what can be told, or nothing is known. */
    public function missing(): ?float
    {
        $estimate = $this->estimate();
        if ($estimate === null) {
            return null;
        }
        $missing = min($estimate->missing, $this->leftOfMargin());
        if ($this->stopsAtTheGlass() && ! $this->isUnsealed()) {
            $missing = min($missing, 0.0);
        }
        // Within a receiver nothing shows: what is reckoned goes in, though it cannot be told from what was there.
        $isPlain = $this->isUnsealed() || ($this->log->isCharging() && $missing > 0.0);
        $sure = $this->school === School::Receiver && $isPlain ? 0.0 : self::SURE;
        $tolerance = max(self::RIGHT * $estimate->right, $sure * $estimate->deviation);

        return abs($missing) <= $tolerance ? null : $missing;
    }

    /** Whether the house adds nothing on top of a clear glass (Z-08). */
    private function stopsAtTheGlass(): bool
    {
        return $this->school === School::Receiver && $this->work->rules->schoolOf(HouseRule::ChargeEnd) === 'glass';
    }

    /** kg that belong on top of a clear glass, by the level that the receiver ought to have today. */
    public function margin(): float
    {
        $model = $this->model();
        $estimate = $this->estimate();

        return $model === null || $estimate === null ? 0.0 : max(0.0, $model->aboveSeal($model->right, $estimate->size));
    }

    /** Whether gas still leaves with the liquid, by the last row. */
    public function isUnsealed(): bool
    {
        $last = $this->log->last();

        return $last !== null && self::showsGas($last);
    }

    private static function showsGas(ChargeRow $row): bool
    {
        return $row->glass === Word::Bubbles || ($row->subcooling() !== null && $row->subcooling() < self::SEALED);
    }

    /**
     * kg of the margin that are not in yet, counted from the first row since which liquid alone leaves the receiver:
     * whatever the estimate says, no more goes on top of a clear glass, but for what a half-drained outlet still takes.
     */
    private function leftOfMargin(): float
    {
        if ($this->school !== School::Receiver || $this->isUnsealed()) {
            return INF;
        }
        $first = null;
        foreach ($this->log->rows as $row) {
            $first = self::showsGas($row) ? null : $first ?? $row;
        }

        $takes = self::HALF_DRAINED * ($this->estimate()->right ?? 0.0);

        return $first === null ? INF : $this->margin() + $takes - ($this->log->added() - $first->added);
    }

    /** kg to add next, below 0 to take back; null where it is right, nothing is known, or a limit binds. */
    public function next(): ?float
    {
        $missing = $this->missing();
        $estimate = $this->estimate();
        if ($missing === null || $estimate === null || ($this->school === School::Capillary && $missing > 0.0)) {
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
        if ($this->school !== School::Receiver) {
            return max(self::LEAST_PART * $missing, $missing - $less);
        }

        // First to the clear glass in small steps, then what is reckoned on top (N-04).
        return $this->isUnsealed()
            ? max(self::TO_THE_SEAL * $estimate->right, $missing - $this->margin() - $less)
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
        $machine = $this->machine();
        $estimate = $this->estimate();
        if ($machine === null || $estimate === null) {
            return INF;
        }
        $now = $estimate->right - $estimate->missing;
        $design = $machine->circuit->design;
        $plate = $design->nameplateCharge === null ? INF : (1 + self::OVER_PLATE) * $design->nameplateCharge;
        $holds = $design->receiverVolume === null ? INF : Filling::receiverHolds($machine) ?? INF;

        return max(0.0, min($plate, max($holds, $estimate->right)) - $now);
    }

    /**
     * Limits that an addition would pass, by the highest charge that is likely to be in (N-08, N-09).
     *
     * @return list<string> in words
     */
    public function limits(float $value): array
    {
        $model = $this->model();
        $estimate = $this->estimate();
        if ($model === null || $estimate === null || $value <= 0.0) {
            return [];
        }
        $highest = $model->aboveSeal($estimate->highest(self::LIKELY) * $model->right, $estimate->size);
        $after = $model->charge($highest + $value, $estimate->size);
        $level = $model->level($after);
        $dew = $model->figure(Derived::CondensingDew, $after);
        $floor = $this->work->rules->band(HouseRule::CompressorSuperheatFloor)->low;
        $gas = $model->figure(Derived::CompressorSuperheat, $after);

        $all = [
            $level > Filling::FULLEST ? 'the receiver would stand at '.Format::number(100 * $level, 0).' %' : '',
            $dew !== null && $dew > self::HIGH_STOP - self::HEADROOM
                ? 'condensing would come within '.Format::number(self::HEADROOM, 0).' K of the high-pressure stop'
                : '',
            $gas !== null && $gas < $floor ? 'liquid would come back to the compressor' : '',
        ];

        return array_values(array_filter($all, static fn (string $one): bool => $one !== ''));
    }

    /** What an addition would do to a figure, by all charges that are likely; null where that is not known. */
    public function foretold(Derived $figure, float $before, float $value): ?Foretold
    {
        $model = $this->model();
        $estimate = $this->estimate();
        if ($model === null || $estimate === null) {
            return null;
        }
        $mean = $square = 0.0;
        foreach ($estimate->chances as [$share, $chance]) {
            $now = $share * $model->right;
            $is = $model->figure($figure, $now);
            $above = $model->aboveSeal($now, $estimate->size);
            $then = $model->figure($figure, $model->charge($above + $value, $estimate->size));
            if ($is === null || $then === null) {
                return null;
            }
            $mean += $chance * ($then - $is);
            $square += $chance * ($then - $is) ** 2;
        }
        $deviation = sqrt(max(0.0, $square - $mean ** 2) + (self::UNSURE * $mean) ** 2 + self::BLUR ** 2);

        return new Foretold($figure, $before, $mean, $deviation);
    }

    /** @param  list<Derived>  $figures  @return ?Forecast null where nothing can be foretold */
    public function forecast(array $figures, float $value): ?Forecast
    {
        $all = [];
        foreach ($figures as $figure) {
            $before = $this->log->last()?->figures->value($figure);
            $one = $before === null ? null : $this->foretold($figure, $before, $value);
            if ($one !== null) {
                $all[] = $one;
            }
        }

        return $all === [] ? null : new Forecast($all);
    }
}
