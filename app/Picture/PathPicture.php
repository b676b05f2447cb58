<?php

namespace App\Picture;

/** Probabilities of a few suspects from entry to entry, drawn as lines that climb and fall. */
final readonly class PathPicture
{
    public const HEIGHT = 190.0;

    private const LEFT = 46.0;

    private const RIGHT = 24.0;

    private const TOP = 10.0;

    private const BOTTOM = 168.0;

    private const STEP = 30.0;

    private const LEAST_WIDTH = 420.0;

    public float $width;

    private float $apart;

    /** @param  list<list<float>>  $lines  0 … 1 by suspect and entry */
    public function __construct(private array $lines)
    {
        $steps = count($lines[0] ?? []);
        $this->width = max(self::LEAST_WIDTH, self::LEFT + self::RIGHT + self::STEP * max(1, $steps - 1));
        $this->apart = ($this->width - self::LEFT - self::RIGHT) / max(1, $steps - 1);
    }

    /** @return list<string> paths, in order of the suspects */
    public function paths(): array
    {
        return array_map(function (array $line): string {
            $points = [];
            foreach ($line as $step => $probability) {
                $points[] = sprintf('%.1f %.1f', $this->x($step), self::y($probability));
            }

            return 'M'.implode('L', $points);
        }, $this->lines);
    }

    /** @return list<array{x: float, y: float}> where each line ends */
    public function ends(): array
    {
        return array_map(
            fn (array $line): array => [
                'x' => $this->x(count($line) - 1),
                'y' => self::y((float) end($line)),
            ],
            $this->lines,
        );
    }

    /** @return list<array{y: float, text: string}> */
    public function levels(): array
    {
        return array_map(
            static fn (int $percent): array => ['y' => self::y($percent / 100), 'text' => $percent.' %'],
            [0, 25, 50, 75, 100],
        );
    }

    public function x(int $step): float
    {
        return round(self::LEFT + $this->apart * $step, 1);
    }

    public function left(): float
    {
        return self::LEFT;
    }

    public function right(): float
    {
        return $this->width - self::RIGHT;
    }

    private static function y(float $probability): float
    {
        return round(self::BOTTOM - (self::BOTTOM - self::TOP) * $probability, 1);
    }
}
