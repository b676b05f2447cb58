<?php

namespace App\Picture;

/** What swings with what, as a few periods over time: head pressure, line at the bulb, suction. */
final readonly class SwingPicture
{
    public const WIDTH = 162.0;

    public const HEIGHT = 66.0;

    private const LEFT = 46.0;

    private const PERIODS = 2.5;

    private const STEPS = 60;

    /** Its rows from above, and how far each swings by the answer: head, line, suction. */
    private const ROWS = [['head', 14.0], ['line', 34.0], ['suction', 54.0]];

    private const SWINGS = [
        'both' => [0.0, 8.0, 6.0],
        'pipe' => [0.0, 8.0, 0.0],
        'head' => [7.0, 7.0, 5.0],
        'nothing' => [0.0, 0.0, 0.0],
    ];

    /** @param  list<array{name: string, y: float, path: string, swings: bool}>  $rows */
    private function __construct(public array $rows)
    {
    }

    /** @param  string  $answer  what swings: both, pipe, head or nothing */
    public static function of(string $answer): self
    {
        $rows = [];
        foreach (self::ROWS as $place => [$name, $y]) {
            $by = self::SWINGS[$answer][$place] ?? 0.0;
            $rows[] = ['name' => $name, 'y' => $y, 'path' => self::path($y, $by), 'swings' => $by > 0.0];
        }

        return new self($rows);
    }

    private static function path(float $y, float $by): string
    {
        $points = [];
        for ($i = 0; $i <= self::STEPS; $i++) {
            $share = $i / self::STEPS;
            $x = self::LEFT + $share * (self::WIDTH - self::LEFT - 2.0);
            $points[] = round($x, 1).' '.round($y - $by * sin(2 * M_PI * self::PERIODS * $share), 1);
        }

        return 'M'.implode(' L', $points);
    }
}
