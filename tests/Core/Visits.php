<?php

declare(strict_types=1);

namespace Tests\Core;

use Metrum\Exchange\VisitReader;
use Metrum\Findings\Findings;

/** Short ways to say a visit in tests, in the words of the visit file. */
final class Visits
{
    /** A walk-in cooler on R-448A with receiver and design values, outdoors, settled. */
    public const COOLER = [
        'system' => [
            'kind' => 'walk_in_cooler',
            'refrigerant' => 'R-448A',
            'metering' => 'txv',
            'condenser' => 'air_outdoor',
            'head_pressure_control' => 'fan_cycling',
            'receiver' => true,
            'evaporator_pressure_regulator' => false,
            'box_control' => 'thermostat_pump_down',
            'defrost' => 'off_cycle',
        ],
        'design' => [
            'evaporator_td_k' => 8.5,
            'condenser_split_k' => 12,
            'superheat_k' => 5.5,
            'subcooling_k' => 3,
            'box_set_point_c' => 2,
            'rated_current_a' => 9.8,
        ],
        'state' => 'running_settled',
    ];

    /** What that cooler reads in health at 2.5 °C in the box and 25 °C outdoors. */
    public const HEALTHY = [
        'suction_pressure_kpa' => 345.1,
        'discharge_pressure_kpa' => 1549.6,
        'ambient_temperature_c' => 25,
        'box_temperature_c' => 2.5,
        'supply_air_temperature_c' => -1.8,
        'suction_temperature_evaporator_c' => 1.7,
        'suction_temperature_compressor_c' => 6.2,
        'receiver_outlet_temperature_c' => 31.6,
        'condenser_outlet_temperature_c' => 32,
        'discharge_temperature_c' => 71,
        'compressor_current_a' => 7.3,
        'receiver_level_percent' => 45,
    ];

    /** @param  array<string, mixed>  $file  what differs from an empty visit on R-448A */
    public static function of(array $file): Findings
    {
        $file += ['format' => 'metrum-visit', 'version' => 1, 'system' => ['refrigerant' => 'R-448A']];

        return VisitReader::json(
            json_encode(
                array_map(
                    static fn (mixed $part): mixed => $part === [] ? new \stdClass() : $part,
                    array_diff_key($file, ['complaint' => 0, 'confirmed' => 0]),
                ) + array_intersect_key($file, ['complaint' => 0, 'confirmed' => 0]),
                JSON_THROW_ON_ERROR,
            ),
        );
    }

    /**
     * The cooler with other readings than its healthy ones; null takes a reading away.
     *
     * @param  array<string, float|int|null>  $readings
     * @param  array<string, mixed>  $more
     */
    public static function cooler(array $readings = [], array $more = []): Findings
    {
        $all = array_filter([...self::HEALTHY, ...$readings], static fn (mixed $value): bool => $value !== null);

        return self::of([...self::COOLER, 'readings' => $all, ...$more]);
    }
}
