<?php

namespace App\Picture;

use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/**
 * Labels of gaps and air, each in a free place as near as can be to what it belongs to.
 *
 * @phpstan-type LabelLine array{class: string, text: string, y: float, size: float, x?: float}
 * @phpstan-type Label array{x: float, y: float, anchor: string, lines: list<LabelLine>, mark: string}
 */
final readonly class CourseLabels
{
    /** Paper is read from nearer than a screen: words of this share of their size. */
    private const PRINTED = 0.86;

    /** Sizes of type, and width of one character of each. */
    private const NAME = 11.5;

    private const NAME_WIDTH = 7.0;

    private const VALUE = 17.0;

    private const VALUE_WIDTH = 10.8;

    private const WANTED = 11.0;

    private const WANTED_WIDTH = 6.6;

    private const AIR_WIDTH = 6.5;

    private const GAP_HEIGHT = 31.0;

    private const AIR_HEIGHT = 14.0;

    public function __construct(
        private CourseFrame $frame,
        private Units $units,
        private LabelPlacer $placer,
    ) {
    }

    /**
     * How large a line is printed.
     *
     * @param  LabelLine  $line
     */
    public static function printed(array $line): float
    {
        return self::PRINTED * $line['size'];
    }

    /**
     * @param  array<string, array{float, ?float}>  $air
     * @return list<Label>
     */
    public function all(CourseBrackets $brackets, array $air): array
    {
        $labels = [];
        foreach ($brackets->bySeverity() as $bracket) {
            $labels[] = $this->ofGap($bracket);
        }
        foreach ($air as $zone => [$in, $out]) {
            $labels[] = $this->ofAir(Zone::from($zone), $in, $out);
        }

        return $labels;
    }

    /** @return Label */
    private function ofGap(Bracket $bracket): array
    {
        $gap = $bracket->gap;
        [$x, $y] = $bracket->anchor();
        $value = $gap->shown($this->units);
        $wanted = $gap->name === GapName::Discharge ? '' : $gap->span($this->units);
        $width = max(
            self::NAME_WIDTH * mb_strlen($gap->name->value) + 16,
            self::VALUE_WIDTH * mb_strlen($value) + self::WANTED_WIDTH * mb_strlen($wanted) + 6,
        );
        $near = [[7.0, -15.5], [-$width - 12.0, -15.5], [7.0, -34.0], [7.0, 4.0]];
        [$left, $top] = $this->placer->place($x, $y, $width, self::GAP_HEIGHT, $near);
        $name = $gap->mark->sign().' '.$gap->name->value;
        $after = $left + 10.2 * mb_strlen($value) + 5;

        return self::label($left, $top, $gap->mark->value, [
            ['class' => 'gap-name', 'text' => $name, 'y' => $top + 11, 'size' => self::NAME],
            ['class' => 'gap-value', 'text' => $value, 'y' => $top + 27.5, 'size' => self::VALUE],
            [
                'class' => 'gap-wanted',
                'text' => $wanted,
                'y' => $top + 27.5,
                'size' => self::WANTED,
                'x' => $after,
            ],
        ]);
    }

    /** @return Label */
    private function ofAir(Zone $zone, float $in, ?float $out): array
    {
        $leaving = $out === null ? '' : ' → '.$this->units->number($out, QuantityKind::Temperature);
        $name = $zone === Zone::Coil ? 'box ' : 'ambient ';
        $text = $name.$this->units->number($in, QuantityKind::Temperature).$leaving;
        [$x, $y] = $this->frame->middle($zone, $in, 0.02);
        $width = self::AIR_WIDTH * mb_strlen($text) + 4;
        $near = [[4.0, 4.0], [4.0, -18.0], [40.0, 4.0], [40.0, -18.0]];
        [$left, $top] = $this->placer->place($x, $y, $width, self::AIR_HEIGHT, $near);
        $line = ['class' => 'air-name', 'text' => $text, 'y' => $top + 11, 'size' => self::NAME];

        return self::label($left, $top, 'air', [$line]);
    }

    /**
     * @param  list<LabelLine>  $lines
     * @return Label
     */
    private static function label(float $x, float $y, string $mark, array $lines): array
    {
        return ['x' => $x, 'y' => $y, 'anchor' => 'start', 'lines' => $lines, 'mark' => $mark];
    }
}
