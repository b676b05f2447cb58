<?php

namespace App\View;

/** How wide the course stands on the owner's page, so that text, choices and pictures fill it together. */
final class PaperCourse
{
    /** Widths, mm; letters of the owner's text beside which it is widest; mm for one more. */
    private const WIDEST = 150;

    private const NARROWEST = 80;

    private const SHORT = 250;

    private const FOR_A_LETTER = 0.13;

    /** Width below which it cannot be read. */
    private const LEAST = 40;

    /** mm that it is narrower beside choices, whose frames take room of their own. */
    private const FRAMES = 14;

    private const PIXELS = 96 / 25.4;

    /**
     * Pixels of 1/96 inch; 0 where choices leave it no room: they go before it.
     *
     * @param  int  $told  letters of the owner's text, and of the choices
     */
    public static function width(int $told, int $choices): int
    {
        $width = self::WIDEST - self::FOR_A_LETTER * max(0, $told + $choices - self::SHORT);
        if ($choices === 0) {
            return (int) round(max(self::NARROWEST, $width) * self::PIXELS);
        }

        return $width < self::LEAST ? 0 : (int) round(max(self::NARROWEST - self::FRAMES, $width) * self::PIXELS);
    }
}
