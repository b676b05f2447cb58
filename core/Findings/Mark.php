<?php

declare(strict_types=1);

namespace Metrum\Findings;

/** How severe something is, told by shape and word first. */
enum Mark: string
{
    case Act = 'act';
    case Look = 'look';
    case Fine = 'fine';

    /** Deviations of a sound plant within which something is fine, and beyond which it asks to act. */
    public const FINE_WITHIN = 1.5;

    public const ACT_BEYOND = 3.0;

    /** @param  bool  $settled  what is not settled never asks to act */
    public static function ofDeviations(float $deviations, bool $settled): self
    {
        return match (true) {
            abs($deviations) <= self::FINE_WITHIN => self::Fine,
            abs($deviations) <= self::ACT_BEYOND || ! $settled => self::Look,
            default => self::Act,
        };
    }

    /** The more severe of two. */
    public function or(self $other): self
    {
        return $this->order() <= $other->order() ? $this : $other;
    }

    public function sign(): string
    {
        return match ($this) {
            self::Act => '●',
            self::Look => '◐',
            self::Fine => '○',
        };
    }

    /** Less is more severe. */
    public function order(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
