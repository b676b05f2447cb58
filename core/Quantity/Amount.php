<?php

declare(strict_types=1);

namespace Metrum\Quantity;

/** A measured or typed amount: its value in SI, its kind, and the unit in which it was said. */
final readonly class Amount
{
    private function __construct(public float $si, public QuantityKind $kind, public Unit $unit)
    {
    }

    /** @throws NotAQuantity where the value cannot exist (below absolute zero, below vacuum, negative mass) */
    public static function of(float $value, Unit $unit, QuantityKind $kind): self
    {
        $si = $unit->toSi($value);
        $lowest = $kind->lowest();
        if (! is_finite($si)) {
            throw NotAQuantity::outside($kind->value, 'more than can be counted', 'a finite number');
        }
        if ($lowest !== null && $si < $lowest - 1e-9) {
            // Vacuum counts downward: its greatest value is the lowest pressure.
            $limit =
                ($unit === Unit::InchMercuryVacuum ? 'at most ' : 'at least ').
                Format::number($unit->fromSi($lowest), 2).
                ' '.
                $unit->symbol();
            throw NotAQuantity::outside(
                $kind->value,
                Format::number($value, 3).' '.$unit->symbol(),
                $limit,
            );
        }

        return new self($si, $kind, $unit);
    }

    /** @param  float  $si  in the SI unit of the kind */
    public static function si(float $si, QuantityKind $kind): self
    {
        return new self($si, $kind, $kind->units()[0]);
    }

    public function in(Unit $unit): float
    {
        return $unit->fromSi($this->si);
    }
}
