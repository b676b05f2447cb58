<?php

namespace App\View\Board;

use Metrum\Installation\PartId;
use Metrum\Log\FactKind;

/** A question of the board about one part of the plant, with its answers as taps. */
final readonly class BoardChoice
{
    /** @param  array<string, string>  $answers  label by word */
    public function __construct(
        public PartId $part,
        public FactKind $kind,
        public string $key,
        public string $label,
        public array $answers,
        public ?string $chosen,
    ) {
    }

    public function domId(): string
    {
        return 'board-'.strtr($this->key.'-'.$this->part->value, ['_' => '-', ' ' => '-', '/' => '-']);
    }
}
