<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** What a house rule is about. */
enum RuleGroup: string
{
    case Wanted = 'wanted';
    case Waiting = 'waiting';
    case Setting = 'setting';
    case Tests = 'tests';
    case Refrigerant = 'refrigerant';

    public function label(): string
    {
        return match ($this) {
            self::Wanted => 'What is wanted of a plant',
            self::Waiting => 'How long is waited',
            self::Setting => 'Where controls are set',
            self::Tests => 'Tests and their limits',
            self::Refrigerant => 'Refrigerant in and out',
        };
    }
}
