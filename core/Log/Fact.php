<?php

declare(strict_types=1);

namespace Metrum\Log;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Log\Kinds\Trace;
use Metrum\Quantity\Copies;

/**
 * One thing that happened at a visit. A log is only ever added to: corrections and undoing are facts of their own.
 */
final readonly class Fact
{
    use Copies;

    /**
     * @param  string  $id  ULID, made where it was entered
     * @param  string  $plant  ULID of the plant that it is about; empty in a file
     * @param  PartId  $part  which of its parts
     */
    public function __construct(
        public string $id,
        public FactKind $kind,
        public Content $content,
        public \DateTimeImmutable $takenAt,
        public Source $source,
        public string $by,
        public string $plant,
        public PartId $part,
    ) {
    }

    /** The same under another id, as where something else has that. */
    public function withId(string $id): self
    {
        return $this->but(id: $id);
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

    /** Whether a control was moved by it, of this part. */
    public function isMoveOf(Control $control, PartId $part): bool
    {
        return $this->kind === FactKind::Move && $this->content->key === $control->value && $this->part->is($part);
    }

    /** Whether it says the same of the same part. */
    public function says(Content $content, PartId $part): bool
    {
        return $this->part->is($part) && $this->content->says($content);
    }

    /** Where it stands: a later fact with the same place stands instead of it. */
    public function place(): string
    {
        return $this->kind->value.' '.$this->rule()->place($this);
    }
}
