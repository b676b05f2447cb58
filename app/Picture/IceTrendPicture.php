<?php

namespace App\Picture;

use Metrum\Quantity\Celsius;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Twin\Expected;

/** Ice of a day across the temperature of the water: what is expected in this air, each visit a dot, and now. */
final readonly class IceTrendPicture
{
    public const WIDTH = 420.0;

    public const HEIGHT = 170.0;

    public const LEFT = 52.0;

    public const RIGHT = 408.0;

    private const TOP = 24.0;

    private const BOTTOM = 128.0;

    /** Water between which it is drawn, and at which the expected ice is worked, °C. */
    private const SPAN = [2.0, 30.0];

    private const WATERS = [3.0, 16.0, 29.0];

    private const TICKS = [5.0, 15.0, 25.0];

    /** kg by whose unit those of a day are told. */
    private const OF_A_DAY = 100.0;

    /**
     * @param  string  $band  outline of what is expected
     * @param  list<array{float, float}>  $dots  of earlier visits
     * @param  ?array{float, float, string}  $now  place and words
     * @param  list<array{float, string}>  $days
     * @param  list<array{float, string}>  $waters
     * @param  string  $unit  of the ice: "kg"
     */
    private function __construct(
        public string $band,
        public array $dots,
        public ?array $now,
        public array $days,
        public array $waters,
        public string $unit,
    ) {
    }

    /**
     * Null where nothing was measured, or it does not run so.
     *
     * @param  callable(float): ?Expected  $expected  kg a day by the water, K
     * @param  list<array{float, float}>  $visits  water (K) and kg a day
     * @param  ?array{float, float}  $now  the same of this visit
     */
    public static function of(callable $expected, array $visits, ?array $now, Units $units): ?self
    {
        $band = [];
        foreach (self::WATERS as $celsius) {
            $one = $expected(Celsius::ZERO + $celsius);
            $band = $one === null ? $band : [...$band, [Celsius::ZERO + $celsius, $one]];
        }
        if ($band === [] || ($visits === [] && $now === null)) {
            return null;
        }
        $most = max(
            ...array_map(static fn (array $one): float => $one[1]->value + $one[1]->deviation, $band),
            ...array_column([...$visits, ...$now === null ? [] : [$now]], 1),
        );
        $plot = new Plot(
            Axis::of(self::LEFT, self::RIGHT, Celsius::ZERO + self::SPAN[0], Celsius::ZERO + self::SPAN[1])->held(),
            Axis::of(self::BOTTOM, self::TOP, 0.0, 1.08 * $most)->held(),
        );
        $at = static fn (array $one): array => [round($plot->x->at($one[0]), 1), round($plot->y->at($one[1]), 1)];
        $unit = $units->ofMass(self::OF_A_DAY);
        $above = array_map(static fn (array $one): array => [$one[0], $one[1]->value + $one[1]->deviation], $band);
        $below = array_map(static fn (array $one): array => [$one[0], $one[1]->value - $one[1]->deviation], $band);

        return new self(
            $plot->path([...$above, ...array_reverse($below)]).' Z',
            array_map($at, $visits),
            $now === null ? null : [...$at($now), Format::number($unit->fromSi($now[1]), 0).' '.$unit->symbol()],
            array_map(
                static fn (float $day): array => [
                    round($plot->y->at($day), 1),
                    Format::number($unit->fromSi($day), 0),
                ],
                [0.0, round($most / 2, -1), round($most, -1)],
            ),
            array_map(
                static fn (float $celsius): array => [
                    round($plot->x->at(Celsius::ZERO + $celsius), 1),
                    $units->number(Celsius::ZERO + $celsius, QuantityKind::Temperature),
                ],
                self::TICKS,
            ),
            $unit->symbol(),
        );
    }
}
