<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Circuit\HeadPressureControl;
use Metrum\Refrigerant\OutsideTable;

/** Where the refrigerant of a plant is, from its coldest day to the weather it was planned for. SI. */
final readonly class WinterCurve
{
    /** Level at which the receiver's outlet is covered and stays so. */
    public const COVERED = 0.08;

    private const POINTS = 12;

    private const HALVINGS = 12;

    /** Share of the planned charge within which a need is looked for. */
    private const LEAST = 0.25;

    private const MOST = 2.5;

    /** kg in the low side and the lines do not matter here: what is neither in the receiver nor in the condenser. */
    private function __construct()
    {
    }

    /**
     * @param  float  $coldest  K
     * @param  float  $warmest  K
     * @return non-empty-list<array{ambient: float, level: float, condenser: float, runs: bool, sealed: bool}> level of the receiver
     *                                and share of the condenser that is full, 0 … 1
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
                'sealed' => $state->runs() && $state->level > 0.005,
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
        for ($round = 0; $round < self::HALVINGS; $round++) {
            $middle = ($low + $high) / 2;
            $state = self::at($machine->with(charge: $middle), $ambient, $start);
            $start = $state->solution ?? $start;
            $isFull = $state->stopped === Stop::CondenserFull;
            if ($isFull || ($state->runs() && $state->level >= self::COVERED)) {
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
        try {
            return (new SteadyState($machine, $around))->find($start);
        } catch (OutsideTable) {
            return PlantState::standing($machine, $around, Stop::OutsideTable);
        }
    }
}
