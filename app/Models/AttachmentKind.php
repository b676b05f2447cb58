<?php

namespace App\Models;

/** What can be kept of a visit besides its facts. */
enum AttachmentKind: string
{
    case Photo = 'photo';
    case Voice = 'voice';

    /** Bytes that one has at most. */
    public function most(): int
    {
        return match ($this) {
            self::Photo => 12 * 1024 ** 2,
            self::Voice => 4 * 1024 ** 2,
        };
    }
}
