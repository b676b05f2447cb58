<?php

declare(strict_types=1);

namespace Metrum\Log;

use Metrum\Installation\Installation;
use Metrum\Installation\PartId;

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

    /**
     * What is judged: until something was read where a move was made, what was told before it. What all circuits share
     * answers for the plant, a circuit and what it shares for itself.
     */
    public function judged(): self
    {
        $last = null;
        foreach ($this->log->happened() as $fact) {
            if ($fact->kind === FactKind::Move) {
                $last ??= $fact;
            } elseif ($last !== null && self::answers($fact, $last->part)) {
                $last = null;
            }
        }
        $before = $last === null ? $this : $this->before($last);

        // As long as nothing at all was found there is nothing before it.
        return $before->log->happened() === [] ? $this : $before;
    }

    private static function answers(Fact $fact, PartId $moved): bool
    {
        $asked = $fact->content->isCleared() ? null : $fact->kind->asked($fact->content->key);
        $circuit = $moved->ofCircuit();

        return $asked !== null &&
            ($asked->taking()->isShared || ($circuit !== null && $fact->part->isWithin($circuit)));
    }

    /** The same of which other facts were told. */
    public function withLog(Log $log): self
    {
        return new self($log, $this->plant, $this->names);
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
