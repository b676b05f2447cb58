<?php

declare(strict_types=1);

namespace Metrum\Log;

use Metrum\Language\Sentence;
use Metrum\Quantity\Unanswerable;
use Metrum\Quantity\Units;

/** What was entered cannot be kept; the message says what was entered and what is possible. */
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
        return new self(ucfirst($why).': “'.self::shown($key).'”.');
    }

    /**
     * @param  string  $what  what was asked, as its control is labelled
     * @param  list<string>  $possible  as the choices are labelled
     */
    public static function unknownWord(string $what, string $typed, array $possible): self
    {
        $last = array_pop($possible);
        $choices = $possible === [] ? $last : implode(', ', $possible).' or '.$last;

        return new self("$what: “".self::shown($typed)."” is not an option. Choose $choices.");
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
