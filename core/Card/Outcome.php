<?php

declare(strict_types=1);

namespace Metrum\Card;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Prerequisite;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;

/** What a card comes to where its clauses hold: what it says, what it tells the diagnosis, where it leads. */
final readonly class Outcome
{
    /**
     * @param  string  $key  its name in the file
     * @param  list<Clause>  $when  all must hold; none: it holds where no other does
     * @param  list<array{Question, Word}>  $tells  observations and tests that are answered by it
     * @param  array<string, Ref>  $keeps  values kept as readings, by their keys
     * @param  string  $leads  key of the card that comes next; empty: none
     * @param  string  $returns  why somebody has to come back; empty: nobody
     * @param  ?Prerequisite  $permits  what is confirmed by it for the visit
     */
    private function __construct(
        public string $key,
        public string $label,
        public array $when,
        public Template $says,
        public array $tells,
        public array $keeps,
        public string $leads,
        public string $returns,
        public ?Prerequisite $permits,
    ) {
    }

    /**
     * @param  list<string>  $besides  keys that the row may have for something else
     *
     * @throws BrokenData
     */
    public static function ofRow(DataRow $row, array $besides = []): self
    {
        $row->only(['key', 'label', 'when', 'says', 'tells', 'keeps', 'leads', 'returns', 'permits', ...$besides]);
        $keeps = [];
        foreach ($row->row('keeps')->keys() as $reading) {
            Reading::tryFrom($reading) ?? throw $row->broken('keeps.'.$reading, 'no such reading');
            $keeps[$reading] = Ref::of($row->row('keeps'), $reading);
        }

        return new self(
            $row->text('key'),
            $row->text('label'),
            Clause::all($row, 'when'),
            Template::of($row, 'says'),
            self::told($row),
            $keeps,
            $row->has('leads') ? $row->text('leads') : '',
            $row->has('returns') ? $row->text('returns') : '',
            $row->has('permits') ? $row->word('permits', Prerequisite::class) : null,
        );
    }

    /**
     * @return list<array{Question, Word}>
     *
     * @throws BrokenData where a question is none, or cannot be answered so
     */
    private static function told(DataRow $row): array
    {
        $told = [];
        foreach ($row->row('tells')->keys() as $key) {
            $question =
                Test::tryFrom($key) ?? Observation::tryFrom($key) ??
                throw $row->broken('tells.'.$key, 'no such test or observation');
            $word = $row->row('tells')->word($key, Word::class);
            if (! in_array($word, $question->words(), true)) {
                throw $row->broken('tells.'.$key, "cannot be answered by $word->value");
            }
            $told[] = [$question, $word];
        }

        return $told;
    }
}
