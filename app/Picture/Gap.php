<?php

namespace App\Picture;

use Metrum\Findings\Mark;
use Metrum\Knowledge\Band;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Twin\Expected;

/** A difference that a technician judges: its value, the span in which it should lie here and now, and the mark. */
final readonly class Gap
{
    private function __construct(
        public GapName $name,
        public float $value,
        public Band $band,
        public QuantityKind $quantity,
        public Mark $mark,
        public ?Band $wanted = null,
    ) {
    }

    /**
     * JudgedVisit by what this plant should show here and now: the mark comes from the distance in its deviations.
     *
     * @param  Band  $wanted  what one adjusts to: plate, maker or house rule
     */
    public static function ofPlant(
        GapName $name,
        float $value,
        Expected $expected,
        string $source,
        Band $wanted,
        bool $settled,
    ): self {
        $width = Mark::FINE_WITHIN * $expected->deviation;
        $span = new Band($expected->value - $width, $expected->value + $width, $source);
        $mark = Mark::ofDeviations(($value - $expected->value) / $expected->deviation, $settled);

        return new self($name, $value, $span, QuantityKind::Difference, $mark, $wanted);
    }

    /** Less is never wrong, and none is fine. */
    public function upwardOnly(): self
    {
        $band = new Band(max(0.0, $this->band->low), max(0.0, $this->band->high), $this->band->source);
        $mark = $this->value > $band->high ? $this->mark : Mark::Fine;

        return new self($this->name, $this->value, $band, $this->quantity, $mark, $this->wanted);
    }

    /** Below this it asks to act, whatever the plant usually shows. */
    public function notBelow(float $floor, string $source, bool $settled): self
    {
        $band = $floor <= $this->band->low
            ? $this->band
            : new Band($floor, max($floor, $this->band->high), $this->band->source.'; '.$source);
        $mark = $this->value < $floor ? $this->mark->or($settled ? Mark::Act : Mark::Look) : $this->mark;

        return new self($this->name, $this->value, $band, $this->quantity, $mark, $this->wanted);
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
            QuantityKind::Difference,
            self::judged($band->miss($value), $near, $settled),
        );
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
            QuantityKind::Temperature,
            self::judged($band->miss($value), $near, $settled),
        );
    }

    public function shown(Units $units): string
    {
        return $units->number($this->value, $this->quantity);
    }

    /** The span in which it should lie, beside the figure. */
    public function span(Units $units): string
    {
        $span = $this->possible($units);

        return str_contains($span, '−') ? $span : str_replace(' to ', '–', $span);
    }

    /** No plant has less than none of a superheat, a drop or a split; two clamps may read so. */
    private function possible(Units $units): string
    {
        $isDifference = $this->quantity === QuantityKind::Difference;
        [$low, $high] = [$this->band->low, $this->band->high];

        return $isDifference
            ? $units->span(max(0.0, $low), max(0.0, $high), $this->quantity)
            : $units->span($low, $high, $this->quantity);
    }

    /** What one adjusts to, where that is another span. */
    public function wanted(Units $units): string
    {
        return $this->wanted === null
            ? ''
            : $units->span($this->wanted->low, $this->wanted->high, $this->quantity).
                ', '.
                $units->retell($this->wanted->source);
    }

    /** "Superheat 15.6 K, should be 4.5 to 6.5 K: act" */
    public function sentence(Units $units): string
    {
        $span = $this->possible($units);

        return $this->name->value.
            ' '.
            $units->text($this->value, $this->quantity).
            ', expected '.
            $span.
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
