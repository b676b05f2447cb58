<?php

namespace App\Console\Commands;

/** What one line of JSON Lines was answered with. */
final readonly class LineAnswer
{
    /** @param  ?array<string, mixed>  $answer  null: it has been written already */
    private function __construct(public ?array $answer, public bool $refused)
    {
    }

    /** @param  array<string, mixed>  $answer */
    public static function with(array $answer): self
    {
        return new self($answer, false);
    }

    public static function written(): self
    {
        return new self(null, false);
    }

    /** @param  list<string>  $reasons */
    public static function refused(int $line, array $reasons): self
    {
        return new self(['line' => $line, 'refused' => $reasons], true);
    }
}
