<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Fault;
use Metrum\Findings\Figures;

/** What the evidence says now. */
final readonly class Verdict
{
    /**
     * @param  list<Suspect>  $suspects  every fault still open, most probable first; the first few with their evidence
     * @param  list<Check>  $checks  best first
     * @param  list<Contradiction>  $contradictions
     * @param  list<string>  $unsettled  conditions that fail; empty where settled
     * @param  list<string>  $chargeNeeds  what must be looked at before refrigerant may be advised
     * @param  array<string, Signal>  $signals
     * @param  list<string>  $cautions  in words
     * @param  list<Fault>  $doubtfulRulings  faults the user ruled out although the evidence favours them
     */
    public function __construct(
        public array $suspects,
        public array $checks,
        public array $contradictions,
        public array $unsettled,
        public array $chargeNeeds,
        public array $signals,
        public array $cautions,
        public array $doubtfulRulings,
        public Figures $figures,
        public bool $blank,
    ) {
    }

    /** @return list<Suspect> */
    public function ranked(int $most): array
    {
        return array_slice($this->suspects, 0, $most);
    }

    public function first(): Suspect
    {
        return $this->suspects[0];
    }

    public function nextCheck(): ?Check
    {
        return $this->checks[0] ?? null;
    }

    public function mayAdviseCharge(): bool
    {
        return $this->chargeNeeds === [];
    }

    /**
     * What to do about a suspect; adding refrigerant is held back until the gate is open.
     *
     * @return list<string>
     */
    public function remedies(Suspect $suspect): array
    {
        if (! self::isShortage($suspect->fault) || $this->mayAdviseCharge()) {
            return $suspect->entry()->do;
        }

        return [
            'Do not add refrigerant yet. Still to be looked at: '.implode('; ', $this->chargeNeeds).'.',
            $suspect->entry()->do[0],
        ];
    }

    public static function isShortage(Fault $fault): bool
    {
        return $fault === Fault::Undercharge || $fault === Fault::WinterUndercharge;
    }
}
