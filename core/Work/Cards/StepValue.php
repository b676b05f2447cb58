<?php

declare(strict_types=1);

namespace Metrum\Work\Cards;

use Metrum\Bench\Output;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;

/** A value that is known while a card is worked: an amount (SI), a series of them, a word, or whether. */
final readonly class StepValue
{
    /** @param  float|string|bool|list<float>  $value */
    private function __construct(
        public float|string|bool|array $value,
        private ?QuantityKind $kind = null,
        private ?Unit $unit = null,
        private string $label = '',
    ) {
    }

    /** @param  ?float  $seconds  null where it is not known */
    public static function time(?float $seconds): ?self
    {
        return $seconds === null ? null : self::amount($seconds, QuantityKind::Duration);
    }

    public static function amount(float $si, QuantityKind $kind, ?Unit $unit = null): self
    {
        return new self($si, $kind, $unit ?? $kind->units()[0]);
    }

    /** @param  list<float>  $si */
    public static function series(array $si, QuantityKind $kind): self
    {
        return new self($si, $kind, $kind->units()[0]);
    }

    /** @param  string  $label  as a sentence says it; empty: the word itself */
    public static function word(string $word, string $label = ''): self
    {
        return new self($word, label: $label);
    }

    public static function whether(bool $so): self
    {
        return new self($so);
    }

    /** What a figure answered; null where it has no answer. */
    public static function ofOutput(?Output $output): ?self
    {
        return $output?->value === null ? null : new self($output->value, $output->kind, $output->unit);
    }

    /** The amount, SI; null where it is none. */
    public function si(): ?float
    {
        return is_float($this->value) ? $this->value : null;
    }

    /** A number of a file, in the unit of this value, as SI. */
    public function toSi(float $inFile): float
    {
        return $this->unit?->toSi($inFile) ?? $inFile;
    }

    public function is(string|bool $word): bool
    {
        return $this->value === $word;
    }

    public function text(Units $units): string
    {
        return match (true) {
            is_array($this->value) => count($this->value).' values',
            is_bool($this->value) => $this->value ? 'yes' : 'no',
            is_string($this->value) => $this->label === '' ? str_replace('_', ' ', $this->value) : $this->label,
            $this->kind === null || $this->kind === QuantityKind::Ratio => Format::number($this->value, 2),
            default => $units->text($this->value, $this->kind),
        };
    }
}
