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
    case Replacement = 'replacement';
    case Goods = 'goods';

    public function label(): string
    {
        return match ($this) {
            self::Wanted => 'Target values',
            self::Waiting => 'Waiting times',
            self::Setting => 'Control settings',
            self::Tests => 'Test limits',
            self::Refrigerant => 'Charging and recovery',
            self::Replacement => 'Repair or replacement',
            self::Goods => 'Product temperatures',
        };
    }
}
