<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Bench\Calculators\Flooding;
use Metrum\Installation\Circuit;
use Metrum\Installation\HeadPressureControl;
use Metrum\Knowledge\Wanted;
use Metrum\Quantity\Celsius;

/**
 * Fills a sized plant with its refrigerant.
 *
 * Without a plate: what the parts hold at the design point, the receiver at its design level, and what the flooded
 * condenser takes on the coldest day on top. With a plate its charge is what goes in: the volumes that nobody gave are
 * scaled, all by one share, until it is just that; where no such share is left, the charge that comes nearest goes in,
 * and `conflicts` says by how much plate and parts contradict each other.
 */
final readonly class Filling
{
    /** K at which a receiver may be 80 % full at most: a warm day around it (knowledge.md §8). */
    public const REFERENCE = Celsius::ZERO + 32.0;

    /** Share of a receiver that liquid may take, pumped down or running. */
    public const FULLEST = 0.8;

    /** Level of the receiver at the design point. */
    public const DESIGN_LEVEL = 0.4;

    /** Level at which its outlet is just covered, and stays so. */
    public const COVERED = 0.08;

    /** With winter charge: how far the receiver is filled at least. */
    private const WINTER_LEVEL = 0.1;

    /** K of the coldest day where it is not known. */
    public const USUAL_COLDEST = Celsius::ZERO - 10.0;

    /** Shares by which volumes that nobody gave may differ from what is usual. */
    private const SMALLEST = 0.4;

    private const LARGEST = 2.5;

    private const HALVINGS = 24;

    /** Share of the plate's charge that a filling may miss it by and still meet it. */
    private const MET = 0.005;

    public function __construct(private Circuit $circuit, private Wanted $wanted)
    {
    }

    public function of(Machine $machine): Machine
    {
        $plate = $this->circuit->design->nameplateCharge;

        return $plate === null ? $this->filled($machine) : $this->plated($machine, $plate);
    }

    /**
     * Where what is given of the charge cannot be together; the machine is one that was filled.
     *
     * @return list<ChargeConflict>
     */
    public function conflicts(Machine $machine): array
    {
        $plate = $this->circuit->design->nameplateCharge;
        $conflicts = [];
        if ($plate !== null && abs($plate - $machine->charge) > self::MET * $plate) {
            $kind = $plate > $machine->charge ? ConflictKind::PlateTooMuch : ConflictKind::PlateTooLittle;
            $conflicts[] = new ChargeConflict($kind, $plate, $machine->charge);
        }
        $holds = self::receiverHolds($machine);
        $charge = $plate ?? $machine->charge;
        if ($this->circuit->design->receiverVolume !== null && $holds !== null && $charge > $holds) {
            $conflicts[] = new ChargeConflict(ConflictKind::ReceiverTooSmall, $charge, $holds);
        }

        return $conflicts;
    }

    /** kg that the receiver may hold, pumped down; null where there is none. */
    public static function receiverHolds(Machine $machine): ?float
    {
        // A fluid that is no liquid any more at that temperature is taken where its table ends.
        $reference = min(self::REFERENCE, $machine->fluid->saturation->highest);

        return $machine->hasReceiver()
            ? self::FULLEST * $machine->receiverVolume * $machine->fluid->liquidDensity($reference)
            : null;
    }

    /** By what the parts hold. */
    private function filled(Machine $machine): Machine
    {
        $receiver = $machine->hasReceiver();
        $flooding = $machine->head->kind === HeadPressureControl::FloodingValve;
        $empty = Sizing::atDesign($machine, 0.0)->mass;
        $whole = $receiver ? (Sizing::atDesign($machine, self::DESIGN_LEVEL)->mass - $empty) / self::DESIGN_LEVEL : 0.0;
        $winter = $flooding ? $this->winterCharge($machine) : 0.0;
        // With winter charge the receiver stands higher in summer, up to its 80 %.
        $charge = $flooding
            ? min($empty + self::FULLEST * $whole, $empty + self::WINTER_LEVEL * $whole + $winter)
            : $empty + self::DESIGN_LEVEL * $whole;

        return $machine->with(
            charge: $charge,
            design: $machine->design->withCharge(
                summerCharge: $empty + self::COVERED * $whole,
                buffer: max(0.0, $charge - $empty),
                full: $receiver ? Sizing::atDesign($machine, 1.0)->mass : $charge,
                winter: $winter,
            ),
        );
    }

    /** By the plate. @param  float  $plate  kg */
    private function plated(Machine $machine, float $plate): Machine
    {
        [$small, $large] = [log(self::SMALLEST), log(self::LARGEST)];
        for ($round = 0; $round < self::HALVINGS; $round++) {
            $middle = ($small + $large) / 2;
            if ($this->filled($this->scaled($machine, exp($middle)))->charge > $plate) {
                $large = $middle;
            } else {
                $small = $middle;
            }
        }
        $filled = $this->filled($this->scaled($machine, exp($small)));
        if (! $machine->hasReceiver()) {
            return $filled;
        }
        $design = $filled->design;
        $empty = $filled->charge - $design->buffer;
        // What the parts leave over stands in the receiver, between covered and full.
        $charge = max($design->summerCharge, min($empty + self::FULLEST * ($design->full - $empty), $plate));

        return $filled->with(
            charge: $charge,
            design: $design->withCharge($design->summerCharge, $charge - $empty, $design->full, $design->winter),
        );
    }

    /** With the volumes that nobody gave scaled. */
    private function scaled(Machine $machine, float $share): Machine
    {
        $given = $this->circuit->design;

        return $machine->with(
            condenserVolume: $machine->condenserVolume * ($given->condenserVolume === null ? $share : 1.0),
            receiverVolume: $machine->receiverVolume * ($given->receiverVolume === null ? $share : 1.0),
            lineVolume: $machine->lineVolume * ($given->liquidLineVolume() === null ? $share : 1.0),
            coilVolume: $machine->coilVolume * $share,
            suctionVolume: $machine->suctionVolume * $share,
        );
    }

    /** kg that the condenser takes when it is flooded for the coldest day. */
    private function winterCharge(Machine $machine): float
    {
        $coldest = $this->circuit->design->coldestAmbient ?? self::USUAL_COLDEST;
        $split = $this->circuit->design->condenserSplit ?? $this->wanted->condenserSplit()->middle();
        $share = Flooding::share($split, 1.0, $machine->head->setting, $coldest);
        $density = $machine->fluid->liquidDensity(($machine->head->setting + $coldest) / 2);

        return $share * $machine->condenserVolume * $density;
    }
}
