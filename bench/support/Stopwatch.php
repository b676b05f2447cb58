<?php

/** Times one thing many times over; prints it in times of the first thing timed. */
final class Stopwatch
{
    private const WARM_UP = 8;

    private ?float $middle = null;

    private ?float $slow = null;

    public function __construct(private readonly int $times)
    {
    }

    /** @param  callable(int): float  $one  answers its own time, ms */
    public function measure(string $what, callable $one): void
    {
        array_map($one, range(1, self::WARM_UP));
        $times = array_map($one, range(1, $this->times));
        sort($times);
        $middle = $times[intdiv($this->times, 2)];
        $slow = $times[(int) (0.95 * ($this->times - 1))];
        $this->middle ??= $middle;
        $this->slow ??= $slow;
        printf(
            "%-26s median %6.1f ms = %4.1f   95 %% %6.1f ms = %4.1f times an empty route\n",
            $what,
            $middle,
            $middle / $this->middle,
            $slow,
            $slow / $this->slow,
        );
    }
}
