<?php

declare(strict_types=1);

namespace Metrum\Twin;

/** How long a plant is run at the bench: an hour as it stands, or a day with the door of a working kitchen. */
enum RunLength: int
{
    case Hour = 1;
    case Day = 24;

    /** s the door stands open, once an hour, for so many hours of the day. */
    private const DOOR = 120.0;

    private const WORKING_HOURS = 14;

    /** s of one step. */
    public function step(): float
    {
        return $this === self::Day ? 10.0 : 1.0;
    }

    /** s between two moments that are kept. */
    private function between(): float
    {
        return $this === self::Day ? 120.0 : 10.0;
    }

    /** @return non-empty-list<Moment> */
    public function run(Simulation $simulation): array
    {
        $moments = [$simulation->now()];
        $steps = (int) round(($this->value * 3600) / $this->step());
        $keep = (int) round($this->between() / $this->step());
        $hourly = (int) round(3600 / $this->step());
        for ($i = 1; $i <= $steps; $i++) {
            if (
                $this === self::Day &&
                $i % $hourly === intdiv($hourly, 4) &&
                $i < self::WORKING_HOURS * $hourly
            ) {
                $simulation->openDoor(self::DOOR);
            }
            $simulation->advance($this->step());
            if ($i % $keep === 0) {
                $moments[] = $simulation->now();
            }
        }

        return $moments;
    }
}
