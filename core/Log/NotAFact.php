<?php

declare(strict_types=1);

namespace Metrum\Log;

use Metrum\Quantity\Unanswerable;

/** What was entered cannot be kept; the message says what was given and what is possible. */
final class NotAFact extends Unanswerable
{
    private const SHOWN = 40;

    public static function unknownKey(string $key, string $why): self
    {
        return new self('"'.self::shown($key).'" is '.$why.'.');
    }

    /** @param  list<string|int>  $possible */
    public static function unknownWord(string $typed, array $possible): self
    {
        return new self(
            '"'.self::shown($typed).'" was given; possible is '.implode(', ', $possible).'.',
        );
    }

    public static function because(string $why): self
    {
        return new self($why);
    }

    private static function shown(string $text): string
    {
        return mb_strlen($text) > self::SHOWN ? mb_substr($text, 0, self::SHOWN).'…' : $text;
    }
}
