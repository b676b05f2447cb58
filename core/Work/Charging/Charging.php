<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Findings\DerivedFigure;
use Metrum\Installation\DesignKey;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\MoveOutcome;
use Metrum\Knowledge\Ruling;
use Metrum\Knowledge\Word;
use Metrum\Twin\Ailment;
use Metrum\Twin\Machine;
use Metrum\Twin\TwinExpectation;
use Metrum\Work\Assessment;
use Metrum\Work\Forecast;

/**
 * The charging of a plant: what its log says it still lacks or has too much, and the next addition within all limits.
 */
final class Charging
{
    /** Share of the right charge within which it is right. */
    private const RIGHT = 0.025;

    /** Deviations above which something is missing, and too much is in. */
    private const SURE = 1.0;

    private const SURELY_TOO_MUCH = 2.0;

    /** K of subcooling that show a clear glass. */
    private const SEALED = 1.0;

    /** Share of the right charge that goes in between the first clear glass and a covered outlet. */
    private const HALF_DRAINED = 0.1;

    public readonly ChargeLog $log;

    public readonly ChargingSchool $school;

    private ?TwinExpectation $expectation = null;

    private bool $isWorked = false;

    private ?ChargeModel $model = null;

    private ?ChargeEstimate $estimate = null;

    public function __construct(private readonly Assessment $assessment, PartId $part)
    {
        $this->log = ChargeLog::of($assessment, $part);
        $this->school = ChargingSchool::for($assessment->present()->chapter->findings->circuit, $assessment->rules);
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
            ? $this->assessment->judged()->chapter
            : $this->assessment->chapters->all[$last->number - 1];
        $this->expectation = $this->assessment->forecasts->expectation($chapter->findings);
        if ($this->expectation === null || $last === null) {
            return;
        }
        $curve = $this->assessment->forecasts->chargeCurve($this->expectation);
        $this->model = ChargeModel::of($curve, $this->assessment->rules);
        $this->estimate = $this->model === null
            ? null
            : ChargeEstimate::of(
                $this->log,
                $this->model,
                PlantSize::of($this->assessment)->unknown(),
                $this->assessment->weighedIn($last->number),
            );
    }

    /** @return list<DesignKey> that would tell how large the plant is, as long as nothing tells it */
    public function sizesAsked(): array
    {
        return PlantSize::of($this->assessment)->asked();
    }

    /** Whether the plant is one circuit of several: its charge is theirs too, and shows in their receiver alone. */
    public function isShared(): bool
    {
        return $this->assessment->present()->chapter->findings->circuit->isShared();
    }

    /** Whether kilograms can be said at all: of a plant of its own, whose size something tells. */
    public function isInKilograms(): bool
    {
        return ! $this->isShared() && $this->sizesAsked() === [];
    }

    /** kg that are in now, by weights before the twin; null where nobody knows. */
    public function in(): ?float
    {
        $estimate = $this->estimate();
        $weighed = $this->assessment->weighedIn();
        $since = $this->log->last() === null ? 0.0 : $this->sinceLastRow();

        return $estimate === null || ! $this->isInKilograms()
            ? $weighed->exact
            : $weighed->among($estimate->in() + $since);
    }

    /** kg that were moved since the last row was read. */
    private function sinceLastRow(): float
    {
        $moved = 0.0;
        foreach (array_slice($this->assessment->chapters->all, $this->log->last()->number ?? 0) as $chapter) {
            $move = $chapter->began?->content;
            $moved += $move?->key === Control::Charge->value ? $move->value ?? 0.0 : 0.0;
        }

        return $moved;
    }

    /** Whether the last two additions did nothing that was foretold: it is not what is missing, or goes elsewhere. */
    public function isSilent(): bool
    {
        $silent = false;
        foreach ($this->assessment->present()->moved as $one) {
            if ($one->control === Control::Charge && $one->value > 0.0) {
                $silent = $one->again && $one->outcome === MoveOutcome::Nothing;
            }
        }

        return $silent;
    }

    public function knee(): ?Knee
    {
        return $this->school === ChargingSchool::Knee ? Knee::in($this->log->rows) : null;
    }

    /** kg to be right, below 0 to be taken back; null where it is right as far as can be told, or nothing is known. */
    public function missing(): ?float
    {
        $estimate = $this->estimate();
        if ($estimate === null || ! $this->isInKilograms()) {
            return null;
        }
        $missing = min($estimate->missing, $this->leftOfMargin());
        if ($this->stopsAtTheGlass() && ! $this->isUnsealed()) {
            $missing = min($missing, 0.0);
        }
        // Within a receiver nothing shows: what is reckoned goes in, though it cannot be told from what was there. What
        // is to come out must be surer.
        $isPlain = $this->isUnsealed() || $this->log->isCharging();
        $sure = match (true) {
            $missing < 0.0 => self::SURELY_TOO_MUCH,
            $this->school === ChargingSchool::Receiver && $isPlain => 0.0,
            default => self::SURE,
        };
        $tolerance = max(self::RIGHT * $estimate->right, $sure * $estimate->deviation);

        return abs($missing) <= $tolerance ? null : $missing;
    }

    /** Whether the house adds nothing on top of a clear glass (Z-08). */
    private function stopsAtTheGlass(): bool
    {
        return $this->school === ChargingSchool::Receiver &&
            $this->assessment->rules->follow(Ruling::ChargedToGlass);
    }

    /** kg that belong on top of a clear glass, by the level that the receiver ought to have today. */
    public function margin(): float
    {
        $model = $this->model();
        $estimate = $this->estimate();

        return $model === null || $estimate === null
            ? 0.0
            : max(0.0, $model->aboveSeal($model->right, $estimate->size));
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
        if ($this->school !== ChargingSchool::Receiver || $this->isUnsealed()) {
            return INF;
        }
        $first = null;
        foreach ($this->log->rows as $row) {
            $first = self::showsGas($row) ? null : $first ?? $row;
        }

        $takes = self::HALF_DRAINED * ($this->estimate()->right ?? 0.0);

        return $first === null ? INF : $this->margin() + $takes - ($this->log->added() - $first->added);
    }

    /** The next addition, and what limits it. */
    public function addition(): NextAddition
    {
        return new NextAddition($this, $this->assessment->rules);
    }

    /** kg to add next, below 0 to take back; null where it is right, nothing is known, or a limit binds. */
    public function next(): ?float
    {
        return $this->addition()->kilograms();
    }

    /** Whether too little or too much refrigerant leads, or refrigerant was moved already. */
    public function isAsked(): bool
    {
        $first = Ailment::of($this->assessment->verdict($this->assessment->judged())->first()->fault);

        return $this->log->isCharging() || $first->isShortage() || $first->isSurplus();
    }

    /** What an addition would do to the figures that it is made for; null where nothing can be foretold. */
    public function forecast(float $value): ?Forecast
    {
        $figures = array_map(DerivedFigure::from(...), Control::Charge->row()->figures);

        return (new ChargeForecast($this))->of($figures, $value);
    }
}
