<?php

namespace App\View;

use Metrum\Circuit\Circuit;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Reading;
use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Plant\PlantState;
use Metrum\Quantity\Format;
use Metrum\Quantity\Kind;

/** What a technician would read differently from one state of a plant to another. */
final class Changes
{
    /** @return list<array{name: string, before: string, now: string, arrow: string}> */
    public static function between(
        Circuit $circuit,
        HouseRules $rules,
        PlantState $before,
        PlantState $now,
        Units $units,
    ): array {
        $figures = static fn (PlantState $state): Figures => Figures::of(
            new Findings($circuit, readings: $state->readings),
            $rules,
        );
        [$a, $b] = [$figures($before), $figures($now)];
        $rows = [];
        $kelvin = [
            'Evaporating (dew)' => Derived::SaturatedSuction,
            'Condensing' => Derived::SaturatedCondensing,
            'Superheat at the bulb' => Derived::EvaporatorSuperheat,
            'Superheat at the compressor' => Derived::CompressorSuperheat,
            'Subcooling' => Derived::Subcooling,
            'TD' => Derived::EvaporatorTd,
            'Condenser split' => Derived::CondenserSplit,
        ];
        foreach ($kelvin as $name => $key) {
            $rows[] = self::row(
                $name,
                $a->value($key),
                $b->value($key),
                static fn (float $si): string => $units->text($si, $key->quantity()),
                0.15,
            );
        }
        $rows[] = self::row(
            'Discharge pipe',
            $before->reading(Reading::DischargeTemperature),
            $now->reading(Reading::DischargeTemperature),
            static fn (float $si): string => $units->text($si, Kind::Temperature),
            0.3,
        );
        $rows[] = self::row(
            'Current',
            $before->reading(Reading::CompressorCurrent),
            $now->reading(Reading::CompressorCurrent),
            static fn (float $si): string => $units->text($si, Kind::Current),
            0.05,
        );
        $rows[] = self::row(
            'Receiver level',
            $before->reading(Reading::ReceiverLevel),
            $now->reading(Reading::ReceiverLevel),
            static fn (float $si): string => round(100 * $si).' %',
            0.01,
        );
        $rows[] = self::row(
            'Cooling',
            $before->cooling,
            $now->cooling,
            static fn (float $watt): string => Format::number($watt / 1e3, 2, true).' kW',
            20.0,
        );
        $rows[] = self::row(
            'Power',
            $before->power,
            $now->power,
            static fn (float $watt): string => Format::number($watt / 1e3, 2, true).' kW',
            10.0,
        );

        return array_values(array_filter($rows));
    }

    /**
     * @param  callable(float): string  $say
     * @return ?array{name: string, before: string, now: string, arrow: string}
     */
    private static function row(string $name, ?float $before, ?float $now, callable $say, float $least): ?array
    {
        if ($before === null) {
            return null;
        }
        $moved = ($now ?? $before) - $before;

        return [
            'name' => $name,
            'before' => $say($before),
            'now' => $now === null ? 'none' : $say($now),
            'arrow' => abs($moved) < $least ? '' : ($moved > 0 ? '↑' : '↓'),
        ];
    }
}
