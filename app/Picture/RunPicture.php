<?php

namespace App\Picture;

use Metrum\Installation\Circuit;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Mode;
use Metrum\Twin\Moment;

/**
 * A simulated run drawn in three lanes over time: box and product, saturations at the gauges, frost; with what ran
 * when.
 */
final readonly class RunPicture
{
    /** Events that its name for a screen reader tells. */
    private const HEARD = 12;

    public const WIDTH = 760.0;

    public const HEIGHT = 330.0;

    public const LEFT = 58.0;

    public const RIGHT = 682.0;

    /** Top and bottom of each lane. */
    private const LANES = ['box' => [10.0, 120.0], 'gauges' => [136.0, 256.0], 'frost' => [268.0, 304.0]];

    /** @var list<array{class: string, path: string, name: string, x: float, y: float}> */
    public array $curves;

    /** @var list<array{class: string, x: float, width: float}> */
    public array $modes;

    /** @var list<array{x: float, text: string}> */
    public array $hours;

    /** @var list<array{y: float, text: string}> */
    public array $levels;

    /** @param  non-empty-list<Moment>  $moments */
    public function __construct(private array $moments, Circuit $circuit, private Units $units)
    {
        $fluid = $circuit->fluid();
        $box = array_map(
            static fn (Moment $one): float => $one->readings[Reading::BoxTemperature->value],
            $moments,
        );
        $product = array_map(static fn (Moment $one): float => $one->product, $moments);
        $air = $fluid->saturation;
        $saturated = static function (Moment $one, Reading $reading) use ($fluid, $air, $circuit): ?float {
            try {
                return $fluid->dewTemperature(
                    max(
                        $fluid->dewPressure($air->lowest),
                        $one->readings[$reading->value] + $circuit->atmosphere->pascal,
                    ),
                );
            } catch (OutsideTable) {
                return null;
            }
        };
        $low = array_map(
            static fn (Moment $one): ?float => $saturated($one, Reading::SuctionPressure),
            $moments,
        );
        $high = array_map(
            static fn (Moment $one): ?float => $saturated($one, Reading::DischargePressure),
            $moments,
        );
        $frost = array_map(static fn (Moment $one): float => $one->frost, $moments);
        $levels = [];
        $curves = [];
        [$from, $to] = self::span([...$box, ...$product], 4.0);
        $curves[] = $this->curve('run-box', 'box', $box, $from, $to, 'box air');
        $curves[] = $this->curve('run-product', 'box', $product, $from, $to, 'product');
        array_push($levels, ...$this->levels('box', $from, $to));
        [$from, $to] = self::span(
            array_values(array_filter([...$low, ...$high], static fn (?float $one): bool => $one !== null)),
            20.0,
        );
        $curves[] = $this->curve('run-high', 'gauges', $high, $from, $to, 'condensing');
        $curves[] = $this->curve('run-low', 'gauges', $low, $from, $to, 'evaporating');
        array_push($levels, ...$this->levels('gauges', $from, $to));
        $most = max(0.5, max($frost));
        $curves[] = $this->curve('run-frost', 'frost', $frost, 0.0, $most, 'frost');
        $levels[] = ['y' => self::LANES['frost'][0] + 4, 'text' => $units->text($most, QuantityKind::Mass)];
        $this->levels = $levels;
        // Two names in one lane do not stand on each other.
        foreach ([[0, 1], [2, 3]] as [$a, $b]) {
            $short = 13.0 - abs($curves[$a]['y'] - $curves[$b]['y']);
            if ($short > 0) {
                $lower = $curves[$a]['y'] > $curves[$b]['y'] ? $a : $b;
                $curves[$lower]['y'] += $short / 2;
                $curves[$lower === $a ? $b : $a]['y'] -= $short / 2;
            }
        }
        $this->curves = $curves;
        $this->modes = $this->modes();
        $this->hours = $this->hours();
    }

    /** @return list<string> what happened, in order */
    public function events(): array
    {
        $events = [];
        $before = null;
        foreach ($this->moments as $moment) {
            $now =
                $moment->tripped !== null && $moment->mode === Mode::Off
                    ? 'stopped on '.$moment->tripped->value
                    : $moment->mode->label();
            if ($now !== $before) {
                $events[] = sprintf(
                    '%d:%02d %s',
                    intdiv((int) $moment->time, 3600),
                    intdiv((int) $moment->time % 3600, 60),
                    $now,
                );
                $before = $now;
            }
        }

        return $events;
    }

    /** What the superheat did at the end, in one sentence; empty where nobody could tell. */
    public function swing(): string
    {
        $readings = [];
        foreach ($this->moments as $moment) {
            $readings = isset($moment->readings[Reading::SuperheatSwing->value]) ? $moment->readings : $readings;
        }
        if ($readings === []) {
            return '';
        }
        $period = $readings[Reading::SuperheatPeriod->value] ?? null;

        return sprintf(
            'Superheat at the bulb swings by %s%s, lowest %s.',
            $this->units->text($readings[Reading::SuperheatSwing->value], QuantityKind::Difference),
            $period === null ? '' : ' every '.$this->units->text($period, QuantityKind::Duration),
            $this->units->text($readings[Reading::SuperheatLowest->value], QuantityKind::Difference),
        );
    }

    /** @return list<string> the first of them, as many as can be listened to */
    public function firstEvents(): array
    {
        return array_slice($this->events(), 0, self::HEARD);
    }

    /** "63 %": how much of the time the compressor ran. */
    public function runningShare(): string
    {
        $running = array_filter($this->moments, static fn (Moment $one): bool => $one->mode === Mode::Running);

        return Format::number(100 * count($running) / count($this->moments), 0).' %';
    }

    /**
     * @param  list<float>  $values
     * @return array{float, float}
     */
    private static function span(array $values, float $least): array
    {
        $low = $values === [] ? (Celsius::ZERO - 10.0) : min($values);
        $high = $values === [] ? (Celsius::ZERO + 10.0) : max($values);
        $room = max(0.0, $least - ($high - $low)) / 2 + 0.06 * ($high - $low);

        return [$low - $room, $high + $room];
    }

    /**
     * @param  list<?float>  $values
     * @return array{class: string, path: string, name: string, x: float, y: float}
     */
    private function curve(
        string $class,
        string $lane,
        array $values,
        float $from,
        float $to,
        string $name,
    ): array {
        [$top] = self::LANES[$lane];
        $axis = self::lane($lane, $from, max($from + 1e-9, $to))->held();
        $path = '';
        $y = $top;
        $pen = false;
        foreach ($values as $i => $value) {
            if ($value === null) {
                $pen = false;

                continue;
            }
            $y = round($axis->at($value), 1);
            $path .= ($pen ? 'L' : 'M').$this->x($this->moments[$i]->time).' '.$y;
            $pen = true;
        }

        return ['class' => $class, 'path' => $path, 'name' => $name, 'x' => self::RIGHT + 6, 'y' => $y + 4];
    }

    private static function lane(string $lane, float $from, float $to): Axis
    {
        [$top, $bottom] = self::LANES[$lane];

        return Axis::of($bottom, $top, $from, $to);
    }

    /** @return list<array{y: float, text: string}> */
    private function levels(string $lane, float $from, float $to): array
    {
        $step = $to - $from > 60 ? 20.0 : ($to - $from > 24 ? 10.0 : ($to - $from > 9 ? 5.0 : 2.0));
        $axis = self::lane($lane, $from, $to);

        return array_map(
            fn (float $kelvin): array => [
                'y' => round($axis->at($kelvin), 1),
                'text' => $this->units->number($kelvin, QuantityKind::Temperature),
            ],
            $axis->rounds($step, Celsius::ZERO),
        );
    }

    /** @return list<array{class: string, x: float, width: float}> */
    private function modes(): array
    {
        $modes = [];
        $count = count($this->moments);
        foreach ($this->moments as $i => $moment) {
            $x = $this->x($moment->time);
            $end = $this->x($this->moments[min($count - 1, $i + 1)]->time);
            $last = array_key_last($modes);
            if ($last !== null && $modes[$last]['class'] === 'mode-'.$moment->mode->value) {
                $modes[$last]['width'] = round($end - $modes[$last]['x'], 1);
            } else {
                $modes[] = [
                    'class' => 'mode-'.$moment->mode->value,
                    'x' => $x,
                    'width' => round($end - $x, 1),
                ];
            }
        }

        return $modes;
    }

    /** @return list<array{x: float, text: string}> */
    private function hours(): array
    {
        $seconds = $this->moments[array_key_last($this->moments)]->time - $this->moments[0]->time;
        $step = $seconds > 30000 ? 10800 : ($seconds > 7200 ? 3600 : 600);
        $hours = [];
        for ($time = 0; $time <= $seconds; $time += $step) {
            $hours[] = [
                'x' => $this->x((float) $time),
                'text' => $step >= 3600 ? $time / 3600 .' h' : $time / 60 .' min',
            ];
        }

        return $hours;
    }

    private function x(float $time): float
    {
        $whole = max(1.0, $this->moments[array_key_last($this->moments)]->time);

        return round(Axis::of(self::LEFT, self::RIGHT, 0.0, $whole)->at($time), 1);
    }
}
