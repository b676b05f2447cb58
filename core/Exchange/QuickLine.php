<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Circuit\Complaint;
use Metrum\Circuit\DataFile;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\State;
use Metrum\Circuit\Test;
use Metrum\Circuit\Word;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\NoteWritten;
use Metrum\Log\Said;
use Metrum\Quantity\Kind as Quantity;
use Metrum\Quantity\Unit;

/**
 * Reads what people type as they talk: "suction 32psi, bulb -2c, glass bubbles".
 *
 * The words people use stand with each reading, observation and test, and in data/sayings.json. Longest match first,
 * entry after entry; what is not understood is kept as a note, in the words in which it was typed.
 */
final class QuickLine
{
    private const NUMBER = '(?>[+\-−]?\s*(?:\d+\s+(?=\d))?\d*(?:[.,]?\d+)?(?:\s*\/\s*\d+|\s*[½¼¾⅛⅜⅝⅞])?)';

    /** Spellings of units that are words of their own behind a number: "4 in the morning". */
    private const PLAIN_WORDS = ['in', 'out', 'inch', 'inches', 'rev', 'deg', 'pounds', 'fans', 'pcs'];

    private const NEGATIONS = [
        'not',
        'no',
        'never',
        'without',
        "isn't",
        "aren't",
        "doesn't",
        "don't",
        'nothing',
    ];

    /** @var list<array{string, FactKind, string}> phrase, kind, key; longest phrase first */
    private array $phrases = [];

    public function __construct()
    {
        $this->know(FactKind::Reading, ...Reading::cases());
        $this->know(FactKind::Observation, ...Observation::cases());
        $this->know(FactKind::Test, ...Test::cases());
        foreach (State::cases() as $state) {
            foreach (DataFile::read('sayings')->row('states')->texts($state->value) as $phrase) {
                $this->phrases[] = [$phrase, FactKind::State, $state->value];
            }
        }
        foreach (Complaint::cases() as $complaint) {
            if ($complaint !== Complaint::None) {
                $phrase = str_replace('_', ' ', $complaint->value);
                $this->phrases[] = [$phrase, FactKind::Complaint, $complaint->value];
            }
        }
        usort($this->phrases, static fn (array $a, array $b): int => strlen($b[0]) <=> strlen($a[0]));
    }

    private function know(FactKind $kind, Reading|Observation|Test ...$asked): void
    {
        foreach ($asked as $one) {
            foreach ($one->taking()->said as $phrase) {
                $this->phrases[] = [$phrase, $kind, $one->value];
            }
        }
    }

    /** @return list<Said> in the order in which they were said */
    public function read(string $line): array
    {
        $entries = [];
        $parts = preg_split('/[;\n]|,(?!\d)/u', $line);
        foreach ($parts === false ? [] : $parts as $part) {
            $work = WorkLine::read($part);
            $entries = $work === null ? $entries : [...$entries, $work];
            $rest = $work === null ? trim($part) : '';
            $unknown = '';
            while ($rest !== '') {
                [$entry, $length] = $this->first($rest);
                if (
                    $entry?->kind === FactKind::State &&
                    ! $this->standsAlone($unknown, substr($rest, $length))
                ) {
                    $entry = null;
                }
                if ($entry !== null) {
                    $entries[] = $entry;
                    $rest = ltrim(substr($rest, $length), " \t:=.");
                } else {
                    preg_match('/^\S+\s*/u', $rest, $word);
                    $taken = $word[0] ?? $rest;
                    // What is denied is not said: the rest is kept in its own words.
                    $taken = in_array(mb_strtolower(trim($taken)), self::NEGATIONS, true) ? $rest : $taken;
                    $unknown .= $taken;
                    $rest = substr($rest, strlen($taken));
                }
            }
            if (trim($unknown) !== '') {
                $entries[] = new Said(FactKind::Note, NoteWritten::PLAIN, $unknown);
            }
        }

        return $entries;
    }

    /** "off" alone is a state; in "cap off left open" it is none. */
    private function standsAlone(string $before, string $after): bool
    {
        $after = ltrim($after, " \t:=.");

        return trim($before) === '' && ($after === '' || $this->first($after)[0] !== null);
    }

    /** The phrase that the last, half-typed word begins; null where there is none or it is whole. */
    public function completion(string $line): ?string
    {
        if (preg_match('/(?:^|[\s,;])([a-z][a-z -]{1,24})$/iu', $line, $match) !== 1) {
            return null;
        }
        $typed = mb_strtolower(ltrim($match[1]));
        $found = array_filter(
            array_column($this->phrases, 0),
            static fn (string $phrase): bool => str_starts_with($phrase, $typed),
        );
        if ($found === [] || in_array($typed, $found, true)) {
            return null;
        }
        usort($found, static fn (string $a, string $b): int => strlen($a) <=> strlen($b));

        return substr($found[0], strlen($typed));
    }

    /** @return array{?Said, int} what the text begins with, and how many bytes that takes */
    private function first(string $text): array
    {
        foreach ($this->phrases as [$phrase, $kind, $key]) {
            if (preg_match('/^'.preg_quote($phrase, '/').'(?![\p{L}-])/iu', $text, $match) !== 1) {
                continue;
            }
            $after = substr($text, strlen($match[0]));
            $value = match ($kind) {
                FactKind::Reading => $this->measured($phrase, Reading::from($key), $after),
                FactKind::Observation => $this->word(Observation::from($key)->words(), $after),
                FactKind::Test => $this->word(Test::from($key)->words(), $after),
                FactKind::Complaint => ['yes', 0],
                default => [$key, 0],
            };
            if ($value !== null) {
                $name = $value[2] ?? ($kind === FactKind::State ? FactKind::State->value : $key);

                return [new Said($kind, $name, $value[0]), strlen($match[0]) + $value[1]];
            }
        }

        return [null, 0];
    }

    /**
     * The unit decides which reading is meant where one phrase names two; one that fits none is kept with its number,
     * so that it is asked back.
     *
     * @return ?array{0: string, 1: int, 2?: string} the number as typed, its length, the key if it is another reading
     */
    private function measured(string $phrase, Reading $reading, string $text): ?array
    {
        $own = $this->number($reading, $text, '');
        if ($own !== null) {
            return $own;
        }
        foreach (Reading::cases() as $other) {
            $shares = in_array($phrase, $other->taking()->saidWithUnit, true);
            $with = $shares ? $this->number($other, $text, '') : null;
            if ($with !== null) {
                return [...$with, $other->value];
            }
        }

        return self::foreign($text) ?? $this->number($reading, $text, '?');
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
    private function number(Reading $reading, string $text, string $often): ?array
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

    /**
     * @param  list<Word>  $words
     * @return ?array{string, int} the word meant, and the length of how it was said
     */
    private function word(array $words, string $text): ?array
    {
        $best = null;
        foreach ($words as $word) {
            foreach (
                [
                    str_replace('_', ' ', $word->value),
                    ...DataFile::read('sayings')->row('answers')->texts($word->value),
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
