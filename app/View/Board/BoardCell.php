<?php

namespace App\View\Board;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Format;
use Metrum\Quantity\Units;

/** An entry cell of the board: one reading of one part of the plant. */
final readonly class BoardCell
{
    public string $unit;

    public string $value;

    /** @param  ?float  $si  null: not read */
    public function __construct(
        public PartId $part,
        public Reading $reading,
        public string $label,
        ?float $si,
        Units $units,
        public string $hint = '',
    ) {
        $unit = $units->of($reading->quantity());
        $this->unit = $unit->symbol();
        $this->value = $si === null ? '' : Format::value($si, $unit);
    }

    public function domId(): string
    {
        return 'board-'.strtr($this->reading->value.'-'.$this->part->value, ['_' => '-', ' ' => '-', '/' => '-']);
    }
}
