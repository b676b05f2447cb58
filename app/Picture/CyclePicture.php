<?php

namespace App\Picture;

use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Refrigerant\Refrigerant;
use Metrum\Refrigerant\Saturation;
use Metrum\Twin\PlantState;

/**
 * Pressure over enthalpy: the dome from the tables, the sound plant's cycle as a shadow, the cycle now. Finished
 * coordinates.
 */
final readonly class CyclePicture
{
    public const WIDTH = 372.0;

    public const HEIGHT = 236.0;

    /** What is left free at its sides. */
    private const LEFT = 36.0;

    private const RIGHT = 8.0;

    private const TOP = 8.0;

    private const BELOW = 20.0;

    /** What the dome is cut to, and where levels and words end. */
    public const CUT = ['x' => 34.0, 'y' => 6.0, 'width' => self::WIDTH - 36.0, 'height' => self::HEIGHT - 24.0];

    public const END = self::WIDTH - 4.0;

    public const FOOT = self::HEIGHT - 4.0;

    public string $dome;

    public string $sound;

    public string $now;

    /** @var list<array{x: float, y: float, colour: string}> */
    public array $corners;

    /** @var list<array{y: float, text: string}> pressures, absolute */
    public array $levels;

    public string $unit;

    private Plot $plot;

    public function __construct(Refrigerant $fluid, PlantState $sound, PlantState $now, Units $units)
    {
        $all = [...$sound->cycle, ...$now->cycle];
        $enthalpies = array_column($all, 0);
        $pressures = array_column($all, 1);
        $this->plot = new Plot(
            Axis::of(
                self::LEFT,
                self::WIDTH - self::RIGHT,
                ($enthalpies === [] ? 150e3 : min($enthalpies)) - 35e3,
                ($enthalpies === [] ? 500e3 : max($enthalpies)) + 22e3,
            ),
            Axis::logarithmic(
                self::HEIGHT - self::BELOW,
                self::TOP,
                ($pressures === [] ? 1e5 : min($pressures)) * 0.72,
                ($pressures === [] ? 2e6 : max($pressures)) * 1.5,
            ),
        );
        $this->dome = $this->dome($fluid);
        $this->sound = $this->path($sound->cycle);
        $this->now = $this->path($now->cycle);
        $corners = [];
        foreach ($now->cycle as [$enthalpy, $pressure]) {
            [$x, $y] = $this->at($enthalpy, $pressure);
            $corners[] = [
                'x' => $x,
                'y' => $y,
                'colour' => TemperatureColour::of($fluid->saturation->dewTemperature($pressure)),
            ];
        }
        $this->corners = $corners;
        $levels = [];
        $unit = $units->of(QuantityKind::AbsolutePressure);
        foreach ([0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10000] as $value) {
            $pascal = $unit->toSi($value);
            $y = $pascal > 0 ? round($this->plot->y->at($pascal), 1) : 0.0;
            if ($y > 20 && $y < self::HEIGHT - 22) {
                $levels[] = ['y' => $y, 'text' => (string) $value];
            }
        }
        $this->unit = $unit->symbol();
        $this->levels = $levels;
    }

    private function dome(Refrigerant $fluid): string
    {
        $table = $fluid->saturation;
        $liquid = $vapour = [];
        for ($t = $table->lowest; $t <= $table->highest; $t += 1.5) {
            $liquid[] = [$table->at(Saturation::LIQUID_ENTHALPY, $t), $fluid->bubblePressure($t)];
            $vapour[] = [$table->at(Saturation::VAPOUR_ENTHALPY, $t), $fluid->dewPressure($t)];
        }
        $points = [...$liquid, ...array_reverse($vapour)];
        $path = '';
        foreach ($points as [$enthalpy, $pressure]) {
            [$x, $y] = $this->at($enthalpy, $pressure);
            $path .= ($path === '' ? 'M' : 'L').round($x, 1).' '.round($y, 1);
        }

        return $path;
    }

    /** @param  list<array{float, float}>  $cycle */
    private function path(array $cycle): string
    {
        $path = '';
        foreach ($cycle as [$enthalpy, $pressure]) {
            [$x, $y] = $this->at($enthalpy, $pressure);
            $path .= ($path === '' ? 'M' : 'L').$x.' '.$y;
        }

        return $path === '' ? '' : $path.'Z';
    }

    /** @return array{float, float} */
    private function at(float $enthalpy, float $pressure): array
    {
        return [round($this->plot->x->at($enthalpy), 1), round($this->plot->y->at($pressure), 1)];
    }
}
