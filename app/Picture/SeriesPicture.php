<?php

namespace App\Picture;

use Metrum\Log\Fact;
use Metrum\Quantity\Field;
use Metrum\Quantity\Units;

/** A timed series as it grows: every value at its moment, the highest and the lowest named. */
final readonly class SeriesPicture
{
    public const WIDTH = 520.0;

    public const HEIGHT = 110.0;

    private const LEFT = 12.0;

    private const RIGHT = 430.0;

    private const TOP = 16.0;

    private const BOTTOM = 88.0;

    /** Share of the span that is the least difference that fills the picture, of a value's own size. */
    private const LEAST_SPAN = 0.002;

    /** @var list<array{float, float}> x and y of each value */
    public array $dots;

    /** @var list<array{float, string}> height and words of the levels that are named */
    public array $levels;

    public string $from;

    public string $to;

    /** @param  non-empty-list<Fact>  $facts  in order */
    public function __construct(array $facts, Field $field, Units $units)
    {
        $values = array_map(static fn (Fact $one): float => (float) $one->content->value, $facts);
        $times = array_map(static fn (Fact $one): int => $one->seenAt()->getTimestamp(), $facts);
        [$low, $high] = [min($values), max($values)];
        $span = max($high - $low, self::LEAST_SPAN * max(1.0, abs($high)));
        $plot = new Plot(
            Axis::of(self::LEFT, self::RIGHT, 0.0, max(1, end($times) - $times[0])),
            Axis::of(self::BOTTOM, self::TOP, $low, $low + $span),
        );
        $dots = [];
        foreach ($values as $i => $value) {
            $dots[] = [$plot->x->at($times[$i] - $times[0]), $plot->y->at($value)];
        }
        $this->dots = $dots;
        $levels = [[$plot->y->at($low), $units->text($low, $field->kind)]];
        if ($high > $low) {
            $levels[] = [$plot->y->at($high), $units->text($high, $field->kind)];
        }
        $this->levels = $levels;
        $this->from = $facts[0]->seenAt()->format('H:i');
        $this->to = $facts[count($facts) - 1]->seenAt()->format('H:i');
    }

    /** "M12.0 40.0 L…" */
    public function path(): string
    {
        return Plot::through($this->dots);
    }
}
