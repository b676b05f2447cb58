<?php

declare(strict_types=1);

namespace Metrum\Findings;

/** How severe something is, told by shape and word first. */
enum Mark: string
{
    case Act = 'act';
    case Look = 'look';
    case Fine = 'fine';

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
