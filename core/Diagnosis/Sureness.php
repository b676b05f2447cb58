<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Data\Knowledge;

/** How sure is sure: the one scale on which a probability becomes a word (data/sureness.json). */
enum Sureness: string
{
    case Open = 'open';
    case Leaning = 'leaning';
    case Likely = 'likely';
    case Sure = 'sure';

    /** @param  float  $probability  0 … 1 */
    public static function of(float $probability): self
    {
        foreach ([self::Sure, self::Likely, self::Leaning] as $level) {
            if ($probability >= $level->begins()) {
                return $level;
            }
        }

        return self::Open;
    }

    public function isAtLeast(self $other): bool
    {
        return $this->begins() >= $other->begins();
    }

    /** The probability at which it begins, 0 … 1. */
    public function begins(): float
    {
        return $this === self::Open ? 0.0 : Knowledge::file('sureness')->row($this->value)->number('from') / 100;
    }
}
