<?php

namespace App\Picture;

use Metrum\Findings\DerivedFigure;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Charging\ChargeEstimate;
use Metrum\Work\Charging\ChargeModel;
use Metrum\Work\Charging\ChargeRow;
use Metrum\Work\Charging\Charging;

/**
 * The charge as it goes in: superheat and subcooling over the mass that was added, the twin's course of both behind,
 * where the right charge lies and how surely, and the knee.
 */
final class ChargePicture
{
    private const LEFT = 44.0;

    /** What is between the figures of the axis and the first of the plant, so that they do not lie on each other. */
    private const INSET = 24.0;

    private const TOP = 30.0;

    private const UNDER = 44.0;

    /** Points of the twin's course. */
    private const POINTS = 48;

    /** Share of the right charge that is drawn beyond what happened. */
    private const BEYOND = 0.1;

    /** K that the picture reaches at least and at most. */
    private const LEAST_REACH = 10.0;

    private const MOST_REACH = 24.0;

    private const EVERY = 5.0;

    /** Half of what words above the aim take, and how far the line of the knee hangs below the top. */
    private const WORDS = 60.0;

    private const HANGS = 12.0;

    /** K below nothing at which a figure still stands. */
    private const BELOW = -0.5;

    public readonly float $height;

    private float $from;

    private float $to;

    private readonly float $reach;

    private readonly Plot $plot;

    public function __construct(
        private readonly Charging $charging,
        private readonly Units $units,
        public readonly float $width,
    ) {
        $this->height = $width > 600.0 ? 280.0 : 240.0;
        $added = array_map(static fn (ChargeRow $row): float => $row->added, $charging->log->rows);
        $estimate = $charging->estimate();
        $aim = $this->aim();
        $beyond = self::BEYOND * ($estimate->right ?? 1.0);
        $this->from = min(0.0, ...$added);
        $this->to = max($beyond, ...[...$added, ...$aim === null ? [] : [$aim]]) + $beyond;
        $highest = 0.0;
        foreach ($charging->log->rows as $row) {
            $highest = max($highest, $row->superheat() ?? 0.0, $row->subcooling() ?? 0.0);
        }
        $reach = max(self::LEAST_REACH, min(self::MOST_REACH, $highest + 2.0));
        $this->plot = new Plot(
            Axis::of(self::LEFT + self::INSET, $this->right(), $this->from, $this->to)->held(),
            Axis::of($this->bottom(), self::TOP, 0.0, $reach)->heldAtItsEnd(),
        );
        $this->reach = $reach;
    }

    /** kg added at which the charge is right; null where nobody knows. */
    private function aim(): ?float
    {
        $estimate = $this->charging->estimate();

        return $estimate === null ? null : $this->charging->log->added() + $estimate->missing;
    }

    public function right(): float
    {
        return $this->width - 16.0;
    }

    public function left(): float
    {
        return self::LEFT;
    }

    public function top(): float
    {
        return self::TOP;
    }

    public function depth(): float
    {
        return $this->bottom() - self::TOP;
    }

    public function bottom(): float
    {
        return $this->height - self::UNDER;
    }

    private function x(float $added): float
    {
        return $this->plot->x->at($added);
    }

    private function y(float $kelvin): float
    {
        return $this->plot->y->at(max(self::BELOW, $kelvin));
    }

    /** @return list<array{y: float, text: string}> */
    public function levels(): array
    {
        $levels = [];
        for ($kelvin = 0.0; $kelvin < $this->reach; $kelvin += self::EVERY) {
            $levels[] = ['y' => $this->y($kelvin), 'text' => $this->units->number($kelvin, QuantityKind::Difference)];
        }

        return $levels;
    }

    /** @return list<array{x: float, text: string}> of what was added */
    public function amounts(): array
    {
        $amounts = [];
        $room = -INF;
        foreach ($this->charging->log->rows as $row) {
            $x = $this->x($row->added);
            if ($x - $room > 58.0) {
                $words = $row->added === 0.0 ? 'as found' : $this->units->signedMass($row->added);
                $amounts[] = ['x' => $x, 'text' => $words];
                $room = $x;
            }
        }

        return $amounts;
    }

    /** @return list<array{x: float, y: float, text: string}> */
    public function superheats(): array
    {
        return $this->dots(static fn (ChargeRow $row): ?float => $row->superheat());
    }

    /** @return list<array{x: float, y: float, text: string}> */
    public function subcoolings(): array
    {
        return $this->dots(static fn (ChargeRow $row): ?float => $row->subcooling());
    }

    /**
     * @param  callable(ChargeRow): ?float  $of
     * @return list<array{x: float, y: float, text: string}>
     */
    private function dots(callable $of): array
    {
        $dots = [];
        foreach ($this->charging->log->rows as $row) {
            $value = $of($row);
            if ($value !== null) {
                $dots[] = [
                    'x' => $this->x($row->added),
                    'y' => $this->y($value),
                    'text' => $this->units->number($value, QuantityKind::Difference),
                ];
            }
        }

        return $dots;
    }

    /** "M12.0 40.0 L…" of the twin's course of a figure; empty where nobody knows it. */
    public function course(DerivedFigure $figure): string
    {
        $model = $this->charging->model();
        $estimate = $this->charging->estimate();
        if ($model === null || $estimate === null) {
            return '';
        }
        $corners = [];
        for ($point = 0; $point <= self::POINTS; $point++) {
            $added = $this->from + (($this->to - $this->from) * $point) / self::POINTS;
            $value = $model->figure($figure, $this->chargeAt($added, $model, $estimate));
            if ($value !== null) {
                $corners[] = [$this->x($added), $this->y($value)];
            }
        }

        return Plot::through($corners);
    }

    /** kg of the twin when so much was added. */
    private function chargeAt(float $added, ChargeModel $model, ChargeEstimate $estimate): float
    {
        $right = $model->aboveSeal($model->right, $estimate->size);

        return $model->charge($right - ($this->charging->log->added() + $estimate->missing - $added), $estimate->size);
    }

    /**
     * Where the right charge lies, and how surely.
     *
     * @return ?array{x: float, from: float, width: float, textX: float, text: string}
     */
    public function aimed(): ?array
    {
        $aim = $this->aim();
        $estimate = $this->charging->estimate();
        if ($aim === null || $estimate === null) {
            return null;
        }

        $from = $this->x($aim - $estimate->deviation);

        return [
            'x' => $this->x($aim),
            'from' => $from,
            'width' => max(2.0, $this->x($aim + $estimate->deviation) - $from),
            'textX' => min($this->x($aim), $this->right() - self::WORDS),
            'text' => 'est. full at '.$this->units->signedMass($aim),
        ];
    }

    /** In which both are drawn. */
    public function unit(): string
    {
        return $this->units->symbol(QuantityKind::Difference);
    }

    /** @return ?array{x: float, from: float} */
    public function knee(): ?array
    {
        $knee = $this->charging->knee();

        return $knee === null ? null : ['x' => $this->x($knee->added), 'from' => self::TOP + self::HANGS];
    }
}
