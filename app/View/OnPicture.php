<?php

namespace App\View;

use Metrum\Language\Tongue;
use Metrum\Quantity\Units;

/**
 * What stands on a picture or at the head of a report, in the language of the page: names through the framework's
 * translations, numbers with their decimal mark. What has no translation stays.
 */
final class OnPicture
{
    private const NAME = '~\p{L}+(?:[ -]\p{L}+)*~u';

    private const NUMBER = '~\d+\.\d+~';

    public static function told(string $text): string
    {
        $whole = Translated::said($text);
        if ($whole !== $text || app()->getLocale() === Tongue::ENGLISH) {
            return $whole;
        }
        $units = (new Units())->speaking(app()->getLocale());
        $numbers = preg_replace_callback(
            self::NUMBER,
            static fn (array $one): string => $units->written($one[0]),
            $text,
        );

        return (string) preg_replace_callback(
            self::NAME,
            static fn (array $one): string => Translated::said($one[0]),
            (string) $numbers,
        );
    }
}
