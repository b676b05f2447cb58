<?php

declare(strict_types=1);

namespace Metrum\Quantity;

/** What was typed is no quantity of the kind asked for. The message says what was entered and what to enter. */
final class NotAQuantity extends Unanswerable
{
    private const SHOWN = 40;

    /** @param  string  $bare  the message without the name of what was asked */
    private function __construct(private readonly string $bare, string $what = '')
    {
        parent::__construct($what === '' ? $bare : $what.': '.$bare);
    }

    /** @param  Unit  $usual  the unit meant where none is typed */
    public static function unreadable(string $given, QuantityKind $kind, Unit $usual): self
    {
        $units = array_map(
            static fn (Unit $one): string => $one->symbol().($one === $usual ? ' (default)' : ''),
            self::usualFirst($kind->units(), $usual),
        );
        $possible = array_filter($units, static fn (string $one): bool => $one !== '' && $one !== ' (default)');

        return new self(
            sprintf(
                '“%s” is not a %s. Enter a number%s.',
                self::shown($given),
                $kind->noun(),
                $possible === [] ? '' : '; units: '.implode(', ', $possible),
            ),
        );
    }

    public static function wrongUnit(string $unit, QuantityKind $kind, Unit $usual): self
    {
        $units = array_map(static fn (Unit $one): string => $one->symbol(), self::usualFirst($kind->units(), $usual));
        $last = array_pop($units);

        return new self(
            sprintf(
                '%s is not a %s unit. Use %s.',
                self::shown($unit),
                $kind->noun(),
                $units === [] ? $last : implode(', ', $units).' or '.$last,
            ),
        );
    }

    /** @param  string  $possible  "−500 to 6000 m", "at least −273.15 °C" */
    public static function outside(string $what, string $given, string $possible): self
    {
        return new self(sprintf('you entered %s. Enter %s.', self::shown($given), $possible), ucfirst($what));
    }

    /** @param  string  $refusal  what to enter, without a full stop */
    public static function refused(string $label, string $typed, string $refusal): self
    {
        return new self(sprintf('you entered %s. %s.', self::shown($typed), ucfirst($refusal)), $label);
    }

    /** The same, named after what was asked. */
    public function about(string $label): self
    {
        return new self($this->bare, $label);
    }

    /**
     * @param  list<Unit>  $units
     * @return list<Unit>
     */
    private static function usualFirst(array $units, Unit $usual): array
    {
        usort($units, static fn (Unit $a, Unit $b): int => ($b === $usual) <=> ($a === $usual));

        return $units;
    }

    private static function shown(string $text): string
    {
        return mb_strlen($text) > self::SHOWN ? mb_substr($text, 0, self::SHOWN).'…' : $text;
    }
}
