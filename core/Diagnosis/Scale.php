<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

/**
 * Where a number stands between the knots of its curve. Curves are straight from knot to knot and level beyond the
 * ends, so that a reading that moves a little moves the verdict a little.
 */
final class Scale
{
    /** Deviations from what a sound plant would show. */
    public const DEVIATIONS = [-10.0, -6.0, -3.5, -2.0, -1.0, 0.0, 1.0, 2.0, 3.5, 6.0, 10.0];

    private const OWN = [
        'ambient' => [-4.0, -2.5, -1.5, -0.5, 0.5, 1.5, 2.3],
        'share superheat_of_td' => [-0.1, 0.1, 0.25, 0.4, 0.55, 0.7, 0.85, 1.0],
        'share subcooling_of_split' => [-0.3, -0.1, 0.0, 0.1, 0.2, 0.35, 0.5, 0.7, 0.9],
        'share air_drop_of_td' => [0.1, 0.25, 0.4, 0.55, 0.7, 0.85, 1.05],
        'share air_rise_of_split' => [0.1, 0.25, 0.4, 0.55, 0.7, 0.85, 1.05],
        'share gain_of_difference' => [-0.1, 0.05, 0.12, 0.2, 0.3, 0.45, 0.65, 0.85],
        'share discharge_over_ideal' => [-15.0, -5.0, 0.0, 5.0, 10.0, 16.0, 24.0, 35.0, 50.0],
        'share least_subcooling' => [-6.0, -3.0, -1.5, 0.0, 1.0, 2.5, 5.0, 8.0, 12.0],
        'share greatest_subcooling' => [-4.0, -1.0, 0.0, 1.0, 2.5, 5.0, 8.0, 12.0, 18.0],
        'share receiver_over_condenser' => [-0.6, -0.2, -0.05, 0.05, 0.2, 0.4, 0.7],
        'share line_fall' => [-3.0, 0.0, 1.0, 2.0, 3.5, 6.0, 10.0],
        'share ratio' => [1.5, 2.5, 3.5, 5.0, 7.0, 10.0, 14.0],
        'share lift' => [12.0, 20.0, 28.0, 36.0, 45.0, 55.0, 70.0],
        'figure evaporator_superheat_k' => [-4.0, -1.0, 0.5, 2.0, 3.5, 5.5, 8.0, 12.0, 18.0],
        'figure compressor_superheat_k' => [-4.0, 0.0, 3.0, 6.0, 10.0, 15.0, 22.0, 32.0, 45.0],
        'figure suction_line_gain_k' => [-4.0, -1.0, 1.0, 3.0, 6.0, 10.0, 16.0, 25.0],
        'figure saturated_evaporator_c' => [-42.0, -34.0, -28.0, -22.0, -14.0, -8.0, -3.0, 2.0, 8.0],
        'figure evaporator_td_k' => [0.0, 3.0, 5.0, 7.0, 9.0, 12.0, 16.0, 22.0, 30.0],
        'figure coil_air_drop_k' => [-0.5, 1.0, 2.0, 3.0, 4.5, 6.5, 9.0, 13.0],
        'figure box_above_set_point_k' => [-4.0, -2.0, -0.5, 0.5, 2.0, 4.0, 7.0, 11.0, 16.0],
        'figure condensing_middle_c' => [8.0, 16.0, 22.0, 28.0, 34.0, 40.0, 46.0, 53.0, 62.0],
        'figure condenser_split_k' => [2.0, 6.0, 9.0, 12.0, 15.0, 19.0, 25.0, 34.0, 45.0],
        'figure condenser_approach_k' => [-1.5, 0.5, 2.5, 5.0, 8.0, 11.0, 15.0, 21.0, 30.0],
        'figure condenser_air_rise_k' => [0.5, 2.5, 4.5, 6.5, 9.0, 12.0, 17.0],
    ];

    /** K of subcooling, wherever along the liquid line. */
    private const SUBCOOLING = [-6.0, -2.0, -0.5, 0.7, 2.0, 3.5, 5.5, 8.0, 12.0, 18.0];

    /** @return non-empty-list<float> */
    public static function knots(string $feature): array
    {
        $plain = Setting::plain($feature);
        $isSubcooling = str_starts_with($plain, 'figure ') && str_ends_with($plain, 'subcooling_k');

        return self::OWN[$plain] ?? ($isSubcooling ? self::SUBCOOLING : self::DEVIATIONS);
    }

    /**
     * The knot below a value and how far it stands on the way to the next, 0 … 1.
     *
     * @return array{int, float}
     */
    public static function place(string $feature, float $value): array
    {
        $knots = self::knots($feature);
        $last = count($knots) - 2;
        $i = 0;
        while ($i < $last && $value >= $knots[$i + 1]) {
            $i++;
        }
        $way = ($value - $knots[$i]) / ($knots[$i + 1] - $knots[$i]);

        return [$i, max(0.0, min(1.0, $way))];
    }
}
