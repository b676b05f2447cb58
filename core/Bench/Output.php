<?php

declare(strict_types=1);

namespace Metrum\Bench;

use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;

/** One thing that a calculator answers. */
final readonly class Output
{
    /** Places behind the point in a file. */
    private const PLACES = 6;

    /**
     * @param  list<float>|float|string|bool|null  $value  amounts in SI; null: there is none
     * @param  ?Unit  $unit  in files; null: no amount
     */
    private function __construct(
        public string $key,
        public string $label,
        public array|float|string|bool|null $value,
        public ?QuantityKind $kind = null,
        public ?Unit $unit = null,
        private string $per = '',
    ) {
    }

    /**
     * @param  ?float  $si  null: there is none
     * @param  string  $per  unit below the stroke, as "turn"
     */
    public static function amount(
        string $key,
        string $label,
        QuantityKind $kind,
        ?float $si,
        ?Unit $unit = null,
        string $per = '',
    ): self {
        return new self($key, $label, $si, $kind, $unit ?? $kind->units()[0], $per);
    }

    public static function temperature(string $key, string $label, ?float $si): self
    {
        return self::amount($key, $label, QuantityKind::Temperature, $si);
    }

    public static function difference(string $key, string $label, ?float $si): self
    {
        return self::amount($key, $label, QuantityKind::Difference, $si);
    }

    public static function gauge(string $key, string $label, ?float $si): self
    {
        return self::amount($key, $label, QuantityKind::GaugePressure, $si);
    }

    public static function mass(string $key, string $label, ?float $si): self
    {
        return self::amount($key, $label, QuantityKind::Mass, $si);
    }

    public static function percent(string $key, string $label, ?float $si): self
    {
        return self::amount($key, $label, QuantityKind::Share, $si);
    }

    public static function ratio(string $key, string $label, ?float $value): self
    {
        return self::amount($key, $label, QuantityKind::Ratio, $value);
    }

    public static function word(string $key, string $label, string $word): self
    {
        return new self($key, $label, $word);
    }

    public static function yes(string $key, string $label, bool $yes): self
    {
        return new self($key, $label, $yes);
    }

    /** @param  list<float>  $si */
    public static function series(string $key, string $label, QuantityKind $kind, array $si): self
    {
        return new self($key, $label, $si, $kind, $kind->units()[0]);
    }

    /** @return list<float|int>|float|int|string|bool|null as a file has it */
    public function inFile(): array|float|int|string|bool|null
    {
        return match (true) {
            is_array($this->value) => array_map($this->number(...), $this->value),
            is_float($this->value) => $this->number($this->value),
            default => $this->value,
        };
    }

    private function number(float $si): float|int
    {
        $value = round($this->unit?->fromSi($si) ?? $si, self::PLACES) + 0.0;

        return $this->kind === QuantityKind::Count ? (int) $value : $value;
    }

    /** As a person reads it. */
    public function text(Units $units): string
    {
        return match (true) {
            is_array($this->value) => implode('; ', array_map($this->amountText($units), $this->value)),
            is_float($this->value) => $this->amountText($units)($this->value),
            is_bool($this->value) => $this->value ? 'yes' : 'no',
            $this->value === null => 'none',
            default => $this->value,
        };
    }

    /** @return \Closure(float): string */
    private function amountText(Units $units): \Closure
    {
        return function (float $si) use ($units): string {
            if ($this->kind === null || $this->kind === QuantityKind::Ratio) {
                return Format::number($si, 2);
            }
            $text = $units->text($si, $this->kind);

            return $this->per === '' ? $text : $text.' a '.$this->per;
        };
    }
}
