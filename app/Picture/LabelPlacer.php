<?php

namespace App\Picture;

/**
 * Finds a free place for each label, as near to what it belongs to as can be: no label lies on another, nor on a
 * line.
 */
final class LabelPlacer
{
    /** Between a label and a line. */
    private const AIR = 3.0;

    /** @var list<array{float, float, float, float}> left, top, right, bottom of what is taken */
    private array $taken = [];

    /** @var list<array{float, float, float, float}> x1, y1, x2, y2 */
    private array $lines = [];

    public function __construct(
        private readonly float $width,
        private readonly float $height,
        private readonly float $left = 0.0,
        private readonly float $top = 0.0,
    ) {
    }

    /** With the margins of the course's paper: its ticks and names are kept clear. */
    public static function on(CourseFrame $frame): self
    {
        return $frame->downward
            ? new self($frame->width, $frame->height, 0.0, 22.0)
            : new self($frame->width, $frame->height - 20, 36.0, 4.0);
    }

    public function block(float $x, float $y, float $width, float $height): void
    {
        $this->taken[] = [$x, $y, $x + $width, $y + $height];
    }

    public function line(float $x1, float $y1, float $x2, float $y2): void
    {
        $this->lines[] = [$x1, $y1, $x2, $y2];
    }

    /**
     * Top left corner for a label of this size near an anchor; the first of the preferred offsets that is free, else
     * the nearest free place of a growing search, else the least crowded one.
     *
     * @param  list<array{float, float}>  $preferred  offsets of the corner from the anchor
     * @return array{float, float}
     */
    public function place(float $x, float $y, float $width, float $height, array $preferred): array
    {
        $offsets = $preferred;
        for ($ring = 1; $ring <= 16; $ring++) {
            foreach ([[1, 0], [-1, 0], [0, -1], [0, 1], [1, -1], [1, 1], [-1, -1], [-1, 1]] as [$dx, $dy]) {
                $offsets[] = [
                    $dx > 0
                        ? 8.0 + 16 * ($ring - 1)
                        : ($dx < 0
                            ? -$width - 8.0 - 16 * ($ring - 1)
                            : -$width / 2),
                    $dy * 12.0 * $ring - $height / 2,
                ];
            }
        }
        $best = null;
        $least = INF;
        foreach ($offsets as $i => [$dx, $dy]) {
            $left = max($this->left, min($this->width - $width, $x + $dx));
            $top = max($this->top, min($this->height - $height, $y + $dy));
            $far = 0.001 * $i;
            $crowd = $far + $this->crowd($left, $top, $left + $width, $top + $height, $least - $far);
            if ($crowd < $least) {
                $least = $crowd;
                $best = [$left, $top];
            }
            if ($crowd < 0.9) {
                break;
            }
        }
        [$left, $top] = $best ?? [$x, $y];
        $this->block($left - 2, $top - 1, $width + 4, $height + 2);

        return [round($left, 1), round($top, 1)];
    }

    /** How much lies in the way; counted no further than $enough. */
    private function crowd(float $left, float $top, float $right, float $bottom, float $enough): float
    {
        $crowd = 0.0;
        foreach ($this->taken as [$l, $t, $r, $b]) {
            $across = min($right, $r) - max($left, $l);
            $down = min($bottom, $b) - max($top, $t);
            if ($across > 0 && $down > 0) {
                $crowd += 4.0 + ($across * $down) / 20;
                if ($crowd >= $enough) {
                    return $crowd;
                }
            }
        }
        $left -= self::AIR;
        $top -= self::AIR;
        $right += self::AIR;
        $bottom += self::AIR;
        foreach ($this->lines as [$x1, $y1, $x2, $y2]) {
            $passes =
                max($x1, $x2) < $left ||
                min($x1, $x2) > $right ||
                max($y1, $y2) < $top ||
                min($y1, $y2) > $bottom;
            if (! $passes && self::crosses($x1, $y1, $x2, $y2, $left, $top, $right, $bottom)) {
                $crowd += 2.0;
                if ($crowd >= $enough) {
                    return $crowd;
                }
            }
        }

        return $crowd;
    }

    /** Liang and Barsky's clipping: whether a line touches a rectangle. */
    private static function crosses(
        float $x1,
        float $y1,
        float $x2,
        float $y2,
        float $left,
        float $top,
        float $right,
        float $bottom,
    ): bool {
        $from = 0.0;
        $to = 1.0;
        foreach (
            [
                [$x1 - $x2, $x1 - $left],
                [$x2 - $x1, $right - $x1],
                [$y1 - $y2, $y1 - $top],
                [$y2 - $y1, $bottom - $y1],
            ] as [$p, $q]
        ) {
            if (abs($p) < 1e-9) {
                if ($q < 0) {
                    return false;
                }

                continue;
            }
            $r = $q / $p;
            if ($p < 0) {
                $from = max($from, $r);
            } else {
                $to = min($to, $r);
            }
            if ($from > $to) {
                return false;
            }
        }

        return true;
    }
}
