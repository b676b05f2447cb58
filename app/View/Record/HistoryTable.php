<?php

namespace App\View\Record;

use Metrum\Quantity\Unit;
use Metrum\Work\Record\FigureHistory;

/** Figures over visits as a table for other programs, in the units of their keys. */
final readonly class HistoryTable
{
    public const COLUMNS = ['visit', 'at', 'figure', 'unit', 'value', 'expected', 'deviation', 'distance', 'ambient_c'];

    private const DECIMALS = 3;

    /** @param  list<FigureHistory>  $figures */
    public function __construct(private array $figures)
    {
    }

    /** @return list<array<string, string|float|null>> */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->figures as $one) {
            $unit = $one->figure->row()->unit();
            foreach ($one->dots as $dot) {
                $rows[] = [
                    'visit' => $dot->visit,
                    'at' => gmdate('Y-m-d\TH:i:s\Z', (int) $dot->at),
                    'figure' => $one->figure->value,
                    'unit' => $unit->value,
                    'value' => round($unit->fromSi($dot->departure->value), self::DECIMALS),
                    'expected' => round($unit->fromSi($dot->departure->expected), self::DECIMALS),
                    'deviation' => round(
                        $unit->fromSi($dot->departure->deviation) - $unit->fromSi(0.0),
                        self::DECIMALS,
                    ),
                    'distance' => round($unit->fromSi($dot->distance) - $unit->fromSi(0.0), self::DECIMALS),
                    'ambient_c' => $dot->ambient === null
                        ? null
                        : round(Unit::Celsius->fromSi($dot->ambient), self::DECIMALS),
                ];
            }
        }

        return $rows;
    }
}
