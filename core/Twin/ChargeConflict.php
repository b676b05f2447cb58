<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Quantity\Magnitude;
use Metrum\Quantity\Units;

/** Two things that are given of a plant's charge and cannot be together, and by how much. kg. */
final readonly class ChargeConflict
{
    /**
     * @param  float  $given  kg, by the plate
     * @param  float  $possible  kg that come nearest to it
     */
    public function __construct(public ConflictKind $kind, public float $given, public float $possible)
    {
    }

    /** kg by which they differ, above 0. */
    public function off(): float
    {
        return abs($this->given - $this->possible);
    }

    public function sentence(Units $units): string
    {
        $given = $units->mass($this->given);
        $possible = $units->mass($this->possible);
        $off = $units->mass($this->off());
        $full = Magnitude::share(Filling::FULLEST)->in($units);
        $warm = Magnitude::temperature(Filling::REFERENCE)->whole()->in($units);

        return match ($this->kind) {
            ConflictKind::PlateTooMuch => "Nameplate charge $given does not match: condenser, receiver and lines as ".
                "entered hold $possible at most ($off too much). Check all four.",
            ConflictKind::PlateTooLittle => "Nameplate charge $given does not match: condenser, receiver and lines as ".
                "entered need $possible before liquid reaches the valve ($off short). Check all four.",
            ConflictKind::ReceiverTooSmall => "Pumped down, the receiver can hold $possible ($full at $warm). The ".
                "$given charge is $off too much: never pump down the full charge.",
        };
    }
}
