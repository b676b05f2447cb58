<?php

namespace App\Picture;

use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Refrigerant\Refrigerant;

/** Bubble and dew pressure over temperature; a pressure that was asked cuts both, and the glide lies between. */
final readonly class SaturationCurves
{
    public const WIDTH = 520.0;

    public const HEIGHT = 230.0;

    private const LEFT = 56.0;

    private const RIGHT = 500.0;

    private const TOP = 12.0;

    private const BOTTOM = 196.0;

    /** °C from and to which it is drawn, and how far points stand apart. */
    private const SPAN = [-45, 60];

    private const STEP = 5;

    public string $dew;

    public string $bubble;

    /** @var list<array{float, string}> x and words */
    public array $temperatures;

    /** @var list<array{float, string}> y and words */
    public array $pressures;

    /** @var ?array{y: float, from: float, to: float} glide at the pressure asked; null: none was, or it lies outside */
    public ?array $glide;

    private Plot $plot;

    public function __construct(
        private Refrigerant $fluid,
        private Atmosphere $air,
        private Units $units,
        ?float $pressure,
    ) {
        $this->plot = new Plot(
            Axis::of(self::LEFT, self::RIGHT, Celsius::ZERO + self::SPAN[0], Celsius::ZERO + self::SPAN[1]),
            Axis::logarithmic(
                self::BOTTOM,
                self::TOP,
                $this->at(self::SPAN[0], false) ?? 5e4,
                $this->at(self::SPAN[1], true) ?? ($this->at(30, true) ?? 2e6),
            ),
        );
        $this->dew = $this->path(false);
        $this->bubble = $this->path(true);
        $temperatures = [];
        for ($celsius = -40; $celsius <= self::SPAN[1]; $celsius += 20) {
            $kelvin = $celsius + Celsius::ZERO;
            $temperatures[] = [$this->plot->x->at($kelvin), $this->units->number($kelvin, QuantityKind::Temperature)];
        }
        $this->temperatures = $temperatures;
        $levels = [];
        for ($part = 0; $part <= 3; $part++) {
            $absolute = $this->plot->y->value($part / 3);
            $gauge = $this->air->gauge($absolute);
            $levels[] = [$this->plot->y->at($absolute), $this->units->number($gauge, QuantityKind::GaugePressure)];
        }
        $this->pressures = $levels;
        $this->glide = $pressure === null ? null : $this->cut($pressure);
    }

    private function at(int $celsius, bool $bubble): ?float
    {
        try {
            return $bubble
                ? $this->fluid->bubblePressure($celsius + Celsius::ZERO)
                : $this->fluid->dewPressure($celsius + Celsius::ZERO);
        } catch (OutsideTable) {
            return null;
        }
    }

    private function path(bool $bubble): string
    {
        $points = [];
        for ($celsius = self::SPAN[0]; $celsius <= self::SPAN[1]; $celsius += self::STEP) {
            $pressure = $this->at($celsius, $bubble);
            if ($pressure !== null) {
                $points[] = [$celsius + Celsius::ZERO, $pressure];
            }
        }

        return $this->plot->path($points);
    }

    /** @return ?array{y: float, from: float, to: float} */
    private function cut(float $pressure): ?array
    {
        try {
            $from = $this->plot->x->at($this->fluid->bubbleTemperature($pressure));
            $to = $this->plot->x->at($this->fluid->dewTemperature($pressure));
        } catch (OutsideTable) {
            return null;
        }
        $isInside = $this->plot->x->holds($from) && $this->plot->x->holds($to);

        return $isInside ? ['y' => $this->plot->y->at($pressure), 'from' => $from, 'to' => $to] : null;
    }
}
