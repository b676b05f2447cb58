<?php

declare(strict_types=1);

namespace Metrum\Bench;

/** What the calculators of one page are about. */
enum Group: string
{
    case Pressures = 'pressures';
    case Compressor = 'compressor';
    case Controls = 'controls';
    case Adjusting = 'adjusting';
    case Charge = 'charge';
    case Defrost = 'defrost';
    case Ice = 'ice';

    public function title(): string
    {
        return match ($this) {
            self::Pressures => 'Superheat, subcooling, standing pressure',
            self::Compressor => 'Compressor',
            self::Controls => 'Pressure controls',
            self::Adjusting => 'Expansion valve, pull-down',
            self::Charge => 'Charge, receiver, leaks',
            self::Defrost => 'Defrost',
            self::Ice => 'Ice machine',
        };
    }

    /** @return list<Calculator> */
    public function calculators(): array
    {
        return array_values(
            array_filter(Calculator::cases(), fn (Calculator $one): bool => $one->group() === $this),
        );
    }
}
