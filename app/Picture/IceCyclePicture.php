<?php

namespace App\Picture;

use Metrum\Findings\Findings;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Ice\IceExpectation;

/**
 * One cycle of an ice machine over minutes: what its twin shows of sump and evaporating temperature in this air with
 * this water, when freeze and harvest should end, and what was read.
 *
 * @phpstan-type Field array{x: float, width: float, text: string, middle: float}
 */
final readonly class IceCyclePicture
{
    public const WIDTH = 760.0;

    public const HEIGHT = 330.0;

    public const LEFT = 52.0;

    public const RIGHT = 748.0;

    public const TOP = 44.0;

    public const BOTTOM = 296.0;

    public const TALL = self::BOTTOM - self::TOP;

    /** K by which the twin's lines are drawn wide, either way. */
    private const SUCTION = 2.0;

    private const SUMP = 0.7;

    /** Share of the freeze within which its end is expected. */
    private const END = 0.07;

    /** Points of a line. */
    private const POINTS = 60;

    /** @var list<array{float, string}> place and label of temperatures */
    public array $levels;

    /** @var list<array{float, string}> place and label of minutes */
    public array $minutes;

    /** Of the twin's evaporating temperature and sump, closed. */
    public string $suction;

    public string $sump;

    public float $freezing;

    /** @var Field where the freeze should end */
    public array $end;

    /** @var ?Field the harvest as it was timed, else as it is expected */
    public ?array $harvest;

    /** @var list<array{float, float, string}> evaporating as it was read, by minute */
    public array $dots;

    /** Through them. */
    public string $line;

    /** @var list<array{float, float, string}> the sump as it was read */
    public array $sumpDots;

    private float $span;

    public function __construct(
        private IceExpectation $expectation,
        private Findings $findings,
        private Units $units,
    ) {
        $cycle = $expectation->cycle;
        $freeze = $findings->reading(Reading::FreezeTime);
        $harvest = $findings->reading(Reading::HarvestTime);
        $this->span = 1.04 * (max($freeze ?? 0.0, $cycle->freeze * (1 + self::END)) + ($harvest ?? $cycle->harvest));
        $read = $this->read();
        $evaporating = $this->evaporating();
        $temperatures = [...array_column($read, 1), ...array_column(self::moved($evaporating, self::SUCTION), 1)];
        $low = min([Celsius::ZERO - 15.0, ...$temperatures]) - 3.0;
        $high = max([Celsius::ZERO + 8.0, $cycle->sump[0]]) + 2.0;
        $x = Axis::of(self::LEFT, self::RIGHT, 0.0, $this->span)->held();
        $y = Axis::of(self::BOTTOM, self::TOP, $low, $high)->held();
        $plot = new Plot($x, $y);
        $this->levels = array_map(
            fn (float $kelvin): array => [round($y->at($kelvin), 1), $this->label($kelvin)],
            Axis::of(self::BOTTOM, self::TOP, $low, $high)->rounds(10.0, Celsius::ZERO),
        );
        $this->minutes = self::ticks($x, $this->span);
        $this->suction = self::band($plot, $evaporating, self::SUCTION);
        $this->sump = self::band($plot, $this->water(), self::SUMP);
        $this->freezing = round($y->at(Celsius::ZERO), 1);
        $this->end = self::field(
            $x,
            $cycle->freeze * (1 - self::END),
            $cycle->freeze * (1 + self::END),
            'expected end',
        );
        $from = $freeze ?? $cycle->freeze;
        $this->harvest = $harvest === null
            ? null
            : self::field($x, $from, $from + $harvest, 'harvest '.self::inMinutes($harvest));
        $this->dots = $this->placed($plot, $read);
        $this->line = count($read) > 1 ? $plot->path($read) : '';
        $this->sumpDots = $this->placed($plot, $this->sumpRead());
    }

    private function label(float $kelvin): string
    {
        return $this->units->number($kelvin, QuantityKind::Temperature);
    }

    /** @return list<array{float, string}> */
    private static function ticks(Axis $x, float $span): array
    {
        $ticks = [];
        $step = $span > 2400.0 ? 600.0 : ($span > 900.0 ? 300.0 : 120.0);
        for ($at = 0.0; $at <= $span; $at += $step) {
            $ticks[] = [round($x->at($at), 1), self::inMinutes($at)];
        }

        return $ticks;
    }

    private static function inMinutes(float $seconds): string
    {
        return Format::number($seconds / 60, $seconds < 600.0 && fmod($seconds, 60.0) !== 0.0 ? 1 : 0).' min';
    }

    /** @return list<array{float, float}> s and K of the twin's saturated suction */
    private function evaporating(): array
    {
        $cycle = $this->expectation->cycle;
        $fluid = $this->expectation->machine->loop->fluid;
        $air = $this->expectation->weather->atmosphere;
        $points = [];
        for ($i = 1; $i <= self::POINTS; $i++) {
            $at = $i * $cycle->last() / self::POINTS;
            $gauge = $cycle->readingsAt($at)[Reading::SuctionPressure->value];
            $points[] = [$at, $fluid->dewTemperature($gauge + $air)];
        }

        return $points;
    }

    /** @return list<array{float, float}> s and K of the sump until it is cold */
    private function water(): array
    {
        $cycle = $this->expectation->cycle;
        $points = [];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $at = $i * $cycle->freeze / self::POINTS;
            $points[] = [$at, $cycle->sumpAt($at)];
        }

        return $points;
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}> the same so many kelvin warmer
     */
    private static function moved(array $points, float $by): array
    {
        return array_map(static fn (array $one): array => [$one[0], $one[1] + $by], $points);
    }

    /**
     * So many kelvin wide either way.
     *
     * @param  list<array{float, float}>  $points
     */
    private static function band(Plot $plot, array $points, float $width): string
    {
        return $plot->path([...self::moved($points, $width), ...array_reverse(self::moved($points, -$width))]).' Z';
    }

    /** @return Field */
    private static function field(Axis $x, float $from, float $to, string $text): array
    {
        return [
            'x' => round($x->at($from), 1),
            'width' => round($x->at($to) - $x->at($from), 1),
            'text' => $text,
            'middle' => round($x->at(($from + $to) / 2), 1),
        ];
    }

    /** @return list<array{float, float}> s into the freeze, and K of saturated suction as it was read */
    private function read(): array
    {
        $freeze = $this->findings->reading(Reading::FreezeTime) ?? $this->expectation->cycle->freeze;
        $read = [];
        $times = [
            [Reading::SuctionBegin, 180.0],
            [Reading::SuctionPressure, $this->findings->reading(Reading::FreezeMinute)],
            [Reading::SuctionEnd, max(0.0, $freeze - 30.0)],
        ];
        foreach ($times as [$reading, $at]) {
            $pressure = $this->findings->absolute($reading);
            if ($pressure === null || $at === null) {
                continue;
            }
            try {
                $read[] = [$at, $this->findings->circuit->fluid()->dewTemperature($pressure)];
            } catch (OutsideTable) {
                continue;
            }
        }
        usort($read, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return $read;
    }

    /** @return list<array{float, float}> */
    private function sumpRead(): array
    {
        $sump = $this->findings->reading(Reading::SumpTemperature);
        $at = $this->findings->reading(Reading::FreezeMinute);

        return $sump === null || $at === null ? [] : [[$at, $sump]];
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float, string}>
     */
    private function placed(Plot $plot, array $points): array
    {
        return array_map(fn (array $one): array => [
            round($plot->x->at($one[0]), 1),
            round($plot->y->at($one[1]), 1),
            $this->units->number($one[1], QuantityKind::Temperature),
        ], $points);
    }

    /** What it shows, in one sentence. */
    public function summary(): string
    {
        $cycle = $this->expectation->cycle;
        $freeze = $this->findings->reading(Reading::FreezeTime);
        $timed = $freeze === null ? 'not timed yet' : 'timed at '.self::inMinutes($freeze);

        return 'One cycle over time. Freeze expected '.self::inMinutes($cycle->freeze).', '.$timed.
            '. Harvest expected '.self::inMinutes($cycle->harvest).'.';
    }
}
