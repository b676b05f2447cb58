<?php

declare(strict_types=1);

namespace Metrum\Log;

use Metrum\Installation\Installation;

/** A visit to a plant of several circuits as a whole: what was told of all of them, whichever is folded. */
final readonly class WholeRack
{
    /**
     * @param  Log  $log  of all circuits, and of what they share
     * @param  Installation  $plant  as it was known when the occasion began
     * @param  array<string, string>  $names  what people call its circuits, by their part
     */
    public function __construct(public Log $log, public Installation $plant, public array $names = [])
    {
    }

    /** What of it was told before a fact. */
    public function before(Fact $fact): self
    {
        return $this->first($this->placeOf($fact));
    }

    /** What of it was told when a fact was, that one with it. */
    public function upTo(Fact $fact): self
    {
        return $this->first($this->placeOf($fact) + 1);
    }

    private function placeOf(Fact $fact): int
    {
        foreach ($this->log->facts as $place => $one) {
            if ($one->id === $fact->id) {
                return $place;
            }
        }

        return count($this->log->facts);
    }

    private function first(int $facts): self
    {
        return new self(new Log(array_slice($this->log->facts, 0, $facts)), $this->plant, $this->names);
    }
}
