<?php

declare(strict_types=1);

namespace Metrum\Twin;

/** What can be asked of a twin before it is done to the plant. */
enum TwinQuestion: string
{
    case Mended = 'mended';
    case TurnIn = 'turn_in';
    case TurnOut = 'turn_out';
    case More = 'more';
    case Less = 'less';
    case Hot = 'hot';

    public function isTurn(): bool
    {
        return $this === self::TurnIn || $this === self::TurnOut;
    }
}
