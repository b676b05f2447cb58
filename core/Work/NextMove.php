<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Diagnosis\Gate;
use Metrum\Findings\Chapter;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Band;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\MoveOutcome;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Wanted;
use Metrum\Twin\Surroundings;
use Metrum\Work\Charging\ChargingGate;
use Metrum\Work\Charging\TakingGate;

/**
 * The next move of a control: toward the middle of the wanted band, in eighths, no further at once than its row says,
 * and so that the forecast less two deviations stays above the floor.
 */
final readonly class NextMove
{
    /** K a unit below which a control does not answer: turning on tells nothing. */
    private const ANSWERS = 0.3;

    /** Superheat (K) below which nothing is turned out: the least of a swing that still is no liquid. */
    private const FLOOR = 1.0;

    /** K to both sides of the coil that a regulator is to hold. */
    private const COIL = 1.0;

    /** Turns of the first move, before it has shown what it does. */
    private const FIRST = 0.25;

    public function __construct(private Assessment $assessment)
    {
    }

    /**
     * @return ?array{float, Forecast} SI with what it would do; null where nothing is to be moved, or nothing is known
     */
    public function of(Control $control, PartId $part): ?array
    {
        if ($control === Control::Charge) {
            return $this->charge($part);
        }
        $chapter = $this->assessment->chapters->present();
        $now = $this->assessment->figure($chapter, $control, $part);
        $band = $this->band($control, $chapter);
        $row = $control->row();
        if ($now === null || $band === null || $band->holds($now) || $row->step === null) {
            return null;
        }
        if ($this->isSilent($control, $part)) {
            return null;
        }
        $preconditions = Preconditions::at($this->assessment, $this->assessment->present(), $part);
        if ((new Gate($preconditions->of($control)))->failing() !== []) {
            return null;
        }
        $response = $this->assessment->responses->of($control, $part);
        $trial = $this->assessment->forecast($control, $row->step, $part)?->main();
        $slope = $response->slope ?? ($trial === null ? null : $trial->change / $row->step);
        if ($slope === null || abs($slope) < self::ANSWERS) {
            return null;
        }
        $most = $response === null ? min(self::FIRST, (float) $row->atOnce) : (float) $row->atOnce;
        $turning = new Turning($this->assessment, $control, $part);
        $isOvershot = $turning->isOvershot($band);
        if ($isOvershot) {
            $most = min($most, abs($turning->last()) / 2);
        }
        $wanted = max(-$most, min($most, ($band->middle() - $now) / $slope)) / $row->step;
        // Back from too far it is never more than half of the way, in whole eighths.
        $steps = (int) ($isOvershot ? $wanted : round($wanted));
        $lowest = $chapter->of($part)->reading(Reading::SuperheatLowest) ?? $now;

        return $this->aboveFloor($control, $part, $steps, min(0.0, $lowest - $now));
    }

    /**
     * By what is still missing or too much, by what was read since the last addition, and only through its gate.
     *
     * @return ?array{float, Forecast}
     */
    private function charge(PartId $part): ?array
    {
        $charging = $this->assessment->charging($part);
        $present = $this->assessment->chapters->present();
        $value = $charging->log->last()?->number === $present->number ? $charging->next() : null;
        if ($value === null) {
            return null;
        }
        $judged = $this->assessment->judged();
        $isOpen = $value > 0.0
            ? (new ChargingGate($this->assessment, $judged, $part))->isOpen()
            : (new TakingGate($this->assessment, $judged, $part))->isOpen();

        return $isOpen
            ? [$value, $this->assessment->forecast(Control::Charge, $value, $part) ?? new Forecast([])]
            : null;
    }

    /**
     * @param  int  $steps  wanted
     * @param  float  $swing  how far the lowest of a swing lies below what was read, K, 0 or below
     * @return ?array{float, Forecast}
     */
    private function aboveFloor(Control $control, PartId $part, int $steps, float $swing): ?array
    {
        while ($steps !== 0) {
            $value = $steps * (float) $control->row()->step;
            $forecast = $this->assessment->forecast($control, $value, $part);
            $main = $forecast?->main();
            if ($forecast === null || $main === null) {
                return null;
            }
            if ($control !== Control::ValveTurn || $main->change >= 0.0 || $this->isSafe($forecast, $swing)) {
                return [$value, $forecast];
            }
            $steps -= $steps <=> 0;
        }

        return null;
    }

    /** Whether its last two moves did nothing: a third would tell no more. */
    public function isSilent(Control $control, PartId $part): bool
    {
        $silent = false;
        foreach ($this->assessment->present()->moved as $one) {
            if ($one->control === $control && $one->part->is($part)) {
                $silent = $one->again && $one->outcome === MoveOutcome::Nothing;
            }
        }

        return $silent;
    }

    /** Whether no liquid can come back, by the forecast less two deviations: at the coil, and at the compressor. */
    private function isSafe(Forecast $forecast, float $swing): bool
    {
        $danger = $this->assessment->rules->band(HouseRule::CompressorSuperheatFloor)->low;
        $floors = [
            DerivedFigure::EvaporatorSuperheat->value => [self::FLOOR, $swing],
            DerivedFigure::CompressorSuperheat->value => [$danger, 0.0],
        ];
        foreach ($forecast->figures as $one) {
            [$floor, $below] = $floors[$one->figure->value] ?? [-INF, 0.0];
            if ($one->after() + $below - 2 * $one->deviation < $floor) {
                return false;
            }
        }

        return true;
    }

    /** Whether its figure was read in the wanted band. */
    public function isRight(Control $control, PartId $part): bool
    {
        $chapter = $this->assessment->chapters->present();
        $now = $this->assessment->figure($chapter, $control, $part);

        return $now !== null && $this->band($control, $chapter)?->holds($now) === true;
    }

    /** What is wanted of the figure that a control is made for, SI; null where that is not known. */
    public function band(Control $control, Chapter $chapter): ?Band
    {
        return match ($control) {
            Control::ValveTurn => (new Wanted($chapter->findings->circuit, $this->assessment->rules))->superheat(),
            Control::RegulatorTurn => $this->coil($chapter),
            Control::HeadValveTurn,
            Control::Charge,
            Control::LowCutOutSet,
            Control::LowCutInSet,
            Control::ThermostatSet,
            Control::FanDelaySet,
            Control::DefrostCountSet,
            Control::DefrostLengthSet,
            Control::DefrostEndSet,
            Control::DripTimeSet,
            Control::CondenserWashed,
            Control::CoilCleaned,
            Control::PlateDescaled,
            Control::CoilThawed,
            Control::FanMended,
            Control::DoorMended,
            Control::DrainCleared,
            Control::BulbRemounted,
            Control::PartReplaced,
            Control::ValveShut,
            Control::ValveOpened => null,
        };
    }

    /** The coil that a sound plant has at the set point of the box. */
    private function coil(Chapter $chapter): ?Band
    {
        $findings = $chapter->findings;
        $expectation = $this->assessment->forecasts->expectation($findings);
        $figure = Assessment::figureOf(Control::RegulatorTurn);
        if ($expectation === null || $figure === null) {
            return null;
        }
        $around = $expectation->around;
        $set = $findings->circuit->design->boxSetPoint ?? $around->box;
        $state = $expectation->twin->at(new Surroundings($around->ambient, $set, null, $around->atmosphere));
        $coil = Figures::of($findings->withReadings($state->readings), $this->assessment->rules)->value($figure);

        return $coil === null ? null : new Band($coil - self::COIL, $coil + self::COIL, 'set point of the box');
    }
}
