<?php

declare(strict_types=1);

namespace Metrum\Work\Replacement;

use Metrum\Quantity\Celsius;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Machine;
use Metrum\Twin\PlantState;
use Metrum\Twin\Room;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;

/**
 * What a compressor takes in a year by the twin: at each air of the year the load of the box, and the share of time
 * that its cooling needs for it. Fans, heaters and lights are not in it: they take the same with a fault.
 */
final readonly class EnergyOfYear
{
    /** K of the air around the box itself. */
    private const AROUND_BOX = Celsius::ZERO + 22.0;

    /** Airs at which the twin is worked; between them its figures are straight. */
    private const POINTS = 6;

    private const PER_KILOWATT_HOUR = 1e3;

    /**
     * @param  float  $kilowattHours  of the compressor
     * @param  float  $hours  that it runs
     * @param  float  $short  hours in which its cooling is less than the load
     */
    private function __construct(public float $kilowattHours, public float $hours, public float $short)
    {
    }

    /** @param  Room  $room  with its load, sized for the sound plant */
    public static function of(Machine $machine, Room $room, AirOfYear $air): self
    {
        $box = $machine->design->box;
        $load = $room->inside + ($room->outside + $room->leakage) * max(0.0, self::AROUND_BOX - $box);
        $all = $air->hours();
        $airs = array_column($all, 0);
        $points = self::points($machine, $box, min($airs), max($airs));
        [$energy, $running, $short] = [0.0, 0.0, 0.0];
        foreach ($all as [$ambient, $hours]) {
            [$cooling, $power] = self::between($points, $ambient);
            $share = $cooling > 0.0 ? min(1.0, $load / $cooling) : 1.0;
            $short += $cooling < $load ? $hours : 0.0;
            $running += $share * $hours;
            $energy += $share * $hours * $power;
        }

        return new self($energy / self::PER_KILOWATT_HOUR, $running, $short);
    }

    /** @return non-empty-list<array{float, float, float}> air (K), cooling (W) and power (W), from the coldest on */
    private static function points(Machine $machine, float $box, float $coldest, float $warmest): array
    {
        $points = [];
        $start = null;
        foreach (range(self::POINTS, 0) as $place) {
            $ambient = $coldest + (($warmest - $coldest) * $place) / self::POINTS;
            $state = self::state($machine, $box, $ambient, $start);
            $start = $state->solution ?? $start;
            $points[] = [$ambient, $state->cooling ?? 0.0, $state->power ?? 0.0];
        }
        $points = array_reverse($points);

        return $points;
    }

    /** @param  ?array{float, float, float, float, float}  $start */
    private static function state(Machine $machine, float $box, float $ambient, ?array $start): ?PlantState
    {
        $air = min($ambient, Surroundings::hottest($machine->fluid));
        $around = new Surroundings($air, $box, atmosphere: $machine->circuit->atmosphere->pascal);
        try {
            return (new SteadyState($machine, $around))->findOrStand($start);
        } catch (OutsideTable) {
            return null;
        }
    }

    /**
     * @param  non-empty-list<array{float, float, float}>  $points
     * @return array{float, float} cooling and power
     */
    private static function between(array $points, float $ambient): array
    {
        $before = $points[0];
        foreach ($points as $point) {
            if ($point[0] >= $ambient) {
                $share = $point[0] > $before[0] ? ($ambient - $before[0]) / ($point[0] - $before[0]) : 0.0;

                return [
                    $before[1] + $share * ($point[1] - $before[1]),
                    $before[2] + $share * ($point[2] - $before[2]),
                ];
            }
            $before = $point;
        }

        return [$before[1], $before[2]];
    }
}
