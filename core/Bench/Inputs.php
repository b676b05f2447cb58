<?php

declare(strict_types=1);

namespace Metrum\Bench;

use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use Metrum\Refrigerant\Library;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Refrigerant\Refrigerant;

/** What was given to a calculator, SI; pressures in gauge Pa. A refusal names the input that it is about. */
final readonly class Inputs
{
    /** Least absolute pressure that is asked about, Pa. */
    private const VACUUM = 100.0;

    /**
     * @param  array<string, float|string|list<float>|list<list<float>>>  $values  by key
     * @param  Units  $units  in which the arithmetic is told
     */
    public function __construct(private array $values, public Units $units)
    {
    }

    /** SI. */
    public function of(string $key): float
    {
        $value = $this->values[$key];
        assert(is_float($value));

        return $value;
    }

    public function has(string $key): bool
    {
        return isset($this->values[$key]);
    }

    /** Whole number. */
    public function count(string $key): int
    {
        return (int) round($this->of($key));
    }

    /** @return non-empty-list<float> SI */
    public function series(string $key): array
    {
        $value = $this->values[$key];
        assert(is_array($value));
        $series = [];
        foreach ($value as $one) {
            assert(is_float($one));
            $series[] = $one;
        }
        assert($series !== []);

        return $series;
    }

    /** @return list<list<float>> SI, by row and column */
    public function table(string $key): array
    {
        $value = $this->values[$key];
        assert(is_array($value));
        $table = [];
        foreach ($value as $row) {
            assert(is_array($row));
            $table[] = $row;
        }

        return $table;
    }

    public function refrigerant(): Refrigerant
    {
        $name = $this->values['refrigerant'];
        assert(is_string($name));

        return Library::known()->get($name);
    }

    public function atmosphere(): Atmosphere
    {
        $pascal = $this->values['atmospheric_kpa'] ?? null;

        return is_float($pascal) ? Atmosphere::of($pascal) : Atmosphere::atAltitude(0.0);
    }

    /** Pa absolute of a gauge pressure. @throws CannotBe below vacuum */
    public function absolute(string $key): float
    {
        return $this->aboveVacuum($key, $this->atmosphere()->absolute($this->of($key)));
    }

    /** The same, of an absolute pressure that was worked out from an input. @throws CannotBe below vacuum */
    public function aboveVacuum(string $key, float $absolute): float
    {
        if ($absolute < self::VACUUM) {
            $lowest = $this->text(-$this->atmosphere()->pascal, QuantityKind::GaugePressure);

            throw CannotBe::at($key, "below full vacuum ($lowest here)");
        }

        return $absolute;
    }

    /** Gauge pressure (Pa) of an absolute one. */
    public function gauge(float $absolute): float
    {
        return $this->atmosphere()->gauge($absolute);
    }

    /** Dew temperature (K) at a gauge pressure that was given. @throws CannotBe outside the table */
    public function dew(string $key): float
    {
        $absolute = $this->absolute($key);

        return $this->within($key, fn (): float => $this->refrigerant()->dewTemperature($absolute));
    }

    /** Bubble temperature (K) at a gauge pressure that was given. @throws CannotBe outside the table */
    public function bubble(string $key): float
    {
        $absolute = $this->absolute($key);

        return $this->within($key, fn (): float => $this->refrigerant()->bubbleTemperature($absolute));
    }

    /** Dew pressure (Pa abs) at a temperature (K) that comes of an input. @throws CannotBe outside the table */
    public function dewPressure(string $key, float $kelvin): float
    {
        return $this->within($key, fn (): float => $this->refrigerant()->dewPressure($kelvin));
    }

    /** Bubble pressure (Pa abs) at a temperature (K) that comes of an input. @throws CannotBe outside the table */
    public function bubblePressure(string $key, float $kelvin): float
    {
        return $this->within($key, fn (): float => $this->refrigerant()->bubblePressure($kelvin));
    }

    /**
     * What a table answers, its refusal turned to the input that it is about.
     *
     * @template T
     *
     * @param  \Closure(): T  $asked
     * @return T
     *
     * @throws CannotBe
     */
    public function within(string $key, \Closure $asked): mixed
    {
        try {
            return $asked();
        } catch (OutsideTable $outside) {
            throw CannotBe::at($key, rtrim($outside->getMessage(), '.'));
        }
    }

    /** An amount in words, in the units asked for. */
    public function text(float $si, QuantityKind $kind): string
    {
        return $this->units->text($si, $kind);
    }

    public function degrees(float $kelvin): string
    {
        return $this->text($kelvin, QuantityKind::Temperature);
    }

    /** The same, as it is subtracted: "(−9.8 °C)". */
    public function taken(float $kelvin): string
    {
        $text = $this->degrees($kelvin);

        return str_starts_with($text, '−') ? "($text)" : $text;
    }

    public function kelvins(float $difference): string
    {
        return $this->text($difference, QuantityKind::Difference);
    }

    /** "310 kPa gauge" */
    public function onGauge(float $gauge): string
    {
        return $this->text($gauge, QuantityKind::GaugePressure).' gauge';
    }

    public function kilograms(float $mass): string
    {
        return $this->text($mass, QuantityKind::Mass);
    }

    /** A bare number. */
    public function number(float $value, int $decimals = 2): string
    {
        return Format::number($value, $decimals);
    }

    /** "62 %" */
    public function percent(float $share, int $decimals = 0): string
    {
        return Format::number(Unit::Percent->fromSi($share), $decimals).' %';
    }

    /** "310 kPa gauge + 101 kPa atmospheric = 411 kPa abs" */
    public function toAbsolute(string $key): string
    {
        return sprintf(
            '%s + %s atmospheric = %s.',
            $this->onGauge($this->of($key)),
            $this->text($this->atmosphere()->pascal, QuantityKind::AbsolutePressure),
            $this->text($this->absolute($key), QuantityKind::AbsolutePressure),
        );
    }
}
