<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Installation\UsualCompressor;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Refrigerant\Saturation;
use Metrum\Twin\Compressor;
use Metrum\Twin\Loop;
use Metrum\Twin\Surroundings;

/** The compressors of one suction group on the gas that its circuits send. It keeps where it stood. */
final class GroupWalk
{
    /** By which flow to capacity falls as the header rises, to begin with. */
    private const RELIEF = -1.7;

    /** K that hot gas is warmer than saturation at least. */
    private const MOST_SUPERHEAT = 118.0;

    /** Of what comes: as good as nothing. kg/s. */
    private const NOTHING = 1e-7;

    /** Pa abs at the header. */
    public float $suction;

    public bool $allRun = false;

    /** kg/s. */
    public float $flow = self::NOTHING;

    /** W that the gas brings. */
    private float $brought = 0.0;

    /** J/(kg K) of the gas. */
    public float $gasHeat = 900.0;

    /** @var ?array{float, float} ln Pa of the header and ln of flow to capacity, a turn before */
    private ?array $pulled = null;

    /** @param  Loop  $loop  with the group's compressors; where there is but one group, that of the condenser too */
    public function __construct(public readonly RackGroup $group, public readonly Loop $loop)
    {
        $this->suction = $group->setSuction;
    }

    /** The loop of a group beside that of the condenser. */
    public static function beside(RackMachine $machine, RackGroup $group, Surroundings $around): self
    {
        $own = $machine->high->with(compressor: $machine->high->compressor->otherwise($group->swept));

        return new self($group, new Loop($own, $around));
    }

    public function begin(): void
    {
        $this->flow = $this->brought = 0.0;
    }

    /** What one circuit sends. @param  float  $gasHeat  J/(kg K) of it */
    public function take(float $flow, float $brought, float $gasHeat): void
    {
        $this->flow += $flow;
        $this->brought += $brought;
        $this->gasHeat = $gasHeat;
    }

    public function taken(): void
    {
        $this->flow = max(self::NOTHING, $this->flow);
    }

    /** What came stands before the compressors. @param  float  $condensing  Pa abs @throws OutsideTable */
    public function gather(float $condensing): void
    {
        $loop = $this->loop;
        $loop->massFlow = $this->flow;
        $loop->coil->returnFlow = $this->flow;
        $loop->coil->gasHeat = $this->gasHeat;
        $loop->condensing->at($condensing);
        $loop->suction->gathered($loop, $this->suction, $this->brings());
    }

    /** J/kg at its compressors; where nothing comes, that of dry gas. */
    private function brings(): float
    {
        $table = $this->loop->condensing->table;

        return $this->brought > 0.0
            ? $this->brought / $this->flow
            : $table->at(Saturation::VAPOUR_ENTHALPY, $table->dewTemperature($this->suction));
    }

    /** J/kg of the gas that leaves at the head that its loop stands at. */
    public function compress(): float
    {
        $this->loop->compression->walk($this->loop);

        return $this->loop->compression->enthalpy;
    }

    /** The compressors hold the header where they can; where all run and that is not enough it rises. */
    public function hold(): void
    {
        $rise = log($this->flow / $this->capacity());
        $set = $this->group->setSuction;
        $at = log($this->suction);
        $this->allRun = $rise > -1e-3 || $this->suction > $set * 1.0005;
        $slope = self::RELIEF;
        if ($this->pulled !== null && abs($at - $this->pulled[0]) > 1e-6) {
            $slope = max(-4.0, min(-0.9, ($rise - $this->pulled[1]) / ($at - $this->pulled[0])));
        }
        $this->pulled = [$at, $rise];
        $this->suction = max($set, exp($at - max(-0.25, min(0.25, $rise / $slope))));
    }

    /** kg/s that compressors would deliver which all run. */
    private function capacity(): float
    {
        $loop = $this->loop;
        $whole = $loop->machine->compressor->displacement *
            Compressor::volumetricEfficiency($loop->compression->ratio) *
            $loop->suction->density;

        return max(1e-6, $whole * $this->group->delivers());
    }

    /** W into its motors. */
    public function power(): float
    {
        return $this->loop->machine->compressor->electricPower($this->loop->compression->shaft);
    }

    /** @param  float  $ambient  K around its pipes */
    public function state(float $ambient): GroupState
    {
        return new GroupState(
            $this->suction,
            $this->loop->suction->dew + $this->loop->suction->superheat,
            $this->discharge($ambient),
            $this->flow,
            $this->power(),
            $this->allRun,
            min(1.0, $this->flow / $this->capacity()),
        );
    }

    /** K of its discharge pipe. */
    private function discharge(float $ambient): float
    {
        $machine = $this->loop->machine;
        $dew = $machine->fluid->dewTemperature($this->loop->condensing->pressure + $machine->inert);
        try {
            $gas = $dew + $machine->fluid->superheatOfEnthalpy($dew, $this->loop->compression->enthalpy);
        } catch (OutsideTable) {
            $gas = $dew + self::MOST_SUPERHEAT;
        }

        return UsualCompressor::pipeTemperature($gas, $ambient);
    }
}
