<?php

declare(strict_types=1);

namespace Metrum\Language;

/** A name as it stands above something, and as it stands in a sentence. */
final class Heading
{
    /** "Superheat" becomes "superheat", "TD (coil pressure)" stays. */
    public static function within(string $heading): string
    {
        return preg_match('/^\p{Lu}{2}/u', $heading) === 1 ? $heading : lcfirst($heading);
    }
}
