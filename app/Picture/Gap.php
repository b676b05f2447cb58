<?php

namespace App\Picture;

use App\View\Units;
use Metrum\Circuit\Band;
use Metrum\Quantity\Kind;

/** A difference that a technician judges: what it is called, its value, what is wanted, and the mark. */
final readonly class Gap
{
    public string $mark;

    /**
     * @param  float  $value  SI
     * @param  float  $near  how far outside the band still only asks for a look, SI
     */
    public function __construct(
        public string $name,
        public float $value,
        public Band $band,
        public Kind $quantity,
        public bool $settled,
        float $near,
        bool $upperOnly = false,
    ) {
        $miss = $band->miss($value);
        if ($upperOnly) {
            $miss = max(0.0, $miss);
        }
        $this->mark = match (true) {
            $miss === 0.0 => 'fine',
            abs($miss) <= $near || ! $settled => 'look',
            default => 'act',
        };
    }

    public function sign(): string
    {
        return match ($this->mark) {
            'fine' => '○',
            'look' => '◐',
            default => '●',
        };
    }

    public function shown(Units $units): string
    {
        return $units->number($this->value, $this->quantity);
    }

    public function wanted(Units $units): string
    {
        return str_replace(' to ', '–', $units->span($this->band->low, $this->band->high, $this->quantity));
    }

    /** "Superheat 15.6 K, wanted 4.5 to 6.5 K: act" */
    public function sentence(Units $units): string
    {
        return $this->name.
            ' '.
            $units->text($this->value, $this->quantity).
            ', wanted '.
            $units->span($this->band->low, $this->band->high, $this->quantity).
            ' '.
            $units->symbol($this->quantity).
            ': '.
            $this->mark;
    }
}
