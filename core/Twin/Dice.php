<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Chance that comes out the same for the same seed. */
final readonly class Dice
{
    private Randomizer $dice;

    public function __construct(int $seed)
    {
        $this->dice = new Randomizer(new Mt19937($seed));
    }

    public function between(float $low, float $high): float
    {
        return $low + (($high - $low) * $this->dice->getInt(0, 1_000_000)) / 1_000_000;
    }

    public function chance(float $share): bool
    {
        return $this->dice->getInt(0, 9999) < 10000 * $share;
    }

    /** Normal (Box and Muller 1958). */
    public function around(float $mean, float $deviation): float
    {
        $radius = sqrt(-2 * log(max(1e-9, $this->between(0.0, 1.0))));

        return $mean + $deviation * $radius * cos(2 * M_PI * $this->between(0.0, 1.0));
    }

    /** A factor near 1, as often above as below. @param  float  $spread  deviation of its logarithm */
    public function factor(float $spread): float
    {
        return exp($this->around(0.0, $spread));
    }

    /**
     * @template T
     *
     * @param  list<T>  $of  one at least
     * @return T
     */
    public function one(array $of): mixed
    {
        return $of[$this->dice->getInt(0, count($of) - 1)] ?? throw new \LogicException('nothing to draw from');
    }

    /**
     * One of these, as often as it weighs.
     *
     * @param  array<string, float>  $weights  one at least
     */
    public function weighed(array $weights): string
    {
        $left = $this->between(0.0, array_sum($weights));
        foreach ($weights as $name => $weight) {
            $left -= $weight;
            if ($left <= 0.0) {
                return $name;
            }
        }

        return array_key_last($weights) ?? throw new \LogicException('nothing to draw from');
    }
}
