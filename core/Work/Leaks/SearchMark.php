<?php

declare(strict_types=1);

namespace Metrum\Work\Leaks;

use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Ruling;

/** How a place was searched, and what came of it: the answers of the card. */
enum SearchMark: string
{
    case ClearDetector = 'clear_detector';
    case ClearBubbles = 'clear_bubbles';
    case ClearBoth = 'clear_both';
    case Smells = 'smells';
    case Bubble = 'bubble';
    case NotReached = 'not_reached';

    public function label(): string
    {
        return match ($this) {
            self::ClearDetector => 'clear, detector',
            self::ClearBubbles => 'clear, bubbles',
            self::ClearBoth => 'clear, both',
            self::Smells => 'detector alarm',
            self::Bubble => 'bubbles',
            self::NotReached => 'cannot be reached',
        };
    }

    /** @return list<self> that of the tool first by which the house searches (Z-10) */
    public static function inOrder(HouseRules $rules): array
    {
        $tools = $rules->follow(Ruling::BubblesLead)
            ? [self::ClearBubbles, self::ClearBoth, self::ClearDetector, self::Bubble, self::Smells]
            : [self::ClearDetector, self::ClearBubbles, self::ClearBoth, self::Smells, self::Bubble];

        return [...$tools, self::NotReached];
    }

    public function usesDetector(): bool
    {
        return $this === self::ClearDetector || $this === self::ClearBoth;
    }

    public function usesBubbles(): bool
    {
        return $this === self::ClearBubbles || $this === self::ClearBoth;
    }

    public function isClear(): bool
    {
        return $this->usesDetector() || $this->usesBubbles();
    }
}
