<?php

declare(strict_types=1);

namespace Metrum\Twin;

/** What a plant in time is doing. */
enum Mode: string
{
    case Running = 'running';
    case PumpingDown = 'pumping_down';
    case Off = 'off';
    case Defrosting = 'defrosting';
    case Dripping = 'dripping';

    public function label(): string
    {
        return str_replace('_', ' ', $this->value);
    }
}
