<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Kind;
use Metrum\Knowledge\State;
use Metrum\Quantity\Celsius;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Dice;
use Metrum\Twin\Machine;
use Metrum\Twin\RandomPlants;
use Metrum\Twin\Sizing;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;

/**
 * Years of visits to one simulated plant, through the seasons, each with other instruments: sound, or with a condenser
 * that gets dirty. The same seed and number give the same.
 */
final readonly class DrawnHistory
{
    /** Kinds that are drawn: an ice machine's figures are those of its cycle. */
    private const KINDS = [
        'walk_in_cooler' => 30,
        'walk_in_freezer' => 24,
        'rack_circuit_medium' => 12,
        'rack_circuit_low' => 8,
        'case_medium' => 8,
        'case_low' => 6,
        'reach_in_cooler' => 6,
        'reach_in_freezer' => 4,
    ];

    /** K: mean, swing of the seasons and deviation of a day, outdoors and where a unit stands indoors. */
    private const OUTDOORS = [Celsius::ZERO + 10.0, 9.0, 5.0];

    private const INDOORS = [Celsius::ZERO + 23.0, 3.5, 2.5];

    /** K of ambient below which a plant without any head control would have a fault of its own. */
    private const HOLDS_ITSELF = Celsius::ZERO + 16.0;

    private const HOTTEST = Celsius::ZERO + 40.0;

    /** K by which a box is off where it is met. */
    private const BOX_OFF = 0.8;

    private const YEAR = 365.25 * 86400.0;

    private const TRIES = 20;

    /**
     * @param  float  $spacing  s from visit to visit, in the mean
     * @param  float  $dirt  K a month by which dirt raises the condenser's split; 0: sound
     */
    public function __construct(private int $seed, private float $spacing, private float $dirt = 0.0)
    {
    }

    /** @return list<array{float, Findings}> s since the first, and what was read */
    public function number(int $number, int $visits): array
    {
        for ($try = 0; $try < self::TRIES; $try++) {
            $history = $this->drawn(new Dice(crc32("$this->seed $number $try")), $visits);
            if ($history !== null) {
                return $history;
            }
        }

        throw new \LogicException('No history resulted from '.self::TRIES.' draws');
    }

    /** @return ?list<array{float, Findings}> */
    private function drawn(Dice $dice, int $visits): ?array
    {
        $kind = Kind::from($dice->weighed(self::KINDS));
        $circuit = (new RandomPlants((int) $dice->between(1, 1e9)))->circuit($kind);
        try {
            $built = (new PlantAsBuilt($dice))->of((new Sizing($circuit))->machine(), $dice->chance(0.12));
            $known = (new EntryHabits($dice, true))->known($circuit);

            return $this->visited($dice, $built, $known, $visits);
        } catch (OutsideTable) {
            return null;
        }
    }

    /** @return ?list<array{float, Findings}> null where it does not run in all of its weather */
    private function visited(Dice $dice, Machine $built, Circuit $known, int $visits): ?array
    {
        $season = $dice->between(0.0, 1.0);
        $at = 0.0;
        $history = [];
        for ($visit = 0; $visit < $visits; $visit++) {
            $around = $this->weather($dice, $built, $season + $at / self::YEAR);
            $plant = DirtyCondenser::of($built, ($this->dirt * 12.0 * $at) / self::YEAR);
            $state = (new SteadyState($plant, $around))->find();
            if (! $state->runs()) {
                return null;
            }
            $read = (new InstrumentReadings($dice))->of($state);
            $history[] = [$at, new Findings($known, State::RunningSettled, readings: $read)];
            $at += $this->spacing * $dice->between(0.6, 1.4);
        }

        return $history;
    }

    /** @param  float  $year  0 in the middle of winter */
    private function weather(Dice $dice, Machine $built, float $year): Surroundings
    {
        [$mean, $swing, $off] = Patients::isOutdoor($built) ? self::OUTDOORS : self::INDOORS;
        $ambient = $dice->around($mean - $swing * cos(2.0 * M_PI * $year), $off);
        $least = $built->head->kind === HeadPressureControl::None ? self::HOLDS_ITSELF : -INF;
        $hottest = min(self::HOTTEST, Surroundings::hottest($built->fluid));

        return new Surroundings(
            min($hottest, max($least, $ambient)),
            $built->design->box + $dice->around(0.0, self::BOX_OFF),
            atmosphere: $built->circuit->atmosphere->pascal,
        );
    }
}
