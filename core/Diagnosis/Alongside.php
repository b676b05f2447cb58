<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Sign;

/** With which sign a figure that tells as it stands is told: it is one thing that was found, and said once. */
final class Alongside
{
    private const SIGNS = [
        'figure evaporator_superheat_k' => [Sign::Superheat, Sign::SuperheatSuction],
        'figure compressor_superheat_k' => [Sign::SuperheatFar],
        'figure suction_line_gain_k' => [Sign::LineGain],
        'figure saturated_evaporator_c' => [Sign::TdCoil, Sign::TdSuction],
        'figure evaporator_td_k' => [Sign::TdCoil, Sign::TdSuction],
        'figure coil_air_drop_k' => [Sign::AirDrop],
        'figure box_above_set_point_k' => [Sign::Box],
        'figure condensing_middle_c' => [Sign::Split],
        'figure condenser_split_k' => [Sign::Split],
        'figure condenser_air_rise_k' => [Sign::AirRise],
        'figure condenser_subcooling_k' => [Sign::SubcoolingCondenser],
        'figure receiver_subcooling_k' => [Sign::Subcooling],
        'figure subcooling_k' => [Sign::Subcooling],
        'figure valve_subcooling_k' => [Sign::ValveSubcooling],
    ];

    /**
     * The first of those that were measured, by feature without its setting; null where the thing stands alone.
     *
     * @param  array<string, Evidence>  $pieces  by feature without its setting
     */
    public static function of(string $feature, array $pieces): ?string
    {
        foreach (self::SIGNS[$feature] ?? [] as $sign) {
            if (isset($pieces['sign '.$sign->value])) {
                return 'sign '.$sign->value;
            }
        }

        return null;
    }
}
