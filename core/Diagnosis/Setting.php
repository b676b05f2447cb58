<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Installation\Condition;

/**
 * Where a figure means something else than it usually does, it is a figure of its own: on a rack the suction side is
 * the group's, in the cold the high side is what head control makes of it.
 */
final class Setting
{
    /** Features of the suction side. */
    private const SUCTION = [
        'sign td_suction',
        'sign td_coil',
        'sign superheat',
        'sign superheat_suction',
        'sign superheat_far',
        'sign discharge',
        'sign discharge_level',
        'sign regulator_drop',
        'sign line_loss',
        'sign line_gain',
        'sign current',
        'sign current_residual',
        'reading suction_pressure_kpa',
        'reading suction_temperature_compressor_c',
        'reading evaporator_pressure_kpa',
        'reading compressor_current_a',
        'share discharge_over_ideal',
        'share ratio',
        'share lift',
        'figure compressor_superheat_k',
        'figure suction_line_gain_k',
    ];

    /** Features of the high side. */
    private const HEAD = [
        'sign split',
        'sign subcooling',
        'sign subcooling_condenser',
        'sign valve_subcooling',
        'sign over_condenser',
        'sign level',
        'sign air_rise',
        'sign drier',
        'sign liquid_line_drop',
        'reading discharge_pressure_kpa',
        'reading condenser_outlet_temperature_c',
        'reading receiver_outlet_temperature_c',
        'reading drier_inlet_temperature_c',
        'reading drier_outlet_temperature_c',
        'reading valve_inlet_temperature_c',
        'reading condenser_air_out_temperature_c',
        'share air_rise_of_split',
        'share subcooling_of_split',
        'share least_subcooling',
        'share greatest_subcooling',
        'share receiver_over_condenser',
    ];

    /** The condition under which a feature is one of its own; null where it is the same everywhere. */
    public static function of(string $feature): ?Condition
    {
        return match (true) {
            in_array($feature, self::SUCTION, true) => Condition::Shared,
            in_array($feature, self::HEAD, true) => Condition::Cold,
            default => null,
        };
    }

    /** What a feature is called at such a plant in its weather. */
    public static function name(string $feature, Conditions $conditions): string
    {
        $setting = self::of($feature);

        return $setting !== null && $conditions->holds($setting) === true
            ? self::named($feature, $setting)
            : $feature;
    }

    /** @return list<string> all names of a feature */
    public static function names(string $feature): array
    {
        $setting = self::of($feature);

        return $setting === null ? [$feature] : [$feature, self::named($feature, $setting)];
    }

    /** Whether it is told by a word or a complaint. */
    public static function isAnswer(string $feature): bool
    {
        return preg_match('/^(word|complaint) /', $feature) === 1;
    }

    /** The feature without its setting. */
    public static function plain(string $name): string
    {
        return explode('/', $name)[0];
    }

    private static function named(string $feature, Condition $setting): string
    {
        return $feature.'/'.$setting->value;
    }
}
