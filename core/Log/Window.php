<?php

declare(strict_types=1);

namespace Metrum\Log;

use Metrum\Installation\Circuit;
use Metrum\Installation\PartId;

/** What is folded together: the facts of an occasion that are known of one circuit, its own and those of its plant. */
final readonly class Window
{
    public Log $log;

    /**
     * @param  Circuit  $asOpened  the circuit as it was known when the occasion began
     * @param  PartId  $circuit  which of its plant it is
     * @param  string  $id  of the occasion; empty where it has none
     * @param  string  $takenAt  when it began, ISO 8601; empty where nobody says
     */
    public function __construct(
        Log $log,
        public Circuit $asOpened,
        public PartId $circuit,
        public string $id = '',
        public string $takenAt = '',
    ) {
        $this->log = $log->concerning($circuit);
    }

    /** The same with other facts: more of them, or those up to a moment. */
    public function withLog(Log $log): self
    {
        return new self($log, $this->asOpened, $this->circuit, $this->id, $this->takenAt);
    }
}
