<?php

namespace App\Records;

/** A ULID that the same words always give, so that what comes twice is the same row. */
final class WordedId
{
    private const DIGITS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

    /** Letters of a hash of which each pair makes one digit. */
    private const LONG = 50;

    public static function of(string ...$words): string
    {
        $id = '0';
        foreach (str_split(substr(hash('sha256', implode("\n", $words)), 0, self::LONG), 2) as $pair) {
            $id .= self::DIGITS[hexdec($pair) % 32];
        }

        return $id;
    }
}
