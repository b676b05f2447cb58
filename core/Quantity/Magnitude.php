<?php

declare(strict_types=1);

namespace Metrum\Quantity;

/** An amount that is told: it becomes a number with its unit where it is known who reads it. */
final readonly class Magnitude
{
    /**
     * @param  bool  $isWhole  whether its decimals would claim more than is known
     * @param  bool  $isRule  whether somebody set it: it has no zeros that a measured one would have
     * @param  bool  $isBare  whether its unit stands behind another one of the same kind
     * @param  bool  $isSigned  whether what is more has a plus before it
     * @param  bool  $isDegrees  a difference as people say it who know no kelvin: "5.4 °C"
     * @param  bool  $isChance  a share that is never told as none or all where it is neither: "<1 %"
     */
    private function __construct(
        public float $si,
        public QuantityKind $kind,
        private bool $isWhole = false,
        private bool $isRule = false,
        private bool $isBare = false,
        private bool $isSigned = false,
        private bool $isDegrees = false,
        private bool $isChance = false,
    ) {
    }

    public static function of(float $si, QuantityKind $kind): self
    {
        return new self($si, $kind);
    }

    /** The same without decimals. */
    public function whole(): self
    {
        return $this->told(isWhole: true);
    }

    /** The same as a rule says it: "7 K", where "7.0 K" would be measured. */
    public function ruled(): self
    {
        return $this->told(isRule: true);
    }

    /** The same without its unit, as the first of a span has it. */
    public function bare(): self
    {
        return $this->told(isBare: true);
    }

    /** The same as a change: "+1.2 K". */
    public function signed(): self
    {
        return $this->told(isSigned: true);
    }

    /** The same, with what is named besides. */
    private function told(
        bool $isWhole = false,
        bool $isRule = false,
        bool $isBare = false,
        bool $isSigned = false,
    ): self {
        return new self(
            $this->si,
            $this->kind,
            $this->isWhole || $isWhole,
            $this->isRule || $isRule,
            $this->isBare || $isBare,
            $this->isSigned || $isSigned,
            $this->isDegrees,
            $this->isChance,
        );
    }

    /** @param  float  $kelvin  a difference */
    public static function difference(float $kelvin): self
    {
        return new self($kelvin, QuantityKind::Difference);
    }

    /** A difference told to an owner: "5.4 °C". @param  float  $kelvin  a difference */
    public static function degrees(float $kelvin): self
    {
        return new self($kelvin, QuantityKind::Difference, isDegrees: true);
    }

    /** @param  float  $kelvin  absolute */
    public static function temperature(float $kelvin): self
    {
        return new self($kelvin, QuantityKind::Temperature);
    }

    /** @param  float  $share  0 … 1, and beyond */
    public static function share(float $share): self
    {
        return new self($share, QuantityKind::Share, true);
    }

    /** @param  float  $share  a probability, 0 … 1 */
    public static function chance(float $share): self
    {
        return new self($share, QuantityKind::Share, true, isChance: true);
    }

    /** @param  float  $kilograms  as a scale says it */
    public static function mass(float $kilograms): self
    {
        return new self($kilograms, QuantityKind::Mass);
    }

    /** @param  float  $seconds  told in whole minutes */
    public static function minutes(float $seconds): self
    {
        return new self($seconds, QuantityKind::Duration, true);
    }

    /** @param  float  $seconds  that are still waited for: a minute begun counts whole */
    public static function minutesLeft(float $seconds): self
    {
        return self::minutes(60 * ceil($seconds / 60));
    }

    public static function count(float $count): self
    {
        return new self($count, QuantityKind::Count, true);
    }

    /** "3.0 K", "65 %" */
    public function in(Units $units): string
    {
        return $units->written(($this->isSigned && $this->si > 0.0 ? '+' : '').$this->unsigned($units));
    }

    private function unsigned(Units $units): string
    {
        if ($this->isDegrees) {
            return $units->number($this->si, $this->kind).' '.$units->symbol(QuantityKind::Temperature);
        }
        if (! $this->isWhole && ! $this->isRule && ! $this->isBare) {
            return $units->text($this->si, $this->kind);
        }
        if ($this->isChance && $this->si > 0.0 && $this->si < 0.01) {
            return '<1 %';
        }
        if ($this->isChance && $this->si > 0.99 && $this->si < 1.0) {
            return '>99 %';
        }
        $unit = $units->of($this->kind);
        $decimals = $this->isWhole ? 0 : $unit->decimals();
        $number = Format::number($unit->fromSi($this->si), $decimals, ! $this->isRule);

        return $this->isBare ? $number : trim($number.' '.$unit->symbol());
    }
}
