<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\Ground;
use Metrum\Log\KindOfFact;
use Metrum\Log\NotAFact;
use Metrum\Log\Region;
use Metrum\Log\Statement;
use Metrum\Quantity\Units;

/** A question answered by a word, an observation or a test: the last answer to each stands. */
final readonly class WordAnswer implements KindOfFact
{
    /** @param  class-string<Observation>|class-string<Test>  $questions */
    public function __construct(private string $questions)
    {
    }

    public function content(Statement $said, Ground $ground): Content
    {
        $asked =
            $this->questions::tryFrom($said->key) ??
            throw NotAFact::unknownKey($said->key, 'unknown question');
        if ($said->typed === '') {
            return new Content($said->key);
        }
        $word = Word::tryFrom($said->typed);
        $words = $asked instanceof Observation ? $asked->wordsAt($ground->partOf($said)) : $asked->words();
        if ($word === null || ! in_array($word, $words, true)) {
            throw NotAFact::unknownWord(
                $asked->label(),
                $said->typed,
                array_map(static fn (Word $one): string => mb_strtolower($one->label()), $words),
            );
        }

        return new Content($said->key, null, $word->value, []);
    }

    public function place(Fact $fact): string
    {
        return $fact->part.' '.$fact->content->key;
    }

    public function line(Fact $fact, Units $units): string
    {
        $content = $fact->content;
        $answer = $content->word === null ? 'not checked' : lcfirst(Word::from($content->word)->label());

        return $this->asked($content)->label().': '.$answer;
    }

    public function stale(Content $content): array
    {
        // What is seen moves no point of the course, but a compressor that stands takes its gaps away.
        return $content->key === Observation::Compressor->value
            ? Region::cases()
            : [Region::Verdict, Region::Walk, Region::Hints];
    }

    public function canBeTakenBack(): bool
    {
        return true;
    }

    private function asked(Content $content): Question
    {
        return $this->questions::from($content->key);
    }
}
