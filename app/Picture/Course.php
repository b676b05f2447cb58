<?php

namespace App\Picture;

use Metrum\Findings\Place;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/**
 * View data of the course: the run of temperature along the circuit over its expected band, air lines, gaps and labels.
 *
 * All coordinates are in the drawing's own units and finished: the component only prints them.
 *
 * @phpstan-import-type Line from CourseLines
 * @phpstan-import-type GridLine from CourseLines
 * @phpstan-import-type Segment from CourseLines
 * @phpstan-import-type Point from CourseLines
 * @phpstan-import-type Label from CourseLabels
 */
final readonly class Course
{
    /** Pieces of one colour that a stretch is cut into where no gradient is known. */
    private const PIECES = 6;

    public CourseFrame $frame;

    /** @var list<Gap> */
    public array $gaps;

    public bool $settled;

    /** @var list<Segment> */
    public array $segments;

    /** @var list<Point> */
    public array $points;

    /** @var list<string> SVG paths of the expected band */
    public array $bands;

    /** @var list<Line> */
    public array $airs;

    /** @var list<array{path: string, mark: string}> */
    public array $brackets;

    /** @var list<Label> */
    public array $labels;

    /** @var list<GridLine> */
    public array $grid;

    private function __construct(public CourseFacts $facts, public Units $units, CourseFrame $frame)
    {
        $this->frame = $frame;
        $this->gaps = $facts->gaps;
        $this->settled = $facts->settled;
        $placer = LabelPlacer::on($frame);
        $lines = new CourseLines($frame, $units, $placer);
        $this->grid = $lines->grid();
        $this->segments = $lines->segments($facts->run);
        $this->points = $lines->points($facts->run, $facts->doubted);
        $this->bands = $lines->bands($facts->expected);
        $this->airs = $lines->airs($facts->air);
        $brackets = new CourseBrackets($frame, $facts, $placer);
        $this->brackets = $brackets->drawn();
        $this->labels = (new CourseLabels($frame, $units, $placer))->all($brackets, $facts->air);
    }

    /** The places side by side. */
    public static function across(CourseFacts $facts, Units $units, float $height): self
    {
        [$lowest, $fold] = $facts->span();

        return new self($facts, $units, CourseFrame::across($height, $lowest, $fold));
    }

    /** Turned by a quarter, each place beside its cell. */
    public static function down(CourseFacts $facts, Units $units): self
    {
        [$lowest, $fold] = $facts->span();

        return new self($facts, $units, CourseFrame::down($lowest, $fold));
    }

    public function isBlank(): bool
    {
        return $this->facts->isBlank();
    }

    /** What would give the rest of the expected run; null where all of it is there. */
    public function missing(): ?string
    {
        return $this->facts->missing();
    }

    /**
     * The run in pieces of one colour each, for printing.
     *
     * @return list<array<string, float|string|bool>>
     */
    public function pieces(): array
    {
        $pieces = [];
        $places = array_map(Place::from(...), array_keys($this->facts->run));
        foreach ($places as $i => $place) {
            $next = $places[$i + 1] ?? null;
            if ($next !== null && CourseFacts::joins($place, $next)) {
                array_push($pieces, ...$this->cut($place, $next));
            }
        }

        return $pieces;
    }

    /** @return list<array{place: string, measured: string, expected: string}> the same as a table */
    public function rows(): array
    {
        $rows = [];
        foreach (Place::cases() as $place) {
            $value = $this->facts->run[$place->value] ?? null;
            $band = $this->facts->expected[$place->value] ?? null;
            if ($value === null && $band === null) {
                continue;
            }
            $span =
                $band === null
                    ? ''
                    : $this->units->span(
                        $band->value - $band->deviation,
                        $band->value + $band->deviation,
                        QuantityKind::Temperature,
                    ).
                        ' '.
                        $this->units->symbol(QuantityKind::Temperature);
            $rows[] = [
                'place' => $place->label(),
                'measured' => $value === null ? 'Not measured' : $this->units->text($value, QuantityKind::Temperature),
                'expected' => $span,
            ];
        }

        return $rows;
    }

    /** @return list<array<string, float|string|bool>> */
    private function cut(Place $from, Place $to): array
    {
        [$a, $b] = [$this->facts->run[$from->value], $this->facts->run[$to->value]];
        [$x1, $y1] = $this->frame->point($from, $a);
        [$x2, $y2] = $this->frame->point($to, $b);
        $along = static fn (float $start, float $end, float $part): float => $start +
            (($end - $start) * $part) / self::PIECES;
        $pieces = [];
        for ($k = 0; $k < self::PIECES; $k++) {
            $pieces[] = [
                'x1' => round($along($x1, $x2, $k), 1),
                'y1' => round($along($y1, $y2, $k), 1),
                'x2' => round($along($x1, $x2, $k + 1), 1),
                'y2' => round($along($y1, $y2, $k + 1), 1),
                'colour' => TemperatureColour::of($along($a, $b, $k + 0.5)),
                'saturated' => $to->endsSaturation(),
            ];
        }

        return $pieces;
    }
}
