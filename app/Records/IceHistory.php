<?php

namespace App\Records;

use App\Models\FactRecord;
use App\Models\Visit;
use Metrum\Card\Sums\FlakeDay;
use Metrum\Findings\IceSignals;
use Metrum\Knowledge\Reading;
use Metrum\Log\FactKind;

/** What an ice machine made at earlier visits, each with the water of its day. */
final class IceHistory
{
    private const MOST = 40;

    private const READ = [
        Reading::WaterTemperature,
        Reading::FreezeTime,
        Reading::HarvestTime,
        Reading::IcePerCycle,
        Reading::IceInQuarter,
    ];

    /** @return list<array{float, float}> water (K) and ice of a day (kg), latest first */
    public static function of(Visit $visit): array
    {
        $rows = FactRecord::query()
            ->toBase()
            ->join('occasions', 'occasions.id', '=', 'facts.occasion_id')
            ->where('occasions.circuit_id', $visit->circuit_id)
            ->where('occasions.id', '!=', $visit->id)
            ->where('occasions.opened_at', '<=', $visit->opened_at)
            ->where('facts.kind', FactKind::Reading->value)
            ->whereIn('facts.key', array_map(static fn (Reading $one): string => $one->value, self::READ))
            ->orderByDesc('facts.taken_at')
            ->limit(self::MOST * count(self::READ))
            ->get(['facts.occasion_id', 'facts.key', 'facts.value']);
        $read = [];
        foreach ($rows as $row) {
            $read[$row->occasion_id][$row->key] ??= $row->value === null ? null : (float) $row->value;
        }
        $days = [];
        foreach ($read as $one) {
            $water = $one[Reading::WaterTemperature->value] ?? null;
            $made = self::perDay($one);
            $days = $water === null || $made === null ? $days : [...$days, [$water, $made]];
        }

        return $days;
    }

    /**
     * kg; by a quarter of an hour, else by a batch and its cycle; null where it was not measured.
     *
     * @param  array<string, ?float>  $read  SI by key of Reading
     */
    public static function perDay(array $read): ?float
    {
        $quarter = $read[Reading::IceInQuarter->value] ?? null;

        return $quarter !== null
            ? FlakeDay::QUARTERS * $quarter
            : IceSignals::made(
                $read[Reading::IcePerCycle->value] ?? null,
                $read[Reading::FreezeTime->value] ?? null,
                $read[Reading::HarvestTime->value] ?? null,
            );
    }
}
