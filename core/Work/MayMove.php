<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Requirement;
use Metrum\Installation\PartId;
use Metrum\Knowledge\ChargePurpose;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Prerequisite;
use Metrum\Language\Sentence;
use Metrum\Language\WorkReason;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Log\Kinds\WeighedAmount;
use Metrum\Log\NotAFact;
use Metrum\Quantity\Magnitude;
use Metrum\Twin\TwinExpectation;

/** Whether a move may be made: its position known, the one before it read, nothing else to be put right first. */
final readonly class MayMove
{
    /** Seconds within which the same move again is asked about. */
    private const TWICE = 20;

    public function __construct(private Assessment $assessment)
    {
    }

    /**
     * @param  ?\DateTimeInterface  $at  when it is made; null: when the last thing was told
     * @param  ?PartId  $part  of which it is made; null: the circuit itself
     *
     * @throws NotAFact with what holds it back, and how it can be passed
     */
    public function check(
        Content $move,
        string $overruled,
        ?\DateTimeInterface $at = null,
        ?PartId $part = null,
    ): void {
        $part ??= $this->assessment->window->circuit;
        $control = Control::from($move->key);
        $positions = new Positions($this->assessment->chapters);
        $known = $positions->asFound($control, $part) ?? $move->text(PlantMoved::AS_FOUND);
        if ($control->hasPosition() && $known === '') {
            throw NotAFact::said(Sentence::of(WorkReason::SayHowFound, what: $control->label()));
        }
        $preconditions = $this->wanted($control, $move, $part);
        $firm = (new Gate($preconditions))->firm();
        if ($firm !== []) {
            throw NotAFact::said(
                Sentence::of(WorkReason::NotMoved, what: $control->label(), why: Gate::why($firm)),
            );
        }
        if ($overruled !== '') {
            return;
        }
        if ($this->isTooSoon($control, $part)) {
            throw NotAFact::said(Sentence::of(WorkReason::OneAtATime));
        }
        $left = $this->secondsLeft($control, $part, $at);
        if ($left > 0.0) {
            throw NotAFact::said(
                Sentence::of(WorkReason::NotAnswered, left: Magnitude::minutesLeft($left)),
            );
        }
        $fails = $control === Control::Charge
            ? (new Gate($preconditions))->shut()
            : (new Gate($preconditions))->failing();
        if ($fails !== []) {
            throw NotAFact::said(
                Sentence::of(WorkReason::NotMovedYet, what: $control->label(), why: Gate::why($fails)),
            );
        }
    }

    /** @throws NotAFact where the very same move was made seconds ago: a second tap, not a second turn */
    public function checkRepeat(Content $move, PartId $part, \DateTimeInterface $at): void
    {
        $moves = $this->assessment->log->history(FactKind::Move);
        $last = end($moves);
        if ($last === false || ! self::isSame($last, $move, $part)) {
            return;
        }
        if (abs($at->getTimestamp() - $last->takenAt->getTimestamp()) <= self::TWICE) {
            throw NotAFact::said(Sentence::of(WorkReason::NotedTwice));
        }
    }

    /** Whether a move was the same: the same control of the same part, by as much. */
    public static function isSame(Fact $one, Content $move, PartId $part): bool
    {
        return $one->content->key === $move->key &&
            $one->part->is($part) &&
            abs(($one->content->value ?? 0.0) - ($move->value ?? 0.0)) < 1e-9;
    }

    /** Seconds that the plant is given after a move. */
    public function wait(Control $control, Content $move): float
    {
        $settling = $this->assessment->settling;
        $circuit = $this->assessment->judged()->evidence()->circuit;

        return $control === Control::Charge
            ? $settling->ofCharge($circuit, $move->value ?? 0.0, $this->rightCharge())
            : $settling->usual($control);
    }

    /** kg that are right in this plant, by its plate, else by its twin; null where nobody knows. */
    private function rightCharge(): ?float
    {
        $rack = $this->assessment->rack();
        if ($rack !== null) {
            return $rack->examined->twin->machine->charge;
        }
        $expected = $this->assessment->expectation();
        $plate = $this->assessment->judged()->evidence()->circuit->design->nameplateCharge;

        return $plate ?? ($expected instanceof TwinExpectation ? $expected->twin->machine->charge : null);
    }

    /** @return list<Requirement> what must hold before this very move */
    private function wanted(Control $control, Content $move, PartId $part): array
    {
        if ($control !== Control::Charge || ($move->value ?? 0.0) >= 0.0) {
            return $this->preconditions($control, $part);
        }
        $preconditions = Preconditions::at($this->assessment, $this->assessment->judged(), $part);
        $licence = $preconditions->all([Prerequisite::Licence]);

        // What comes out for a repair comes out whatever the plant shows.
        return WeighedAmount::in($move)->purpose === ChargePurpose::Repair
            ? $licence
            : [...$licence, ...$preconditions->ofTaking()];
    }

    /** @return list<Requirement> by what was found so far */
    public function preconditions(Control $control, PartId $part): array
    {
        return Preconditions::at($this->assessment, $this->assessment->judged(), $part)->of($control);
    }

    /** @return list<Requirement> before refrigerant comes out; none where nothing is too much */
    public function ofTaking(PartId $part): array
    {
        return ($this->assessment->charging($part)->missing() ?? 0.0) < 0.0
            ? Preconditions::at($this->assessment, $this->assessment->judged(), $part)->ofTaking()
            : [];
    }

    /** @return list<Requirement> that do not hold */
    public function failing(Control $control, PartId $part): array
    {
        $all = $this->preconditions($control, $part);

        // Refrigerant is held back as long as something was not looked at, too (N-01).
        return $control === Control::Charge
            ? (new Gate($all))->shut()
            : (new Gate($all))->failing();
    }

    /** Whether a word is wanted before it is moved. */
    public function isHeldBack(Control $control, PartId $part): bool
    {
        return $this->isTooSoon($control, $part) || $this->failing($control, $part) !== [];
    }

    /**
     * Seconds of the last move's clock that are left before another is made; 0 where none runs, or one of the two moves
     * nothing that is waited for.
     */
    private function secondsLeft(Control $control, PartId $part, ?\DateTimeInterface $at): float
    {
        $present = $this->assessment->present()->chapter;
        $last = $present->began?->content;
        $isWaitedFor = $last !== null &&
            $control->row()->figures !== [] &&
            Control::from($last->key)->row()->figures !== [];

        return $isWaitedFor
            ? $this->assessment->settling->left($present, $at ?? $this->assessment->log->lastTold())
            : 0.0;
    }

    /**
     * Whether the last move was not read again; turning the same control back undoes it and
     * may be done at once, but of refrigerant the plant has not answered yet.
     */
    public function isTooSoon(Control $control, PartId $part): bool
    {
        $present = $this->assessment->present()->chapter;
        $last = $present->began;

        return $last !== null &&
            $control->row()->figures !== [] &&
            Control::from($last->content->key)->row()->figures !== [] &&
            ! $present->wasLookedAt() &&
            ($control === Control::Charge || ! $last->isMoveOf($control, $part));
    }
}
