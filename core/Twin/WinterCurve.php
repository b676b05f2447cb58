<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Installation\HeadPressureControl;
use Metrum\Knowledge\Reading;

/**
 * Where the refrigerant of a plant is, from its coldest day to the weather it was planned for. SI.
 *
 * A point has the level of the receiver and the share of the condenser that is full, 0 … 1, and the liquid in each, kg.
 *
 * @phpstan-type WinterPoint array{
 *   ambient: float, level: float, condenser: float, runs: bool, sealed: bool, receiver_kg: float, condenser_kg: float
 * }
 */
final readonly class WinterCurve
{
    private const POINTS = 12;

    private const HALVINGS = 12;

    /** Share of the planned charge within which a need is looked for. */
    private const LEAST = 0.25;

    private const MOST = 2.5;

    /** Level from which liquid alone leaves it. */
    private const SEALED = 0.005;

    private function __construct()
    {
    }

    /** kg of liquid that stands in a volume (m³) at the pressure of the high side. */
    private static function held(Machine $machine, PlantState $state, float $volume): float
    {
        $gauge = $state->reading(Reading::DischargePressure);
        if (! $state->runs() || $gauge === null) {
            return 0.0;
        }
        $bubble = $machine->fluid->bubbleTemperature($gauge + $machine->circuit->atmosphere->pascal);

        return $volume * $machine->fluid->liquidDensity($bubble);
    }

    /**
     * @param  float  $coldest  K
     * @param  float  $warmest  K
     * @return non-empty-list<WinterPoint> from the coldest on
     */
    public static function of(Machine $machine, float $charge, float $coldest, float $warmest): array
    {
        $points = [];
        $start = null;
        $filled = $machine->with(charge: $charge);
        // From the weather of the plan into the cold, each from where it stood before.
        for ($place = self::POINTS; $place >= 0; $place--) {
            $ambient = $coldest + (($warmest - $coldest) * $place) / self::POINTS;
            $state = self::at($filled, $ambient, $start);
            $start = $state->solution ?? $start;
            $points[] = [
                'ambient' => $ambient,
                'level' => $state->level,
                'condenser' => $state->flooded,
                'runs' => $state->runs(),
                'sealed' => $state->runs() && $state->level > self::SEALED,
                'receiver_kg' => self::held($filled, $state, $filled->receiverVolume * $state->level),
                'condenser_kg' => self::held($filled, $state, $filled->condenserVolume * $state->flooded),
            ];
        }

        $points = array_reverse($points);
        assert($points !== []);

        return $points;
    }

    /** kg with which the receiver's outlet is just covered in this weather; null where no charge does it. */
    public static function needed(Machine $machine, float $ambient): ?float
    {
        $planned = $machine->charge;
        [$low, $high] = [self::LEAST * $planned, self::MOST * $planned];
        $start = null;
        if (! self::at($machine, $ambient, null)->runs()) {
            return null;
        }
        for ($round = 0; $round < self::HALVINGS; $round++) {
            $middle = ($low + $high) / 2;
            $state = self::at($machine->with(charge: $middle), $ambient, $start);
            $start = $state->solution ?? $start;
            $isFull = $state->stopped === Standstill::CondenserFull;
            if ($isFull || ($state->runs() && $state->level >= Filling::COVERED)) {
                $high = $middle;
            } else {
                $low = $middle;
            }
        }

        return $high >= 0.99 * self::MOST * $planned ? null : ($low + $high) / 2;
    }

    /** kg more that must be in on a day than on another, both with the outlet just covered. */
    public static function extra(Machine $machine, float $coldest, float $today): ?float
    {
        if ($machine->head->kind !== HeadPressureControl::FloodingValve) {
            return 0.0;
        }
        [$then, $now] = [self::needed($machine, $coldest), self::needed($machine, $today)];

        return $then === null || $now === null ? null : max(0.0, $then - $now);
    }

    /** @param  ?array{float, float, float, float, float}  $start */
    private static function at(Machine $machine, float $ambient, ?array $start): PlantState
    {
        $around = new Surroundings($ambient, $machine->design->box, null, $machine->circuit->atmosphere->pascal);

        return (new SteadyState($machine, $around))->findOrStand($start);
    }
}
