<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\Visit;
use Illuminate\Support\Collection;
use Metrum\Diagnosis\Snapshot;

/** The visits of one circuit, or of the rack that it is on, newest first, each with what it came to. */
final readonly class CircuitHistory
{
    private const MOST = 12;

    /** Those that are shown at once. */
    private const FEW = 4;

    /** @var Collection<int, Visit> */
    public Collection $visits;

    /** @var array<string, Snapshot> by visit */
    private array $outcomes;

    public function __construct(Circuit $circuit, private Judge $judge)
    {
        $this->visits = Visit::ofPlant($circuit)
            ->with('user', 'verdict')
            ->latest('opened_at')
            ->limit(self::MOST)
            ->get();
        $outcomes = [];
        foreach ($this->visits as $visit) {
            $outcomes[$visit->id] = $judge->snapshot($visit->walking($circuit));
        }
        $this->outcomes = $outcomes;
    }

    /** @return Collection<int, Visit> */
    public function latestFew(): Collection
    {
        return $this->visits->take(self::FEW);
    }

    /** @return Collection<int, Visit> */
    public function earlier(): Collection
    {
        return $this->visits->skip(self::FEW)->values();
    }

    public function outcome(Visit $visit): Snapshot
    {
        return $this->outcomes[$visit->id];
    }

    /** The last visit at which anything was found. */
    public function latest(): ?Visit
    {
        return $this->visits->first(fn (Visit $visit): bool => ! $this->outcome($visit)->blank);
    }

    /** The one that goes on; null where all are closed. */
    public function open(): ?Visit
    {
        return $this->visits->first(static fn (Visit $visit): bool => $visit->isOpen());
    }

    /** Whether any of them was worked with other weights than today's. */
    public function isOld(): bool
    {
        return $this->visits->contains(fn (Visit $visit): bool => $this->judge->isOld($visit));
    }
}
