<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Installation\Installation;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\State;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Dice;
use Metrum\Twin\Rack\BranchState;
use Metrum\Twin\Rack\RackDisorder;
use Metrum\Twin\Rack\RackMachine;
use Metrum\Twin\Rack\RackSizing;
use Metrum\Twin\Rack\RackSolver;

/** Visits to drawn racks, each by its number: the same seed and number give the same visit. */
final readonly class RackPatients
{
    private const TRIES = 60;

    /** K by which the set suction lies below what the neediest circuit needs. */
    private const SET_BELOW = [-0.2, 1.6];

    /** K by which a condenser that draws its own hot air is warmer at most. */
    private const RECIRCULATED = 14.0;

    /** Level by which it stood otherwise than was noted. */
    private const LEVEL_OFF = 0.03;

    public function __construct(private int $seed)
    {
    }

    public function number(int $number): RackPatient
    {
        for ($try = 0; $try < self::TRIES; $try++) {
            $patient = $this->drawn(crc32(sprintf('rack %d %d %d', $this->seed, $number, $try)));
            if ($patient !== null) {
                return $patient;
            }
        }
        throw new \LogicException('No rack resulted from '.self::TRIES.' draws');
    }

    private function drawn(int $seed): ?RackPatient
    {
        $dice = new Dice($seed);
        $ills = new RackIlls($dice);
        $fault = $ills->fault();
        try {
            [$plant, $built] = $this->built((new RandomRacks($dice))->plant(), $dice);
            $circumstances = new RackCircumstances($dice);
            $states = $circumstances->states($plant);
            $ill = $ills->at($plant, $fault, $states);
            if ($ill === null || $built === null) {
                return null;
            }
            $beside = $ills->beside($plant, $ill, $states);
            $store = $circumstances->store($plant, $fault);
            $idle = RackCircumstances::idle($plant, $states);
            $sound = (new RackSolver($built, $store, $idle))->find();
            if ($sound === null) {
                return null;
            }
            $machine = (new RackDisorder($built, $sound))->with($ill);
            if ($fault === Fault::LiquidSolenoidShut && $ill->circuit !== null) {
                $idle[$ill->circuit->value] = BranchState::Drained;
            }
            $entering = $ill->cause === Cause::AirRecirculating
                ? $store->at($store->ambient + self::RECIRCULATED * $ill->severity)
                : $store;
            $machine = $entering === $store ? $machine : $built;
            $machine = (new RackDisorder($machine, $sound))->with($beside);
            $now = (new RackSolver($machine, $entering, $idle, $sound->floors))->find();

            return $now === null
                ? null
                : (new RackVisit($dice, $plant, $store, $states))->to(
                    new RackSick($built, $machine, $now, $ill, $beside, $entering->ambient),
                );
        } catch (OutsideTable) {
            return null;
        }
    }

    /** @return array{Installation, ?RackMachine} as planned, and as it was built and filled */
    private function built(Installation $plant, Dice $dice): array
    {
        $planned = (new RackSizing($plant))->machine();
        $fluid = $planned->fluid();
        $needed = $fluid->dewTemperature($planned->groups[0]->setSuction);
        $suction = round(($needed - $dice->between(...self::SET_BELOW)) * 2) / 2;
        $plant = $plant->under($plant->highSide->planned($plant->highSide->rack->at($suction)));
        $machine = (new RackAsBuilt($dice))->of(
            $planned->holding($fluid->dewPressure($suction + $dice->around(0.0, 0.3))),
        );
        $then = (new RackSizing($plant))->reference($machine);
        $level = ($plant->highSide->rack->level ?? 0.5) + $dice->around(0.0, self::LEVEL_OFF);

        if ($then === null) {
            return [$plant, null];
        }
        $charge = RackSizing::chargeFor($machine, $then, $level);

        return [$plant->under($plant->highSide->plated($charge)), $machine->charged($charge)];
    }

    public static function isCooling(State $state): bool
    {
        return $state === State::RunningSettled || $state === State::AfterDefrost;
    }
}
