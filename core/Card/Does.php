<?php

declare(strict_types=1);

namespace Metrum\Card;

/** What a card of work is for. */
enum Does: string
{
    case Test = 'test';
    case Move = 'move';
    case Search = 'search';
    case Care = 'care';
    case Proof = 'proof';
    case Charge = 'charge';

    public function label(): string
    {
        return match ($this) {
            self::Test => 'Test',
            self::Move => 'Adjustment',
            self::Search => 'Leak search',
            self::Care => 'Maintenance',
            self::Proof => 'Verification',
            self::Charge => 'Charge & recovery',
        };
    }
}
