<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Data\BrokenData;
use Metrum\Data\Knowledge;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\NoteWritten;
use Metrum\Log\Statement;

/** What people say whole, without naming what it is about: data/phrases.json, by what it means. */
final class Phrases
{
    private const ASK = 'ask';

    private const FILLERS = '/\b(?:the|a|an|its|it\'s|is|are|was|were|now)\b/u';

    /** @var array<string, string> meaning, by phrase as it is compared */
    private array $meanings = [];

    /** @throws BrokenData where a phrase is said to mean two things, or nothing that there is */
    public function __construct()
    {
        $row = Knowledge::file('phrases');
        foreach ($row->keys() as $meaning) {
            foreach ($row->texts($meaning) as $phrase) {
                $plain = self::plain($phrase);
                if (isset($this->meanings[$plain]) && $this->meanings[$plain] !== $meaning) {
                    throw $row->broken($meaning, "\"$phrase\" means \"{$this->meanings[$plain]}\" too");
                }
                $this->meanings[$plain] = $meaning;
            }
        }
    }

    /** As phrases are compared: small letters, single spaces, without the words that carry nothing. */
    public static function plain(string $text): string
    {
        $small = mb_strtolower(trim($text, " \t.!"));
        $bare = (string) preg_replace(self::FILLERS, ' ', str_replace('’', "'", $small));

        return trim((string) preg_replace('/\s+/u', ' ', $bare));
    }

    /** @return list<Statement> what was said; none where it is no phrase that is known */
    public function read(string $text): array
    {
        $meaning = $this->meanings[self::plain($text)] ?? null;
        if ($meaning === null) {
            return [];
        }
        if (str_starts_with($meaning, self::ASK.' ')) {
            return [self::ask($text, substr($meaning, strlen(self::ASK) + 1))];
        }
        $said = [];
        foreach (explode('; ', $meaning) as $one) {
            [$kind, $key, $word] = [...explode(' ', $one, 3), '', ''];
            $of = FactKind::from($kind);
            $said[] = match ($of) {
                FactKind::State => new Statement($of, FactKind::State->value, $key),
                FactKind::Complaint, FactKind::Touched, FactKind::Restored => new Statement($of, $key, 'yes'),
                FactKind::Reading,
                FactKind::Observation,
                FactKind::Test,
                FactKind::Confirmed,
                FactKind::RuledOut,
                FactKind::Note,
                FactKind::Move,
                FactKind::Card,
                FactKind::Clock,
                FactKind::Goods,
                FactKind::Site,
                FactKind::Circuit,
                FactKind::Undo => new Statement($of, $key, $word),
            };
        }

        return $said;
    }

    /** What fits two things is asked back. */
    public static function ask(string $text, string $question): Statement
    {
        return new Statement(FactKind::Note, NoteWritten::UNCLEAR, trim($text), $question);
    }

    /** @return array<string, string> meaning by phrase as it is compared */
    public function all(): array
    {
        return $this->meanings;
    }
}
