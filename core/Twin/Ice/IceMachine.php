<?php

declare(strict_types=1);

namespace Metrum\Twin\Ice;

use Metrum\Quantity\Celsius;
use Metrum\Quantity\Copies;
use Metrum\Twin\Machine;

/** A batch ice machine with its sizes: the refrigerant's loop, plate and water, and what its rated points say. */
final readonly class IceMachine
{
    use Copies;

    /** K of air at which it is rated; its water then is 10 °C. */
    public const RATED = Celsius::ZERO + 21.0;

    /**
     * @param  Machine  $loop  its coil is the bare plate with half a batch of ice
     * @param  float  $capacity  what it freezes, of what its loop would
     * @param  float  $perKelvin  by which that changes with each kelvin of its sink above the rated
     * @param  float  $ratedSink  K that enters its condenser where it is rated
     * @param  float  $dry  share of its plate where gas superheats at the end of a sound freeze
     * @param  float  $cooler  K by which its condenser is kept colder than it ought to be
     */
    public function __construct(
        public Machine $loop,
        public Plate $plate,
        public float $capacity = 1.0,
        public float $perKelvin = 0.0,
        public float $ratedSink = self::RATED,
        public float $cooler = 0.0,
        public float $dry = 0.2,
    ) {
    }

    public function looping(Machine $loop): self
    {
        return $this->but(loop: $loop);
    }

    /** The same with a head so many kelvin lower, whatever holds it. */
    public function cooler(float $kelvin): self
    {
        return $this->but(cooler: $kelvin)->looping($this->loop->with(head: $this->loop->head->lowered($kelvin)));
    }

    public function dryAs(float $dry): self
    {
        return $this->but(dry: $dry);
    }

    public function plated(Plate $plate): self
    {
        return $this->but(plate: $plate);
    }

    public function rated(float $capacity, float $perKelvin, float $ratedSink): self
    {
        return $this->but(capacity: $capacity, perKelvin: $perKelvin, ratedSink: $ratedSink);
    }

    /** What it freezes with such a sink (K), of what its loop would. */
    public function does(float $sink): float
    {
        return $this->capacity * max(0.4, 1 + $this->perKelvin * ($sink - $this->ratedSink));
    }
}
