<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Installation\Branch;
use Metrum\Installation\Installation;
use Metrum\Quantity\Copies;

/**
 * How surely a level is expected: what is not known of each volume moves it only by what that volume holds otherwise
 * now than when the level was told.
 */
final readonly class LevelDoubt
{
    use Copies;

    /** Shares by which volumes are off, given and not given. */
    private const RECEIVER = [0.02, 0.3];

    private const CONDENSER = [0.06, 0.45];

    private const COILS = [0.08, 0.35];

    private const LINES = [0.08, 0.35];

    private const RECLAIM = [0.08, 0.6];

    /** Share of a hot gas coil or a reclaim coil that is liquid: by how much it is off. */
    private const FILLED = 0.12;

    /** Share of the condenser by which its flooding is off where nobody read what holds the head. */
    private const FLOODED = [0.03, 0.12];

    /** Level as it was told, level where nobody told it, and share of a plate's charge. */
    private const TOLD = 0.03;

    private const UNTOLD = 0.2;

    private const PLATE = 0.04;

    /** Level that no plan tells: what else is otherwise than the twin has it. */
    private const REST = 0.04;

    private function __construct(
        private float $receiver,
        private float $condenser,
        private float $coils,
        private float $lines,
        private float $reclaim,
        private float $flooded,
        private float $told,
        private bool $byPlate,
    ) {
    }

    /** @param  bool  $isHeadRead  whether the head's set point is known */
    public static function of(Installation $plant, bool $isHeadRead): self
    {
        $high = $plant->highSide;
        $coils = array_filter($plant->branches, static fn (Branch $one): bool => $one->coilVolume !== null);
        $known = count($coils) / count($plant->branches);
        $isTold = $high->rack->level !== null;
        $byPlate = ! $isTold && $high->plateCharge !== null;

        return new self(
            self::RECEIVER[$high->receiverVolume === null ? 1 : 0],
            self::CONDENSER[$high->condenserVolume === null ? 1 : 0],
            $known * self::COILS[0] + (1 - $known) * self::COILS[1],
            self::LINES[$high->rack->liquidVolume === null ? 1 : 0],
            self::RECLAIM[$high->rack->reclaimVolume === null ? 1 : 0],
            self::FLOODED[$isHeadRead ? 0 : 1],
            $isTold ? self::TOLD : ($byPlate ? 0.0 : self::UNTOLD),
            $byPlate,
        );
    }

    /** Level's deviation, 0 … 1. @param  RackState  $then  when the level was told */
    public function deviation(RackMachine $machine, RackState $then, RackState $now): float
    {
        $fluid = $machine->fluid();
        $bubble = $fluid->bubbleTemperature($now->condensing);
        $heavy = $fluid->liquidDensity($bubble);
        $whole = max(1e-3, $machine->high->receiverVolume * 0.95 * $heavy);
        $off = static fn (string $place): float => $now->held[$place] - $then->held[$place];
        $filled = $this->filled($machine, $now);
        $byPlate = $this->byPlate
            ? [
                (self::PLATE * $machine->charge) / $whole,
                ($this->lines * $now->held['liquid']) / $whole,
                ($this->coils * $now->held['coils']) / $whole,
                ($this->condenser * $now->held['condenser']) / $whole,
            ]
            : [];
        $squares = 0.0;
        foreach (
            [
                $this->receiver * ($now->level - $then->level),
                ($this->condenser * $off('condenser')) / $whole,
                ($this->coils * $off('coils')) / $whole,
                ($this->lines * $off('liquid')) / $whole,
                ($this->reclaim * $off('reclaim')) / $whole,
                (self::FILLED * $filled * $heavy) / $whole,
                $now->flooded > 0.1 ? ($this->flooded * $machine->high->condenserVolume * $heavy) / $whole : 0.0,
                $this->told,
                self::REST,
                ...$byPlate,
            ] as $part
        ) {
            $squares += $part ** 2;
        }

        return sqrt($squares);
    }

    /** m³ of coils in hot gas defrost and of a reclaim coil in use. */
    private function filled(RackMachine $machine, RackState $now): float
    {
        $volume = 0.0;
        foreach ($machine->branches as $branch) {
            $isFilled = $now->circuits[$branch->part->value]->state === BranchState::HotGas;
            $volume += $isFilled ? $branch->coilVolume : 0.0;
        }
        $reclaims = $now->held['reclaim'] > 0.2 * $machine->reclaimVolume * 1000.0;

        return $volume + ($reclaims ? $machine->reclaimVolume : 0.0);
    }
}
