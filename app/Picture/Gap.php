<?php

namespace App\Picture;

use Metrum\Circuit\Band;
use Metrum\Findings\Mark;
use Metrum\Quantity\Kind;
use Metrum\Quantity\Units;

/** A difference that a technician judges: what it is called, its value, what is wanted, and the mark. */
final readonly class Gap
{
    private function __construct(
        public GapName $name,
        public float $value,
        public Band $band,
        public Kind $quantity,
        public Mark $mark,
    ) {
    }

    /**
     * @param  float  $value  K
     * @param  float  $near  K outside the band that still only ask for a look
     * @param  bool  $settled  what is not settled never asks to act
     */
    public static function difference(GapName $name, float $value, Band $band, float $near, bool $settled): self
    {
        return new self(
            $name,
            $value,
            $band,
            Kind::Difference,
            self::judged($band->miss($value), $near, $settled),
        );
    }

    /** Judged only upward: less is never wrong. */
    public static function upward(GapName $name, float $value, Band $band, float $near, bool $settled): self
    {
        $mark = self::judged(max(0.0, $band->miss($value)), $near, $settled);

        return new self($name, $value, $band, Kind::Difference, $mark);
    }

    /** A temperature, K, against what is expected of it. */
    public static function temperature(
        GapName $name,
        float $value,
        Band $band,
        float $near,
        bool $settled,
    ): self {
        return new self(
            $name,
            $value,
            $band,
            Kind::Temperature,
            self::judged($band->miss($value), $near, $settled),
        );
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
        $wanted = $units->span($this->band->low, $this->band->high, $this->quantity);

        return $this->name->value.
            ' '.
            $units->text($this->value, $this->quantity).
            ', wanted '.
            $wanted.
            ' '.
            $units->symbol($this->quantity).
            ': '.
            $this->mark->value;
    }

    private static function judged(float $miss, float $near, bool $settled): Mark
    {
        return match (true) {
            $miss === 0.0 => Mark::Fine,
            abs($miss) <= $near || ! $settled => Mark::Look,
            default => Mark::Act,
        };
    }
}
