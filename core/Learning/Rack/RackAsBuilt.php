<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Twin\Dice;
use Metrum\Twin\Machine;
use Metrum\Twin\Rack\RackBranch;
use Metrum\Twin\Rack\RackCase;
use Metrum\Twin\Rack\RackMachine;

/** A plant of several circuits as it was really built: near its design, never at it. */
final readonly class RackAsBuilt
{
    /** K by which regulators are set apart from what their cases need. */
    private const REGULATOR_OFF = 0.5;

    public function __construct(private Dice $dice)
    {
    }

    public function of(RackMachine $machine): RackMachine
    {
        $dice = $this->dice;

        return $machine
            ->withHigh($this->high($machine->high))
            ->withBranches(fn (RackBranch $branch): RackBranch => $this->branch($branch))
            ->piped(
                $machine->liquidVolume * $dice->factor(0.12),
                $machine->suctionVolume * $dice->factor(0.4),
                $machine->reclaimVolume * $dice->factor(0.12),
            )
            ->filling($dice->between(0.32, 0.6));
    }

    private function high(Machine $high): Machine
    {
        $dice = $this->dice;

        return $high->with(
            condenser: $high->condenser->moving($dice->between(0.85, 1.25))->scaled($dice->factor(0.14)),
            condenserVolume: $high->condenserVolume * $dice->factor(0.08),
            compressor: $high->compressor->otherwise($dice->factor(0.08), $dice->factor(0.07)),
            freeShare: $high->freeShare * $dice->factor(0.4),
            head: $high->head->lowered($dice->between(-1.0, 13.0))->mixing($dice->between(0.5, 1.3)),
        );
    }

    private function branch(RackBranch $branch): RackBranch
    {
        $dice = $this->dice;
        $cases = array_map(fn (RackCase $case): RackCase => $this->case($case), $branch->cases);

        return $branch
            ->withCases($cases)
            ->narrowed($dice->factor(0.35))
            ->regulating($dice->around(0.0, self::REGULATOR_OFF))
            ->sized($branch->coilVolume * $dice->factor(0.1));
    }

    private function case(RackCase $case): RackCase
    {
        $dice = $this->dice;
        $machine = $case->machine;

        return $case
            ->with(
                $machine->with(
                    coil: $machine->coil->moving($dice->between(0.85, 1.25))->scaled($dice->factor(0.1)),
                    feed: $machine->feed
                        ->turned($dice->around(0.0, 0.3))
                        ->narrowed($dice->factor(0.15)),
                    suctionGain: $machine->suctionGain * $dice->factor(0.6),
                    liquidLoss: $machine->liquidLoss * $dice->factor(0.6),
                ),
            )
            ->with($case->load->burdened($dice->around(-0.05, 0.1)));
    }
}
