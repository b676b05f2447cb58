<?php

declare(strict_types=1);

namespace Metrum\Quantity;

/** What was typed is no quantity of the wanted kind. The message says what was given and what is possible. */
final class NotAQuantity extends Unanswerable
{
    public static function unreadable(string $given, QuantityKind $kind): self
    {
        $units = implode(', ', array_map(static fn (Unit $unit): string => $unit->symbol(), $kind->units()));

        return new self(
            sprintf(
                '"%s" is not a %s. Possible: a number%s.',
                self::shown($given),
                $kind->value,
                $units === '' ? '' : ', with '.$units.' if another unit than the usual is meant',
            ),
        );
    }

    public static function wrongUnit(string $given, string $unit, QuantityKind $kind): self
    {
        $units = implode(', ', array_map(static fn (Unit $one): string => $one->symbol(), $kind->units()));

        return new self(
            sprintf(
                '"%s": "%s" is no unit of %s. Possible: %s.',
                self::shown($given),
                self::shown($unit),
                $kind->value,
                $units,
            ),
        );
    }

    public static function outside(string $what, string $given, string $possible): self
    {
        return new self(
            sprintf('%s: %s was given; possible is %s.', ucfirst($what), self::shown($given), $possible),
        );
    }

    /** @param  string  $refusal  what is possible, without a full stop */
    public static function refused(string $label, string $typed, string $refusal): self
    {
        return new self(sprintf('%s: "%s" was given; %s.', $label, self::shown($typed), $refusal));
    }

    /** The same, with the name of what was asked before it. */
    public function about(string $label): self
    {
        return new self($label.': '.$this->getMessage());
    }

    private static function shown(string $text): string
    {
        return mb_strlen($text) > 40 ? mb_substr($text, 0, 40).'…' : $text;
    }
}
