<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Quantity\Unit;

/** What a sign usually is where no twin says it: a design figure and what is added to it, with its spread. SI. */
final readonly class UsualFigure
{
    /**
     * @param  ?UsualOf  $of  the design figure it begins from; null: none
     * @param  float  $otherwise  that figure where it is not known
     * @param  float  $value  added to it
     * @param  float  $spread  one deviation, added to the figure's own
     * @param  float  $valuePerExcess  more for each kelvin that the box is above its set point
     * @param  float  $spreadPerExcess  the same of the spread
     */
    private function __construct(
        public ?UsualOf $of,
        public float $otherwise,
        private float $value,
        private float $spread,
        private float $valuePerExcess,
        private float $spreadPerExcess,
    ) {
    }

    /** @throws BrokenData */
    public static function of(DataRow $row, Unit $unit): self
    {
        $row->only(['of', 'otherwise', 'value', 'spread', 'per_excess_k']);
        [$value, $spread] = $row->has('per_excess_k') ? self::pair($row) : [0.0, 0.0];

        return new self(
            $row->has('of') ? $row->word('of', UsualOf::class) : null,
            SignRow::difference($unit, $row->number('otherwise', 0.0)),
            SignRow::difference($unit, $row->number('value')),
            SignRow::difference($unit, $row->number('spread')),
            $value,
            $spread,
        );
    }

    /** @param  float  $excess  K by which the box is above its set point */
    public function value(float $excess): float
    {
        return $this->value + $this->valuePerExcess * $excess;
    }

    /** @param  float  $excess  K by which the box is above its set point */
    public function spread(float $excess): float
    {
        return $this->spread + $this->spreadPerExcess * $excess;
    }

    /** @return array{float, float} */
    private static function pair(DataRow $row): array
    {
        $numbers = array_values($row->numbers('per_excess_k'));
        if (count($numbers) !== 2) {
            throw $row->broken('per_excess_k', 'expected two numbers, value and spread');
        }

        return [$numbers[0], $numbers[1]];
    }
}
