<?php

namespace App\Picture;

use Metrum\Quantity\Celsius;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Twin\Filling;
use Metrum\Twin\WinterCurve;

/**
 * Receiver and condenser from the coldest day to the weather of the plan: how full each is with the charge that is in,
 * and how full the receiver would be with the summer's charge alone, down to where it loses its seal.
 *
 * @phpstan-import-type WinterPoint from WinterCurve
 */
final readonly class WinterPicture
{
    public const WIDTH = 760.0;

    public const HEIGHT = 300.0;

    public const LEFT = 54.0;

    public const RIGHT = 610.0;

    public const TOP = 20.0;

    public const BOTTOM = 250.0;

    public const DEPTH = self::BOTTOM - self::TOP;

    public const MIDDLE = (self::LEFT + self::RIGHT) / 2;

    private const LEVELS = [0.0, 0.2, 0.4, 0.6, 1.0];

    private const TICK = 5.0;

    /** Least distance between two names at the right. */
    private const APART = 17.0;

    private Plot $plot;

    /**
     * @param  non-empty-list<WinterPoint>  $now
     * @param  non-empty-list<WinterPoint>  $summer
     */
    public function __construct(private array $now, private array $summer, private Units $units)
    {
        $from = $now[0]['ambient'];
        $this->plot = new Plot(
            Axis::of(self::LEFT, self::RIGHT, $from, max($from + 1.0, $now[count($now) - 1]['ambient'])),
            Axis::of(self::BOTTOM, self::TOP, 0.0, 1.0)->held(),
        );
    }

    private function x(float $ambient): float
    {
        return $this->plot->x->at($ambient);
    }

    public function y(float $share): float
    {
        return $this->plot->y->at($share);
    }

    /** @return list<array{y: float, text: string}> */
    public function levels(): array
    {
        return array_map(
            fn (float $share): array => [
                'y' => $this->y($share),
                'text' => Format::number(100 * $share, 0).' %',
            ],
            self::LEVELS,
        );
    }

    public function full(): float
    {
        return $this->y(Filling::FULLEST);
    }

    /** @return array<string, string> path by what it shows */
    public function paths(): array
    {
        return [
            'condenser' => $this->path($this->now, 'condenser'),
            'receiver' => $this->path($this->now, 'level'),
            'summer' => $this->path($this->summer, 'level'),
        ];
    }

    /**
     * @param  list<WinterPoint>  $points
     * @param  'level'|'condenser'  $of
     */
    private function path(array $points, string $of): string
    {
        return $this->plot->path(array_map(
            static fn (array $point): array => [$point['ambient'], $point['runs'] ? $point[$of] : 0.0],
            $points,
        ));
    }

    private function mass(float $kilograms): string
    {
        return $this->units->mass($kilograms);
    }

    /** @return list<array{y: float, text: string}> what is in each on the coldest day */
    public function coldest(): array
    {
        $point = $this->now[0];

        return [
            ['y' => $this->y($point['condenser']) + 16.0, 'text' => $this->mass($point['condenser_kg'])],
            ['y' => $this->y($point['level']) - 7.0, 'text' => $this->mass($point['receiver_kg'])],
        ];
    }

    /** @return list<array{y: float, text: string}> names at the right end, none over another */
    public function names(): array
    {
        $last = count($this->now) - 1;
        $names = [
            [$this->y($this->now[$last]['condenser']), 'condenser '.$this->mass($this->now[$last]['condenser_kg'])],
            [$this->y($this->now[$last]['level']), 'receiver '.$this->mass($this->now[$last]['receiver_kg'])],
            [$this->y($this->summer[$last]['level']), 'summer charge only'],
        ];
        usort($names, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $placed = [];
        $free = -INF;
        foreach ($names as [$y, $text]) {
            $at = max($y + 4.0, $free);
            $placed[] = ['y' => $at, 'text' => $text];
            $free = $at + self::APART;
        }
        $over = $free - self::APART - (self::BOTTOM + 4.0);

        return $over <= 0.0
            ? $placed
            : array_map(static fn (array $one): array => ['y' => $one['y'] - $over, 'text' => $one['text']], $placed);
    }

    /** @return ?array{width: float, text: string} where the summer's charge alone no longer seals the receiver */
    public function lost(): ?array
    {
        $lost = null;
        foreach ($this->summer as $point) {
            if (! $point['sealed']) {
                $lost = $point['ambient'];
            }
        }

        return $lost === null
            ? null
            : [
                'width' => max(0.0, $this->x($lost) - self::LEFT),
                'text' => 'liquid seal lost below '.$this->units->text($lost, QuantityKind::Temperature),
            ];
    }

    /** @return list<array{x: float, text: string}> */
    public function temperatures(): array
    {
        return array_map(
            fn (float $kelvin): array => [
                'x' => $this->x($kelvin),
                'text' => $this->units->number($kelvin, QuantityKind::Temperature),
            ],
            $this->plot->x->rounds(self::TICK, Celsius::ZERO),
        );
    }
}
