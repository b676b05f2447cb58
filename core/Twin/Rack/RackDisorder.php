<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Knowledge\Fault;
use Metrum\Twin\Disorder;

/** What a fault does to a plant of several circuits: to what all share, or to one circuit or case. Severity 0 … 1. */
final readonly class RackDisorder
{
    /** K by which a set point of suction is too high or too low at most, and of head too low. */
    private const SUCTION_HIGH = 8.0;

    private const SUCTION_LOW = -5.6;

    private const HEAD_LOW = 14.0;

    /** K by which a regulator holds its coils too warm, or too cold, at most. */
    private const REGULATOR_HIGH = 5.5;

    private const REGULATOR_LOW = -5.0;

    /** Share of the rated load that hot goods, an open door or a broken curtain add at most. */
    private const BURDEN = 1.1;

    /** Severity up to which a shortage, and a surplus, is one of the receiver alone. */
    private const IN_RECEIVER = 0.4;

    private const FULL_AT = 0.3;

    /** Severity from which a shortage is noticed. */
    private const NOTICED = 0.2;

    /** Share of what circulates that is missing at most; surplus, of the condenser's volume. */
    private const SHORT = 0.3;

    private const SURPLUS = 0.45;

    /** Gas that a worn compressor lets back, at least and at most. */
    private const WORN = [0.2, 0.9];

    /** Times by which a suction line throttles more at most. */
    private const THROTTLED = 12.0;

    /** @param  RackState  $sound  how it stands without it */
    public function __construct(private RackMachine $machine, private RackState $sound)
    {
    }

    public function with(RackIll $ill): RackMachine
    {
        if ($ill->fault === Fault::NoFault || $ill->fault === Fault::LiquidSolenoidShut) {
            // A circuit that is shut does not cool: its state says so.
            return $this->machine;
        }

        return $ill->circuit === null ? $this->ofPlant($ill) : $this->ofCircuit($ill);
    }

    private function ofPlant(RackIll $ill): RackMachine
    {
        $machine = $this->machine;
        $high = $machine->high;
        $severity = $ill->severity;

        return match ($ill->fault) {
            Fault::Undercharge => $machine->charged($this->short($severity)),
            Fault::Overcharge => $machine->charged($this->surplus($severity)),
            Fault::SuctionSetWrong => $this->inGroup(
                $ill,
                static fn (RackGroup $one): RackGroup => $one->holding(
                    $machine->fluid()->warmer(
                        $one->setSuction,
                        ($ill->low ? self::SUCTION_LOW : self::SUCTION_HIGH) * $severity,
                    ),
                ),
            ),
            Fault::HeadPressureLow => $machine->withHigh(
                $high->with(head: $high->head->lowered(self::HEAD_LOW * $severity)),
            ),
            Fault::CompressorOut, Fault::CompressorInefficient => $this->inGroup(
                $ill,
                static fn (RackGroup $one): RackGroup => $one->withCompressors(self::compressors($one, $ill)),
            ),
            default => $machine->withHigh(Disorder::in($high, $ill->fault, $severity, $ill->cause)),
        };
    }

    /** @param  callable(RackGroup): RackGroup  $changed */
    private function inGroup(RackIll $ill, callable $changed): RackMachine
    {
        return $this->machine->withGroup($ill->group ?? $this->machine->groups[0]->part, $changed);
    }

    /** @return non-empty-list<RackCompressor> */
    private static function compressors(RackGroup $group, RackIll $ill): array
    {
        $which = min($ill->compressor, count($group->compressors) - 1);
        [$least, $most] = self::WORN;
        $changed = static fn (RackCompressor $one): RackCompressor => $ill->fault === Fault::CompressorOut
            ? $one->out()
            : $one->worn($least + ($most - $least) * $ill->severity);

        return array_map(
            static fn (RackCompressor $one, int $place): RackCompressor => $place === $which ? $changed($one) : $one,
            $group->compressors,
            array_keys($group->compressors),
        );
    }

    private function ofCircuit(RackIll $ill): RackMachine
    {
        return $this->machine->withBranches(
            static fn (RackBranch $branch): RackBranch => $ill->isOf($branch->part)
                ? self::sick($ill->coil < 0 ? $branch : $branch->apart(), $ill)
                : $branch,
        );
    }

    private static function sick(RackBranch $branch, RackIll $ill): RackBranch
    {
        if ($ill->fault === Fault::RegulatorSetHigh || $ill->fault === Fault::RegulatorSetLow) {
            $most = $ill->fault === Fault::RegulatorSetHigh ? self::REGULATOR_HIGH : self::REGULATOR_LOW;

            return $branch->regulating($most * $ill->severity);
        }
        if ($ill->fault === Fault::SuctionRestriction) {
            return $branch->narrowed(1 + self::THROTTLED * $ill->severity);
        }
        $cases = [];
        foreach ($branch->cases as $place => $one) {
            $cases[] = $ill->coil < 0 || $place === 0 ? self::sickCase($one, $ill) : $one;
        }

        return $branch->withCases($cases);
    }

    private static function sickCase(RackCase $case, RackIll $ill): RackCase
    {
        return $ill->fault === Fault::ExcessLoad
            ? $case->with($case->load->burdened(self::BURDEN * $ill->severity))
            : $case->with(Disorder::in($case->machine, $ill->fault, $ill->severity, $ill->cause));
    }

    /** kg; the receiver is empty soon, then what circulates is missing. */
    private function short(float $severity): float
    {
        $held = array_sum($this->sound->held);
        $buffer = max(0.0, $this->machine->charge - $held);
        $beyond = ($severity - self::IN_RECEIVER) / (1 - self::IN_RECEIVER);

        return $beyond < 0.0
            ? $held + $buffer * self::left($severity)
            : $held * (1 - self::SHORT * $beyond);
    }

    /** Share of the receiver's liquid that a shortage leaves: most of it goes before anybody notices. */
    private static function left(float $severity): float
    {
        $late = 0.9 * (self::IN_RECEIVER - $severity);
        $noticed = 0.9 * (self::IN_RECEIVER - self::NOTICED);

        return $severity > self::NOTICED ? $late : 1 - ((1 - $noticed) * $severity) / self::NOTICED;
    }

    /** kg; the receiver is full soon, then liquid backs up in the condenser. */
    private function surplus(float $severity): float
    {
        $fluid = $this->machine->fluid();
        $heavy = $fluid->liquidDensity($fluid->bubbleTemperature($this->sound->condensing));
        $full = array_sum($this->sound->held) + 0.97 * $this->machine->high->receiverVolume * $heavy;
        $beyond = ($severity - self::FULL_AT) / (1 - self::FULL_AT);

        return $beyond < 0.0
            ? $this->machine->charge + ($full - $this->machine->charge) * (0.6 + $severity)
            : $full + self::SURPLUS * $beyond * $this->machine->high->condenserVolume * $heavy;
    }
}
