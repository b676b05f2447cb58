<?php

declare(strict_types=1);

namespace Metrum\Quantity;

/** Heats of water and ice (IAPWS at 0 °C): freezing J/kg, warmth of water and of ice J/(kg K). */
final class Water
{
    public const LATENT = 333.6e3;

    public const WARMTH = 4.19e3;

    public const ICE_WARMTH = 2.1e3;
}
