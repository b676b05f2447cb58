<?php

declare(strict_types=1);

namespace Metrum\Log;

/** One thing that was typed, tapped or read: of which kind, about what, and in which words. */
final readonly class Statement
{
    public string $typed;

    /**
     * @param  string  $typed  as it was typed, or the word that was tapped; empty where it is taken back
     * @param  string  $reason  why, where one was given
     * @param  string  $of  what people call the part that it is said of; empty: the circuit itself
     * @param  array<string, string>  $with  what was typed besides, by its key
     */
    public function __construct(
        public FactKind $kind,
        public string $key,
        string $typed,
        public string $reason = '',
        public string $of = '',
        public array $with = [],
    ) {
        $this->typed = trim($typed);
    }

    /** The same of another part. @param  string  $of  as people call it, or the whole way to it */
    public function about(string $of): self
    {
        return new self($this->kind, $this->key, $this->typed, $this->reason, $of, $this->with);
    }

    /** The same with something else typed. */
    public function saying(string $typed): self
    {
        return new self($this->kind, $this->key, $typed, $this->reason, $this->of, $this->with);
    }
}
