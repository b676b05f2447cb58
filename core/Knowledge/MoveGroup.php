<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** What kind of work a move is. */
enum MoveGroup: string
{
    case Refrigerant = 'refrigerant';
    case Set = 'set';
    case PutRight = 'put_right';

    public function label(): string
    {
        return match ($this) {
            self::Refrigerant => 'Charging',
            self::Set => 'Adjust',
            self::PutRight => 'Repairs',
        };
    }
}
