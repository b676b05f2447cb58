<?php

namespace App\Records;

use App\Models\FactRecord;
use App\Models\Visit;
use Metrum\Knowledge\Reading;
use Metrum\Log\FactKind;

/** Levels of a plant's receiver as they were read at earlier visits, each with the weather of its day. */
final class LevelHistory
{
    private const MOST = 60;

    /** @return list<array{float, float}> ambient (K) and level (0 … 1), latest first */
    public static function of(Visit $visit): array
    {
        $keys = [Reading::ReceiverLevel->value, Reading::AmbientTemperature->value];
        $rows = FactRecord::query()
            ->toBase()
            ->where('plant_id', $visit->circuit->plant_id)
            ->where('occasion_id', '!=', $visit->id)
            ->where('kind', FactKind::Reading->value)
            ->whereIn('key', $keys)
            ->orderByDesc('taken_at')
            ->limit(4 * self::MOST)
            ->get(['occasion_id', 'key', 'value']);
        $read = [];
        foreach ($rows as $row) {
            $read[$row->occasion_id][$row->key] ??= (float) $row->value;
        }
        $levels = [];
        foreach ($read as $one) {
            if (isset($one[$keys[0]], $one[$keys[1]])) {
                $levels[] = [$one[$keys[1]], $one[$keys[0]]];
            }
        }

        return array_slice($levels, 0, self::MOST);
    }
}
