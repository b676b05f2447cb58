<?php

namespace App\View;

use App\Models\Visit;
use App\Picture\SaturationCurves;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Field;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unanswerable;
use Metrum\Quantity\Units;
use Metrum\Refrigerant\Library;
use Metrum\Refrigerant\Refrigerant;

/** Pressure and temperature of any refrigerant, both ways, dew and bubble by name (G-01). */
final readonly class SaturationPage
{
    public const USUAL = 'R-448A';

    /** °C of the short table. */
    private const TABLE = [-40, -30, -20, -10, 0, 10, 20, 30, 40, 50];

    /** As typed; else that of the visit's circuit. */
    public string $refrigerant;

    public string $pressure;

    public string $temperature;

    public string $altitude;

    /** Why the altitude cannot be; empty where it can. */
    public string $wrongAltitude;

    private Refrigerant $fluid;

    private Atmosphere $air;

    /** @param  array<string, string>  $typed  by the name of its field */
    public function __construct(array $typed, private Units $units, public ?Visit $from = null)
    {
        $at = $from?->circuitAsOpened();
        $library = Library::known();
        $named = $typed['refrigerant'] ?? $at->refrigerant ?? self::USUAL;
        $this->refrigerant = $library->has($named) ? $named : self::USUAL;
        $this->fluid = $library->get($this->refrigerant);
        $this->pressure = $typed['pressure'] ?? '';
        $this->temperature = $typed['temperature'] ?? '';
        $usual = $at->atmosphere ?? Atmosphere::atAltitude(0.0);
        $this->altitude = $typed['altitude'] ?? $units->number(round($usual->altitude()), QuantityKind::Altitude);
        [$this->air, $this->wrongAltitude] = self::air($this->altitude, $units, $usual);
    }

    /** @return array{Atmosphere, string} with why the altitude cannot be, where it cannot */
    private static function air(string $altitude, Units $units, Atmosphere $usual): array
    {
        if (trim($altitude) === '') {
            return [$usual, ''];
        }
        try {
            $field = Field::inFileUnit('altitude', 'Elevation', QuantityKind::Altitude, -430.0, 6000.0);

            return [Atmosphere::atAltitude($field->read($altitude, $units)->si), ''];
        } catch (Unanswerable $why) {
            return [$usual, $why->getMessage()];
        }
    }

    /** "at sea level", "at 730 m" */
    public function where(): string
    {
        $metres = round($this->air->altitude());

        return abs($metres) < 1.0 ? 'at sea level' : 'at '.$this->units->text($metres, QuantityKind::Altitude);
    }

    public function hasGlide(): bool
    {
        return $this->fluid->isZeotropic();
    }

    /**
     * The pressure that was asked, Pa.
     *
     * @throws Unanswerable where it is none, or none that can be
     */
    private function absolute(): float
    {
        $field = Field::inFileUnit('pressure', 'Pressure', QuantityKind::GaugePressure, -101.0, 12_000.0);

        return $this->air->absolute($field->at($this->air)->read($this->pressure, $this->units)->si);
    }

    /** Both curves, cut by the pressure that was asked. */
    public function curves(): SaturationCurves
    {
        try {
            $asked = trim($this->pressure) === ''
                ? null
                : $this->absolute();
        } catch (Unanswerable) {
            $asked = null;
        }

        return new SaturationCurves($this->fluid, $this->air, $this->units, $asked);
    }

    /** @return list<array{string, string}> what the pressure says; one row with the reason where it says nothing */
    public function ofPressure(): array
    {
        if (trim($this->pressure) === '') {
            return [];
        }
        try {
            $absolute = $this->absolute();
            $dew = $this->fluid->dewTemperature($absolute);
            $bubble = $this->fluid->bubbleTemperature($absolute);
        } catch (Unanswerable $why) {
            return [['', $why->getMessage()]];
        }

        return [
            ['Dew: use for superheat', $this->units->text($dew, QuantityKind::Temperature)],
            ['Bubble: use for subcooling', $this->units->text($bubble, QuantityKind::Temperature)],
            ['Glide', $this->units->text($dew - $bubble, QuantityKind::Difference)],
        ];
    }

    /** @return list<array{string, string}> what the temperature says; one row with the reason where it says nothing */
    public function ofTemperature(): array
    {
        if (trim($this->temperature) === '') {
            return [];
        }
        $field = Field::inFileUnit('temperature', 'Temperature', QuantityKind::Temperature, -100.0, 150.0);
        try {
            $kelvin = $field->read($this->temperature, $this->units)->si;
            $dew = $this->fluid->dewPressure($kelvin);
            $bubble = $this->fluid->bubblePressure($kelvin);
        } catch (Unanswerable $why) {
            return [['', $why->getMessage()]];
        }

        return [
            ['Dew: last liquid evaporates at', $this->gauge($dew)],
            ['Bubble: first vapour forms at', $this->gauge($bubble)],
        ];
    }

    /** @return list<array{string, string, string}> temperature, dew and bubble pressure */
    public function table(): array
    {
        $rows = [];
        foreach (self::TABLE as $celsius) {
            $kelvin = $celsius + Celsius::ZERO;
            try {
                $rows[] = [
                    $this->units->text($kelvin, QuantityKind::Temperature),
                    $this->gauge($this->fluid->dewPressure($kelvin)),
                    $this->gauge($this->fluid->bubblePressure($kelvin)),
                ];
            } catch (Unanswerable) {
                continue;
            }
        }

        return $rows;
    }

    private function gauge(float $absolute): string
    {
        return $this->units->text($this->air->gauge($absolute), QuantityKind::GaugePressure);
    }
}
