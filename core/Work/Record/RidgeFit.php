<?php

declare(strict_types=1);

namespace Metrum\Work\Record;

/**
 * Weighted least squares of a few unknowns, some of them drawn to none by a prior (ridge regression): solves
 * (XᵀWX + Λ) β = XᵀWy by Gauss and Jordan.
 */
final class RidgeFit
{
    /** @var list<array{list<float>, float, float}> row, value and weight */
    private array $rows = [];

    /** @param  list<float>  $drawn  Λ: (scatter ÷ deviation of the prior)² of each unknown; 0 for one that is free */
    public function __construct(private readonly array $drawn)
    {
    }

    /** @param  list<float>  $row  as many as there are unknowns */
    public function add(array $row, float $value, float $weight): void
    {
        $this->rows[] = [$row, $value, $weight];
    }

    /** @return array{list<float>, list<float>} the unknowns, and the diagonal of the inverse */
    public function solved(): array
    {
        $count = count($this->drawn);
        $table = [];
        for ($i = 0; $i < $count; $i++) {
            $table[$i] = array_fill(0, 2 * $count + 1, 0.0);
            $table[$i][$i] = $this->drawn[$i];
            $table[$i][$count + 1 + $i] = 1.0;
        }
        foreach ($this->rows as [$row, $value, $weight]) {
            for ($i = 0; $i < $count; $i++) {
                $table[$i][$count] += $weight * $row[$i] * $value;
                for ($j = 0; $j < $count; $j++) {
                    $table[$i][$j] += $weight * $row[$i] * $row[$j];
                }
            }
        }
        $solved = self::eliminated($table);
        $unknowns = $diagonal = [];
        for ($i = 0; $i < $count; $i++) {
            $unknowns[] = $solved[$i][$count];
            $diagonal[] = $solved[$i][$count + 1 + $i];
        }

        return [$unknowns, $diagonal];
    }

    /**
     * The table is positive definite on its left: no row needs to be exchanged.
     *
     * @param  array<int, array<int, float>>  $table
     * @return array<int, array<int, float>>
     */
    private static function eliminated(array $table): array
    {
        foreach (array_keys($table) as $i) {
            $pivot = $table[$i][$i];
            $table[$i] = array_map(static fn (float $one): float => $one / $pivot, $table[$i]);
            foreach (array_keys($table) as $other) {
                $times = $other === $i ? 0.0 : $table[$other][$i];
                foreach ($times === 0.0 ? [] : $table[$i] as $j => $one) {
                    $table[$other][$j] -= $times * $one;
                }
            }
        }

        return $table;
    }

    /**
     * Σ weight × (value − row·β)² + Σ Λ β²
     *
     * @param  list<float>  $unknowns
     */
    public function leftOver(array $unknowns): float
    {
        $left = 0.0;
        foreach ($this->drawn as $i => $drawn) {
            $left += $drawn * $unknowns[$i] ** 2;
        }
        foreach ($this->rows as [$row, $value, $weight]) {
            $miss = $value;
            foreach ($row as $i => $one) {
                $miss -= $unknowns[$i] * $one;
            }
            $left += $weight * $miss ** 2;
        }

        return $left;
    }
}
