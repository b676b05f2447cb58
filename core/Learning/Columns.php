<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\CurveSet;
use Metrum\Diagnosis\Feature;
use Metrum\Diagnosis\Features;
use Metrum\Diagnosis\Scale;
use Metrum\Diagnosis\Words;
use Metrum\Findings\Sign;
use Metrum\Knowledge\Question;

/** Every knot of every curve and every word in one row of columns: what a fit sees of a visit. */
final class Columns
{
    /** @var array<string, list<int>> columns of each curve's knots, by feature */
    public array $curves = [];

    /** @var array<string, array<string, int>> column of each word, by feature */
    public array $words = [];

    public int $count = 0;

    public function __construct(public readonly CurveSet $set = CurveSet::Settling)
    {
        foreach (Features::numbers($set) as $feature) {
            foreach (array_keys(Scale::knots($feature)) as $_) {
                $this->curves[$feature][] = $this->count++;
            }
        }
        foreach (Features::choices() as $feature => $words) {
            foreach ($words as $word) {
                $this->words[$feature][$word] = $this->count++;
            }
        }
    }

    /** @return list<list<int>> columns that belong together */
    public function features(): array
    {
        return [...array_values($this->curves), ...array_map(array_values(...), array_values($this->words))];
    }

    /**
     * Those whose shape is learned: all but answers, which stand in the files, and signs that no visit shows as a plant
     * would.
     *
     * @return list<list<int>>
     */
    public function taught(): array
    {
        $own = array_map(
            static fn (Sign $sign): string => Feature::of($sign)->name(),
            ExpertCurves::unshown($this->set),
        );
        $words = array_filter(
            $this->words,
            static fn (string $feature): bool => ! Feature::named($feature)->isAnswer(),
            ARRAY_FILTER_USE_KEY,
        );

        return [
            ...array_values(array_diff_key($this->curves, array_flip($own))),
            ...array_map(array_values(...), array_values($words)),
        ];
    }

    /** @return list<int> columns of answers to questions */
    public function answers(): array
    {
        $answers = array_filter(
            $this->words,
            static fn (string $feature): bool => Feature::named($feature)->of instanceof Question,
            ARRAY_FILTER_USE_KEY,
        );

        return array_merge([], ...array_map(array_values(...), array_values($answers)));
    }

    /** @return array<string, list<int>> columns of answers, by the family that tells the same */
    public function families(): array
    {
        $families = [];
        foreach ($this->words as $feature => $columns) {
            if (Feature::named($feature)->isAnswer()) {
                $families[self::family($feature)] = [
                    ...$families[self::family($feature)] ?? [],
                    ...array_values($columns),
                ];
            }
        }

        return $families;
    }

    private static function family(string $feature): string
    {
        $asked = Feature::named($feature)->of;

        return $asked instanceof Question ? $asked->row()->family : Words::COMPLAINTS;
    }

    /**
     * @param  array<string, float|string>  $features
     * @param  array<int, float>  $truth  share by place of the fault
     * @param  list<int>  $closed  places of faults that such a plant cannot have
     */
    public function lesson(array $features, array $truth, array $closed = []): Lesson
    {
        $columns = $parts = [];
        foreach ($features as $feature => $value) {
            if (is_string($value)) {
                $columns[] = $this->words[$feature][$value];
                $parts[] = 1.0;

                continue;
            }
            [$knot, $way] = Scale::place($feature, $value);
            $columns[] = $this->curves[$feature][$knot];
            $parts[] = 1 - $way;
            if ($way > 0.0) {
                $columns[] = $this->curves[$feature][$knot + 1];
                $parts[] = $way;
            }
        }

        return new Lesson($columns, $parts, $truth, $closed);
    }

    /**
     * Rows as the file has them.
     *
     * @param  array<int, array<int, float>>  $rows  by column
     * @param  float  $least  features that nowhere reach it are left out
     * @return array<string, array<int|string, list<int>>> by feature, and knot or word
     */
    public function named(array $rows, float $unit, float $least = 0.0): array
    {
        $named = [];
        foreach ([...$this->curves, ...$this->words] as $feature => $columns) {
            if (! isset($rows[reset($columns)])) {
                continue;
            }
            $reach = 0.0;
            foreach ($columns as $key => $column) {
                $named[$feature][$key] = self::rounded($rows[$column], $unit);
                foreach ($rows[$column] as $one) {
                    $reach = max($reach, abs($one));
                }
            }
            if ($reach < $least) {
                unset($named[$feature]);
            }
        }

        return $named;
    }

    /**
     * @param  array<int, float>  $numbers
     * @return list<int>
     */
    public static function rounded(array $numbers, float $unit): array
    {
        return array_map(static fn (float $one): int => (int) round($one / $unit), array_values($numbers));
    }
}
