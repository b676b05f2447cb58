<?php

namespace App\View;

use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Metrum\Language\Sentence;
use Metrum\Language\Several;
use Metrum\Quantity\Units;

/** Who reads a page, and in which units its sentences are told. */
final class PageReader
{
    public static function units(): Units
    {
        $user = Auth::user();

        return $user instanceof User ? $user->units() : new Units();
    }

    /** A sentence, or a text of data/ with its figures in other units; in views as @told(…). */
    public static function told(string|Sentence|Several $said): string
    {
        return is_string($said) ? self::units()->retell($said) : $said->in(self::units());
    }
}
