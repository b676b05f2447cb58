<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\Sureness;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\DerivedFigure;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Work\Account;

/** What can be said of a visit to the owner: how it was found, what was done, how it was left, what comes next. */
final readonly class OwnerView
{
    /** K off the set point that are said. */
    public const OFF = 1.0;

    public Account $asFound;

    public function __construct(private Desk $desk)
    {
        $this->asFound = $desk->assessment->asFound();
    }

    /** @return list<Complaint> */
    public function complaints(): array
    {
        return array_values(array_filter(
            $this->desk->assessment->present()->findings()->complaints,
            static fn (Complaint $one): bool => $one !== Complaint::None,
        ));
    }

    /** @return list<Fault> proven at this visit, those too that were put right since */
    public function confirmed(): array
    {
        return array_map(
            static fn (Fact $fact): Fault => Fault::from($fact->content->key),
            $this->desk->assessment->log->standing(FactKind::Confirmed),
        );
    }

    public function foundAs(): FoundAs
    {
        $verdict = $this->verdictAsFound();
        $isFine = $verdict->first()->fault === Fault::NoFault;

        return match (true) {
            $this->confirmed() !== [] => FoundAs::Proven,
            ! $this->asFound->chapter->wasLookedAt() => FoundAs::NotLookedAt,
            ! $verdict->leads() => $isFine ? FoundAs::NothingSeen : FoundAs::Uncertain,
            $isFine || $verdict->first()->sureness() === Sureness::Sure => FoundAs::Sure,
            default => FoundAs::Likely,
        };
    }

    /** The verdict on what was found before anything was moved. */
    public function verdictAsFound(): Verdict
    {
        $assessment = $this->desk->assessment;

        return $this->asFound->chapter->number === $assessment->judged()->chapter->number
            ? $this->desk->verdict
            : $assessment->verdict($this->asFound);
    }

    /** @return list<Fact> moves but those of refrigerant, in their order */
    public function did(): array
    {
        return array_values(array_filter(
            $this->desk->assessment->log->history(FactKind::Move),
            static fn (Fact $fact): bool => $fact->content->key !== Control::Charge->value,
        ));
    }

    public function isMoved(): bool
    {
        return count($this->desk->assessment->chapters->all) > 1;
    }

    public function leftAs(): LeftAs
    {
        $verdict = $this->desk->verdict;
        $isFine = $verdict->first()->fault === Fault::NoFault;

        return match (true) {
            $this->desk->assessment->isBeforeLastMove() => LeftAs::NotReadAgain,
            $isFine && $this->isAnythingMissed() => LeftAs::SoundButMissed,
            $isFine => $verdict->leads() ? LeftAs::Sound : LeftAs::NoFaultSeen,
            $verdict->leads() => LeftAs::StillWrong,
            default => LeftAs::Unknown,
        };
    }

    private function isAnythingMissed(): bool
    {
        $leaving = $this->desk->leaving();
        $proofs = $this->desk->proofs()->all($this->desk->assessment->log->lastTold(), null);

        return $leaving->fans->ofCoil ||
            $leaving->fans->ofCondenser ||
            $leaving->isReceiverEmpty() ||
            array_filter($proofs, static fn (Proof $one): bool => $one->isMissed()) !== [];
    }

    /** Whether the plant was proven to run as it should, at its set point, and was read so after the last move. */
    public function isRight(): bool
    {
        $assessment = $this->desk->assessment;
        $verdict = $this->desk->verdict;
        $found = $assessment->present()->findings();
        $above = $verdict->figures->value(DerivedFigure::BoxAboveSetPoint);
        $isReadAgain = ! $this->isMoved() || $found->reading(Reading::BoxTemperature) !== null;

        return ! $verdict->blank &&
            $isReadAgain &&
            ! $assessment->isBeforeLastMove() &&
            $verdict->settled->isOpen() &&
            $verdict->first()->fault === Fault::NoFault &&
            $verdict->leads() &&
            $found->confirmed === [] &&
            abs($above ?? 0.0) <= self::OFF;
    }

    /** What is still wrong and not done about; null where it was done, or nothing leads. */
    public function stillWrong(): ?Fault
    {
        $leading = $this->leading();
        $isWrong = $leading !== null && $leading !== Fault::NoFault;

        return $isWrong && ! (new Remedies($this->desk->assessment))->isDone($leading) ? $leading : null;
    }

    /** What is looked at next; null where something leads already. */
    public function nextCheck(): ?Check
    {
        return $this->leading() === null ? $this->desk->verdict->nextCheck() : null;
    }

    private function leading(): ?Fault
    {
        return $this->desk->assessment->present()->findings()->confirmed[0] ?? $this->desk->verdict->leading();
    }
}
