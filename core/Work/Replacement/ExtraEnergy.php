<?php

declare(strict_types=1);

namespace Metrum\Work\Replacement;

use Metrum\Knowledge\Fault;
use Metrum\Twin\Disorder;
use Metrum\Twin\Machine;
use Metrum\Twin\Room;

/**
 * What a plant takes in a year when it is sound, and how much more with the fault that leads; each with the width that
 * comes of a load nobody measured and of how marked the fault is.
 */
final readonly class ExtraEnergy
{
    /** Load as a share of the design cooling on a design day. */
    private const LOADS = [0.46, 0.66, 0.86];

    /** Of the severity that was found. */
    private const SEVERITIES = [0.75, 1.0, 1.25];

    /**
     * @param  Estimate  $sound  kWh a year
     * @param  Estimate  $extra  kWh a year that the fault takes on top; nothing where none leads
     * @param  float  $short  hours a year in which the plant with its fault does not carry the likely load
     */
    private function __construct(public Estimate $sound, public Estimate $extra, public float $short)
    {
    }

    /**
     * @param  Machine  $sound  the twin
     * @param  ?Fault  $fault  that leads and that the loop shows; null: none
     * @param  float  $severity  0 … 1, as it was found
     */
    public static function of(Machine $sound, ?Fault $fault, float $severity, AirOfYear $air): self
    {
        $healthy = $extra = [];
        $short = 0.0;
        foreach (self::LOADS as $place => $load) {
            $room = Room::for($sound)->loaded($load);
            $healthy[$place] = EnergyOfYear::of($sound, $room, $air)->kilowattHours;
            $extra[$place] = 0.0;
            if ($fault !== null) {
                $sick = Disorder::in($sound, $fault, min(1.0, self::SEVERITIES[$place] * $severity));
                $now = EnergyOfYear::of($sick, $room, $air);
                $extra[$place] = $now->kilowattHours - $healthy[$place];
                $short = $place === 1 ? $now->short : $short;
            }
        }

        return new self(Estimate::of(...$healthy), Estimate::of(...$extra), $short);
    }
}
