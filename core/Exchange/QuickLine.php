<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Circuit\Complaint;
use Metrum\Circuit\DataFile;
use Metrum\Circuit\DesignKey;
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

    /** What a unit alone says: the one reading that has it, or what is asked back. */
    private const OF_A_UNIT = [
        'supply_voltage_v' => ['v', 'volt', 'volts'],
        'suction_pressure_kpa' => ['inhg', '"hg', 'in.hg'],
        'receiver_level_percent' => ['%', 'percent'],
        'compressor_current_a' => ['a', 'amp', 'amps', 'ampere'],
        'suction, head or liquid?' => ['psi', 'bar', 'kpa', 'psig', 'barg', 'mpa'],
        'of what: box, air, or which pipe?' => ['°', '°c', '°f', 'c', 'f', 'degrees', 'deg'],
        'superheat and subcooling follow from pressure and pipe: say those.' => ['k'],
    ];

    private const PRESSURE_IN_DEGREES = '/^(suction|head)\s+[-−+]?\d+(?:[.,]\d+)?\s*°$/iu';

    private const SET_POINT =
        '/^(?:box\s+set(?:\s*point)?|set\s*point|set)\s*(?:is\s+|at\s+|to\s+)?[:=]?\s*(?<typed>';

    private const SET_POINT_END = '\s*(?:°?\s*[cf])?)(?![\p{L}\d])/iu';

    /** Bare number from which "supply" is no air. */
    private const NO_AIR = 150.0;

    private const PERHAPS_AIR = 90.0;

    /** @var list<array{string, FactKind, string}> phrase, kind, key; longest phrase first */
    private array $phrases = [];

    private readonly Phrases $known;

    public function __construct()
    {
        $this->known = new Phrases();
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
            $whole = $this->whole(trim($part));
            array_push($entries, ...$whole);
            $rest = $whole === [] ? trim($part) : '';
            $unknown = '';
            while ($rest !== '') {
                [$entry, $length] = self::setPoint($rest) ?? $this->first($rest);
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

    /**
     * What a part says as a whole: a phrase that is known, work, a pull-down told in hindsight, a number before its name.
     *
     * @return list<Said> none where it is to be read word by word
     */
    private function whole(string $part): array
    {
        $phrase = $this->known->read($part);
        if ($phrase !== []) {
            return $phrase;
        }
        $work = WorkLine::read($part);
        if ($work !== null) {
            return [$work];
        }

        return self::unclear($part) ?? [...self::fell($part), ...$this->numberFirst($part)];
    }

    /**
     * Figures with two decimal signs, pressures in degrees: asked back, never cut where they are understood.
     *
     * @return ?list<Said>
     */
    private static function unclear(string $part): ?array
    {
        if (preg_match('/\d[.,]\d+[.,]\d/u', $part) === 1) {
            return [Phrases::ask($part, 'which figure? Write 1.5 or 1,5.')];
        }
        if (preg_match(self::PRESSURE_IN_DEGREES, $part, $is) === 1) {
            return [Phrases::ask($part, "is that the $is[1] pressure in psi or bar, or the $is[1] line in degrees?")];
        }
        $air = preg_match('/^supply\s+(\d+)$/iu', $part, $is) === 1 ? (float) $is[1] : 0.0;

        return $air >= self::PERHAPS_AIR && $air < self::NO_AIR
            ? [Phrases::ask($part, 'volts, or supply air? Write 100 V or 100 F.')]
            : null;
    }

    /**
     * "box set 35", "set point 2", "box 41f set 36f": what the box is set to. "set 2" alone is a move, read before.
     *
     * @return ?array{Said, int} with how many bytes that takes
     */
    private static function setPoint(string $text): ?array
    {
        return preg_match(self::SET_POINT.self::NUMBER.self::SET_POINT_END, $text, $is) === 1
            ? [new Said(FactKind::Circuit, DesignKey::BoxSetPoint->value, trim($is['typed'])), strlen($is[0])]
            : null;
    }

    /**
     * "box from 15 to 3 in 40 min": how fast it fell, and where it is.
     *
     * @return list<Said>
     */
    private static function fell(string $part): array
    {
        $number = '(-?\d+(?:[.,]\d+)?)';
        $pattern = "/^(?:box\s+|room\s+|pull-?down\s+)?from\s+$number\s*°?([cf])?\s+to\s+$number\s*°?([cf])?\s+".
            'in\s+(\d+(?:[.,]\d+)?)\s*(min(?:utes)?|m|h|hours?)?$/iu';
        if (preg_match($pattern, $part, $is, PREG_UNMATCHED_AS_NULL) !== 1) {
            return [];
        }
        $figure = static fn (string $typed): float => (float) str_replace(',', '.', $typed);
        $unit = strtoupper($is[4] ?? $is[2] ?? '');
        $hours = $figure($is[5]) / (str_starts_with(strtolower($is[6] ?? 'min'), 'h') ? 1.0 : 60.0);
        $rate = round(($figure($is[1]) - $figure($is[3])) / max(1e-6, $hours), 2);

        return [
            new Said(FactKind::Reading, Reading::PullDownRate->value, $rate.($unit === '' ? '' : " $unit/h")),
            new Said(FactKind::Reading, Reading::BoxTemperature->value, $is[3].($unit === '' ? '' : " $unit")),
        ];
    }

    /**
     * "4.3 amps", "10 inhg", "32 psi suction": where the unit alone fits several things it is asked which.
     *
     * @return list<Said>
     */
    private function numberFirst(string $part): array
    {
        if (preg_match('/^('.self::NUMBER.')\s*([^\d\s]\S*)(?:\s+(.+))?$/u', $part, $is) !== 1 || trim($is[1]) === '') {
            return [];
        }
        $named = $is[3] ?? '';
        foreach ($named === '' ? [$is[2]] : [$named, "$is[2] $named"] as $name) {
            $unit = $name === $named ? " $is[2]" : '';
            $told = $this->first(trim("$name $is[1]$unit"));
            if ($told[0]?->kind === FactKind::Reading && $told[1] >= strlen(trim("$name $is[1]$unit"))) {
                return [$told[0]];
            }
        }
        if ($named !== '') {
            return [];
        }
        foreach (self::OF_A_UNIT as $key => $units) {
            if (in_array(mb_strtolower($is[2]), $units, true)) {
                return [self::ofUnit($key, $part)];
            }
        }

        return [];
    }

    private static function ofUnit(string $key, string $part): Said
    {
        return Reading::tryFrom($key) === null
            ? Phrases::ask($part, $key)
            : new Said(FactKind::Reading, $key, $part);
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

        return self::foreign($text) ?? ($this->shared($phrase, $text) ?? $this->number($reading, $text, '?'));
    }

    /**
     * A bare number too large for what the phrase means first: "supply 230" is volts.
     *
     * @return ?array{0: string, 1: int, 2: string}
     */
    private function shared(string $phrase, string $text): ?array
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
