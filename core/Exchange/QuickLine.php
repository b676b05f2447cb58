<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Data\Knowledge;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\NoteWritten;
use Metrum\Log\Statement;
use Metrum\Quantity\Unit;

/**
 * Reads what people type as they talk: "suction 32psi, bulb -2c, glass bubbles".
 *
 * The words people use stand with each reading, observation and test, and in data/sayings.json. Longest match first,
 * entry after entry; what is not understood is kept as a note, in the words in which it was typed.
 */
final class QuickLine
{
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
        'Suction, head or liquid?' => ['psi', 'bar', 'kpa', 'psig', 'barg', 'mpa'],
        'Of what: box, air, or which line?' => ['°', '°c', '°f', 'c', 'f', 'degrees', 'deg'],
        'Superheat and subcooling are calculated from pressure and line temperature: enter those.' => ['k'],
    ];

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
            foreach (Knowledge::file('sayings')->row('states')->texts($state->value) as $phrase) {
                $this->phrases[] = [$phrase, FactKind::State, $state->value];
            }
        }
        foreach (Complaint::cases() as $complaint) {
            if ($complaint !== Complaint::None) {
                $phrase = str_replace('_', ' ', $complaint->value);
                $this->phrases[] = [$phrase, FactKind::Complaint, $complaint->value];
            }
        }
        $this->knowAsShown();
        usort($this->phrases, static fn (array $a, array $b): int => strlen($b[0]) <=> strlen($a[0]));
    }

    /** What stands at a cell or over a choice can be typed as it reads there, unless those words say something else. */
    private function knowAsShown(): void
    {
        $known = array_column($this->phrases, 2, 0);
        $shown = [];
        foreach (Reading::cases() as $one) {
            array_push($shown, [$one->short(), FactKind::Reading, $one], [$one->label(), FactKind::Reading, $one]);
        }
        foreach (Observation::cases() as $one) {
            $shown[] = [$one->label(), FactKind::Observation, $one];
        }
        foreach (Test::cases() as $one) {
            $shown[] = [$one->label(), FactKind::Test, $one];
        }
        foreach ($shown as [$name, $kind, $one]) {
            $whole = mb_strtolower($name);
            $short = trim((string) preg_replace('/\s*\([^)]*\)/u', '', $whole));
            foreach (array_unique([$whole, $short, str_replace('.', '', $short)]) as $phrase) {
                if (! isset($known[$phrase])) {
                    $known[$phrase] = $one->value;
                    $this->phrases[] = [$phrase, $kind, $one->value];
                }
            }
        }
    }

    private function know(FactKind $kind, Reading|Observation|Test ...$asked): void
    {
        foreach ($asked as $one) {
            foreach ($one->taking()->said as $phrase) {
                $this->phrases[] = [$phrase, $kind, $one->value];
            }
        }
    }

    /** A choice typed as its button reads is one thing, though it has a comma in it. */
    private static function shownWhole(string $line): string
    {
        $labels = array_map(static fn (Word $one): string => $one->label(), Word::cases());
        $without = array_map(LineValue::shown(...), Word::cases());
        $withComma = array_diff_assoc($labels, $without);

        return str_ireplace($withComma, array_intersect_key($without, $withComma), $line);
    }

    /** @return list<Statement> in the order in which they were said */
    public function read(string $line): array
    {
        $entries = [];
        $parts = preg_split('/[;\n]|,(?!\d)/u', self::shownWhole($line));
        foreach ($parts === false ? [] : $parts as $part) {
            $whole = $this->whole(trim($part));
            array_push($entries, ...$whole);
            $rest = $whole === [] ? trim($part) : '';
            $unknown = '';
            while ($rest !== '') {
                [$entry, $length] = ToldWhole::setPoint($rest) ?? $this->first($rest);
                if (
                    $entry?->kind === FactKind::State &&
                    ! $this->standsAlone($unknown, substr($rest, $length))
                ) {
                    $entry = null;
                }
                if ($entry !== null) {
                    $rest = ltrim(substr($rest, $length), " \t:=.");
                    [$entries[], $rest] = ToldWhole::withWhat($entry, $rest);
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
                $entries[] = new Statement(FactKind::Note, NoteWritten::PLAIN, $unknown);
            }
        }

        return $entries;
    }

    /**
     * What a part says as a whole: a known phrase, work, a pull-down told in hindsight, a number before its name.
     *
     * @return list<Statement> none where it is to be read word by word
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

        return ToldWhole::unclear($part) ?? [...ToldWhole::fell($part), ...$this->numberFirst($part)];
    }

    /**
     * "4.3 amps", "10 inhg", "32 psi suction": where the unit alone fits several things it is asked which.
     *
     * @return list<Statement>
     */
    private function numberFirst(string $part): array
    {
        $isNumber = preg_match('/^('.LineValue::NUMBER.')\s*([^\d\s]\S*)(?:\s+(.+))?$/u', $part, $is) === 1;
        if (! $isNumber || trim($is[1]) === '') {
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

    private static function ofUnit(string $key, string $part): Statement
    {
        return Reading::tryFrom($key) === null
            ? Phrases::ask($part, $key)
            : new Statement(FactKind::Reading, $key, $part);
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

    /** @return array{?Statement, int} what the text begins with, and how many bytes that takes */
    private function first(string $text): array
    {
        foreach ($this->phrases as [$phrase, $kind, $key]) {
            if (preg_match('/^'.preg_quote($phrase, '/').'(?![\p{L}-])/iu', $text, $match) !== 1) {
                continue;
            }
            $after = substr($text, strlen($match[0]));
            $value = match ($kind) {
                FactKind::Reading => LineValue::measured($phrase, Reading::from($key), $after),
                FactKind::Observation => LineValue::word(Observation::from($key)->words(), $after),
                FactKind::Test => LineValue::word(Test::from($key)->words(), $after),
                FactKind::Complaint => ['yes', 0],
                FactKind::State,
                FactKind::Confirmed,
                FactKind::RuledOut,
                FactKind::Note,
                FactKind::Move,
                FactKind::Card,
                FactKind::Clock,
                FactKind::Touched,
                FactKind::Restored,
                FactKind::Goods,
                FactKind::Site,
                FactKind::Circuit,
                FactKind::Undo => [$key, 0],
            };
            if ($value !== null) {
                $name = $value[2] ?? ($kind === FactKind::State ? FactKind::State->value : $key);

                return [new Statement($kind, $name, $value[0]), strlen($match[0]) + $value[1]];
            }
        }

        return [null, 0];
    }
}
