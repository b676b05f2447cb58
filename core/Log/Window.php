<?php

declare(strict_types=1);

namespace Metrum\Log;

use Metrum\Installation\Circuit;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;

/** What is folded together: the facts of an occasion that are known of one circuit, its own and those of its plant. */
final readonly class Window
{
    public Log $log;

    /**
     * @param  Circuit  $asOpened  the circuit as it was known when the occasion began
     * @param  PartId  $circuit  which of its plant it is
     * @param  string  $id  of the occasion; empty where it has none
     * @param  string  $takenAt  when it began, ISO 8601; empty where nobody says
     * @param  ?WholeRack  $rack  all of its plant, where that has several circuits
     */
    public function __construct(
        Log $log,
        public Circuit $asOpened,
        public PartId $circuit,
        public string $id = '',
        public string $takenAt = '',
        public ?WholeRack $rack = null,
    ) {
        $this->log = $log->concerning($circuit, $rack?->plant->branch($circuit)?->group);
    }

    /** The same with other facts: more of them, or those up to a moment. */
    public function withLog(Log $log): self
    {
        return new self($log, $this->asOpened, $this->circuit, $this->id, $this->takenAt, $this->rack);
    }

    /** All that was told at the occasion, of other circuits of its plant too. */
    public function everything(): Log
    {
        return $this->rack->log ?? $this->log;
    }

    /** Of which part a control is: what all circuits share is the plant's, whichever is walked when it is moved. */
    public function partOf(Control $control, ?PartId $part = null): PartId
    {
        $part ??= $this->circuit;

        return $this->rack !== null && $part->is($this->circuit) && $control->row()->isShared
            ? PartId::plant()
            : $part;
    }
}
