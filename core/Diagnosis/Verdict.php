<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Diagnosis\Seen\Explained;
use Metrum\Diagnosis\Seen\SeenFault;
use Metrum\Findings\Figures;
use Metrum\Findings\Mark;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Twin\Ailment;

/** What the evidence says now. */
final readonly class Verdict
{
    /**
     * @param  non-empty-list<Suspect>  $suspects  every fault still open, most probable first; the first with evidence
     * @param  list<Check>  $checks  best first
     * @param  list<Contradiction>  $contradictions
     * @param  list<Reading|Observation>  $doubted  named in them: no evidence until taken again
     * @param  Gate  $settled  whether the readings may be judged as they are
     * @param  Gate  $charge  what must be looked at before refrigerant may be advised
     * @param  array<string, Signal>  $signals  by Sign
     * @param  list<string>  $cautions  in words
     * @param  list<Fault>  $doubtfulRulings  faults the user ruled out although the evidence favours them
     * @param  ?string  $referral  in words, what stands instead of any advice; null where advice is given
     * @param  bool  $proven  whether a fault was confirmed, so that the ranking is of what else may be
     * @param  list<SeenFault>  $seen  faults that are plain to see: they are put right first, whatever leads
     * @param  ?Explained  $explained  whether what is seen explains the rest; null where nothing is seen, or else read
     * @param  ?array{Fault, Fault}  $together  two faults that explain it together where one alone does badly
     */
    public function __construct(
        public array $suspects,
        public array $checks,
        public array $contradictions,
        public array $doubted,
        public Gate $settled,
        public Gate $charge,
        public array $signals,
        public array $cautions,
        public array $doubtfulRulings,
        public Figures $figures,
        public bool $blank,
        public ?string $referral,
        public bool $proven,
        public ?array $together = null,
        public array $seen = [],
        public ?Explained $explained = null,
    ) {
    }

    /** @return list<Suspect> */
    public function ranked(int $most): array
    {
        return array_slice($this->suspects, 0, $most);
    }

    /** @return list<Check> what could be looked at after the next one, best first */
    public function furtherChecks(): array
    {
        return array_slice($this->checks, 1);
    }

    /** What all behind the first so many have together, 0 … 1. */
    public function shareBehind(int $most): float
    {
        $named = array_map(static fn (Suspect $one): float => $one->probability, $this->ranked($most));

        return max(0.0, 1.0 - array_sum($named));
    }

    public function first(): Suspect
    {
        return $this->suspects[0];
    }

    /** How surely the first leads; open where nothing was entered. */
    public function sureness(): Sureness
    {
        return $this->blank ? Sureness::Open : $this->first()->sureness();
    }

    /** Whether one suspect stands out. */
    public function leads(): bool
    {
        return $this->sureness()->isAtLeast(Sureness::Leaning);
    }

    /** The leading fault; null where nothing leads. */
    public function leading(): ?Fault
    {
        return $this->leads() ? $this->first()->fault : null;
    }

    /** ● act, ◐ look, ○ fine, by what stands first and how surely. */
    public function mark(): Mark
    {
        return self::markOf($this->first()->fault, $this->sureness());
    }

    /**
     * Chance that refrigerant is short, whatever for; 0 … 1.
     *
     * @param  list<Suspect>  $suspects
     */
    public static function chanceOfShortage(array $suspects): float
    {
        $chance = 0.0;
        foreach ($suspects as $one) {
            $chance += self::isShortage($one->fault) ? $one->probability : 0.0;
        }

        return $chance;
    }

    public static function markOf(Fault $first, Sureness $sureness): Mark
    {
        return match (true) {
            $sureness === Sureness::Open => Mark::Look,
            $first === Fault::NoFault => Mark::Fine,
            $sureness->isAtLeast(Sureness::Likely) => Mark::Act,
            default => Mark::Look,
        };
    }

    public function nextCheck(): ?Check
    {
        return $this->checks[0] ?? null;
    }

    /**
     * What to do about a suspect; adding refrigerant is held back until the gate is open.
     *
     * @return list<string|Sentence>
     */
    public function remedies(Suspect $suspect): array
    {
        if ($this->referral !== null) {
            return [$this->referral];
        }
        if (! self::isShortage($suspect->fault) || $this->charge->isOpen()) {
            return $suspect->entry()->do;
        }
        $failing = $this->charge->failing();

        return [
            $failing === []
                ? Sentence::of(Reason::LookBeforeAdding, why: Gate::why($this->charge->shut()))
                : Sentence::of(Reason::DoNotAdd, why: Gate::why($failing)),
            $suspect->entry()->do[0],
        ];
    }

    /**
     * Signs that look odd although a sound plant leads (J-20).
     *
     * @return list<Signal>
     */
    public function odd(): array
    {
        return $this->leading() !== Fault::NoFault
            ? []
            : array_values(
                array_filter(
                    $this->signals,
                    static fn (Signal $one): bool => abs($one->deviations()) > Mark::FINE_WITHIN,
                ),
            );
    }

    /** What a suspect is called here: where a fault is proven already, that nothing else is wrong is said so. */
    public function nameOf(Suspect $suspect): string
    {
        return $suspect->fault === Fault::NoFault && $this->proven
            ? 'No further fault'
            : $suspect->entry()->name;
    }

    public static function isShortage(Fault $fault): bool
    {
        return Ailment::of($fault)->isShortage();
    }
}
