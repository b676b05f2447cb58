<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Installation\PartId;
use Metrum\Quantity\Copies;

/** One circuit of a rack: its cases on one coil pressure, what holds that up, the line to the header. SI. */
final readonly class RackBranch
{
    use Copies;

    /**
     * @param  non-empty-list<RackCase>  $cases
     * @param  float  $setPoint  of the air entering its coils, K
     * @param  float  $friction  Pa per (kg/s)² · kg/m³ of gas, its line and wide-open regulator
     * @param  ?float  $regulatorOff  K by which its regulator holds the coil warmer than the set point needs; null:
     *                                none is fitted
     * @param  bool  $hotGas  whether it is defrosted by hot gas
     * @param  float  $coilVolume  m³ of all its coils
     * @param  float  $drop  K of dew that line and wide-open regulator take at its rated flow
     * @param  PartId  $group  from which it draws
     */
    public function __construct(
        public PartId $part,
        public array $cases,
        public float $setPoint,
        public float $friction,
        public ?float $regulatorOff,
        public bool $hotGas,
        public float $coilVolume,
        public float $drop,
        public PartId $group,
    ) {
    }

    /** @param  non-empty-list<RackCase>  $cases */
    public function withCases(array $cases): self
    {
        return $this->but(cases: $cases);
    }

    /** The same with its first case told apart from those that are like it. */
    public function apart(): self
    {
        [$first] = $this->cases;
        if ($first->count < 2) {
            return $this;
        }

        return $this->but(
            cases: [$first->with(1), $first->with($first->count - 1), ...array_slice($this->cases, 1)],
        );
    }

    /** The same with a regulator set so many kelvin warmer. */
    public function regulating(float $kelvin): self
    {
        return $this->regulatorOff === null ? $this : $this->but(regulatorOff: $this->regulatorOff + $kelvin);
    }

    public function sized(float $coilVolume): self
    {
        return $this->but(coilVolume: $coilVolume);
    }

    public function narrowed(float $times): self
    {
        return $this->but(friction: $this->friction * $times);
    }

    /** W at the rated air, of all its cases. */
    public function rated(): float
    {
        $rated = 0.0;
        foreach ($this->cases as $case) {
            $rated += $case->count * $case->load->rated;
        }

        return $rated;
    }
}
