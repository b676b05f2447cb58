<?php

declare(strict_types=1);

namespace Metrum\Twin\Walk;

use Metrum\Refrigerant\Saturation;
use Metrum\Twin\Loop;

/** Through the condenser: desuperheating, condensing and liquid share its face; foreign gas blocks some of it. SI. */
final class CondenserWalk
{
    /** z over which the condenser's own liquid drains before vapour leaves it. */
    private const DRAINING = 0.15;

    /** J/(kg K) of the hot gas. */
    private const GAS_HEAT = 1000.0;

    /** Transfer of a zone of gas, of that of a two-phase one; liquid creeps through its zone and gives off less. */
    private const GAS_TRANSFER = 0.5;

    public const LIQUID_TRANSFER = 0.3;

    /** Share of its face that a partial pressure of foreign gas blocks, of that pressure's share. */
    private const BLOCKING = 0.3;

    /** Share of the face that holds liquid; above 1 it backs up into the line before it. */
    public float $flooded = 0.0;

    /** Share of the air that moves. */
    public float $airFlow = 1.0;

    /** At its outlet: temperature and enthalpy. */
    public float $outlet = 0.0;

    public float $outletEnthalpy = 0.0;

    /** Share of the gas that goes past it. */
    public float $bypassed = 0.0;

    /** Shares of the face for desuperheating and condensing, and what foreign gas blocks. */
    public float $desuperheating = 0.0;

    public float $condensing = 0.0;

    public float $blocked = 0.0;

    /** W that this circuit gives off, and the same from the air's side: zone by zone. */
    public float $heat = 0.0;

    public float $airHeat = 0.0;

    /** J/kg of the liquid in the receiver, where bypassed gas has joined it. */
    public float $afterReceiver = 0.0;

    private float $vapourLeaving = 0.0;

    /** K of the liquid as it leaves its own zone. */
    private float $cold = 0.0;

    public function walk(Loop $loop): void
    {
        $machine = $loop->machine;
        $point = $loop->condensing;
        $ambient = $loop->around->ambient;
        $short = $loop->fill < 0.0 ? -$loop->fill : 0.0;
        $valveFlooded = $machine->head->flooded($point->bubble);
        $this->fill($loop, $valveFlooded, $short);
        $this->airFlow = $machine->head->air($point->bubble);
        $side = $this->airFlow < 1.0 ? $machine->condenser->with($this->airFlow) : $machine->condenser;
        $through = $loop->massFlow + $machine->others;
        $single = $side->conductance(self::GAS_TRANSFER);
        $this->leave($loop, $side->conductance(self::LIQUID_TRANSFER), $through);

        $gas = $loop->compression->enthalpy;
        $warmed = max(0.0, ($point->liquid - $this->outletEnthalpy) / ($gas - $this->outletEnthalpy));
        $this->bypassed = $machine->head->bypassed($machine->head->called($point->bubble), $warmed, $short);
        $through *= 1 - $this->bypassed;
        // Gas that arrives wet has nothing to lose before it condenses.
        $warmth = max(0.0, $gas - $point->vapour);
        $toCondense = min($point->vapour, $gas) - $point->liquid - $this->vapourLeaving * $point->latent;
        $mean = self::meanDifference(
            max(1.0, $point->dew + $warmth / self::GAS_HEAT - $ambient),
            max(0.5, $point->dew - $ambient),
        );
        $warm = max(0.3, ($point->bubble + $point->dew) / 2 - $ambient);
        $this->desuperheating = ($through * $warmth) / ($single * $mean);
        $this->condensing = ($through * max(0.0, $toCondense)) / ($side->conductance() * $warm);
        $this->blocked = (self::BLOCKING * $machine->inert) / $point->pressure;

        $this->heat = (1 - $this->bypassed) * $loop->massFlow * ($gas - $this->outletEnthalpy);
        $this->afterReceiver = (1 - $this->bypassed) * $this->outletEnthalpy + $this->bypassed * $gas;
        $this->airHeat =
            (($this->desuperheating * $single * $mean +
                $this->condensing * $side->conductance() * $warm +
                ($this->vapourLeaving > 0.0
                    ? 0.0
                    : $through * $loop->liquidHeat * ($point->bubble - $this->cold))) *
                $loop->massFlow) /
            ($loop->massFlow + $machine->others);
    }

    /** kg of refrigerant inside. */
    public function mass(Loop $loop): float
    {
        $point = $loop->condensing;
        $heavy = $point->heavy;
        // What stands in it has cooled on its way down.
        $standing = $point->table->at(Saturation::LIQUID_DENSITY, ($point->bubble + $this->cold) / 2);
        $light = $loop->condensing->light;
        $filled = max(0.0, min(1.0, $this->flooded));
        $mixed = min(1 - $filled, max(0.0, $this->condensing));

        return $loop->machine->condenserVolume *
            ($filled * $standing + $mixed * ($light + 0.22 * ($heavy - $light)) + (1 - $filled - $mixed) * $light);
    }

    /** How far liquid stands in it: its own zone, what the head control holds back, what the receiver cannot take. */
    private function fill(Loop $loop, float $valveFlooded, float $short): void
    {
        $base = min($loop->machine->head->most, $loop->machine->freeShare + $valveFlooded);
        $top = $loop->machine->hasReceiver() ? 1.0 : 0.0;
        $this->flooded = $base * max(0.0, 1 - $short / self::DRAINING) + max(0.0, $loop->fill - $top);
        $this->vapourLeaving = max(0.0, min(0.9, $short - self::DRAINING));
    }

    private function leave(Loop $loop, float $liquid, float $through): void
    {
        $point = $loop->condensing;
        $ambient = $loop->around->ambient;
        $liquidShare = max(0.0, min(1.0, $this->flooded));
        $units = ($liquidShare * $liquid) / ($through * $loop->liquidHeat);
        $this->cold = $ambient + ($point->bubble - $ambient) * exp(-$units);
        if ($this->vapourLeaving > 0.0) {
            $this->outlet = $point->temperature($this->vapourLeaving);
            $this->outletEnthalpy = $point->liquid + $this->vapourLeaving * $point->latent;
        } else {
            $this->outlet = $this->cold;
            $this->outletEnthalpy = $point->liquid - $loop->liquidHeat * ($point->bubble - $this->cold);
        }
    }

    /** Logarithmic mean of the differences at both ends, K. */
    private static function meanDifference(float $top, float $low): float
    {
        return abs($top - $low) < 0.1 ? $low : ($top - $low) / log($top / $low);
    }
}
