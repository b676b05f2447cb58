<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

/** Two straight lines that meet, by least squares. */
final class Lines
{
    /** What keeps a slope finite that no point tells of. */
    private const RIDGE = 1e-9;

    /**
     * y = level + slope before · x before + slope behind · x behind, by the normal equations.
     *
     * @param  list<float>  $before  at or below 0
     * @param  list<float>  $behind  at or above 0
     * @param  list<float>  $values
     * @return array{float, array{float, float}} squares that are missed, and both slopes
     */
    public static function fitted(array $before, array $behind, array $values): array
    {
        $n = (float) count($values);
        [$b, $h, $y] = [array_sum($before) / $n, array_sum($behind) / $n, array_sum($values) / $n];
        $bb = $hh = self::RIDGE;
        $bh = $by = $hy = 0.0;
        foreach ($values as $i => $value) {
            [$x, $z, $v] = [$before[$i] - $b, $behind[$i] - $h, $value - $y];
            $bb += $x * $x;
            $hh += $z * $z;
            $bh += $x * $z;
            $by += $x * $v;
            $hy += $z * $v;
        }
        $determinant = $bb * $hh - $bh * $bh;
        if (abs($determinant) < 1e-18) {
            [$slopeBefore, $slopeBehind] = [$by / $bb, 0.0];
        } else {
            [$slopeBefore, $slopeBehind] = [
                ($by * $hh - $hy * $bh) / $determinant,
                ($hy * $bb - $by * $bh) / $determinant,
            ];
        }
        $missed = 0.0;
        foreach ($values as $i => $value) {
            $there = $y + $slopeBefore * ($before[$i] - $b) + $slopeBehind * ($behind[$i] - $h);
            $missed += ($value - $there) ** 2;
        }

        return [$missed, [$slopeBefore, $slopeBehind]];
    }
}
