<?php

declare(strict_types=1);

namespace Metrum\Log;

use Metrum\Language\Sentence;
use Metrum\Quantity\Unanswerable;
use Metrum\Quantity\Units;

/** What was entered cannot be kept; the message says what was given and what is possible. */
final class NotAFact extends Unanswerable
{
    private const SHOWN = 40;

    private function __construct(string $why, private readonly ?Sentence $sentence = null)
    {
        parent::__construct($why);
    }

    /** Held back: what is said of it stands in the reader's units. */
    public static function said(Sentence $why): self
    {
        return new self($why->in(new Units()), $why);
    }

    /** As it reads for whoever entered it. */
    public function in(Units $units): string
    {
        return $this->sentence?->in($units) ?? $this->getMessage();
    }

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
