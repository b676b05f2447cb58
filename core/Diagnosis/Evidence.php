<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Complaint;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Test;
use Metrum\Circuit\Word;

/** One piece of evidence: what was found, and its log-likelihood under each hypothesis after correlated pieces were discounted. */
final readonly class Evidence
{
    /** @param  non-empty-list<float>  $logs  as weighed */
    public function __construct(
        public string $family,
        public array $logs,
        public ?Signal $signal = null,
        public Observation|Test|null $asked = null,
        public ?Word $word = null,
        public ?Complaint $complaint = null,
    ) {
    }

    /** @param  float  $share  0 … 1 */
    public function discounted(float $share): self
    {
        return $share === 1.0
            ? $this
            : new self(
                $this->family,
                array_map(static fn (float $log): float => $log * $share, $this->logs),
                $this->signal,
                $this->asked,
                $this->word,
                $this->complaint,
            );
    }

    /** How much it tells the hypotheses apart at most, nats. */
    public function reach(): float
    {
        return max($this->logs) - min($this->logs);
    }
}
