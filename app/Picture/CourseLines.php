<?php

namespace App\Picture;

use Metrum\Findings\Place;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Twin\Expected;

/**
 * Turns temperatures into the lines of the course: grid, run, points, bands, air. What is drawn takes its place.
 *
 * @phpstan-type Line array{x1: float, y1: float, x2: float, y2: float}
 * @phpstan-type GridLine array{
 *   x1: float, y1: float, x2: float, y2: float, textX: float, textY: float, text: string, zero: bool, fold: bool
 * }
 * @phpstan-type Segment array{
 *   x1: float, y1: float, x2: float, y2: float, from: string, to: string, saturated: bool
 * }
 * @phpstan-type Point array{x: float, y: float, colour: string, measured: bool, doubted: bool}
 */
final readonly class CourseLines
{
    /** Added to the ends of a stretch: a colour cannot change along a line that is exactly level. */
    private const HAIR = 0.01;

    /** Half the room that a point takes. */
    private const POINT = 7.0;

    public function __construct(
        private CourseFrame $frame,
        private Units $units,
        private LabelPlacer $placer,
    ) {
    }

    /** @return list<GridLine> */
    public function grid(): array
    {
        $grid = [];
        foreach ([false, true] as $fold) {
            foreach ($this->frame->ticks($fold) as $kelvin) {
                $grid[] = $this->frame->gridLine($kelvin) + [
                    'text' => $this->tick($kelvin),
                    'zero' => abs($kelvin - Celsius::ZERO) < 0.01,
                    'fold' => $fold,
                ];
            }
        }

        return $grid;
    }

    /**
     * @param  array<string, float>  $run
     * @return list<Segment>
     */
    public function segments(array $run): array
    {
        $segments = [];
        $before = null;
        foreach ($run as $name => $kelvin) {
            $place = Place::from($name);
            if ($before !== null && CourseFacts::joins($before, $place)) {
                $start = $run[$before->value];
                [$x1, $y1] = $this->frame->point($before, $start);
                [$x2, $y2] = $this->frame->point($place, $kelvin);
                $this->placer->line($x1, $y1, $x2, $y2);
                $segments[] = [
                    'x1' => $x1,
                    'y1' => $y1,
                    'x2' => $x2 + self::HAIR,
                    'y2' => $y2 + self::HAIR,
                    'from' => TemperatureColour::of($start),
                    'to' => TemperatureColour::of($kelvin),
                    'saturated' => $place->endsSaturation(),
                ];
            }
            $before = $place;
        }

        return $segments;
    }

    /**
     * @param  array<string, float>  $run
     * @param  list<Place>  $doubted
     * @return list<Point>
     */
    public function points(array $run, array $doubted): array
    {
        $points = [];
        foreach ($run as $name => $kelvin) {
            $place = Place::from($name);
            [$x, $y] = $this->frame->point($place, $kelvin);
            $this->placer->block($x - self::POINT, $y - self::POINT, 2 * self::POINT, 2 * self::POINT);
            $points[] = [
                'x' => $x,
                'y' => $y,
                'colour' => TemperatureColour::of($kelvin),
                'measured' => $place->isClamp(),
                'doubted' => in_array($place, $doubted, true),
            ];
        }

        return $points;
    }

    /**
     * @param  array<string, Expected>  $expected
     * @return list<string>
     */
    public function bands(array $expected): array
    {
        $paths = [];
        $stretch = [];
        $before = null;
        foreach (Place::cases() as $place) {
            if (! isset($expected[$place->value])) {
                continue;
            }
            if ($before !== null && ! self::bandJoins($before, $place)) {
                $paths[] = $this->bandPath($stretch);
                $stretch = [];
            }
            $stretch[$place->value] = $expected[$place->value];
            $before = $place;
        }

        return $stretch === [] ? $paths : [...$paths, $this->bandPath($stretch)];
    }

    /**
     * @param  array<string, array{float, ?float}>  $air
     * @return list<Line>
     */
    public function airs(array $air): array
    {
        $lines = [];
        foreach ($air as $zone => [$in, $out]) {
            $line = $this->frame->airLine(Zone::from($zone), $in, $out ?? $in);
            $this->placer->line($line['x1'], $line['y1'], $line['x2'], $line['y2']);
            $lines[] = $line;
        }

        return $lines;
    }

    /** Where the twin has nothing between, the band still goes on along the liquid line and over the valve. */
    private static function bandJoins(Place $from, Place $to): bool
    {
        return $to->after($from) === 1 ||
            ($to === Place::DrierOutlet && $from === Place::ReceiverOutlet) ||
            $to === Place::ValveInlet ||
            ($to === Place::CoilIn && $from === Place::ValveInlet);
    }

    /** @param  array<string, Expected>  $stretch */
    private function bandPath(array $stretch): string
    {
        $upper = $lower = [];
        foreach ($stretch as $name => $band) {
            $place = Place::from($name);
            $upper[] = vsprintf('%.1f %.1f', $this->frame->point($place, $band->value + $band->deviation));
            $lower[] = vsprintf('%.1f %.1f', $this->frame->point($place, $band->value - $band->deviation));
        }

        return 'M'.implode(' L', [...$upper, ...array_reverse($lower)]).' Z';
    }

    private function tick(float $kelvin): string
    {
        $text = str_replace('.0', '', $this->units->number($kelvin, QuantityKind::Temperature));

        return str_starts_with($text, '−') || $text === '0' ? $text : '+'.$text;
    }
}
