<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Data\Knowledge;

/** What a person picks for what is cooled: it fills the plant with what is usual. */
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

    /** What takes up its cold. */
    public function load(): LoadKind
    {
        return $this->usual()->load;
    }

    /** Below freezing by design. */
    public function isLowTemperature(): bool
    {
        return $this->usual()->isBelowFreezing;
    }

    /** Small cabinets and machines run with a larger air-to-coil difference than rooms. */
    public function isSmall(): bool
    {
        return match ($this->load()) {
            LoadKind::Cabinet, LoadKind::IceMachine => true,
            LoadKind::Room, LoadKind::DisplayCase, LoadKind::Air => false,
        };
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
