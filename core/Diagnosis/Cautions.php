<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Data\BrokenData;
use Metrum\Data\Knowledge;
use Metrum\Refrigerant\Library;

/** The cautions of data/cautions.json, for the step where the hand is. */
final class Cautions
{
    /** Safety classes, and one refrigerant, that ask for a licence and tools of their own (A-06). */
    public const LICENSED = ['A2L', 'A2', 'A3', 'B2L', 'R-744'];

    /**
     * @param  list<string>  $keys
     * @return list<string>
     *
     * @throws BrokenData for a key that is none
     */
    public static function words(array $keys): array
    {
        return array_map(self::word(...), $keys);
    }

    /** @throws BrokenData for a key that is none */
    public static function word(string $key): string
    {
        return Knowledge::file('cautions')->text($key);
    }

    /** What stands instead of any advice where a refrigerant is outside this tool; null where it is not. */
    public static function referral(string $refrigerant): ?string
    {
        return $refrigerant === 'R-717' ? self::word('ammonia') : null;
    }

    /** Safety class, or name, of a refrigerant that not every licence and tool is for; null for the others. */
    public static function licensedClass(string $refrigerant): ?string
    {
        $names = [$refrigerant, Library::known()->safetyClass($refrigerant)];

        return array_values(array_intersect($names, self::LICENSED))[0] ?? null;
    }

    /** @return list<string> what the refrigerant itself asks for */
    public static function ofRefrigerant(string $name): array
    {
        return match (true) {
            $name === 'R-717' => [self::word('ammonia')],
            $name === 'R-744' => [self::word('carbon_dioxide')],
            in_array(Library::known()->safetyClass($name), ['A2L', 'A2', 'A3'], true) => [
                self::word('flammable'),
            ],
            default => [],
        };
    }
}
