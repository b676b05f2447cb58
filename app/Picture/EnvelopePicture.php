<?php

namespace App\Picture;

use Metrum\Installation\Envelope;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Compressor\OperatingPoint;
use Metrum\Work\Compressor\PointKind;

/** Where a compressor may run, evaporating across and condensing up, and where it does and will. */
final readonly class EnvelopePicture
{
    public const WIDTH = 720.0;

    public const HEIGHT = 400.0;

    public const LEFT = 56.0;

    public const RIGHT = 704.0;

    public const TOP = 16.0;

    public const BOTTOM = 352.0;

    /** K around field and points. */
    private const MARGIN = 6.0;

    private const STEP = 10.0;

    /** Width of a letter. */
    private const LETTER = 7.5;

    /** Height of a line of letters. */
    private const LINE = 15.0;

    public string $field;

    /** @var list<array{path: string, label: string, x: float, y: float}> */
    public array $zones;

    /** @var list<array{float, string}> */
    public array $across;

    /** @var list<array{float, string}> */
    public array $up;

    /** Through what was read, in the order in which it was. */
    public string $trail;

    /** @var list<array{x: float, y: float, label: string, down: float, class: string, anchor: string}> */
    public array $points;

    /** @param  list<OperatingPoint>  $course */
    public function __construct(private Envelope $envelope, private array $course, private Units $units)
    {
        $x = $this->axis(self::LEFT, self::RIGHT, 0, static fn (OperatingPoint $one): float => $one->evaporating);
        $y = $this->axis(self::BOTTOM, self::TOP, 1, static fn (OperatingPoint $one): float => $one->condensing);
        $plot = new Plot($x, $y);
        $this->field = $plot->path($this->envelope->corners).' Z';
        $this->zones = array_map(static function (array $zone) use ($plot): array {
            [$label, $corners] = $zone;
            $middle = static fn (int $of): float => array_sum(array_column($corners, $of)) / count($corners);

            return [
                'path' => $plot->path($corners).' Z',
                'label' => $label,
                'x' => round($plot->x->at($middle(0)), 1),
                'y' => round($plot->y->at($middle(1)), 1),
            ];
        }, $this->envelope->zones);
        $this->across = $this->ticks($x);
        $this->up = $this->ticks($y);
        $read = array_values(array_filter($course, static fn (OperatingPoint $one): bool => $one->kind->isRead()));
        $this->trail = count($read) < 2 ? '' : $plot->path(array_map(
            static fn (OperatingPoint $one): array => [$one->evaporating, $one->condensing],
            $read,
        ));
        $this->points = $this->placed($plot);
    }

    /** @param  callable(OperatingPoint): float  $of */
    private function axis(float $start, float $end, int $corner, callable $of): Axis
    {
        $first = $this->envelope->corners[0][$corner];
        $values = [$first, ...array_column($this->envelope->corners, $corner), ...array_map($of, $this->course)];

        return Axis::of($start, $end, min($values) - self::MARGIN, max($values) + self::MARGIN);
    }

    /** @return list<array{float, string}> place and value of round temperatures */
    private function ticks(Axis $axis): array
    {
        $unit = $this->units->of(QuantityKind::Temperature);
        $zero = $unit->toSi(0.0);
        $step = 2 * ($unit->toSi(self::STEP) - $zero);

        return array_map(
            fn (float $kelvin): array => [
                round($axis->at($kelvin), 1),
                $this->units->number($kelvin, QuantityKind::Temperature),
            ],
            $axis->rounds($step, $zero),
        );
    }

    /** @return list<array{x: float, y: float, label: string, down: float, class: string, anchor: string}> */
    private function placed(Plot $plot): array
    {
        $placed = [];
        foreach ($this->course as $one) {
            [$x, $y] = [round($plot->x->at($one->evaporating), 1), round($plot->y->at($one->condensing), 1)];
            $isIn = $this->envelope->holds($one->evaporating, $one->condensing);
            $isRight = $this->isTaken($plot, $one, $x, $y);
            // Words of points that lie close go below each other.
            $near = array_filter(
                $placed,
                static fn (array $other): bool => abs($other['y'] + $other['down'] - $y) < self::LINE &&
                    abs($other['x'] - $x) < 160.0,
            );
            $placed[] = [
                'x' => $x,
                'y' => $y,
                'label' => $one->kind === PointKind::Before ? '' : $one->kind->label(),
                'down' => 4.0 + self::LINE * count($near),
                'class' => ($one->kind->isRead() ? 'read' : 'foretold').($isIn ? '' : ' outside'),
                'anchor' => $isRight ? 'end' : 'start',
            ];
        }

        return $placed;
    }

    /** Whether its name has no room to its right: the edge is near, or another point lies there. */
    private function isTaken(Plot $plot, OperatingPoint $one, float $x, float $y): bool
    {
        $width = self::LETTER * mb_strlen($one->kind->label()) + self::LINE;
        if ($x + $width > self::RIGHT) {
            return true;
        }
        foreach ($this->course as $other) {
            $across = $plot->x->at($other->evaporating) - $x;
            $isBeside = abs($plot->y->at($other->condensing) - $y) < self::LINE + 4.0;
            if ($other !== $one && $isBeside && $across > 0.0 && $across < $width) {
                return $x - $width > self::LEFT;
            }
        }

        return false;
    }

    public function summary(): string
    {
        $told = array_map(fn (OperatingPoint $one): string => sprintf(
            '%s: evaporating %s, condensing %s',
            $one->kind->label(),
            $this->units->text($one->evaporating, QuantityKind::Temperature),
            $this->units->text($one->condensing, QuantityKind::Temperature),
        ), $this->course);

        return 'Operating envelope. '.implode('; ', $told === [] ? ['no operating point read yet'] : $told).'.';
    }
}
