<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Seen;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Findings\Sign;
use Metrum\Installation\Condition;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;

/** One row of `seen_by`: answers, or a counted figure far off, that are a fault; some only under a condition. */
final readonly class SeenBy
{
    private const SIDES = ['high' => 1, 'low' => -1];

    /**
     * @param  ?Condition  $under  only where it holds; null: always
     * @param  list<Word>  $words  of a question
     * @param  list<int>  $sides  of a sign: 1 high, -1 low
     */
    private function __construct(
        public Question|Sign $asked,
        public ?Condition $under,
        public array $words,
        public array $sides,
    ) {
    }

    /**
     * @return list<self>
     *
     * @throws BrokenData
     */
    public static function ofRow(DataRow $row): array
    {
        return array_map(static fn (string $key): self => self::one($row, $key), $row->keys());
    }

    /** @throws BrokenData */
    private static function one(DataRow $row, string $key): self
    {
        $parts = explode('/', $key);
        $name = $parts[0];
        $condition = $parts[1] ?? null;
        $under =
            $condition === null
                ? null
                : Condition::tryFrom($condition) ?? throw $row->broken($key, 'no such condition');
        $sign = Sign::tryFrom($name);
        if ($sign !== null) {
            return new self($sign, $under, [], array_map(
                static fn (string $side): int => self::SIDES[$side] ?? throw $row->broken($key, 'high or low'),
                $row->texts($key),
            ));
        }
        $asked =
            Observation::tryFrom($name) ??
            (Test::tryFrom($name) ?? throw $row->broken($key, 'nothing that is asked or measured'));
        $words = $row->words($key, Word::class);
        foreach ($words as $word) {
            if (! in_array($word, $asked->words(), true)) {
                throw $row->broken($key, $word->value.' is no answer to it');
            }
        }

        return new self($asked, $under, $words, []);
    }
}
