<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Data\Refused;
use Metrum\Findings\Trend;
use Metrum\Quantity\Atmosphere;

/** Reads a controller's export by what somebody said of its columns; what cannot be is counted and left out. */
final readonly class TrendReader
{
    public function __construct(private TrendFile $file, private \DateTimeZone $zone, private Atmosphere $air)
    {
    }

    /**
     * @param  list<TrendColumn>  $columns
     * @return array{list<Trend>, int, int} the trends, rows without a time, values that are none or cannot be
     *
     * @throws Refused where no row has a time
     */
    public function trends(int $time, TimeFormat $format, array $columns): array
    {
        $points = array_fill(0, count($columns), []);
        $withoutTime = $wrong = 0;
        foreach ($this->file->rows as $row) {
            $at = $format->read($row[$time] ?? '', $this->zone);
            if ($at === null) {
                $withoutTime++;

                continue;
            }
            foreach ($columns as $place => $column) {
                $typed = $row[$column->column] ?? '';
                $si = $typed === '' ? null : $this->value($typed, $column);
                $wrong += $typed !== '' && $si === null ? 1 : 0;
                if ($si !== null) {
                    $points[$place][] = [$at, $si];
                }
            }
        }
        if ($withoutTime === count($this->file->rows)) {
            throw new Refused(["time: no row has a time like {$format->label()}"]);
        }
        $trends = [];
        foreach ($columns as $place => $column) {
            if ($points[$place] !== []) {
                $trends[] = Trend::of($column->reading, $column->part, $points[$place]);
            }
        }

        return [$trends, $withoutTime, $wrong];
    }

    private function value(string $typed, TrendColumn $column): ?float
    {
        $number = TrendFile::number($typed);
        $si = $number === null ? null : $column->unit->toSi($number);

        return $si === null || $column->reading->field($this->air)->refusal($si) !== null ? null : $si;
    }
}
