<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Asked;
use Metrum\Circuit\DataFile;
use Metrum\Circuit\Fault;
use Metrum\Quantity\Prepared;

/** What parts two faults that look alike, best first, as the trade knows it: data/separators.json. */
final class Separators
{
    /** @return list<Asked> none where the pair is no such one */
    public static function of(Fault $one, Fault $other): array
    {
        /** @var ?array<string, list<Asked>> $rows */
        static $rows = null;
        $rows ??= Prepared::of('separators', self::rows(...));

        return $rows[$one->value.'|'.$other->value] ?? ($rows[$other->value.'|'.$one->value] ?? []);
    }

    /** @return array<string, list<Asked>> */
    private static function rows(): array
    {
        $file = DataFile::read('separators');
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
