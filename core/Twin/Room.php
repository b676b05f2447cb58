<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Knowledge\Fault;
use Metrum\Quantity\Copies;

/**
 * A box as three stores of heat (air with what moves as fast, product, walls) and what comes in: through the walls,
 * by air through the door, from people, lights and fans. Lumped capacities, as in any transient load calculation.
 */
final readonly class Room
{
    use Copies;

    /** Load on a design day, share of the design cooling. */
    private const USUAL = 0.66;

    /**
     * @param  float  $air  J/K, air, coil and shelves
     * @param  float  $product  J/K
     * @param  float  $walls  J/K
     * @param  float  $toProduct  W/K between air and product
     * @param  float  $toWalls  W/K between air and walls
     * @param  float  $outside  W/K between walls and outside
     * @param  float  $leakage  W/K by air that comes in with the door shut
     * @param  float  $doorOpen  W/K more while the door is open
     * @param  float  $inside  W of people, lights and fans
     * @param  float  $moisture  kg/s of water that comes in with the door shut
     */
    public function __construct(
        public float $air,
        public float $product,
        public float $walls,
        public float $toProduct,
        public float $toWalls,
        public float $outside,
        public float $leakage,
        public float $doorOpen,
        public float $inside,
        public float $moisture,
    ) {
    }

    /** Sized so that the plant runs about two thirds of the time on a design day. */
    public static function for(Machine $machine): self
    {
        $kilowatts = $machine->design->cooling / 1e3;
        $load = self::USUAL * $machine->design->cooling;
        $difference = max(10.0, $machine->design->ambient - $machine->design->box);

        return new self(
            air: 150e3 * $kilowatts,
            product: 800e3 * $kilowatts,
            walls: 150e3 * $kilowatts,
            toProduct: 90.0 * $kilowatts,
            toWalls: 70.0 * $kilowatts,
            outside: (0.42 * $load) / $difference,
            leakage: (0.18 * $load) / $difference,
            doorOpen: (2.2 * $load) / $difference,
            inside: 0.4 * $load,
            moisture: 1.0e-5 * $kilowatts,
        );
    }

    /** With another load. @param  float  $share  of the plant's design cooling, more than 0 */
    public function loaded(float $share): self
    {
        $more = $share / self::USUAL;

        return $this->but(
            outside: $this->outside * $more,
            leakage: $this->leakage * $more,
            doorOpen: $this->doorOpen * $more,
            inside: $this->inside * $more,
            moisture: $this->moisture * $more,
        );
    }

    /** @param  float  $severity  0 … 1 */
    public function with(Fault $fault, float $severity): self
    {
        $ailment = Ailment::of($fault);

        return $ailment->time === TimeEffect::Burden ? $this->burdened($ailment->by, $severity) : $this;
    }

    /**
     * More comes in: an open or leaking door, warm goods.
     *
     * @param  list<float>  $by  how much more leaks in, is set free inside, and comes as moisture
     */
    private function burdened(array $by, float $severity): self
    {
        [$leaks, $inside, $moisture] = [...$by, 0.0, 0.0, 0.0];

        return $this->but(
            leakage: $this->leakage * (1 + $leaks * $severity),
            inside: $this->inside * (1 + $inside * $severity),
            moisture: $this->moisture * (1 + $moisture * $severity),
        );
    }
}
