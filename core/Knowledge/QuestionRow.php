<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Installation\Condition;

/** What data/observations.json or data/tests.json says of one question that is answered by a word. */
final readonly class QuestionRow
{
    /**
     * @param  list<Word>  $words  what it may be answered with
     * @param  Look  $look  how surely it is answered
     * @param  string  $family  what its answer tells of: answers of one family tell the same thing twice
     * @param  array<string, float>  $usual  chance of each answer at a sound plant
     * @param  list<array{Condition, array<string, float>}>  $usualWhen  the same where a condition holds
     */
    private function __construct(
        public string $label,
        public array $words,
        public Look $look,
        public string $family,
        public array $usual,
        public array $usualWhen,
        public Taking $taking,
    ) {
    }

    /**
     * The condition under which other answers are usual; null where none holds.
     *
     * @param  callable(Condition): ?bool  $holds
     */
    public function under(callable $holds): ?Condition
    {
        foreach ($this->usualWhen as [$condition]) {
            if ($holds($condition) === true) {
                return $condition;
            }
        }

        return null;
    }

    /** @return array<string, float> chance of each answer at a sound plant under a condition */
    public function usualUnder(?Condition $under): array
    {
        foreach ($this->usualWhen as [$condition, $usual]) {
            if ($condition === $under) {
                return $usual;
            }
        }

        return $this->usual;
    }

    /** @throws BrokenData */
    public static function of(DataRow $row): self
    {
        $row->only([...Taking::KEYS, 'label', 'words', 'look', 'family', 'usual', 'usual_when']);
        $words = $row->words('words', Word::class);
        $row->row('usual')->only(array_column($words, 'value'));
        $when = [];
        foreach ($row->row('usual_when')->keys() as $name) {
            $condition =
                Condition::tryFrom($name) ?? throw $row->broken('usual_when.'.$name, 'no such condition');
            $row->row('usual_when')->row($name)->only(array_column($words, 'value'));
            $when[] = [$condition, $row->row('usual_when')->numbers($name)];
        }

        return new self(
            $row->text('label'),
            $words,
            $row->word('look', Look::class),
            $row->text('family'),
            $row->numbers('usual'),
            $when,
            Taking::ofRow($row),
        );
    }
}
