<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Data\Knowledge;
use Metrum\Knowledge\Fault;

/**
 * What was learned from drawn racks: for each number a curve a fault, in nats; for what circuits share and for one
 * circuit apart. Made by `metrum:calibrate-rack`, kept in data/rack-curves.json.
 *
 * @phpstan-type CurvesFile array{
 *     faults: list<string>,
 *     prior: list<int>,
 *     weights: array<string, list<list<int>>>
 * }
 */
final readonly class RackCurves
{
    private const UNIT = 0.01;

    /**
     * @param  list<Fault>  $faults  by place
     * @param  list<float>  $prior  nats by place
     * @param  array<string, list<list<float>>>  $weights  nats by sign, knot and place
     */
    private function __construct(public array $faults, public array $prior, private array $weights)
    {
    }

    public static function learned(bool $plant): self
    {
        return Knowledge::once('rack-curves '.($plant ? 'plant' : 'circuit'), static function () use ($plant): self {
            /** @var array<string, CurvesFile> $file */
            $file = Knowledge::file('rack-curves')->all();

            return self::of($file[$plant ? 'plant' : 'circuit']);
        });
    }

    /** @param  CurvesFile  $file */
    public static function of(array $file): self
    {
        return new self(
            array_map(static fn (string $one): Fault => Fault::from($one), $file['faults']),
            self::times($file['prior']),
            array_map(static fn (array $rows): array => array_map(self::times(...), $rows), $file['weights']),
        );
    }

    /**
     * What whole numbers of the file stand for.
     *
     * @param  list<int>  $row
     * @return list<float>
     */
    private static function times(array $row): array
    {
        return array_map(static fn (int $one): float => self::UNIT * $one, $row);
    }

    /**
     * What a number says of each fault.
     *
     * @return ?list<float> nats by place; null where nothing was learned of it
     */
    public function weights(RackSign $sign, float $si): ?array
    {
        $rows = $this->weights[$sign->value] ?? null;
        if ($rows === null) {
            return null;
        }
        [$knot, $way] = self::place($sign, $si);
        $next = $rows[min($knot + 1, count($rows) - 1)];
        $weights = [];
        foreach ($rows[$knot] as $place => $one) {
            $weights[] = (1 - $way) * $one + $way * $next[$place];
        }

        return $weights;
    }

    /**
     * The knot below a value and how far it stands on the way to the next, 0 … 1.
     *
     * @return array{int, float}
     */
    public static function place(RackSign $sign, float $si): array
    {
        $knots = $sign->knots();
        $value = $sign->inFileUnit($si);
        $last = count($knots) - 2;
        $i = 0;
        while ($i < $last && $value >= $knots[$i + 1]) {
            $i++;
        }

        return [$i, max(0.0, min(1.0, ($value - $knots[$i]) / ($knots[$i + 1] - $knots[$i])))];
    }
}
