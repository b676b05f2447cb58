<?php

declare(strict_types=1);

namespace Metrum\Work\Compressor;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\LowPressureCut;
use Metrum\Installation\BoxControl;
use Metrum\Installation\Circuit;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\DesignKey;
use Metrum\Installation\Envelope;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Celsius;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Ice\IceCycle;
use Metrum\Twin\Ice\IceExpectation;
use Metrum\Twin\Surroundings;
use Metrum\Twin\TwinExpectation;
use Metrum\Work\Assessment;

/**
 * Where a compressor runs and will run: as it was read in each chapter, at the end of a pump-down, and by the twin on
 * the coldest and hottest day; an ice machine's along its freeze.
 */
final readonly class CompressorCourse
{
    /** K of the air outdoors and indoors on the coldest and the hottest day where nobody says it. */
    private const OUTDOORS = [Celsius::ZERO - 12.0, Celsius::ZERO + 40.0];

    private const INDOORS = [Celsius::ZERO + 10.0, Celsius::ZERO + 38.0];

    /** Pa gauge at which a pump-down is ended where no cut-out was read. */
    private const PUMPED_DOWN = 10e3;

    public function __construct(private Assessment $assessment)
    {
    }

    /** @return list<OperatingPoint> what was read first, the present one last of them */
    public function points(): array
    {
        $read = $this->read();
        $now = $read[count($read) - 1] ?? null;

        return [
            ...$read,
            ...$now === null ? [] : $this->pumpedDown($now),
            ...$now === null ? [] : $this->proposed($now),
            ...$this->foretold(),
        ];
    }

    /** @return list<OperatingPoint> */
    private function read(): array
    {
        $points = [];
        foreach ($this->assessment->chapters->all as $chapter) {
            $one = $this->at($chapter->findings, PointKind::Before);
            if ($one !== null) {
                $points[] = $one;
            }
        }
        $last = array_pop($points);

        return $last === null
            ? []
            : [...$points, new OperatingPoint(PointKind::Now, $last->evaporating, $last->condensing)];
    }

    private function at(Findings $findings, PointKind $kind, ?float $ambient = null): ?OperatingPoint
    {
        $figures = Figures::of($findings, $this->assessment->rules);
        $suction = $figures->value(DerivedFigure::SaturatedSuction);
        $condensing = $figures->value(DerivedFigure::CondensingDew);

        return $suction === null || $condensing === null || $findings->isOff()
            ? null
            : new OperatingPoint($kind, $suction, $condensing, $ambient);
    }

    /** @return list<OperatingPoint> */
    private function pumpedDown(OperatingPoint $now): array
    {
        $findings = $this->assessment->present()->findings();
        $circuit = $findings->circuit;
        if ($circuit->isShared() || $circuit->boxControl !== BoxControl::ThermostatPumpDown) {
            return [];
        }
        $floor = $findings->absolute(Reading::LowCutOut) ?? $circuit->atmosphere->absolute(self::PUMPED_DOWN);
        try {
            $at = $circuit->fluid()->dewTemperature($floor);
        } catch (OutsideTable) {
            return [];
        }

        return $at < $now->evaporating ? [new OperatingPoint(PointKind::PumpDown, $at, $now->condensing)] : [];
    }

    /** @return list<OperatingPoint> the end of a pump-down with its cut-out where box and TD want it */
    private function proposed(OperatingPoint $now): array
    {
        $findings = $this->assessment->present()->findings();
        $circuit = $findings->circuit;
        if ($this->pumpedDown($now) === [] || $findings->reading(Reading::LowCutOut) === null) {
            return [];
        }
        $td = $circuit->design->evaporatorTd ?? $circuit->usual()->value(DesignKey::EvaporatorTd);
        try {
            $at = LowPressureCut::Out->wanted($circuit, $td);
        } catch (OutsideTable) {
            return [];
        }

        return $at === null ? [] : [new OperatingPoint(PointKind::Proposed, $at, $now->condensing)];
    }

    /**
     * s that one pump-down runs outside of such a field, with the head as it was read; null where it is not pumped
     * down, or there is no twin.
     */
    public function secondsOutside(Envelope $envelope): ?float
    {
        $read = $this->read();
        $now = $read[count($read) - 1] ?? null;
        $down = $now === null ? [] : $this->pumpedDown($now);
        $expectation = $this->assessment->expectation();
        if ($now === null || $down === [] || ! $expectation instanceof TwinExpectation) {
            return null;
        }
        $machine = $expectation->twin->machine;

        return PumpDownPath::outside(
            $machine,
            $envelope,
            $expectation->around->box,
            $expectation->around->ambient,
            $machine->fluid->dewPressure($down[0]->evaporating),
            $now->condensing,
        );
    }

    /** @return list<OperatingPoint> */
    private function foretold(): array
    {
        $expectation = $this->assessment->expectation();

        return match (true) {
            $expectation instanceof IceExpectation => $this->alongFreeze($expectation),
            $expectation instanceof TwinExpectation => $this->inWeather($expectation),
            default => [],
        };
    }

    /** @return list<OperatingPoint> */
    private function alongFreeze(IceExpectation $expectation): array
    {
        $cycle = $expectation->cycle;

        return $this->known(
            [
                [PointKind::FreezeBegin, $cycle->readingsAt(IceCycle::BEGIN), $expectation->weather->air],
                [PointKind::FreezeEnd, $cycle->readingsAt($cycle->last()), $expectation->weather->air],
            ],
        );
    }

    /** @return array{float, float} K of the air on the coldest and on the hottest day */
    public static function days(Circuit $circuit): array
    {
        [$cold, $hot] = $circuit->condenser === CondenserPlace::AirIndoor ? self::INDOORS : self::OUTDOORS;

        return [$circuit->design->coldestAmbient ?? $cold, min($hot, Surroundings::hottest($circuit->fluid()))];
    }

    /** @return list<OperatingPoint> */
    private function inWeather(TwinExpectation $expectation): array
    {
        $circuit = $this->assessment->present()->findings()->circuit;
        if ($circuit->condenser === CondenserPlace::Water) {
            return [];
        }
        [$cold, $hot] = self::days($circuit);
        $box = $circuit->design->boxSetPoint ?? $expectation->around->box;
        $days = [
            [PointKind::Coldest, $cold],
            [PointKind::Hottest, $hot],
        ];
        $states = [];
        foreach ($days as [$kind, $ambient]) {
            $around = new Surroundings($ambient, $box, atmosphere: $circuit->atmosphere->pascal);
            $state = $expectation->twin->at($around);
            if ($state->runs()) {
                $states[] = [$kind, $state->readings, $ambient];
            }
        }

        return $this->known($states);
    }

    /**
     * @param  list<array{PointKind, array<string, float>, float}>  $states
     * @return list<OperatingPoint>
     */
    private function known(array $states): array
    {
        $circuit = $this->assessment->present()->findings()->circuit;
        $points = [];
        foreach ($states as [$kind, $readings, $ambient]) {
            $one = $this->at(new Findings($circuit, readings: $readings), $kind, $ambient);
            if ($one !== null) {
                $points[] = $one;
            }
        }

        return $points;
    }
}
