<?php

namespace App\View\Board;

use Metrum\Findings\PartFindings;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Format;
use Metrum\Quantity\Units;

/** An entry cell of the board: one reading of one part of the plant. */
final readonly class BoardCell
{
    public string $unit;

    public string $value;

    /** What was read before the last change, with its unit; empty where nothing was, or it was read again. */
    public string $before;

    /**
     * @param  ?float  $si  null: not read
     * @param  ?float  $before  before the last change
     */
    private function __construct(
        public PartId $part,
        public Reading $reading,
        public string $label,
        ?float $si,
        Units $units,
        ?float $before = null,
    ) {
        $unit = $units->of($reading->quantity());
        $this->unit = $unit->symbol();
        $this->value = $si === null ? '' : Format::value($si, $unit);
        $this->before = $si !== null || $before === null ? '' : $units->text($before, $reading->quantity());
    }

    /**
     * What was read at a part, and before the last change.
     *
     * @param  string  $label  empty: as the reading is called
     */
    public static function of(
        PartId $part,
        Reading $reading,
        PartFindings $found,
        Units $units,
        string $label = '',
    ): self {
        return new self(
            $part,
            $reading,
            $label === '' ? $reading->short() : $label,
            $found->reading($reading),
            $units,
            $found->before[$reading->value] ?? null,
        );
    }

    public function domId(): string
    {
        return 'board-'.strtr($this->reading->value.'-'.$this->part->value, ['_' => '-', ' ' => '-', '/' => '-']);
    }
}
