<?php

namespace App\View;

use Metrum\Findings\Mark;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Format;
use Metrum\Quantity\Units;
use Metrum\Work\Ledger\Cylinder;

/** One cylinder as it is drawn: how full of liquid it is, cool and hot, and to which weight it may be filled. */
final readonly class CylinderMark
{
    /** Where its vessel ends in the drawing, and how high it is inside. */
    private const DRAWN_BOTTOM = 80.0;

    private const DRAWN_HEIGHT = 66.0;

    /** Share of liquid in the hot place from which it is brim-full. */
    private const BRIM = 1.0;

    private const NEARLY = 0.95;

    /**
     * @param  float  $usual  K that it is filled for
     * @param  float  $hot  K of a hot place
     */
    public function __construct(
        public Cylinder $cylinder,
        private float $usual,
        private float $hot,
        private Units $units,
    ) {
    }

    /** Share of its water capacity that liquid takes, 0 … 1. */
    public function fill(): float
    {
        return max(0.0, min(1.0, $this->cylinder->fill($this->usual)));
    }

    public function hotFill(): float
    {
        return max(0.0, min(1.0, $this->cylinder->fill($this->hot)));
    }

    /** @return array{y: float, height: float} the liquid in its drawing */
    public function liquid(): array
    {
        return self::drawn($this->fill());
    }

    /** @return array{y: float, height: float} the same in a hot place */
    public function hotLiquid(): array
    {
        return self::drawn($this->hotFill());
    }

    /** @return array{y: float, height: float} */
    private static function drawn(float $share): array
    {
        $height = self::DRAWN_HEIGHT * $share;

        return ['y' => self::DRAWN_BOTTOM - $height, 'height' => $height];
    }

    public function mark(): Mark
    {
        return match (true) {
            $this->cylinder->fill($this->hot) >= self::BRIM => Mark::Act,
            $this->cylinder->fill($this->usual) > Cylinder::FILLED,
            $this->cylinder->fill($this->hot) > self::NEARLY => Mark::Look,
            default => Mark::Fine,
        };
    }

    public function content(): string
    {
        return $this->units->mass($this->cylinder->content);
    }

    public function gross(): string
    {
        return $this->units->mass($this->cylinder->gross());
    }

    public function limit(): string
    {
        return $this->units->mass($this->cylinder->limit($this->usual));
    }

    /** "31 % liquid at 25 °C, 33 % at 45" */
    public function words(): string
    {
        $percent = static fn (float $share): string => Format::number(100 * $share, 0).' %';

        return $percent($this->cylinder->fill($this->usual)).' liquid at '.
            Format::number($this->usual - Celsius::ZERO, 0).' °C, '.
            $percent($this->cylinder->fill($this->hot)).' at '.Format::number($this->hot - Celsius::ZERO, 0).' °C';
    }
}
