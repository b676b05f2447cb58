<?php

namespace App\Picture;

use Metrum\Diagnosis\Rack\RackExamination;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Twin\Rack\RackTwin;

/** Receiver level across the weather: what is expected with the circuits as they are, each visit a dot, and now. */
final readonly class LevelPicture
{
    public const WIDTH = 290.0;

    public const HEIGHT = 132.0;

    public const LEFT = 34.0;

    public const RIGHT = 282.0;

    private const TOP = 14.0;

    private const BOTTOM = 104.0;

    /** °C at which the expected level is worked. */
    private const AMBIENTS = [-15.0, -5.0, 5.0, 15.0, 25.0, 35.0];

    private const LEVELS = [0.0, 0.4, 0.8];

    /**
     * @param  list<array{float, float, float}>  $band  x and both ends in the picture
     * @param  list<array{float, float}>  $dots
     * @param  ?array{float, float, string}  $now  place and words
     * @param  list<array{float, string}>  $levels
     * @param  list<array{float, string}>  $ambients
     */
    private function __construct(
        public array $band,
        public array $dots,
        public ?array $now,
        public array $levels,
        public array $ambients,
    ) {
    }

    /**
     * Null where the twin expects no level.
     *
     * @param  list<array{float, float}>  $visits  ambient (K) and level (0 … 1)
     */
    public static function of(RackExamination $examined, array $visits, Units $units): ?self
    {
        $plot = new Plot(
            Axis::of(self::LEFT, self::RIGHT, Celsius::ZERO - 15.0, Celsius::ZERO + 38.0)->held(),
            Axis::of(self::BOTTOM, self::TOP, 0.0, 1.0)->held(),
        );
        $store = RackTwin::store($examined->found);
        $states = RackTwin::states($examined->found);
        $band = [];
        foreach (self::AMBIENTS as $celsius) {
            $expected = $examined->twin->level($store->at(Celsius::ZERO + $celsius), $states);
            if ($expected !== null) {
                $band[] = [
                    $plot->x->at(Celsius::ZERO + $celsius),
                    $plot->y->at($expected->value + 2 * $expected->deviation),
                    $plot->y->at($expected->value - 2 * $expected->deviation),
                ];
            }
        }
        $at = static fn (array $one): array => [$plot->x->at($one[0]), $plot->y->at($one[1])];
        $level = $examined->found->shared->reading(Reading::ReceiverLevel);
        $ambient = $examined->found->shared->reading(Reading::AmbientTemperature);

        return $band === []
            ? null
            : new self(
                $band,
                array_map($at, $visits),
                $level === null || $ambient === null
                    ? null
                    : [...$at([$ambient, $level]), Format::number(100 * $level, 0)],
                array_map(
                    static fn (float $one): array => [$plot->y->at($one), Format::number(100 * $one, 0)],
                    self::LEVELS,
                ),
                array_map(
                    static fn (float $one): array => [
                        $plot->x->at(Celsius::ZERO + $one),
                        $units->number(Celsius::ZERO + $one, QuantityKind::Temperature),
                    ],
                    [-15.0, 0.0, 15.0, 30.0],
                ),
            );
    }

    /** The band as one path. */
    public function path(): string
    {
        $upper = array_map(static fn (array $one): array => [$one[0], $one[1]], $this->band);
        $lower = array_map(static fn (array $one): array => [$one[0], $one[2]], array_reverse($this->band));

        return Plot::through([...$upper, ...$lower]).' Z';
    }
}
