<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Data\Knowledge;

/** The words used here, each in a sentence. */
final class Glossary
{
    /** @return array<string, array{term: string, means: string}> by key, in the order of the alphabet */
    public static function all(): array
    {
        $words = [];
        $file = Knowledge::file('glossary');
        foreach ($file->keys() as $key) {
            $row = $file->row($key)->only(['term', 'means']);
            $words[$key] = ['term' => $row->text('term'), 'means' => $row->text('means')];
        }
        uasort($words, static fn (array $a, array $b): int => self::place($a['term']) <=> self::place($b['term']));

        return $words;
    }

    public static function has(string $key): bool
    {
        return Knowledge::file('glossary')->has($key);
    }

    /** "The course" stands under c. */
    private static function place(string $term): string
    {
        return mb_strtolower((string) preg_replace('/^The /', '', $term));
    }
}
