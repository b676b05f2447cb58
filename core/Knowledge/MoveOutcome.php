<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** What a move did, beside what was foretold. */
enum MoveOutcome: string
{
    case AsForetold = 'as_foretold';
    case Less = 'less';
    case Nothing = 'nothing';
    case OtherWay = 'other_way';
    case NotRead = 'not_read';

    public function label(): string
    {
        return match ($this) {
            self::AsForetold => 'as predicted',
            self::Less => 'less than predicted',
            self::Nothing => 'no effect',
            self::OtherWay => 'opposite effect',
            self::NotRead => 'not re-read yet',
        };
    }
}
