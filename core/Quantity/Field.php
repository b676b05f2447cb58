<?php

declare(strict_types=1);

namespace Metrum\Quantity;

/**
 * One quantity that can be asked for: what it is called, of which kind, what is possible and what is usual.
 *
 * Whoever asks (a cell, a form, the quick line, a file) gets from it an amount, or a refusal that says what was given
 * and what is possible. In files a value stands in the first unit of its kind.
 */
final readonly class Field
{
    /**
     * @param  string  $label  as it stands before the value and in a refusal
     * @param  float  $least  SI, a gauge pressure in Pa gauge
     * @param  float  $most  the same
     * @param  ?float  $usual  SI, shown where nothing was given; null where nothing is
     * @param  string  $whyNoLess  a sentence, where that is not plain
     * @param  string  $whyNoMore  a sentence, where that is not plain
     */
    public function __construct(
        public string $key,
        public string $label,
        public QuantityKind $kind,
        public float $least,
        public float $most,
        public ?float $usual = null,
        private string $whyNoLess = '',
        private string $whyNoMore = '',
        private ?Atmosphere $atmosphere = null,
    ) {
    }

    /** With limits and usual value given in the file's unit. */
    public static function inFileUnit(
        string $key,
        string $label,
        QuantityKind $kind,
        float $least,
        float $most,
        ?float $usual = null,
    ): self {
        $unit = $kind->units()[0];

        return new self(
            $key,
            $label,
            $kind,
            $unit->toSi($least),
            $unit->toSi($most),
            $usual === null ? null : $unit->toSi($usual),
        );
    }

    /** With the site's vacuum as the least a gauge can show. Other kinds are the same everywhere. */
    public function at(Atmosphere $atmosphere): self
    {
        return $this->kind !== QuantityKind::GaugePressure
            ? $this
            : new self(
                $this->key,
                $this->label,
                $this->kind,
                -$atmosphere->pascal,
                $this->most,
                $this->usual,
                'A gauge cannot read below full vacuum',
                $this->whyNoMore,
                $atmosphere,
            );
    }

    /** With a lower limit upwards, and why (a sentence); the same where it is no lower. */
    public function below(float $most, string $why): self
    {
        return $most >= $this->most
            ? $this
            : new self(
                $this->key,
                $this->label,
                $this->kind,
                $this->least,
                $most,
                $this->usual,
                $this->whyNoLess,
                $why,
                $this->atmosphere,
            );
    }

    /** The unit in which files give it. */
    public function fileUnit(): Unit
    {
        return $this->kind->units()[0];
    }

    /** The unit in which a person types it without saying so: of a deep vacuum nothing is left in bar or psi. */
    public function unit(Units $units): Unit
    {
        return $this->kind === QuantityKind::AbsolutePressure && $this->most < Units::VACUUM
            ? $units->ofVacuum()
            : $units->of($this->kind);
    }

    /**
     * What a person typed, in the unit typed or the person's own.
     *
     * @throws NotAQuantity where it is no such quantity, or none that can be here
     */
    public function read(string $typed, Units $units): Amount
    {
        try {
            $amount =
                $this->absolute($typed, $units) ?? Reader::read($typed, $this->kind, $this->unit($units));
        } catch (NotAQuantity $reason) {
            throw $reason->about($this->label);
        }
        $refusal = $this->refusal($amount->si, $amount->unit);
        if ($refusal !== null) {
            throw NotAQuantity::refused($this->label, $typed, $refusal);
        }

        return $amount;
    }

    /**
     * A pressure that is said to be absolute ("5 bara", "300 kPa abs"), as the gauge would show it; null for any other.
     *
     * @throws NotAQuantity
     */
    private function absolute(string $typed, Units $units): ?Amount
    {
        $unit = '(?:bar|psi|[km]?pa|inhg|kgf\/cm[2²])';
        $said = "/^(.*\d\s*$unit(?=\s*a)|.*\d(?=\s*abs))\s*(?:a|abs\.?|absolute)\s*$/iu";
        if ($this->kind !== QuantityKind::GaugePressure || preg_match($said, $typed, $part) !== 1) {
            return null;
        }
        $gauge = Reader::read($part[1], QuantityKind::GaugePressure, $units->of($this->kind))->unit;
        $unit = $gauge === Unit::InchMercuryVacuum ? Unit::InchMercury : $gauge;
        $absolute = Reader::read($part[1], QuantityKind::AbsolutePressure, $unit);

        $atmosphere = $this->atmosphere ?? Atmosphere::atAltitude(0.0);

        return Amount::of($unit->fromSi($atmosphere->gauge($absolute->si)), $unit, $this->kind);
    }

    /** Why the value (SI) cannot be; null where it can. @param  ?Unit  $shownIn  of the limits; null: the file's */
    public function refusal(float $si, ?Unit $shownIn = null): ?string
    {
        if ($this->kind === QuantityKind::Count && floor($si) !== $si) {
            return 'enter a whole number';
        }
        // A limit given in another unit is still the limit.
        if (! is_nan($si) && $si >= $this->least - 1e-6 && $si <= $this->most + 1e-6) {
            return null;
        }

        $why = $si > $this->most ? $this->whyNoMore : $this->whyNoLess;

        return ($why === '' ? 'enter ' : $why.'. Enter ').$this->span($shownIn ?? $this->fileUnit());
    }

    /** "−40 to 50 °C" */
    public function span(Unit $unit): string
    {
        [$low, $high] =
            $unit === Unit::InchMercuryVacuum
                ? [0.0, $unit->fromSi($this->least)]
                : [$unit->fromSi($this->least), $unit->fromSi($this->most)];

        return trim(Format::number($low, 2).' to '.Format::number($high, 2).' '.$unit->symbol());
    }
}
