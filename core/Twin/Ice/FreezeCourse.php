<?php

declare(strict_types=1);

namespace Metrum\Twin\Ice;

use Metrum\Quantity\Celsius;
use Metrum\Twin\PlantState;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;

/**
 * The refrigerant's loop along one freeze. It follows plate and water at once, so it is solved at a few places of the
 * way and read between them: the way goes from -1 (water as it came, no ice) over 0 (water at freezing) to 1 (a whole
 * batch of ice) and beyond.
 */
final readonly class FreezeCourse
{
    private const COOLING = [-1.0, -0.5];

    private const FREEZING = [0.0, 0.2, 0.5, 1.0];

    /** As far as ice is followed, of a whole batch. */
    private const THICKEST = 1.8;

    /** More capacity rate than the plate has transfer: water has one temperature all over it. */
    private const FLOW = 30.0;

    /**
     * @param  list<float>  $places
     * @param  list<PlantState>  $states
     * @param  float  $warmest  K of the water at the begin
     */
    private function __construct(private array $places, private array $states, private float $warmest)
    {
    }

    /** Null where it does not run so. @param  float  $start  K of the water at the begin */
    public static function of(IceMachine $machine, IceWeather $weather, float $start): ?self
    {
        $plate = $machine->plate;
        $bare = $machine->loop->coil->moving(self::FLOW);
        // The loop's coil was sized with half a batch on it.
        $sized = 1 + $plate->iceShare / 2;
        $places = $states = [];
        $solution = null;
        foreach ([...self::COOLING, ...self::FREEZING, self::THICKEST] as $place) {
            $loop = $machine->loop->with(coil: $bare->with(1.0, $sized * $plate->conducts(max(0.0, $place))));
            $water = Celsius::ZERO + max(0.0, -$place) * ($start - Celsius::ZERO);
            $state = (new SteadyState($loop, self::around($machine, $weather, $water)))->findOrStand($solution);
            if ($state->solution === null) {
                continue;
            }
            $solution = $state->solution;
            [$places[], $states[]] = [$place, $state];
        }

        return count($places) < 2 ? null : new self($places, $states, $start);
    }

    private static function around(IceMachine $machine, IceWeather $weather, float $water): Surroundings
    {
        return new Surroundings($weather->sink - $machine->cooler, $water, atmosphere: $weather->atmosphere);
    }

    /** W that the coil draws there. */
    public function cooling(float $place): float
    {
        [$before, $after, $way] = $this->between($place);

        return $before->cooling + $way * ($after->cooling - $before->cooling);
    }

    /** Share of the plate there where gas superheats: ice grows slowly on it. */
    public function dry(float $place): float
    {
        [$before, $after, $way] = $this->between($place);

        return $before->dryShare + $way * ($after->dryShare - $before->dryShare);
    }

    /** Place on the way of water so warm, K. */
    public function placeOf(float $water): float
    {
        return $this->warmest <= Celsius::ZERO + 0.1
            ? 0.0
            : -max(0.0, ($water - Celsius::ZERO) / ($this->warmest - Celsius::ZERO));
    }

    /**
     * What instruments read there, SI, but for the water's own.
     *
     * @return array<string, float> by key of Reading
     */
    public function readings(float $place): array
    {
        [$before, $after, $way] = $this->between($place);
        $read = [];
        foreach ($before->readings as $key => $value) {
            $read[$key] = $value + $way * (($after->readings[$key] ?? $value) - $value);
        }

        return $read;
    }

    /** The state nearest to a place, for what is seen there. */
    public function state(float $place): PlantState
    {
        [$before, $after, $way] = $this->between($place);

        return $way < 0.5 ? $before : $after;
    }

    /** @return array{PlantState, PlantState, float} states before and after, and the share of the way between */
    private function between(float $place): array
    {
        $last = count($this->places) - 1;
        $next = 1;
        while ($next < $last && $this->places[$next] < $place) {
            $next++;
        }
        $way = ($place - $this->places[$next - 1]) / ($this->places[$next] - $this->places[$next - 1]);

        return [$this->states[$next - 1], $this->states[$next], max(0.0, min(1.0, $way))];
    }
}
