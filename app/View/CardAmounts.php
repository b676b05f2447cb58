<?php

namespace App\View;

use App\Picture\SeriesPicture;
use Metrum\Card\Step;
use Metrum\Log\Fact;
use Metrum\Quantity\Field;
use Metrum\Quantity\Format;
use Metrum\Quantity\Units;

/** Amounts of a card's steps: as they are typed anew, and as a series that grows. */
final readonly class CardAmounts
{
    /**
     * @param  Units  $own  of the reader, in which a number without unit is read
     * @param  Units  $told  the same, of a vacuum as it was typed
     */
    public function __construct(private Units $own, private Units $told)
    {
    }

    /** With its unit where that is not the one that stands behind the cell. */
    public function typed(float $si, Field $field): string
    {
        $told = $field->unit($this->told);

        return $told === $field->unit($this->own) ? Format::value($si, $told) : Format::amount($si, $told);
    }

    /** A timed series; null before it has two values. */
    public function picture(CardStep $one): ?SeriesPicture
    {
        return $one->step->field === null || count($one->series) < 2
            ? null
            : new SeriesPicture($one->series, $one->step->field, $this->told);
    }

    /** "07:42 −4.2" of one value of a series. */
    public function point(Step $step, Fact $fact): string
    {
        assert($step->field !== null);

        $value = $this->told->text((float) $fact->content->value, $step->field->kind);

        return $fact->seenAt()->format('H:i:s').' '.$value;
    }
}
