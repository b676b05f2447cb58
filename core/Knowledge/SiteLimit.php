<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** What limits the work at a site today. */
enum SiteLimit: string
{
    /** Until when there is time. */
    case LeaveBy = 'leave_by';
    case DarkAt = 'dark_at';
    /** From when customers or staff are in the way: no box emptied, nothing stopped. */
    case OpensAt = 'opens_at';
    case NoUnit = 'no_unit';
    case NoBox = 'no_box';
    case NoStop = 'no_stop';

    public function label(): string
    {
        return match ($this) {
            self::LeaveBy => 'Leave by',
            self::DarkAt => 'Dark at',
            self::OpensAt => 'Customers from',
            self::NoUnit => 'No access to the unit',
            self::NoBox => 'No access to the box',
            self::NoStop => 'System must keep running',
        };
    }

    /** Whether it is a time; else it is so or not. */
    public function isTime(): bool
    {
        return match ($this) {
            self::LeaveBy, self::DarkAt, self::OpensAt => true,
            self::NoUnit, self::NoBox, self::NoStop => false,
        };
    }
}
