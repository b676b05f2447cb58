<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Data\Knowledge;

/** What is cooled. */
enum Kind: string
{
    case WalkInCooler = 'walk_in_cooler';
    case WalkInFreezer = 'walk_in_freezer';
    case ReachInCooler = 'reach_in_cooler';
    case ReachInFreezer = 'reach_in_freezer';
    case CaseMedium = 'case_medium';
    case CaseLow = 'case_low';
    case IceMachine = 'ice_machine';
    case AirConditioner = 'air_conditioner';
    case RackCircuitMedium = 'rack_circuit_medium';
    case RackCircuitLow = 'rack_circuit_low';

    public function label(): string
    {
        return $this->row()->text('label');
    }

    /** Below freezing by design. */
    public function isLowTemperature(): bool
    {
        return match ($this) {
            self::WalkInFreezer, self::ReachInFreezer, self::CaseLow, self::RackCircuitLow => true,
            self::WalkInCooler,
            self::ReachInCooler,
            self::CaseMedium,
            self::IceMachine,
            self::AirConditioner,
            self::RackCircuitMedium => false,
        };
    }

    /** Small cabinets and machines run with a larger air-to-coil difference than rooms. */
    public function isSmall(): bool
    {
        return match ($this) {
            self::ReachInCooler, self::ReachInFreezer, self::IceMachine => true,
            self::WalkInCooler,
            self::WalkInFreezer,
            self::CaseMedium,
            self::CaseLow,
            self::AirConditioner,
            self::RackCircuitMedium,
            self::RackCircuitLow => false,
        };
    }

    /** Its compressors and condenser are shared with other circuits. */
    public function isShared(): bool
    {
        return $this === self::RackCircuitMedium || $this === self::RackCircuitLow;
    }

    /** @throws BrokenData */
    public function usual(): Usual
    {
        return Knowledge::once('usual '.$this->value, fn (): Usual => Usual::of($this));
    }

    private function row(): DataRow
    {
        return Knowledge::file('kinds')->row($this->value);
    }
}
