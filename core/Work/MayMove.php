<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Circuit\Control;
use Metrum\Log\Content;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Log\NotAFact;

/** Whether a move may be made: its position known, the one before it read, nothing else to be put right first. */
final readonly class MayMove
{
    /** Under which a log keeps why it was made all the same. */
    public const OVERRULED = 'overruled';

    public function __construct(private Work $work)
    {
    }

    /** @throws NotAFact with what holds it back, and how it can be passed */
    public function check(Content $move, string $overruled): void
    {
        $control = Control::from($move->key);
        $positions = new Positions($this->work->chapters);
        $known = $positions->asFound($control, $move->subject) ?? $move->text(PlantMoved::AS_FOUND);
        if ($control->hasPosition() && $known === '') {
            throw NotAFact::because(
                $control->label().': say first how it was found, or that no mark is possible. Else nobody can go back.',
            );
        }
        if ($overruled !== '') {
            return;
        }
        if ($this->isTooSoon($control, $move->subject)) {
            throw NotAFact::because(
                'One at a time, else nobody knows what helped: read again after the last move, or say why not.',
            );
        }
        $fails = $this->failing($control, $move->subject);
        if ($fails !== []) {
            $why = Precondition::why($fails);

            throw NotAFact::because(
                $control->label().' is not moved yet: '.$why.'. Say why, and it is moved all the same.',
            );
        }
    }

    /** @return list<Precondition> by what was found so far */
    public function preconditions(Control $control, string $subject): array
    {
        return Preconditions::at($this->work, $this->work->judged(), $subject)->of($control);
    }

    /** @return list<Precondition> that do not hold */
    public function failing(Control $control, string $subject): array
    {
        return Precondition::failing($this->preconditions($control, $subject));
    }

    /** Whether a word is wanted before it is moved. */
    public function isHeldBack(Control $control, string $subject): bool
    {
        return $this->isTooSoon($control, $subject) || $this->failing($control, $subject) !== [];
    }

    /** Whether the last move was not read again; turning the same control back undoes it and may be done at once. */
    public function isTooSoon(Control $control, string $subject): bool
    {
        $present = $this->work->present()->chapter;
        $last = $present->began?->content;

        return $last !== null &&
            $control->row()->figures !== [] &&
            Control::from($last->key)->row()->figures !== [] &&
            ! $present->wasLookedAt() &&
            ! $last->isOf($control, $subject);
    }
}
