<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Data\Knowledge;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Quantity\QuantityKind as Quantity;
use Metrum\Quantity\Unit;

/** Numbers with their units, and words, as they stand behind a name in a line. */
final class LineValue
{
    public const NUMBER = '(?>[+\-−]?\s*(?:\d+\s+(?=\d))?\d*(?:[.,]?\d+)?(?:\s*\/\s*\d+|\s*[½¼¾⅛⅜⅝⅞])?)';

    /** Bare number from which "supply" is no air. */
    public const NO_AIR = 150.0;

    /** Spellings of units that are words of their own behind a number: "4 in the morning". */
    private const PLAIN_WORDS = ['in', 'out', 'inch', 'inches', 'rev', 'deg', 'pounds', 'fans', 'pcs'];

    /**
     * The unit decides which reading is meant where one phrase names two; one that fits none is kept with its number,
     * so that it is asked back.
     *
     * @return ?array{0: string, 1: int, 2?: string} the number as typed, its length, the key if it is another reading
     */
    public static function measured(string $phrase, Reading $reading, string $text): ?array
    {
        $own = self::number($reading, $text, '');
        if ($own !== null) {
            return $own;
        }
        foreach (Reading::cases() as $other) {
            $shares = in_array($phrase, $other->taking()->saidWithUnit, true);
            $with = $shares ? self::number($other, $text, '') : null;
            if ($with !== null) {
                return [...$with, $other->value];
            }
        }

        return self::foreign($text) ?? (self::shared($phrase, $text) ?? self::number($reading, $text, '?'));
    }

    /**
     * A bare number too large for what the phrase means first: "supply 230" is volts.
     *
     * @return ?array{0: string, 1: int, 2: string}
     */
    private static function shared(string $phrase, string $text): ?array
    {
        $bare = self::numberWith('', $text);
        if ($bare === null || (float) str_replace(',', '.', $bare[0]) < self::NO_AIR) {
            return null;
        }
        foreach (Reading::cases() as $other) {
            if (in_array($phrase, $other->taking()->saidWithUnit, true)) {
                return [...$bare, $other->value];
            }
        }

        return null;
    }

    /** @return ?array{string, int} a number with a unit of any quantity */
    private static function foreign(string $text): ?array
    {
        $long = $short = [];
        foreach (Unit::cases() as $unit) {
            foreach ([$unit->symbol(), ...$unit->spellings()] as $spelling) {
                if (mb_strlen($spelling) > 1 && ! in_array($spelling, self::PLAIN_WORDS, true)) {
                    $long[] = $spelling;
                } elseif (ctype_alpha($spelling)) {
                    $short[] = $spelling;
                }
            }
        }
        $unit = '(?:\s*'.self::any($long).'|'.self::any($short).')';

        return self::numberWith($unit, $text);
    }

    /**
     * @param  string  $often  how often the unit may stand there: once, or '?' for once at most
     * @return ?array{string, int} the number with its unit as typed, and its length
     */
    private static function number(Reading $reading, string $text, string $often): ?array
    {
        $units = [];
        foreach ($reading->quantity()->units() as $unit) {
            if ($unit !== Unit::One) {
                array_push($units, $unit->symbol(), ...$unit->spellings());
            }
        }
        $absolute = $reading->quantity() === Quantity::GaugePressure ? '(?:\s*abs(?:\.|olute)?)?' : '';

        return self::numberWith('(?:\s*°?\s*'.self::any($units).$absolute.')'.$often, $text);
    }

    /**
     * @param  string  $unit  pattern
     * @return ?array{string, int}
     */
    private static function numberWith(string $unit, string $text): ?array
    {
        $found = preg_match(
            '/^[\s:=]*(?:is\s+|at\s+)?('.self::NUMBER.$unit.')(?![\p{L}\d])/iu',
            $text,
            $match,
        );

        return $found === 1 && preg_match('/[\d½¼¾⅛⅜⅝⅞]/u', $match[1]) === 1
            ? [trim($match[1]), strlen($match[0])]
            : null;
    }

    /**
     * A pattern of any of these, the longest first.
     *
     * @param  list<string>  $spellings
     */
    private static function any(array $spellings): string
    {
        $spellings = array_filter(array_unique($spellings), static fn (string $one): bool => $one !== '');
        usort($spellings, static fn (string $a, string $b): int => strlen($b) <=> strlen($a));
        $quoted = array_map(static fn (string $one): string => preg_quote($one, '/'), $spellings);

        return '(?:'.implode('|', $quoted).')';
    }

    /** What a choice reads as on its button, without its comma: that would end what is said. */
    public static function shown(Word $word): string
    {
        return str_replace(',', '', $word->label());
    }

    /**
     * @param  list<Word>  $words
     * @return ?array{string, int} the word meant, and the length of how it was said
     */
    public static function word(array $words, string $text): ?array
    {
        $best = null;
        foreach ($words as $word) {
            foreach (
                [
                    str_replace('_', ' ', $word->value),
                    self::shown($word),
                    ...Knowledge::file('sayings')->row('answers')->texts($word->value),
                ] as $said
            ) {
                $found =
                    preg_match(
                        '/^[\s:=]*(?:is\s+|are\s+)?'.preg_quote($said, '/').'(?![\p{L}])/iu',
                        $text,
                        $match,
                    ) === 1;
                if ($found && ($best === null || strlen($match[0]) > $best[1])) {
                    $best = [$word->value, strlen($match[0])];
                }
            }
        }

        return $best;
    }
}
