<?php

declare(strict_types=1);

namespace Metrum\Log;

use Metrum\Installation\PartId;

/** The facts of one visit: what still stands, and what was taken back. */
final readonly class Log
{
    /** @var list<Fact> all that was not taken back, in order */
    private array $happened;

    /** @var array<string, Fact> the latest standing fact by its place */
    private array $standing;

    /** @var list<Fact> in the order in which they were taken; those of one moment as they came */
    public array $facts;

    /** @param  list<Fact>  $facts  in the order in which they came: one that waited on a device comes late */
    public function __construct(array $facts)
    {
        usort($facts, static fn (Fact $a, Fact $b): int => $a->takenAt <=> $b->takenAt);
        $this->facts = $facts;
        $undone = [];
        foreach ($facts as $fact) {
            if ($fact->kind === FactKind::Undo) {
                $undone[$fact->content->text('of')] = true;
            }
        }
        $standing = [];
        $happened = [];
        foreach ($facts as $fact) {
            if ($fact->kind !== FactKind::Undo && ! isset($undone[$fact->id])) {
                $place = $fact->place();
                // The last one stands in the order in which it came.
                unset($standing[$place]);
                $standing[$place] = $fact;
                $happened[] = $fact;
            }
        }
        $this->happened = $happened;
        $this->standing = $standing;
    }

    /**
     * What of it is known of a circuit: of the circuit, of its parts, and of what all circuits of its plant share.
     *
     * @param  ?PartId  $group  that it draws from; null: there is but one
     */
    public function concerning(PartId $circuit, ?PartId $group = null): self
    {
        $own = array_filter(
            $this->facts,
            static fn (Fact $fact): bool => $fact->part->concerns($circuit) && $fact->part->isNotOfAnother($group),
        );

        return count($own) === count($this->facts) ? $this : new self(array_values($own));
    }

    /** @return list<Fact> standing facts that say something, in order; of some kinds, or of all */
    public function standing(FactKind ...$kinds): array
    {
        return array_values(
            array_filter(
                $this->standing,
                static fn (Fact $fact): bool => ! $fact->content->isCleared() &&
                    ($kinds === [] || in_array($fact->kind, $kinds, true)),
            ),
        );
    }

    /** @return list<Fact> all of a kind that were not taken back, in order, those too that others stand instead of */
    public function history(FactKind $kind): array
    {
        return array_values(
            array_filter($this->happened, static fn (Fact $fact): bool => $fact->kind === $kind),
        );
    }

    /** @return list<Fact> all that was not taken back, in order */
    public function happened(): array
    {
        return $this->happened;
    }

    /** @return ?list<Fact> what was added to another log at its end; null where it is not the same before that */
    public function addedTo(self $before): ?array
    {
        foreach ($before->happened as $place => $fact) {
            if (($this->happened[$place] ?? null)?->id !== $fact->id) {
                return null;
            }
        }

        return array_slice($this->happened, count($before->happened));
    }

    /** The standing fact of a kind about a key; null where there is none, or it was taken back. */
    public function fact(FactKind $kind, string $key): ?Fact
    {
        foreach ($this->standing($kind) as $fact) {
            if ($fact->content->key === $key) {
                return $fact;
            }
        }

        return null;
    }

    /** When the last thing was told; the beginning of time where nothing was. */
    public function lastTold(): \DateTimeInterface
    {
        return $this->facts === [] ? new \DateTimeImmutable('@0') : $this->facts[count($this->facts) - 1]->takenAt;
    }

    /** @return list<Fact> the last few that stand, newest first */
    public function latest(int $most): array
    {
        return array_slice(array_reverse($this->standing()), 0, $most);
    }
}
