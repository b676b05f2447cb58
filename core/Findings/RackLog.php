<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\PartId;
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

    private function __construct()
    {
        $this->shared = new PartTelling();
    }

    public static function findings(WholeRack $rack, ?string $id = null, ?string $takenAt = null): RackFindings
    {
        $self = new self();
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
            if ($circuit === null || PartId::of($name)->isWithin($circuit)) {
                $part->move($control);
            }
        }
    }

    private static function isShared(Fact $fact): bool
    {
        $asked = $fact->kind->asked($fact->content->key);

        return $asked !== null && $asked->taking()->isShared && ! $fact->part->isCompressor();
    }
}
