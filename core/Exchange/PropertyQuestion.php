<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Data\Refused;
use Metrum\Quantity\Celsius;
use Metrum\Refrigerant\Library;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Refrigerant\Refrigerant;

/** One line of `metrum:properties`: a question in file units, its answer in file units. */
final class PropertyQuestion
{
    private const KEYS = ['refrigerant', 't_c', 'p_kpa_abs', 'dew_c', 'superheat_k', 'discharge_kpa_abs'];

    /**
     * @return array<string, mixed> the question with its answer behind it
     *
     * @throws Refused
     */
    public static function answer(string $line): array
    {
        $given = json_decode($line);
        if (! ($given instanceof \stdClass)) {
            throw new Refused(['line: expected a JSON object']);
        }
        $asked = $reasons = $numbers = [];
        foreach (get_object_vars($given) as $key => $value) {
            $key = (string) $key;
            $asked[$key] = $value;
            if (! in_array($key, self::KEYS, true)) {
                $reasons[] = $key.': unknown key; allowed: '.implode(', ', self::KEYS);
            } elseif ($key !== 'refrigerant' && (is_int($value) || is_float($value))) {
                $numbers[$key] = (float) $value;
            } elseif ($key !== 'refrigerant') {
                $reasons[] = $key.': expected a number';
            }
        }
        $name = $asked['refrigerant'] ?? null;
        if (! is_string($name) || ! Library::known()->has($name)) {
            $reasons[] =
                'refrigerant: '.
                (is_string($name)
                    ? '"'.mb_substr($name, 0, 40).'" is not available'
                    : 'expected a name').
                '; known: '.
                implode(', ', Library::known()->names());
        }
        if ($reasons !== [] || ! is_string($name)) {
            throw new Refused($reasons);
        }
        try {
            return $asked +
                array_map(
                    static fn (float $value): float => round($value, 6),
                    self::properties(Library::known()->get($name), $numbers),
                );
        } catch (OutsideTable $outside) {
            throw new Refused([array_key_last($numbers).': '.$outside->getMessage()]);
        }
    }

    /**
     * @param  array<string, float>  $asked
     * @return array<string, float>
     */
    private static function properties(Refrigerant $fluid, array $asked): array
    {
        if (isset($asked['superheat_k'])) {
            return self::superheated($fluid, $asked);
        }
        if (isset($asked['t_c'])) {
            $t = $asked['t_c'] + Celsius::ZERO;

            return [
                'bubble_kpa_abs' => $fluid->bubblePressure($t) / 1e3,
                'dew_kpa_abs' => $fluid->dewPressure($t) / 1e3,
                'liquid_kg_m3' => $fluid->liquidDensity($t),
                'vapour_kg_m3' => $fluid->vapourDensity($t),
                'liquid_kj_kg' => $fluid->liquidEnthalpy($t) / 1e3,
                'vapour_kj_kg' => $fluid->vapourEnthalpy($t) / 1e3,
                'liquid_kj_kgk' => $fluid->liquidEntropy($t) / 1e3,
                'vapour_kj_kgk' => $fluid->vapourEntropy($t) / 1e3,
            ];
        }
        if (isset($asked['p_kpa_abs'])) {
            $p = $asked['p_kpa_abs'] * 1e3;

            return [
                'bubble_c' => $fluid->bubbleTemperature($p) - Celsius::ZERO,
                'dew_c' => $fluid->dewTemperature($p) - Celsius::ZERO,
                'glide_k' => $fluid->glide($p),
            ];
        }
        throw new Refused(['line: expected t_c, p_kpa_abs, or superheat_k with dew_c or p_kpa_abs']);
    }

    /**
     * @param  array<string, float>  $asked
     * @return array<string, float>
     */
    private static function superheated(Refrigerant $fluid, array $asked): array
    {
        $dew = match (true) {
            isset($asked['dew_c']) => $asked['dew_c'] + Celsius::ZERO,
            isset($asked['p_kpa_abs']) => $fluid->dewTemperature($asked['p_kpa_abs'] * 1e3),
            default => throw new Refused(['superheat_k: expected dew_c or p_kpa_abs with it']),
        };
        $superheat = $asked['superheat_k'];
        $pressure = $fluid->dewPressure($dew);
        $answer = [
            'p_kpa_abs' => $pressure / 1e3,
            't_c' => $dew + $superheat - Celsius::ZERO,
            'vapour_kg_m3' => $fluid->vapourDensity($dew, $superheat),
            'vapour_kj_kg' => $fluid->vapourEnthalpy($dew, $superheat) / 1e3,
            'vapour_kj_kgk' => $fluid->vapourEntropy($dew, $superheat) / 1e3,
        ];
        if (isset($asked['discharge_kpa_abs'])) {
            $discharge = $asked['discharge_kpa_abs'] * 1e3;
            if ($discharge < $pressure) {
                throw new Refused([
                    sprintf(
                        'discharge_kpa_abs: got %.1f, expected at least the suction pressure of %.1f kPa abs',
                        $asked['discharge_kpa_abs'],
                        $pressure / 1e3,
                    ),
                ]);
            }
            $ideal = $fluid->isentropicDischarge($dew, $superheat, $discharge);
            $answer['isentropic_discharge_c'] = $ideal['temperature'] - Celsius::ZERO;
            $answer['isentropic_work_kj_kg'] = $ideal['work'] / 1e3;
        }

        return $answer;
    }
}
