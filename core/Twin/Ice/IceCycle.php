<?php

declare(strict_types=1);

namespace Metrum\Twin\Ice;

use Metrum\Knowledge\Reading;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Water;

/**
 * One whole cycle of a batch ice machine, as it is from the third on: water cools, ice grows until it is thick enough,
 * hot gas frees it. Stepped by two seconds.
 */
final readonly class IceCycle
{
    public const STEP = 2.0;

    /** s after which a freeze is ended whatever hangs on the plate. */
    public const LONGEST = 3600.0 * 1.25;

    public const LONGEST_HARVEST = 900.0;

    /** s in which valves move; flushing and filling go on beside the harvest. */
    private const FLUSHING = 8.0;

    /** s into the freeze at which its begin is read, and before its end. */
    public const BEGIN = 180.0;

    public const END = 30.0;

    /** Share of the ice that is missing where gas superheats: the wet part has its thickness first. */
    private const DRY = 0.8;

    /** J/K of the plate, and K that it warms in the harvest, by kg of a batch. */
    private const PLATE = 500.0;

    private const WARMED = 12.0;

    /** Share of the cooling that each kelvin of air above freezing brings to sump and plate. */
    private const LEAK = 0.0008;

    /** K of condenser and air together at which the harvest has its rated heat, and that heat, of the cooling. */
    private const STORE = IceMachine::RATED + 7.0;

    private const HARVEST = 0.45;

    /**
     * @param  list<float>  $way  place on the freeze's course by steps
     * @param  list<float>  $sump  K by steps
     * @param  float  $freeze  s
     * @param  float  $harvest  s
     * @param  float  $ice  kg that fall
     * @param  float  $water  kg taken, with what is flushed
     * @param  float  $thickness  of the ice at its end, of a whole batch
     * @param  bool  $isEnded  whether it ended by itself, not by the longest time
     * @param  float  $uneven  by which the ice is thicker in places
     */
    private function __construct(
        public FreezeCourse $course,
        public array $way,
        public array $sump,
        public float $freeze,
        public float $harvest,
        public float $ice,
        public float $water,
        public float $thickness,
        public bool $isEnded,
        public float $uneven,
    ) {
    }

    /** Null where the machine does not run so. */
    public static function of(IceMachine $machine, IceWeather $weather): ?self
    {
        $plate = $machine->plate;
        $start = (1 - $plate->kept) * $weather->water + $plate->kept * (Celsius::ZERO + 0.5);
        $course = FreezeCourse::of($machine, $weather, $start);

        return $course === null ? null : self::run($machine, $weather, $course, $start);
    }

    private static function run(IceMachine $machine, IceWeather $weather, FreezeCourse $course, float $start): self
    {
        $plate = $machine->plate;
        $does = $machine->does($weather->sink);
        $leak = self::LEAK * $machine->loop->design->cooling * ($weather->air - Celsius::ZERO);
        // The plate, still warm, is cooled first.
        $warm = self::PLATE * $plate->batch * self::WARMED;
        $water = $start;
        $ice = $plate->batch * $plate->left;
        $way = $sump = [];
        $time = 0.0;
        for (; $time < self::LONGEST; $time += self::STEP) {
            $place = $ice > $plate->batch * $plate->left ? $ice / $plate->batch : $course->placeOf($water);
            $place = max($place, $water > Celsius::ZERO + 0.1 ? -1.0 : $plate->left);
            [$way[], $sump[]] = [$place, $water];
            $heat = ($does * $course->cooling($place) - $leak) * self::STEP;
            $inflow = $plate->inflow * Water::WARMTH * ($weather->water - Celsius::ZERO) * self::STEP;
            $left = max(0.0, $plate->sump() + ($plate->inflow - $plate->outflow) * $time - $ice);
            if ($warm > 0.0) {
                $warm -= $heat;
            } elseif ($water > Celsius::ZERO + 0.1) {
                $water = max(Celsius::ZERO, $water - ($heat - $inflow) / (Water::WARMTH * max(0.3, $left)));
            } else {
                $ice += max(0.0, $heat - $inflow) / (Water::LATENT + Water::ICE_WARMTH * self::below($place));
            }
            $wet = 1 - self::DRY * max(0.0, $course->dry($place) - $machine->dry);
            if ($ice >= $plate->batch * $plate->ends * $wet || $ice >= $plate->mostIce($time)) {
                break;
            }
        }
        $fallen = max(0.0, $ice - $plate->batch * $plate->left);

        return new self(
            $course,
            $way,
            $sump,
            $time,
            self::harvestTime($machine, $weather, $course, $ice),
            $fallen,
            ($plate->sump() * (1 - $plate->kept)) + $plate->inflow * $time,
            $ice / $plate->batch,
            $time < self::LONGEST,
            $plate->uneven,
        );
    }

    /** K by which ice is colder than freezing in its middle, roughly. */
    private static function below(float $place): float
    {
        return 4.0 * max(0.0, $place);
    }

    /**
     * s of the harvest: the gas brings the compressor's work and what the warm condenser gives. A warmer condenser
     * drives more gas, and denser: its warmth counts twice.
     */
    private static function harvestTime(
        IceMachine $machine,
        IceWeather $weather,
        FreezeCourse $course,
        float $ice,
    ): float {
        $plate = $machine->plate;
        $condensing = self::condensing($machine, $course, $ice / $plate->batch, $weather);
        $store = ($condensing + $weather->sink) / 2;
        $warmth = max(0.1, ($store - $plate->coldest) / (self::STORE - $plate->coldest));
        $power = self::HARVEST * $machine->capacity * $machine->loop->design->cooling * $plate->hotGas * $warmth ** 2;
        $takes = $plate->release * $plate->batch * (1 + 0.35 * $plate->scale + 0.3 * ($ice / $plate->batch - 1));

        return min(self::LONGEST_HARVEST, self::FLUSHING + (1 - 0.75 * $plate->left) * $takes / max(1.0, $power));
    }

    /** K of saturation at the end of the freeze. */
    private static function condensing(
        IceMachine $machine,
        FreezeCourse $course,
        float $place,
        IceWeather $weather,
    ): float {
        $gauge = $course->readings($place)[Reading::DischargePressure->value];
        $fluid = $machine->loop->fluid;

        return $fluid->bubbleTemperature(max(1e5, $gauge + $weather->atmosphere));
    }

    /** s into the freeze at which its end is read. */
    public function last(): float
    {
        return max(0.0, $this->freeze - self::END);
    }

    /** kg a day. */
    public function perDay(): float
    {
        return 86400 * $this->ice / max(1.0, $this->freeze + $this->harvest);
    }

    /** Place on the course at a time into the freeze, s. */
    public function placeAt(float $time): float
    {
        return $this->way[$this->stepAt($time)];
    }

    /** K of the sump then. */
    public function sumpAt(float $time): float
    {
        return $this->sump[$this->stepAt($time)];
    }

    private function stepAt(float $time): int
    {
        return max(0, min(count($this->way) - 1, (int) round($time / self::STEP)));
    }

    /**
     * What instruments read at a time into the freeze.
     *
     * @return array<string, float> by key of Reading, SI
     */
    public function readingsAt(float $time): array
    {
        return $this->course->readings($this->placeAt($time));
    }
}
