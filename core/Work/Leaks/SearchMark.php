<?php

declare(strict_types=1);

namespace Metrum\Work\Leaks;

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
            self::ClearDetector => 'nothing, by the detector',
            self::ClearBubbles => 'nothing, by bubbles',
            self::ClearBoth => 'nothing, by both',
            self::Smells => 'the detector speaks',
            self::Bubble => 'a bubble grows',
            self::NotReached => 'cannot be reached',
        };
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
