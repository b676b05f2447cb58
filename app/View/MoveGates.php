<?php

namespace App\View;

use Metrum\Diagnosis\Cautions;
use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Requirement;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Work\MayMove;

/** What must hold before a control is moved, and what holds it back. */
final class MoveGates
{
    /** @var ?list<Requirement> */
    private ?array $all = null;

    public function __construct(
        private readonly MayMove $may,
        private readonly Control $control,
        private readonly PartId $part,
    ) {
    }

    /** @return list<Requirement> */
    public function all(): array
    {
        return $this->all ??= $this->may->preconditions($this->control, $this->part);
    }

    /** @return list<Requirement> before some is taken back; none where nothing is too much */
    public function ofTaking(): array
    {
        return $this->control === Control::Charge ? $this->may->ofTaking($this->part) : [];
    }

    /** Whether it is held back but by a word. */
    public function isHeldBack(): bool
    {
        return $this->may->isHeldBack($this->control, $this->part) ||
            (new Gate($this->ofTaking()))->shut() !== [];
    }

    /** What no reason passes, in words; empty where nothing does. */
    public function refusal(): string
    {
        return Gate::why((new Gate($this->all()))->firm());
    }

    public function isTooSoon(): bool
    {
        return $this->may->isTooSoon($this->control, $this->part);
    }

    /** @return list<string> cautions where the hand goes */
    public function cautions(): array
    {
        return Cautions::words($this->control->row()->cautions);
    }
}
