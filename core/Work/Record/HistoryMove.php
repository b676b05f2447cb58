<?php

declare(strict_types=1);

namespace Metrum\Work\Record;

use Metrum\Knowledge\Control;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Language\WorkReason;
use Metrum\Log\Content;
use Metrum\Log\Kinds\PlantMoved;

/** Something that was done to a system, after which its figures may go on otherwise. */
final readonly class HistoryMove
{
    /**
     * @param  float  $at  s since 1970
     * @param  float  $value  of the move, SI; 1 for what is done or not
     */
    public function __construct(public float $at, public Control $control, public float $value)
    {
    }

    /** "Condenser washed", "Expansion valve ½ out" */
    public function words(): Sentence
    {
        $row = $this->control->row();
        if ($row->field === null) {
            return Sentence::plain($row->label);
        }
        $amount = PlantMoved::amount(new Content($this->control->value, $this->value));
        $nothing = Sentence::of(Reason::Nothing);

        return $this->control === Control::Charge
            ? $amount
            : Sentence::of(
                WorkReason::MoveMadeBy,
                what: $row->label,
                of: $nothing,
                amount: $amount,
                why: $nothing,
            );
    }
}
