<?php

declare(strict_types=1);

namespace Metrum\Learning;

/** Columns that keep their shape, and only count more or less: answers, whose chances stand in the files. */
final class Families
{
    private const STEP = 0.2;

    /** Visits' worth of curvature by which a family's share is held to the whole: a seldom test still counts. */
    private const HELD_TO = 25.0;

    /** Between which a family counts, of what its chances say. */
    private const LEAST_SHARE = 0.1;

    private const MOST_SHARE = 1.1;

    /** @var array<string, float> share at which the columns of a family count, of what they are at the beginning */
    public array $shares;

    /**
     * @param  array<int, array<int, float>>  $shape  by column and fault
     * @param  array<string, list<int>>  $columns  by family
     */
    public function __construct(private readonly array $shape, private readonly array $columns)
    {
        $this->shares = array_map(static fn (array $_): float => 1.0, $columns);
    }

    /**
     * Each family's share goes a part of Newton's step.
     *
     * @param  array<int, float>  $slopes  by column and fault, one behind the other
     * @param  array<int, float>  $curvature  the same
     * @param  float  $heldBack  that is in each curvature beforehand
     * @return array<int, array<int, float>> how far each column goes, by column and fault
     */
    public function steps(array $slopes, array $curvature, float $heldBack): array
    {
        $steps = [];
        foreach ($this->columns as $family => $columns) {
            $slope = self::HELD_TO * ($this->shares[$family] - 1.0);
            $curve = self::HELD_TO;
            foreach ($columns as $column) {
                foreach ($this->shape[$column] as $place => $log) {
                    $at = $column * count($this->shape[$column]) + $place;
                    $slope += $slopes[$at] * $log;
                    $curve += ($curvature[$at] - $heldBack) * $log ** 2;
                }
            }
            $wanted = $this->shares[$family] - (self::STEP * $slope) / $curve;
            $share = max(self::LEAST_SHARE, min(self::MOST_SHARE, $wanted));
            $step = $share - $this->shares[$family];
            $this->shares[$family] = $share;
            foreach ($columns as $column) {
                $steps[$column] = array_map(static fn (float $log): float => $step * $log, $this->shape[$column]);
            }
        }

        return $steps;
    }

    public function sharpened(float $times): void
    {
        $this->shares = array_map(static fn (float $share): float => $times * $share, $this->shares);
    }
}
