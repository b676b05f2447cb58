<?php

namespace App\View;

use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Metrum\Quantity\Units;

/** Who reads a page, and in which units its sentences are told. */
final class PageReader
{
    public static function units(): Units
    {
        $user = Auth::user();

        return $user instanceof User ? $user->units() : new Units();
    }

    /** A sentence of data/, or one that was said in another reader's units; in views as @told(…). */
    public static function told(string $sentence): string
    {
        return self::units()->retell($sentence);
    }
}
