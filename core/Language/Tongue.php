<?php

declare(strict_types=1);

namespace Metrum\Language;

use Metrum\Data\Knowledge;

/**
 * Texts in another language, by their English wording (data/languages/…): whole sentences with the names of what
 * stands in them, and words that stand in others. English is complete by itself; what another language does not know
 * stays English.
 */
final class Tongue
{
    public const ENGLISH = 'en';

    /** What can be chosen: code => name in the language itself. */
    public const KNOWN = [self::ENGLISH => 'English', 'de' => 'Deutsch'];

    /** @param  string  $locale  one of KNOWN */
    public static function of(string $english, string $locale): string
    {
        return $locale === self::ENGLISH ? $english : self::known($english, $locale) ?? $english;
    }

    /** The same of a text within another: it may have lost its capital, or its full stop. */
    public static function within(string $english, string $locale): string
    {
        if ($locale === self::ENGLISH) {
            return $english;
        }
        $asItIs = self::known($english, $locale) ?? self::known(ucfirst($english), $locale);
        $ended = $asItIs ?? self::known(ucfirst($english).'.', $locale);

        return $asItIs ?? ($ended === null ? $english : rtrim($ended, '.'));
    }

    private static function known(string $english, string $locale): ?string
    {
        $text = Knowledge::file('languages/'.$locale)->given($english);

        return is_string($text) ? $text : null;
    }
}
