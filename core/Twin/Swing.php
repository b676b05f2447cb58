<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Knowledge\Reading;

/** What somebody who watches the superheat while the plant runs would write down of its swing. */
final class Swing
{
    /** s that are watched, and before which nothing is said. */
    private const WATCHED = 600.0;

    private const LEAST = 240.0;

    /** K below which nobody would call it a swing. */
    private const SEEN = 0.3;

    /** @var list<array{float, float}> time (s) and superheat (K) of the last minutes */
    private array $points = [];

    public function feel(float $time, float $superheat): void
    {
        $this->points[] = [$time, $superheat];
        while ($this->points[0][0] < $time - self::WATCHED) {
            array_shift($this->points);
        }
    }

    /** The plant stands: what was before is another run. */
    public function forget(): void
    {
        $this->points = [];
    }

    /** @return array<string, float> by key of Reading, SI; empty as long as too little was seen */
    public function readings(): array
    {
        $count = count($this->points);
        if ($count < 3 || $this->points[$count - 1][0] - $this->points[0][0] < self::LEAST) {
            return [];
        }
        $superheats = array_column($this->points, 1);
        $swing = max($superheats) - min($superheats);
        $readings = [
            Reading::SuperheatSwing->value => $swing,
            Reading::SuperheatLowest->value => min($superheats),
        ];
        $period = $swing < self::SEEN ? null : $this->period(array_sum($superheats) / $count);

        return $period === null ? $readings : $readings + [Reading::SuperheatPeriod->value => $period];
    }

    /** s between two upward crossings of the mean (K), on the mean of all that were seen; null where two were not. */
    private function period(float $mean): ?float
    {
        $crossings = [];
        foreach ($this->points as $i => [$time, $superheat]) {
            $before = $i === 0 ? INF : $this->points[$i - 1][1] - $mean;
            if ($before < 0.0 && $superheat >= $mean) {
                $crossings[] = $time;
            }
        }
        $periods = count($crossings) - 1;

        return $periods < 1 ? null : ($crossings[$periods] - $crossings[0]) / $periods;
    }
}
