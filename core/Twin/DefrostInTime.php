<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Knowledge\Reading;

/** One defrost of a sound plant as it is usually set: what its coil does from heat on to cold again. */
final readonly class DefrostInTime
{
    /** s of a step while it frosts, and while it is watched. */
    private const COARSE = 60.0;

    private const STEP = 30.0;

    /** s of cooling before it, at most; the frost of a usual stretch between two grows meanwhile. */
    private const BEFORE = 6 * 3600.0;

    /** s after which it is over whatever happens. */
    private const LONGEST = 2.5 * 3600.0;

    /**
     * @param  list<array{float, float, float, float}>  $points  s since its begin, K of the coil, kg of frost, K of air
     * @param  float  $heat  s of heat
     * @param  float  $refrigerant  s until the coil is fed again
     * @param  ?float  $fans  s until the fans run; null where they did not within its time
     * @param  ?float  $back  s until the box is at its set point again; null where it was not within its time
     */
    private function __construct(
        public array $points,
        public float $heat,
        public float $refrigerant,
        public ?float $fans,
        public ?float $back,
    ) {
    }

    /** Null where no heater or gas melts its coil, so that it has no such course. @param  float  $ambient  K */
    public static function of(Machine $machine, float $ambient): ?self
    {
        $controls = Controls::for($machine);
        if ($controls->defrosts === 0) {
            return null;
        }
        $run = Simulation::of($machine, $ambient, $controls->setPoint);
        for ($time = 0.0; $time < min(self::BEFORE, 86400.0 / $controls->defrosts) - 600.0; $time += self::COARSE) {
            $run->advance(self::COARSE);
        }
        $run->defrost();

        return self::watched($run, $controls);
    }

    private static function watched(Simulation $run, Controls $controls): ?self
    {
        $points = [];
        $heat = $fed = $fans = $back = null;
        $begin = $run->now()->time;
        for ($time = 0.0; $time < self::LONGEST && $back === null; $time += self::STEP) {
            $run->advance(self::STEP);
            $now = $run->now();
            $since = $now->time - $begin;
            $air = $now->readings[Reading::BoxTemperature->value];
            $points[] = [$since, $now->readings[Reading::FanDelaySensor->value], $now->frost, $air];
            $heat ??= $now->mode === Mode::Defrosting ? null : $since;
            $isFed = $heat !== null && $now->mode === Mode::Running;
            $fed ??= $isFed ? $since : null;
            $fans ??= $fed !== null && $now->fans ? $since : null;
            $isBack = $fans !== null && $air <= $controls->setPoint + $controls->differential;
            $back = $isBack ? $since : null;
        }

        return $heat === null || $fed === null ? null : new self($points, $heat, $fed, $fans, $back);
    }

    /** kg of frost with which it began. */
    public function ice(): float
    {
        return $this->points[0][2] ?? 0.0;
    }
}
