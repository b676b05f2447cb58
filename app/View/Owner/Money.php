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

    /** An estimate: in the currency itself, to two figures that can be known. */
    public function whole(float $amount): string
    {
        $digits = $amount === 0.0 ? 0 : (int) floor(log10(abs($amount)));
        $format = clone $this->format;
        $format->setAttribute(\NumberFormatter::FRACTION_DIGITS, 0);

        $said = (string) $format->formatCurrency(round($amount, min(0, 1 - $digits)), $this->workshop->currency);

        return str_replace('-', '−', $said);
    }
}
