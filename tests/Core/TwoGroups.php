<?php

declare(strict_types=1);

namespace Tests\Core;

use Metrum\Findings\RackFindings;

/** The rack of Racks with a second suction group for its frozen food, in the words of the visit file. */
final class TwoGroups
{
    /** What each group reads in health. */
    public const HEALTHY = [
        'MT' => [
            'suction_header_kpa' => 284,
            'suction_set_kpa' => 284,
            'compressors_running' => 2,
            'compressors_fitted' => 3,
        ],
        'LT' => [
            'suction_header_kpa' => 72,
            'suction_set_kpa' => 72,
            'compressors_running' => 2,
            'compressors_fitted' => 3,
        ],
    ];

    /** By name: kind of its load, control, set point °C, form and kW. */
    private const FROZEN = [
        'Peas' => ['case_low', 'header', -20, 'glass_door', 2.4],
        'Ice cream' => ['case_low', 'header', -22, 'island', 2.0],
        'Freezer' => ['walk_in_freezer', 'thermostat', -20, '', 3.6],
    ];

    private const OF_ONE_GROUP = ['suction_header_kpa', 'suction_set_kpa', 'compressors_running', 'compressors_fitted'];

    /**
     * @param  array<string, array<string, float|int|null>>  $groups  readings by group; null takes one away
     * @param  array<string, float|int|null>  $readings  of what all share
     * @param  array<string, array<string, mixed>>  $cases  by name
     * @param  array<string, array<string, mixed>>  $compressors  by name
     * @param  array<string, array<string, mixed>>  $circuits  by name
     */
    public static function of(
        array $groups = [],
        array $readings = [],
        array $cases = [],
        array $compressors = [],
        array $circuits = [],
    ): RackFindings {
        return Racks::read(self::file($groups, $readings, $cases, $compressors, $circuits));
    }

    /**
     * @param  array<string, array<string, float|int|null>>  $groups
     * @param  array<string, float|int|null>  $readings
     * @param  array<string, array<string, mixed>>  $cases
     * @param  array<string, array<string, mixed>>  $compressors
     * @param  array<string, array<string, mixed>>  $circuits
     * @return array<string, mixed>
     */
    public static function file(
        array $groups = [],
        array $readings = [],
        array $cases = [],
        array $compressors = [],
        array $circuits = [],
    ): array {
        $file = Racks::file(
            array_fill_keys(self::OF_ONE_GROUP, null) + $readings,
            [],
            $circuits,
            $cases,
            $compressors,
        );
        $file['groups'] = [self::group('MT', -8, $groups), self::group('LT', -28, $groups)];
        unset($file['design']['suction_saturated_c']);
        $file['design'] = ['receiver_volume_l' => 60, 'condenser_volume_l' => 15] + $file['design'];
        foreach (['L1', 'L2', 'L3'] as $name) {
            $file['compressors'][] = [
                'name' => $name,
                'group' => 'LT',
                'design' => ['capacity_kw' => 4, 'rated_current_a' => 7.9],
            ] + ($compressors[$name] ?? []);
        }
        foreach (self::FROZEN as $name => $row) {
            $file['circuits'][] = ($circuits[$name] ?? []) + self::frozen($name, $row, $cases[$name] ?? []);
        }

        return $file;
    }

    /**
     * @param  array<string, array<string, float|int|null>>  $groups
     * @return array<string, mixed>
     */
    private static function group(string $name, int $suction, array $groups): array
    {
        return [
            'name' => $name,
            'design' => ['suction_saturated_c' => $suction],
            'readings' => (object) array_filter(
                ($groups[$name] ?? []) + self::HEALTHY[$name],
                static fn (float|int|null $one): bool => $one !== null,
            ),
        ];
    }

    /**
     * @param  array{string, string, int, string, float}  $row
     * @param  array<string, mixed>  $case
     * @return array<string, mixed>
     */
    private static function frozen(string $name, array $row, array $case): array
    {
        [$kind, $control, $set, $form, $capacity] = $row;

        return [
            'name' => $name,
            'group' => 'LT',
            'system' => [
                'kind' => $kind,
                'metering' => 'txv',
                'evaporator_pressure_regulator' => false,
                'box_control' => $control,
                'defrost' => 'electric',
            ],
            'design' => [
                'box_set_point_c' => $set,
                'evaporator_td_k' => 6,
                'superheat_k' => 5,
                'capacity_kw' => $capacity,
            ],
            'state' => 'running_settled',
        ] + ($form === '' ? $case : ['cases' => [['name' => $name, 'form' => $form] + $case]]);
    }
}
