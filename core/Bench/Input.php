<?php

declare(strict_types=1);

namespace Metrum\Bench;

use Metrum\Quantity\Field;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;

/** One thing that a calculator asks for. Limits are given in the unit of files, which is the last word of its key. */
final readonly class Input
{
    /** Rows or points at the most. */
    public const MOST = 500;

    /**
     * @param  list<self>  $columns  of a table
     * @param  list<string>  $also  other keys by which a file may name it
     */
    private function __construct(
        public string $key,
        public string $label,
        public Shape $shape,
        public ?Field $field = null,
        public Unit $unit = Unit::One,
        public array $columns = [],
        public int $least = 1,
        public bool $optional = false,
        public array $also = [],
    ) {
    }

    public static function number(
        string $key,
        string $label,
        QuantityKind $kind,
        float $least,
        float $most,
        ?Unit $unit = null,
    ): self {
        $unit ??= $kind->units()[0];
        $field = new Field($key, $label, $kind, $unit->toSi($least), $unit->toSi($most));

        return new self($key, $label, Shape::One, $field, $unit);
    }

    public static function temperature(string $key, string $label): self
    {
        return self::number($key, $label, QuantityKind::Temperature, -100.0, 250.0);
    }

    /** @param  float  $least  K */
    public static function difference(string $key, string $label, float $least = 0.0, float $most = 150.0): self
    {
        return self::number($key, $label, QuantityKind::Difference, $least, $most);
    }

    /** Down to vacuum at the site; how far down that is, the calculator sees by the atmosphere. */
    public static function gauge(string $key, string $label): self
    {
        return self::number($key, $label, QuantityKind::GaugePressure, -108.0, 15_000.0);
    }

    public static function mass(string $key, string $label): self
    {
        return self::number($key, $label, QuantityKind::Mass, 0.0, 100_000.0);
    }

    public static function volume(string $key, string $label): self
    {
        return self::number($key, $label, QuantityKind::Volume, 0.001, 100_000.0);
    }

    public static function fraction(string $key, string $label): self
    {
        return self::number($key, $label, QuantityKind::Share, 0.0, 1.0, Unit::One);
    }

    public static function count(string $key, string $label, int $least, int $most): self
    {
        return self::number($key, $label, QuantityKind::Count, $least, $most);
    }

    /** @param  float  $least  minutes */
    public static function minutes(string $key, string $label, float $least = 0.0): self
    {
        return self::number($key, $label, QuantityKind::Duration, $least, 100_000.0);
    }

    public static function refrigerant(): self
    {
        return new self('refrigerant', 'Refrigerant', Shape::Refrigerant);
    }

    /** Air pressure at the site; the standard at sea level where nobody says. */
    public static function atmosphere(): self
    {
        $field = Field::inFileUnit(
            'atmospheric_kpa',
            'Air pressure at the site',
            QuantityKind::AbsolutePressure,
            47.0,
            108.0,
        );

        return new self($field->key, $field->label, Shape::One, $field, Unit::Kilopascal, optional: true);
    }

    /** Several of this, in order. */
    public function several(int $least): self
    {
        return new self($this->key, $this->label, Shape::Series, $this->field, $this->unit, least: $least);
    }

    /** The same by other keys too. */
    public function orNamed(string ...$also): self
    {
        return new self($this->key, $this->label, $this->shape, $this->field, $this->unit, also: array_values($also));
    }

    /** The same, where it may be missing. */
    public function orNone(): self
    {
        return new self($this->key, $this->label, $this->shape, $this->field, $this->unit, optional: true);
    }

    /** @param  list<self>  $columns */
    public static function table(string $key, string $label, array $columns): self
    {
        return new self($key, $label, Shape::Table, columns: $columns);
    }
}
