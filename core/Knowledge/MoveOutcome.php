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
            self::AsForetold => 'as foretold',
            self::Less => 'less than foretold',
            self::Nothing => 'nothing',
            self::OtherWay => 'the other way',
            self::NotRead => 'not read yet',
        };
    }
}
