<?php

declare(strict_types=1);

namespace Metrum\Log;

use Metrum\Log\Kinds\Trace;

/**
 * One thing that happened at a visit. A log is only ever added to: corrections and undoing are facts of their own.
 */
final readonly class Fact
{
    /**
     * @param  string  $id  ULID, made where it was entered
     * @param  string  $circuit  ULID of the circuit that it is about
     */
    public function __construct(
        public string $id,
        public FactKind $kind,
        public Content $content,
        public \DateTimeImmutable $takenAt,
        public Source $source,
        public string $by,
        public string $circuit,
    ) {
    }

    /** The same under another id, as where something else has that. */
    public function withId(string $id): self
    {
        return new self($id, $this->kind, $this->content, $this->takenAt, $this->source, $this->by, $this->circuit);
    }

    /** When it was seen: as it was entered, or so long before. */
    public function seenAt(): \DateTimeImmutable
    {
        $ago = (int) round(Trace::ago($this->content));

        return $ago === 0 ? $this->takenAt : $this->takenAt->modify("-$ago seconds");
    }

    public function rule(): KindOfFact
    {
        return $this->kind->rule();
    }

    /** Where it stands: a later fact with the same place stands instead of it. */
    public function place(): string
    {
        return $this->kind->value.' '.$this->rule()->place($this);
    }
}
