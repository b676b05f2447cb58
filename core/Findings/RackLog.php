<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\Installation;
use Metrum\Installation\PartId;
use Metrum\Installation\PartKind;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Reading;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\WholeRack;

/**
 * Folds the log of a visit to a plant of several circuits: what stands of each part. What is about all of them is the
 * plant's, whichever circuit was walked when it was read. A move of the plant makes what was read anywhere what was
 * before; a move of one circuit what was read there, and the level, the header and the head.
 */
final class RackLog
{
    /** What all circuits share and one of them changes. */
    private const CHANGED_BY_CIRCUIT = [
        Reading::ReceiverLevel,
        Reading::SuctionHeader,
        Reading::DischargePressure,
        Reading::ReceiverPressure,
    ];

    /** @var array<string, PartTelling> by part */
    private array $parts = [];

    private PartTelling $shared;

    private function __construct(private readonly Installation $plant)
    {
        $this->shared = new PartTelling();
    }

    public static function findings(WholeRack $rack, ?string $id = null, ?string $takenAt = null): RackFindings
    {
        $self = new self($rack->plant);
        foreach ($rack->log->happened() as $fact) {
            $self->hear($fact);
        }

        return new RackFindings(
            $rack->plant,
            $self->shared->findings(),
            array_map(static fn (PartTelling $one): PartFindings => $one->findings(), $self->parts),
            $rack->names,
            $id,
            $takenAt,
        );
    }

    private function hear(Fact $fact): void
    {
        if ($fact->kind === FactKind::Move) {
            $this->move(Control::from($fact->content->key), $fact->part->ofCircuit());
        } elseif ($this->group($fact) !== null) {
            $this->of($this->group($fact))->hear($fact);
        } elseif ($fact->part->is(PartId::plant()) || self::isShared($fact)) {
            $this->shared->hear($fact);
        } else {
            $this->of($fact->part)->hear($fact);
        }
    }

    private function of(PartId $part): PartTelling
    {
        return $this->parts[$part->value] ??= new PartTelling();
    }

    /** @param  ?PartId  $circuit  null: all of them */
    private function move(Control $control, ?PartId $circuit): void
    {
        if ($circuit === null) {
            $this->shared->move($control);
        } elseif (! $control->row()->leavesReadings) {
            $this->shared->moveElsewhere(self::CHANGED_BY_CIRCUIT);
        }
        foreach ($this->parts as $name => $part) {
            $of = PartId::of($name);
            if ($circuit === null || $of->isWithin($circuit)) {
                $part->move($control);
            } elseif ($of->kind() === PartKind::Group && ! $control->row()->leavesReadings) {
                $part->moveElsewhere(self::CHANGED_BY_CIRCUIT);
            }
        }
    }

    /** Of which of several groups it is: that which is named, or from which the circuit draws that was walked. */
    private function group(Fact $fact): ?PartId
    {
        $asked = $fact->kind->asked($fact->content->key);
        if (! $this->plant->hasSeveralGroups() || $asked === null || $fact->part->isCompressor()) {
            return null;
        }
        $circuit = $fact->part->ofCircuit();

        return match (true) {
            $fact->part->kind() === PartKind::Group => $fact->part,
            $asked->taking()->isOfGroup && $circuit !== null => $this->plant->branch($circuit)?->group,
            default => null,
        };
    }

    private static function isShared(Fact $fact): bool
    {
        $asked = $fact->kind->asked($fact->content->key);

        return $asked !== null && $asked->taking()->isShared && ! $fact->part->isCompressor();
    }
}
