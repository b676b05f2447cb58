<?php

namespace App\Picture;

use Metrum\Findings\Place;
use Metrum\Quantity\Celsius;

/**
 * The paper of the course: where each place of the circuit and each temperature lies.
 *
 * Across (or downward on a phone) the places in the order in which refrigerant passes them; the other way temperature,
 * linear up to a fold and compressed above it for the discharge line.
 *
 * @phpstan-type ZoneBox array{
 *   name: string, x: float, y: float, width: float, height: float, textX: float, textY: float, anchor: string
 * }
 */
final readonly class CourseFrame
{
    /** Places along the circuit, 0 … 1 of its length. */
    private const PLACES = [
        'discharge' => 0.041,
        'condenser_in' => 0.169,
        'condenser_out' => 0.332,
        'condenser_outlet' => 0.405,
        'receiver_outlet' => 0.475,
        'drier_inlet' => 0.52,
        'drier_outlet' => 0.56,
        'valve_inlet' => 0.609,
        'coil_in' => 0.679,
        'coil_out' => 0.81,
        'bulb' => 0.857,
        'suction_pipe' => 0.939,
    ];

    /** On the phone each place stands beside its cell: row of the cell, counted from 0. */
    private const ROWS = [
        'discharge' => 0.0,
        'condenser_in' => 0.72,
        'condenser_out' => 1.28,
        'condenser_outlet' => 2.0,
        'receiver_outlet' => 3.0,
        'drier_inlet' => 4.0,
        'drier_outlet' => 5.0,
        'valve_inlet' => 6.0,
        'coil_in' => 6.72,
        'coil_out' => 7.28,
        'bulb' => 8.0,
        'suction_pipe' => 9.0,
    ];

    private const ZONES = [
        'compressor' => [0.0, 0.114],
        'condenser' => [0.131, 0.37],
        'liquid line' => [0.382, 0.624],
        'coil' => [0.656, 0.831],
        'suction line' => [0.843, 1.0],
    ];

    private const ZONE_ROWS = [
        'compressor' => [-0.45, 0.4],
        'condenser' => [0.55, 1.45],
        'liquid line' => [1.6, 6.4],
        'coil' => [6.58, 7.42],
        'suction line' => [7.6, 9.45],
    ];

    private const FOLD_SPAN = 75.0;

    public const ROW = 58.0;

    public function __construct(
        public float $width,
        public float $height,
        public bool $downward,
        public float $lowest,
        public float $fold,
    ) {
    }

    public static function across(float $height, float $lowest, float $fold): self
    {
        return new self(728.0, $height, false, $lowest, $fold);
    }

    public static function down(float $lowest, float $fold): self
    {
        return new self(270.0, 10 * self::ROW + 24, true, $lowest, $fold);
    }

    /** @return array{float, float} x and y */
    public function point(Place $place, float $kelvin): array
    {
        return $this->downward
            ? [$this->along($kelvin), $this->row(self::ROWS[$place->value])]
            : [$this->across01(self::PLACES[$place->value]), $this->along($kelvin)];
    }

    /** @return array{float, float} x and y at the middle of a zone */
    public function middle(Zone $zone, float $kelvin, float $share = 0.5): array
    {
        if ($this->downward) {
            [$from, $to] = self::ZONE_ROWS[$zone->value];

            return [$this->along($kelvin), $this->row($from + $share * ($to - $from))];
        }
        [$from, $to] = self::ZONES[$zone->value];

        return [$this->across01($from + $share * ($to - $from)), $this->along($kelvin)];
    }

    /** Coordinate along the temperature axis. */
    public function along(float $kelvin): float
    {
        [$start, $end] = $this->downward ? [8.0, $this->width - 8.0] : [$this->height - 18.0, 6.0];
        $foldAt = $start + ($end - $start) * ($this->downward ? 0.84 : 0.83);
        if ($kelvin <= $this->fold) {
            return round(
                $start + (($foldAt - $start) * ($kelvin - $this->lowest)) / ($this->fold - $this->lowest),
                1,
            );
        }

        return round($foldAt + ($end - $foldAt) * min(1.0, ($kelvin - $this->fold) / self::FOLD_SPAN), 1);
    }

    /** @return list<ZoneBox> */
    public function zones(): array
    {
        $zones = [];
        foreach ($this->downward ? self::ZONE_ROWS : self::ZONES as $name => [$from, $to]) {
            if ($this->downward) {
                [$a, $b] = [$this->row($from), $this->row($to)];
                $zones[] = [
                    'name' => $name,
                    'x' => 0.0,
                    'y' => $a,
                    'width' => $this->width,
                    'height' => $b - $a,
                    'textX' => $name === 'compressor' ? 4.0 : $this->width - 4,
                    'textY' => $b - 5,
                    'anchor' => $name === 'compressor' ? 'start' : 'end',
                ];
            } else {
                [$a, $b] = [$this->across01($from), $this->across01($to)];
                $zones[] = [
                    'name' => $name,
                    'x' => $a,
                    'y' => 4.0,
                    'width' => $b - $a,
                    'height' => $this->height - 22,
                    'textX' => ($a + $b) / 2,
                    'textY' => $this->height - 5,
                    'anchor' => 'middle',
                ];
            }
        }

        return $zones;
    }

    /** @return list<float> temperatures (K) of the grid lines below the fold, and above it */
    public function ticks(bool $aboveFold): array
    {
        if ($aboveFold) {
            return $this->downward ? [$this->fold + 50.0] : [$this->fold + 25.0, $this->fold + 50.0];
        }
        $ticks = [];
        $step = $this->fold - $this->lowest > 85 || $this->downward ? 20.0 : 10.0;
        for (
            $t = Celsius::ZERO + $step * ceil(($this->lowest - Celsius::ZERO) / $step);
            $t <= $this->fold + 0.01;
            $t += $step
        ) {
            $ticks[] = $t;
        }

        return $ticks;
    }

    /**
     * Of a temperature, with the place of its text.
     *
     * @return array{x1: float, y1: float, x2: float, y2: float, textX: float, textY: float}
     */
    public function gridLine(float $kelvin): array
    {
        $at = $this->along($kelvin);

        return $this->downward
            ? ['x1' => $at, 'y1' => 20.0, 'x2' => $at, 'y2' => $this->height, 'textX' => $at, 'textY' => 13.0]
            : [
                'x1' => 34.0,
                'y1' => $at,
                'x2' => $this->width,
                'y2' => $at,
                'textX' => 29.0,
                'textY' => $at + 3.5,
            ];
    }

    /** @return array{x1: float, y1: float, x2: float, y2: float} along a zone, from air entering to air leaving (K) */
    public function airLine(Zone $zone, float $in, float $out): array
    {
        [$a, $b] = [$this->along($in), $this->along($out)];
        if ($this->downward) {
            [$from, $to] = self::ZONE_ROWS[$zone->value];

            return ['x1' => $a, 'y1' => $this->row($from), 'x2' => $b, 'y2' => $this->row($to)];
        }
        [$from, $to] = self::ZONES[$zone->value];

        return ['x1' => $this->across01($from), 'y1' => $a, 'x2' => $this->across01($to), 'y2' => $b];
    }

    private function across01(float $share): float
    {
        return round(34.0 + $share * ($this->width - 42.0), 1);
    }

    private function row(float $row): float
    {
        return round(24.0 + self::ROW * ($row + 0.5), 1);
    }
}
