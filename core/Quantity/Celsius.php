<?php

declare(strict_types=1);

namespace Metrum\Quantity;

/** Where the Celsius scale stands on the Kelvin scale, for code that counts in round degrees. */
final class Celsius
{
    /** 0 °C, K. */
    public const ZERO = 273.15;
}
