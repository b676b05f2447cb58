<?php

namespace App\View\Owner;

use App\Models\Workshop;

/** Amounts in the workshop's currency, as whoever reads writes them. */
final readonly class Money
{
    private \NumberFormatter $format;

    public function __construct(private Workshop $workshop, string $locale)
    {
        $this->format = new \NumberFormatter($locale === 'en' ? 'en_GB' : $locale, \NumberFormatter::CURRENCY);
    }

    /** @param  int  $hundredths  of the currency */
    public function text(int $hundredths): string
    {
        return (string) $this->format->formatCurrency($hundredths / 100, $this->workshop->currency);
    }
}
