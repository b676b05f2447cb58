<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** What happened to goods, besides what was read. */
enum GoodsEvent: string
{
    /** When they were known to be within their limit for the last time. */
    case LastGood = 'last_good';
    case Moved = 'moved';
    case BroughtBack = 'brought_back';
    case Discarded = 'discarded';
    /** Whoever answers for them decided that they stay. */
    case Stays = 'stays';

    public function label(): string
    {
        return match ($this) {
            self::LastGood => 'Last known good',
            self::Moved => 'Moved to',
            self::BroughtBack => 'Brought back',
            self::Discarded => 'Discarded',
            self::Stays => 'Stays here',
        };
    }

    /** Whether it ends the time that goods stand here. */
    public function endsIt(): bool
    {
        return $this === self::Moved || $this === self::Discarded;
    }

    /** Whether somebody decided what becomes of the goods. */
    public function decides(): bool
    {
        return $this->endsIt() || $this === self::Stays;
    }
}
