<?php

declare(strict_types=1);

namespace Metrum\Refrigerant;

use Metrum\Quantity\Celsius;
use Metrum\Quantity\Unanswerable;

/** A property was asked for where the table of the refrigerant has none. The message names the range. */
final class OutsideTable extends Unanswerable
{
    public static function temperature(string $refrigerant, float $kelvin, float $lowest, float $highest): self
    {
        return new self(
            sprintf(
                '%s: %.1f °C is outside the property table (%.0f to %.0f °C).',
                $refrigerant,
                $kelvin - Celsius::ZERO,
                $lowest - Celsius::ZERO,
                $highest - Celsius::ZERO,
            ),
        );
    }

    public static function pressure(string $refrigerant, float $pascal, float $lowest, float $highest): self
    {
        return new self(
            sprintf(
                '%s: %.1f kPa abs is outside the property table (%.1f to %.1f kPa abs).',
                $refrigerant,
                $pascal / 1e3,
                $lowest / 1e3,
                $highest / 1e3,
            ),
        );
    }

    public static function superheat(string $refrigerant, float $kelvin): self
    {
        return new self(
            sprintf('%s: %.1f K of superheat is outside the property table (0 to 120 K).', $refrigerant, $kelvin),
        );
    }
}
