<?php

declare(strict_types=1);

namespace Metrum\Twin;

/** The control that stopped a plant in time. */
enum Trip: string
{
    case LowPressure = 'low pressure';
    case HighPressure = 'high pressure';
}
