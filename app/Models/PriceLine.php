<?php

namespace App\Models;

/** One line of an offer, or of a price list (of which one is the quantity). */
final readonly class PriceLine
{
    /** @param  int  $price  of one, in hundredths of the currency */
    public function __construct(
        public string $what,
        public float $quantity,
        public string $unit,
        public int $price,
    ) {
    }

    /** Hundredths of the currency. */
    public function amount(): int
    {
        return (int) round($this->quantity * $this->price);
    }

    /** As it is typed. */
    public function typed(): string
    {
        $quantity = rtrim(rtrim(number_format($this->quantity, 3, '.', ''), '0'), '.');

        return implode('; ', [$this->what, $quantity, $this->unit, number_format($this->price / 100, 2, '.', '')]);
    }
}
