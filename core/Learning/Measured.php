<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Knowledge\Fault;

/** How often what was said first, or within three, was so; and how surely it was said. Over any visits. */
final class Measured
{
    private const BINS = 10;

    public int $visits = 0;

    private int $first = 0;

    private int $three = 0;

    private float $loss = 0.0;

    /** @var array<int, array{int, int, float}> visits, right ones and what was claimed, by tenth of probability */
    private array $bins = [];

    /**
     * @param  array<string, float>  $probabilities  by Fault, highest first
     * @param  list<string>  $truth  faults as words; none: nothing is wrong
     */
    public function add(array $probabilities, array $truth): void
    {
        $truth = $truth === [] ? [Fault::NoFault->value] : $truth;
        $ranked = array_keys($probabilities);
        $claimed = $probabilities[$ranked[0]];
        $right = in_array($ranked[0], $truth, true);
        $this->visits++;
        $this->first += $right ? 1 : 0;
        $this->three += array_intersect(array_slice($ranked, 0, 3), $truth) !== [] ? 1 : 0;
        $best = max(array_map(static fn (string $one): float => $probabilities[$one] ?? 0.0, $truth));
        $this->loss -= log(max(1e-6, $best));
        $bin = min(self::BINS - 1, (int) ($claimed * self::BINS));
        $this->bins[$bin] ??= [0, 0, 0.0];
        $this->bins[$bin][0]++;
        $this->bins[$bin][1] += $right ? 1 : 0;
        $this->bins[$bin][2] += $claimed;
    }

    public function first(): float
    {
        return $this->first / max(1, $this->visits);
    }

    public function three(): float
    {
        return $this->three / max(1, $this->visits);
    }

    /** Mean logarithmic loss, nats. */
    public function loss(): float
    {
        return $this->loss / max(1, $this->visits);
    }

    /** Mean distance of what was claimed from what was so, over tenths of probability. */
    public function calibrationError(): float
    {
        $error = 0.0;
        foreach ($this->bins as [$visits, $right, $claimed]) {
            $error += abs($right - $claimed);
        }

        return $error / max(1, $this->visits);
    }

    /**
     * The calibration error that chance alone gives so few visits where each claim is exactly right: the mean distance
     * of a binomial share from its own mean, nearly normal.
     */
    public function errorByChance(): float
    {
        $error = 0.0;
        foreach ($this->bins as [$visits, , $claimed]) {
            $share = $claimed / $visits;
            $error += sqrt((2 / M_PI) * $visits * $share * (1 - $share));
        }

        return $error / max(1, $this->visits);
    }

    /** @return list<array{float, float, int}> what was claimed, how often it was so, and of how many */
    public function calibration(): array
    {
        ksort($this->bins);
        $rows = [];
        foreach ($this->bins as [$visits, $right, $claimed]) {
            $rows[] = [round($claimed / $visits, 3), round($right / $visits, 3), $visits];
        }

        return $rows;
    }

    /** @return array<string, int|float> */
    public function row(): array
    {
        return [
            'visits' => $this->visits,
            'first' => round($this->first(), 3),
            'three' => round($this->three(), 3),
            'loss' => round($this->loss(), 3),
            'calibration_error' => round($this->calibrationError(), 3),
        ];
    }
}
