<?php

namespace App\View;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Format;
use Metrum\Quantity\Units;
use Metrum\Twin\PlantState;

/**
 * What a technician would read differently from one state of a plant to another.
 *
 * @phpstan-type Change array{name: string, before: string, now: string, arrow: string}
 */
final readonly class Changes
{
    private const FIGURES = [
        'Evaporating (dew)' => DerivedFigure::SaturatedSuction,
        'Condensing (bubble)' => DerivedFigure::SaturatedCondensing,
        'Superheat at the bulb' => DerivedFigure::EvaporatorSuperheat,
        'Superheat at the compressor' => DerivedFigure::CompressorSuperheat,
        'Subcooling' => DerivedFigure::Subcooling,
        'TD' => DerivedFigure::EvaporatorTd,
        'Condenser split' => DerivedFigure::CondenserSplit,
    ];

    /** Less than this is no change: K, and the same for readings and W. */
    private const LEAST_FIGURE = 0.15;

    private const READINGS = [
        'Discharge line' => [Reading::DischargeTemperature, 0.3],
        'Current' => [Reading::CompressorCurrent, 0.05],
        'Receiver level' => [Reading::ReceiverLevel, 0.01],
    ];

    private const LEAST_COOLING = 20.0;

    private const LEAST_POWER = 10.0;

    public function __construct(private Circuit $circuit, private HouseRules $rules, private Units $units)
    {
    }

    /** @return list<Change> */
    public function between(PlantState $before, PlantState $now): array
    {
        [$a, $b] = [$this->figures($before), $this->figures($now)];
        $rows = [];
        foreach (self::FIGURES as $name => $key) {
            $say = fn (float $si): string => $this->units->text($si, $key->quantity());
            $rows[] = self::row($name, [$a->value($key), $b->value($key)], $say, self::LEAST_FIGURE);
        }
        foreach (self::READINGS as $name => [$reading, $least]) {
            $say = fn (float $si): string => $this->units->text($si, $reading->quantity());
            $rows[] = self::row($name, [$before->reading($reading), $now->reading($reading)], $say, $least);
        }
        $kilowatts = static fn (float $watt): string => Format::number($watt / 1e3, 2, true).' kW';
        $rows[] = self::row('Cooling capacity', [$before->cooling, $now->cooling], $kilowatts, self::LEAST_COOLING);
        $rows[] = self::row('Power', [$before->power, $now->power], $kilowatts, self::LEAST_POWER);

        return array_values(array_filter($rows));
    }

    /**
     * @param  list<Change>  $changes
     * @return list<Change> only what moves
     */
    public static function moving(array $changes): array
    {
        return array_values(array_filter($changes, static fn (array $row): bool => $row['arrow'] !== ''));
    }

    private function figures(PlantState $state): Figures
    {
        return Figures::of(new Findings($this->circuit, readings: $state->readings), $this->rules);
    }

    /**
     * @param  array{?float, ?float}  $values  before and now
     * @param  callable(float): string  $say
     * @return ?Change
     */
    private static function row(string $name, array $values, callable $say, float $least): ?array
    {
        [$before, $now] = $values;
        if ($before === null) {
            return null;
        }
        $moved = ($now ?? $before) - $before;

        return [
            'name' => $name,
            'before' => $say($before),
            'now' => $now === null ? 'none' : $say($now),
            'arrow' => match (true) {
                abs($moved) < $least => '',
                $moved > 0 => '↑',
                default => '↓',
            },
        ];
    }
}
