<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Reading;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;

/** A stretch of a visit between two moves of the plant: what was found in it. The first is as found. */
final readonly class Chapter
{
    /**
     * @param  ?Fact  $began  the move that changed the plant; null for the first
     * @param  Findings  $findings  at its end, or now
     * @param  array<string, array<string, float>>  $parts  what was read of parts of the circuit, SI by part and key
     * @param  array<string, float>  $own  what was read of the circuit itself, SI by key
     * @param  array<string, float>  $before  what was read before the move and not since, SI by key
     * @param  list<Fact>  $found  readings, observations and tests taken in it, in order
     */
    public function __construct(
        public int $number,
        public ?Fact $began,
        public Findings $findings,
        public array $parts = [],
        public array $before = [],
        public array $found = [],
        public array $own = [],
    ) {
    }

    /** What was read of a part, else of the circuit itself; never of another part. SI; null where it was not. */
    public function readingOf(PartId $part, Reading $reading): ?float
    {
        return $this->parts[$part->value][$reading->value] ?? $this->own[$reading->value] ?? null;
    }

    /** What was found of a part of the circuit, in the rest as the circuit. */
    public function of(PartId $part): Findings
    {
        $own = $this->parts[$part->value] ?? [];

        return $own === [] ? $this->findings : $this->findings->withReadings($own);
    }

    /**
     * The same as it stood once its first readings were told: of what was read again later the first stands, what was
     * read later for the first time is in it.
     *
     * @param  int  $told  how many of the facts found in it were told then
     */
    public function asFirstRead(int $told): self
    {
        $own = ['' => []];
        foreach ($this->found as $place => $fact) {
            $part = Telling::kept($fact->part);
            $isFirst = $place < $told || ! isset($own[$part][$fact->content->key]);
            if ($fact->kind === FactKind::Reading && $fact->content->value !== null && $isFirst) {
                $own[$part][$fact->content->key] = $fact->content->value;
            }
        }
        $parts = $this->parts;
        foreach (array_diff_key($own, ['' => []]) as $part => $readings) {
            $parts[$part] = $readings + ($parts[$part] ?? []);
        }

        return new self(
            $this->number,
            $this->began,
            $this->findings->withReadings($own['']),
            $parts,
            $this->before,
            array_slice($this->found, 0, $told),
            $this->own,
        );
    }

    /** Whether all is in it as in another: what is told later can say in which state something was seen before. */
    public function isAs(self $other): bool
    {
        return serialize($this) === serialize($other);
    }

    /** Whether anything was read or looked at since it began. */
    public function wasLookedAt(): bool
    {
        return $this->found !== [];
    }
}
