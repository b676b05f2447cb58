<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Installation\HeadPressureControl;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Ruling;
use Metrum\Quantity\Celsius;
use Metrum\Work\Assessment;

/** What has to be thought of beside what is missing: the weather, the plate, how it leaves the cylinder, which one. */
final readonly class ChargingCircumstances
{
    /** K of ambient below which a charge is judged again in warmth. */
    private const COOL = Celsius::ZERO + 10.0;

    public function __construct(private Assessment $assessment, private Charging $charging)
    {
    }

    /** Whether it is so cool that the same charge may be wrong in summer. */
    public function isCool(): bool
    {
        $ambient = $this->assessment->judged()->evidence()->reading(Reading::AmbientTemperature);

        return $ambient !== null && $ambient < self::COOL;
    }

    /** Whether the condenser is flooded in the cold. */
    public function floods(): bool
    {
        $circuit = $this->assessment->judged()->evidence()->circuit;

        return $circuit->headPressureControl === HeadPressureControl::FloodingValve;
    }

    /** What is in, as a share of the plate's charge; null if not known, or if the plate is of several circuits. */
    public function shareOfPlate(): ?float
    {
        $plate = $this->assessment->judged()->evidence()->circuit->design->nameplateCharge;
        $in = $this->charging->in();

        return $plate === null || $in === null || $this->charging->isShared() ? null : $in / $plate;
    }

    /** Whether so much is in that the plate, or the leak, is asked about. */
    public function isOverPlate(): bool
    {
        $share = $this->shareOfPlate();

        return $share !== null && $share > 1 + $this->assessment->rules->band(HouseRule::OverPlate)->low;
    }

    /** kg by which less fits in than is missing; null where all of it does. */
    public function room(): ?float
    {
        $missing = $this->charging->missing();
        $room = $this->charging->addition()->room();

        return $missing !== null && $missing > 0.0 && $this->charging->estimate() !== null && $room < $missing
            ? $room
            : null;
    }

    public function leavesAs(): LeavesAs
    {
        $fluid = $this->assessment->judged()->evidence()->circuit->fluid();

        return match (true) {
            count($fluid->composition) > 1 => LeavesAs::LiquidAsBlend,
            $this->assessment->rules->follow(Ruling::AlwaysLiquid) => LeavesAs::LiquidByRule,
            default => LeavesAs::EitherWay,
        };
    }
}
