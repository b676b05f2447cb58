<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

/** In which state refrigerant leaves its cylinder (N-06). */
enum LeavesAs
{
    /** A blend: as vapour its parts would leave it apart. */
    case LiquidAsBlend;
    /** The house rule has it so. */
    case LiquidByRule;
    case EitherWay;
}
