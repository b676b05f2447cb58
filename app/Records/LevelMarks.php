<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\FactRecord;
use App\Models\User;
use Illuminate\Support\Carbon;
use Metrum\Knowledge\Reading;
use Metrum\Log\FactKind;

/** Marks on the receivers of a plant: how full, when, and by whom (T-08). */
final class LevelMarks
{
    /** Steps of cards by which a mark is made. */
    private const STEPS = ['receiver_level.mark', 'winter_fill.mark'];

    /** @return list<array{Carbon, float, string}> when, level 0 … 1 and who; newest first */
    public static function of(Circuit $circuit): array
    {
        $marked = FactRecord::query()
            ->where('kind', FactKind::Card->value)
            ->whereIn('key', self::STEPS)
            ->where('word', 'yes')
            ->where('plant_id', $circuit->plant_id)
            ->orderByDesc('taken_at')
            ->get();
        $marks = [];
        foreach ($marked as $mark) {
            $level = FactRecord::query()
                ->where('occasion_id', $mark->occasion_id)
                ->whereIn('key', [Reading::ReceiverLevel->value, 'winter_fill.level'])
                ->whereNotNull('value')
                ->orderByDesc('taken_at')
                ->orderByDesc('seq')
                ->value('value');
            if ($level !== null) {
                $who = User::query()->whereKey($mark->user_id)->value('name');
                $marks[] = [$mark->taken_at, (float) $level, is_string($who) ? $who : ''];
            }
        }

        return $marks;
    }

    /** "Y. B." */
    public static function initials(string $name): string
    {
        $words = preg_split('/[\s-]+/u', $name, -1, PREG_SPLIT_NO_EMPTY);

        $first = static fn (string $word): string => mb_substr($word, 0, 1).'.';

        return implode(' ', array_map($first, $words === false ? [] : $words));
    }
}
