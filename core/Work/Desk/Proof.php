<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

use Metrum\Findings\Mark;
use Metrum\Knowledge\Band;
use Metrum\Knowledge\Control;
use Metrum\Language\Heading;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Language\Several;
use Metrum\Quantity\Magnitude;
use Metrum\Quantity\QuantityKind;

/** One thing that proves a repair: how it stands, and by what. */
final readonly class Proof
{
    /**
     * @param  Mark  $mark  fine: proven; look: not shown yet; act: missed
     * @param  ?float  $value  what was read, SI; how many, where things are counted
     * @param  ?Band  $wanted  SI
     * @param  list<Sentence>  $reasons  by what it has not settled
     * @param  ?Control  $changed  what a second look is for
     * @param  ?\DateTimeInterface  $on  when that is to be
     */
    public function __construct(
        public Target $target,
        public Mark $mark,
        public ?float $value = null,
        public ?Band $wanted = null,
        public ?Missing $missing = null,
        public array $reasons = [],
        public ?Control $changed = null,
        public ?\DateTimeInterface $on = null,
    ) {
    }

    public function isMissed(): bool
    {
        return $this->mark === Mark::Act;
    }

    public function label(): Sentence
    {
        return Sentence::of(match ($this->target) {
            Target::Box => Reason::ProofBox,
            Target::CoilSuperheat => Reason::ProofCoilSuperheat,
            Target::CompressorSuperheat => Reason::ProofCompressorSuperheat,
            Target::Subcooling => Reason::ProofSubcooling,
            Target::CoilDifference => Reason::ProofCoilDifference,
            Target::Settled => Reason::ProofSettled,
            Target::PullDown => Reason::ProofPullDown,
            Target::PutBack => Reason::ProofPutBack,
            Target::NothingTouched => Reason::ProofNothingTouched,
            Target::SecondLook => Reason::ProofSecondLook,
        });
    }

    /** By what it stands as it does. */
    public function said(): Sentence
    {
        return $this->missing === null ? $this->read() : $this->missing($this->missing);
    }

    private function read(): Sentence
    {
        $value = (float) $this->value;

        return match ($this->target) {
            Target::Box => Sentence::of(Reason::AboveIt, by: Magnitude::difference($value)),
            Target::CoilSuperheat,
            Target::CompressorSuperheat,
            Target::Subcooling,
            Target::CoilDifference => Sentence::of(
                Reason::ValueWanted,
                ...$this->band(),
                value: Magnitude::difference($value),
            ),
            Target::PullDown => Sentence::of(
                Reason::ValueIs,
                value: Magnitude::of($value, QuantityKind::DifferenceRate),
            ),
            Target::PutBack => $this->isMissed()
                ? Sentence::of(Reason::StillOpen, count: Magnitude::count($value))
                : Sentence::of(Reason::Nothing),
            Target::NothingTouched, Target::Settled => Sentence::of(Reason::Nothing),
            Target::SecondLook => Sentence::of(Reason::ToBeOn, day: (string) $this->on?->format('j M Y')),
        };
    }

    private function missing(Missing $missing): Sentence
    {
        return match ($missing) {
            Missing::NotRead => $this->wanted === null
                ? Sentence::of(Reason::NotReadSince)
                : Sentence::of(Reason::NotReadSinceWanted, ...$this->band()),
            Missing::NotReadYet => $this->wanted === null
                ? Sentence::of(Reason::NotReadYet)
                : Sentence::of(Reason::NotReadYetWanted, ...$this->band()),
            Missing::NotReadAgain => Sentence::of(Reason::NotReadSince),
            Missing::ClockRuns => Sentence::of(Reason::ClockRuns),
            Missing::NotSettled => Sentence::of(Reason::Listed, all: Several::apart($this->reasons)),
            Missing::NotAtCoil => Sentence::of(Reason::NotAtCoil),
            Missing::NotTimed => Sentence::of(Reason::NotTimed),
            Missing::NotDated => Sentence::of(
                Reason::DateALook,
                what: Heading::within((string) $this->changed?->label()),
            ),
        };
    }

    /** @return array{low: Magnitude, high: Magnitude} */
    private function band(): array
    {
        return [
            'low' => Magnitude::difference($this->wanted->low ?? 0.0)->ruled()->bare(),
            'high' => Magnitude::difference($this->wanted->high ?? 0.0)->ruled(),
        ];
    }
}
