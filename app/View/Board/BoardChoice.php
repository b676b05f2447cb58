<?php

namespace App\View\Board;

use Metrum\Diagnosis\Cautions;
use Metrum\Findings\PartFindings;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Word;
use Metrum\Log\FactKind;

/** A question of the board about one part of the plant, with its answers as taps. */
final readonly class BoardChoice
{
    /**
     * @param  array<string, string>  $answers  label by word
     * @param  list<string>  $cautions  that stand where it is answered
     */
    public function __construct(
        public PartId $part,
        public FactKind $kind,
        public string $key,
        public string $label,
        public array $answers,
        public ?string $chosen,
        public array $cautions = [],
    ) {
    }

    /**
     * What is observed of a part.
     *
     * @param  list<Word>  $words  that it may be answered with; none: with all it has
     */
    public static function of(PartId $part, Observation $asked, PartFindings $found, array $words = []): self
    {
        $answers = [];
        foreach ($words === [] ? $asked->words() : $words as $word) {
            $answers[$word->value] = $word->label();
        }

        return new self(
            $part,
            FactKind::Observation,
            $asked->value,
            $asked->label(),
            $answers,
            $found->observed($asked)?->value,
            Cautions::words($asked->taking()->cautions),
        );
    }

    public function domId(): string
    {
        return 'board-'.strtr($this->key.'-'.$this->part->value, ['_' => '-', ' ' => '-', '/' => '-']);
    }
}
