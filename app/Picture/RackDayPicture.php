<?php

namespace App\Picture;

use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use Metrum\Twin\Rack\RackDay;
use Metrum\Twin\Rack\RackMoment;

/** A day of a rack by its twin in three lanes: receiver level, power, and how far the warmest case is over its set. */
final readonly class RackDayPicture
{
    public const WIDTH = 760.0;

    public const HEIGHT = 250.0;

    public const LEFT = 66.0;

    public const RIGHT = 744.0;

    public const BOTTOM = 222.0;

    /** Top and bottom of each lane. */
    private const LANES = [[12.0, 72.0], [88.0, 148.0], [164.0, 222.0]];

    private const DAY = 1440.0;

    /** @var list<array{class: string, path: string, name: string, y: float, levels: list<array{float, string}>}> */
    public array $lanes;

    /** @var list<array{float, float}> from and width of what is in defrost */
    public array $standing;

    /** @var list<array{float, string}> */
    public array $hours;

    /** @param  non-empty-list<RackMoment>  $moments */
    public function __construct(private array $moments, private Units $units)
    {
        $kilowatt = static fn (float $watts): float => Unit::Kilowatt->fromSi($watts);
        $lanes = [
            $this->lane(0, 'day-level', 'receiver %', static fn (RackMoment $one): float => Unit::Percent->fromSi(
                max(0.0, min(1.0, $one->state->level)),
            )),
            $this->lane(1, 'day-power', 'kW', static fn (RackMoment $one): float => $kilowatt($one->state->power)),
            $this->lane(2, 'day-over', 'K over set', static fn (RackMoment $one): float => $one->over),
        ];
        $this->lanes = $lanes;
        $x = self::across();
        $hours = $standing = [];
        for ($hour = 0; $hour <= 24; $hour += 3) {
            $hours[] = [round($x->at(60.0 * $hour), 1), (string) $hour];
        }
        $step = RackDay::STEP / 60;
        foreach ($moments as $one) {
            if ($one->standing !== []) {
                $standing[] = [round($x->at($one->minute), 1), round($x->at($step) - $x->at(0.0), 1)];
            }
        }
        $this->hours = $hours;
        $this->standing = $standing;
    }

    private static function across(): Axis
    {
        return Axis::of(self::LEFT, self::RIGHT, 0.0, self::DAY);
    }

    /**
     * @param  callable(RackMoment): float  $value
     * @return array{class: string, path: string, name: string, y: float, levels: list<array{float, string}>}
     */
    private function lane(int $number, string $class, string $name, callable $value): array
    {
        [$top, $bottom] = self::LANES[$number];
        $values = array_map($value, $this->moments);
        $most = max(1.0, 1.08 * max($values));
        $y = Axis::of($bottom, $top, 0.0, $most);
        $points = [];
        foreach ($this->moments as $place => $one) {
            $points[] = [(float) $one->minute, $values[$place]];
        }

        return [
            'class' => $class,
            'path' => (new Plot(self::across(), $y))->path($points),
            'name' => $name,
            'y' => $bottom - 5.0,
            'levels' => array_map(
                static fn (float $share): array => [
                    round($y->at($share * $most), 1),
                    Format::number($share * $most, $most < 10.0 ? 1 : 0),
                ],
                [0.0, 0.5, 1.0],
            ),
        ];
    }

    /** "Level 47 to 52 %, 4.1 to 8.9 kW, 152 kWh." */
    public function summary(): string
    {
        $levels = array_map(static fn (RackMoment $one): float => $one->state->level, $this->moments);
        $powers = array_map(static fn (RackMoment $one): float => $one->state->power, $this->moments);
        $kilowatts = static fn (float $watts): string => Format::number(Unit::Kilowatt->fromSi($watts), 1);
        $hours = array_sum($powers) * RackDay::STEP / 3600;

        return 'Receiver '.$this->units->span(max(0.0, min($levels)), max($levels), QuantityKind::Share).
            ' %, '.$kilowatts(min($powers)).' to '.$kilowatts(max($powers)).' kW, '.
            Format::number(Unit::Kilowatt->fromSi($hours), 0).' kWh a day.';
    }

    /** @return array{string, int, float} circuit by part, minute and K of the warmest case of the day */
    public function warmest(): array
    {
        $worst = $this->moments[0];
        foreach ($this->moments as $one) {
            $worst = $one->over > $worst->over ? $one : $worst;
        }

        return [$worst->warmest, $worst->minute, $worst->over];
    }
}
