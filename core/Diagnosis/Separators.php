<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Data\Knowledge;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Fault;

/** What parts two faults that look alike, best first, as the trade knows it: data/separators.json. */
final class Separators
{
    /** @return list<Asked> none where the pair is no such one */
    public static function of(Fault $one, Fault $other): array
    {
        $rows = Knowledge::kept('separators', self::rows(...));

        return $rows[$one->value.'|'.$other->value] ?? ($rows[$other->value.'|'.$one->value] ?? []);
    }

    /** @return array<string, list<Asked>> */
    private static function rows(): array
    {
        $file = Knowledge::file('separators');
        $rows = [];
        foreach ($file->keys() as $key) {
            foreach (explode('|', $key) as $name) {
                Fault::tryFrom($name) ?? throw $file->broken($key, $name.' is no fault');
            }
            $rows[$key] = FaultEntry::keys($file, $key);
        }

        return $rows;
    }
}
