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
        $this->say($what, array_map($one, range(1, $this->times)));
    }

    /**
     * By turns, so that whatever else the machine does meets both.
     *
     * @param  callable(int): float  $one
     * @param  callable(int): float  $other
     */
    public function compare(string $what, callable $one, string $and, callable $other): void
    {
        $times = ['one' => [], 'other' => []];
        for ($i = 1 - self::WARM_UP; $i <= $this->times; $i++) {
            $pair = [$one($i + self::WARM_UP), $other($i + self::WARM_UP)];
            if ($i > 0) {
                [$times['one'][], $times['other'][]] = $pair;
            }
        }
        $first = $this->say($what, $times['one']);
        $second = $this->say($and, $times['other']);
        printf("%-26s %6.2f × %s\n", '', $second / $first, $what);
    }

    /** @param  list<float>  $times */
    private function say(string $what, array $times): float
    {
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

        return $middle;
    }
}
