<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Complaint;
use Metrum\Circuit\Question;
use Metrum\Circuit\Word;
use Metrum\Quantity\Copies;

/**
 * One piece of evidence: what was found, and its log-likelihood under each hypothesis, correlated pieces discounted.
 */
final readonly class Evidence
{
    use Copies;

    /** @param  non-empty-list<float>  $logs  as weighed */
    public function __construct(
        public string $family,
        public array $logs,
        public ?Signal $signal = null,
        public ?Question $asked = null,
        public ?Word $word = null,
        public ?Complaint $complaint = null,
    ) {
    }

    /** @param  float  $share  0 … 1 */
    public function discounted(float $share): self
    {
        return $share === 1.0
            ? $this
            : $this->but(logs: array_map(static fn (float $log): float => $log * $share, $this->logs));
    }

    /** How much it tells the hypotheses apart at most, nats. */
    public function reach(): float
    {
        return max($this->logs) - min($this->logs);
    }
}
