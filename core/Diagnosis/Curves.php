<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Data\BrokenData;
use Metrum\Data\Knowledge;
use Metrum\Knowledge\Fault;

/**
 * What was learned from simulated plants: for each thing that can be found a curve a fault, in nats. A verdict is the
 * sum of their values; nothing else is in it. Made by `metrum:calibrate`, kept in data/curves.json.
 *
 * @phpstan-type Rows array<string, array<int|string, list<int>>>
 * @phpstan-type Grades array<string, array{list<int>, Rows}>
 */
final readonly class Curves
{
    /** Numbers in the file are hundredths of a nat, and thousandths of a chance. */
    public const WEIGHT = 0.01;

    public const CHANCE = 0.001;

    /**
     * @param  list<Fault>  $faults  by place
     * @param  array<int, float>  $prior  nats by place
     * @param  Rows  $weights  by feature, knot or word, and place of the fault
     * @param  Rows  $chances  the same: how often it is found so
     * @param  array<string, float>  $shares  at which answers count, by family
     * @param  Rows  $answers  how often an answer was given, by feature, word and place of a fault that is carried
     * @param  Grades  $grades  prior and weights by fault
     * @param  ?CurveSet  $set  that they are in use for; null where they are only tried
     */
    private function __construct(
        public array $faults,
        public array $prior,
        private array $weights,
        private array $chances,
        private array $shares,
        private array $answers,
        private array $grades,
        public ?CurveSet $set,
    ) {
    }

    /** Those that were learned last. @throws BrokenData where a fault came since: it would never be suspected */
    public static function learned(CurveSet $set = CurveSet::Settling): self
    {
        return Knowledge::once($set->value, static function () use ($set): self {
            $curves = self::of(Knowledge::file($set->value)->all(), $set);
            foreach (Fault::cases() as $fault) {
                if (! in_array($fault, $curves->faults, true)) {
                    $why = "$fault->value is not learned: run {$set->command()}";
                    throw BrokenData::at("data/$set->value.json", $why);
                }
            }

            return $curves;
        });
    }

    /**
     * @param  array<mixed>  $file  as `metrum:calibrate` wrote it
     * @param  ?CurveSet  $set  that they are in use for
     */
    public static function of(array $file, ?CurveSet $set = null): self
    {
        /** @var array{faults: list<string>, prior: list<int>, weights: Rows, chances: Rows,
         *     shares: array<string, float>, answers: Rows, grades: Grades} $file */
        return new self(
            array_map(static fn (string $one): Fault => Fault::from($one), $file['faults']),
            self::times(self::WEIGHT, $file['prior']),
            $file['weights'],
            $file['chances'],
            $file['shares'],
            $file['answers'],
            $file['grades'],
            $set,
        );
    }

    /** Share at which an answer of such a family counts, beside the figures that tell the same; 0 … 1. */
    public function shareOf(string $family): float
    {
        return $this->shares[$family] ?? 1.0;
    }

    /** Place of a fault in every list that is by place. */
    public function placeOf(Fault $fault): int
    {
        return (int) array_search($fault, $this->faults, true);
    }

    /**
     * What a thing found says of each fault, nats by place; null where nothing was learned of it.
     *
     * @return ?array<int, float>
     */
    public function weightsOf(string $feature, float|string $value): ?array
    {
        return isset($this->weights[$feature]) ? self::at($this->weights[$feature], $feature, $value) : null;
    }

    /**
     * How often each knot of a sign is found under each fault.
     *
     * @return array<int|string, array<int, float>> by place; none where that was not learned
     */
    public function outcomes(string $feature): array
    {
        return array_map(
            static fn (array $chances): array => self::times(self::CHANCE, $chances),
            $this->chances[$feature] ?? [],
        );
    }

    /**
     * How often each answer was given at drawn plants, of faults that the twin carries.
     *
     * @return array<int|string, array<int, float>> by word and place; none where it was not drawn
     */
    public function answersTo(string $feature): array
    {
        return array_map(
            static fn (array $chances): array => self::times(self::CHANCE, $chances),
            $this->answers[$feature] ?? [],
        );
    }

    /**
     * How marked a fault is where it is one.
     *
     * @param  array<string, float|string>  $features
     */
    public function grade(Fault $fault, array $features): ?Grade
    {
        if (! isset($this->grades[$fault->value])) {
            return null;
        }
        [$prior, $weights] = $this->grades[$fault->value];
        $scores = self::times(self::WEIGHT, $prior);
        foreach ($features as $feature => $value) {
            $told = isset($weights[$feature]) ? self::at($weights[$feature], $feature, $value) : null;
            foreach ($told ?? [] as $i => $one) {
                $scores[$i] += $one;
            }
        }

        arsort($scores);

        return Grade::cases()[(int) array_key_first($scores)];
    }

    /**
     * @param  array<int|string, list<int>>  $rows  by knot or word
     * @return ?array<int, float>
     */
    private static function at(array $rows, string $feature, float|string $value): ?array
    {
        if (is_string($value)) {
            return isset($rows[$value]) ? self::times(self::WEIGHT, $rows[$value]) : null;
        }
        [$knot, $way] = Scale::place($feature, $value);
        $near = self::WEIGHT * (1 - $way);
        $far = self::WEIGHT * $way;
        $next = $rows[$knot + 1];
        $weights = [];
        foreach ($rows[$knot] as $place => $one) {
            $weights[] = $near * $one + $far * $next[$place];
        }

        return $weights;
    }

    /**
     * What whole numbers of the file stand for.
     *
     * @param  array<int, int>  $numbers
     * @return array<int, float>
     */
    private static function times(float $unit, array $numbers): array
    {
        return array_map(static fn (int $one): float => $unit * $one, $numbers);
    }
}
