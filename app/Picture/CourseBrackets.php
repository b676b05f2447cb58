<?php

namespace App\Picture;

use Metrum\Findings\Mark;
use Metrum\Findings\Place;

/** The brackets of the judged gaps, each with the place where its label hangs. */
final readonly class CourseBrackets
{
    /** Depth of a bracket's ends. */
    private const DEPTH = 5.0;

    /** @var list<Bracket> */
    private array $all;

    public function __construct(private CourseFrame $frame, private CourseFacts $facts, LabelPlacer $placer)
    {
        $all = [];
        foreach ($facts->gaps as $gap) {
            $bracket = $this->bracket($gap);
            if ($bracket !== null && $bracket->path !== null) {
                $placer->line($bracket->x1, $bracket->y1, $bracket->x2, $bracket->y2);
            }
            $all[] = $bracket;
        }
        $this->all = array_values(array_filter($all));
    }

    /** @return list<array{path: string, mark: string}> */
    public function drawn(): array
    {
        $drawn = [];
        foreach ($this->all as $bracket) {
            if ($bracket->path !== null) {
                $drawn[] = ['path' => $bracket->path, 'mark' => $bracket->gap->mark->value];
            }
        }

        return $drawn;
    }

    /** @return list<Bracket> most severe first: it gets the nearest place for its label */
    public function bySeverity(): array
    {
        $all = $this->all;
        usort(
            $all,
            static fn (Bracket $a, Bracket $b): int => $a->gap->mark->order() <=> $b->gap->mark->order(),
        );

        return $all;
    }

    private function bracket(Gap $gap): ?Bracket
    {
        $run = $this->facts->run;
        $air = $this->facts->air;

        return match ($gap->name) {
            GapName::Superheat => $this->between($gap, Place::Bulb, Place::CoilOut, 9.0),
            GapName::Subcooling => $this->subcooling($gap),
            GapName::Split => isset($run[Place::CondenserIn->value], $run[Place::CondenserOut->value])
                ? $this->over($gap, Zone::Condenser, 0.42, $air[Zone::Condenser->value][0] ?? null)
                : null,
            GapName::Td => $this->over($gap, Zone::Coil, 0.3, $air[Zone::Coil->value][0] ?? null, below: true),
            GapName::LineGain => $this->between($gap, Place::SuctionPipe, Place::Bulb, 9.0),
            GapName::Discharge => $this->atPoint($gap, Place::Discharge),
            GapName::DrierDrop => $gap->mark === Mark::Fine
                ? null
                : $this->between($gap, Place::DrierOutlet, Place::DrierInlet, 7.0),
            GapName::AtCompressor => null,
        };
    }

    /** Beside a place, from its own temperature to another's. */
    private function between(Gap $gap, Place $at, Place $other, float $aside): ?Bracket
    {
        $from = $this->facts->run[$at->value] ?? null;
        $to = $this->facts->run[$other->value] ?? null;

        return $from === null || $to === null ? null : $this->beside($gap, $at, $to, $from, $aside);
    }

    private function subcooling(Gap $gap): ?Bracket
    {
        if (! isset($this->facts->run[Place::CondenserOut->value])) {
            return null;
        }
        foreach ([Place::ReceiverOutlet, Place::CondenserOutlet, Place::ValveInlet] as $place) {
            $liquid = $this->facts->run[$place->value] ?? null;
            if ($liquid !== null) {
                return $this->beside($gap, $place, $liquid, $liquid + $gap->value, 7.0);
            }
        }

        return null;
    }

    private function beside(Gap $gap, Place $at, float $low, float $high, float $aside): Bracket
    {
        [$x1, $y1] = $this->frame->point($at, $low);
        [$x2, $y2] = $this->frame->point($at, $high);

        return $this->drawnAt($gap, [$x1, $y1], [$x2, $y2], $aside);
    }

    /** In a zone, from the air to the refrigerant above or below it. */
    private function over(Gap $gap, Zone $zone, float $share, ?float $air, bool $below = false): ?Bracket
    {
        if ($air === null) {
            return null;
        }
        $low = $below ? $air - $gap->value : $air;
        $from = $this->frame->middle($zone, $low, $share);
        $to = $this->frame->middle($zone, $low + $gap->value, $share);

        return $this->drawnAt($gap, $from, $to, 0.0);
    }

    /** No bracket, only a label at a point. */
    private function atPoint(Gap $gap, Place $place): Bracket
    {
        [$x, $y] = $this->frame->point($place, $gap->value);
        [$labelX, $labelY] = $this->frame->downward ? [$x, $y + self::DEPTH] : [$x + self::DEPTH, $y];

        return new Bracket($gap, null, $labelX, $labelY, $labelX, $labelY);
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    private function drawnAt(Gap $gap, array $from, array $to, float $aside): Bracket
    {
        [$x1, $y1] = $from;
        [$x2, $y2] = $to;
        $depth = self::DEPTH;

        if ($this->frame->downward) {
            $path = sprintf('M%.1f %.1f v%d H%.1f v-%d', $x1, $y1 + $aside, $depth, $x2, $depth);
            $y = $y1 + $aside + $depth;

            return new Bracket($gap, $path, $x1, $y, $x2, $y);
        }
        $path = sprintf('M%.1f %.1f h%d V%.1f h-%d', $x1 + $aside, $y1, $depth, $y2, $depth);
        $x = $x1 + $aside + $depth;

        return new Bracket($gap, $path, $x, $y1, $x, $y2);
    }
}
