<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Band;
use Metrum\Knowledge\Control;

/** What is to be thought of while a control is turned: that it was turned back, and that it went too far (R-02). */
final readonly class Turning
{
    public function __construct(private Assessment $assessment, private Control $control, private PartId $part)
    {
    }

    public function isMoved(): bool
    {
        return $this->moves() !== [];
    }

    /** How far it was moved last, SI; 0 where it was not. */
    public function last(): float
    {
        $moves = $this->moves();

        return $moves === [] ? 0.0 : $moves[count($moves) - 1][1];
    }

    /** Whether its last move went against the one before: play in the stem makes the first part of it do nothing. */
    public function isReversed(): bool
    {
        $values = array_map(static fn (array $one): float => $one[1], $this->moves());
        $last = array_slice($values, -2);

        return count($last) === 2 && $last[0] * $last[1] < 0.0;
    }

    /** Whether its figure went from one side of what is wanted to the other by the last move that was read. */
    public function isOvershot(Band $band): bool
    {
        $read = array_values(
            array_filter($this->moves(), static fn (array $one): bool => $one[0] !== null && $one[2] !== null),
        );
        [$before, , $after] = $read === [] ? [null, 0.0, null] : $read[count($read) - 1];

        return $before !== null && $after !== null && $band->miss($before) * $band->miss($after) < 0.0;
    }

    /** @return list<array{?float, float, ?float}> figure before, how far, figure after; of each of its moves */
    private function moves(): array
    {
        $moves = [];
        $before = null;
        foreach ($this->assessment->chapters->all as $chapter) {
            $now = $this->assessment->figure($chapter, $this->control, $this->part);
            $move = $chapter->began;
            if ($move?->isMoveOf($this->control, $this->part) === true) {
                $moves[] = [$before, $move->content->value ?? 0.0, $now];
            }
            $before = $now;
        }

        return $moves;
    }
}
