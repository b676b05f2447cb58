<?php

namespace App\View;

use Metrum\Language\Tongue;

/** Days as they are written in the language of whoever reads. */
final class Dates
{
    private const ENGLISH = 'en_GB';

    /** @param  string  $fields  which of day, month and year: "dMMMM" gives "15 December" or "15. Dezember" */
    public static function day(\DateTimeInterface $day, string $fields, ?string $locale = null): string
    {
        $locale ??= app()->getLocale();
        $locale = $locale === Tongue::ENGLISH ? self::ENGLISH : $locale;
        $pattern = (new \IntlDatePatternGenerator($locale))->getBestPattern($fields);

        return (string) \IntlDateFormatter::formatObject($day, (string) $pattern, $locale);
    }
}
