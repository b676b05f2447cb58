<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Requirement;
use Metrum\Findings\DerivedFigure;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Band;
use Metrum\Knowledge\Control;
use Metrum\Quantity\QuantityKind;
use Metrum\Work\Assessment;
use Metrum\Work\Forecast;
use Metrum\Work\MayMove;
use Metrum\Work\NextMove;
use Metrum\Work\Positions;
use Metrum\Work\Response;
use Metrum\Work\Turning;

/** One move that is open: of what, how far, what holds it back, and what would come of it. */
final class OpenMove
{
    /** Turns that are laid in where nothing is proposed. */
    private const FIRST = 0.25;

    /** Turns below which a control stands where it was found. */
    private const STANDS = 1e-6;

    public readonly Control $control;

    public readonly PartId $part;

    /** Whether it stands open: it was chosen, moved last, or is what the leading suspect asks for. */
    public readonly bool $isOpen;

    /** SI, positive = in; null where nothing is turned. */
    public readonly ?float $value;

    private readonly Assessment $assessment;

    private readonly MayMove $may;

    private readonly Positions $positions;

    private readonly NextMove $next;

    private ?Forecast $forecast = null;

    /** @var array{?array{float, Forecast}}|null */
    private ?array $proposed = null;

    /** @var ?list<Requirement> */
    private ?array $gates = null;

    public function __construct(Desk $desk, ?Control $chosen, ?float $turns, ?PartId $part)
    {
        $this->assessment = $desk->assessment;
        $this->may = new MayMove($this->assessment);
        $this->positions = new Positions($this->assessment->chapters);
        $this->next = new NextMove($this->assessment);
        $asked = $chosen ?? $desk->asked();
        $this->isOpen = $asked !== null;
        $this->control = $asked ?? $desk->controls()[0] ?? Control::Charge;
        $this->part = $this->assessment->window->partOf($this->control, $part);
        $this->value = match (true) {
            $this->control === Control::Charge => $this->next()[0] ?? null,
            $this->isTurned() => $turns ?? $this->next()[0] ?? $this->towardsTheBand(),
            default => null,
        };
    }

    public function isTurned(): bool
    {
        return $this->control->row()->field?->kind === QuantityKind::Turns;
    }

    /** A first move toward what is wanted; out where that is not known. */
    private function towardsTheBand(): float
    {
        $judged = $this->assessment->judged()->chapter;
        $band = $this->next->band($this->control, $judged);
        $now = $this->assessment->figure($judged, $this->control, $this->part);
        $isLow = $band !== null && $now !== null && $now < $band->middle();

        return $isLow ? self::FIRST : -self::FIRST;
    }

    /** @return ?array{float, Forecast} what is proposed, SI, with what it would do; null where nothing is */
    public function next(): ?array
    {
        return ($this->proposed ??= [$this->next->of($this->control, $this->part)])[0];
    }

    public function step(): NextStep
    {
        return match (true) {
            $this->next() !== null => NextStep::Move,
            $this->next->isRight($this->control, $this->part) => NextStep::Leave,
            $this->next->isSilent($this->control, $this->part) => NextStep::Stop,
            default => NextStep::Unknown,
        };
    }

    /** What would come of it; of nothing where that cannot be said. */
    public function forecast(): Forecast
    {
        return $this->forecast ??=
            $this->assessment->forecast($this->control, $this->value ?? 1.0, $this->part) ?? new Forecast([]);
    }

    /** Whether it is known how far it is moved, so that something can be foretold. */
    public function isToldHowFar(): bool
    {
        return ! $this->control->isStep() || $this->value !== null;
    }

    /** How it was found, in the words of who moved it first; null where nobody said. */
    public function asFound(): ?string
    {
        return $this->positions->asFound($this->control, $this->part);
    }

    /** Turns from where it was found, positive = in; null where it stands there. */
    public function turned(): ?float
    {
        $turned = $this->positions->now($this->control, $this->part);

        return ! $this->isTurned() || abs($turned) < self::STANDS ? null : $turned;
    }

    /** What this control did so far; null where it was not moved and read. */
    public function response(): ?Response
    {
        return $this->assessment->responses->of($this->control, $this->part);
    }

    public function turning(): Turning
    {
        return new Turning($this->assessment, $this->control, $this->part);
    }

    /** What is wanted of the figure that it is made for; null where that is not known. */
    public function band(): ?Band
    {
        return $this->next->band($this->control, $this->assessment->chapters->present());
    }

    /** What it is made for; null where it is made for no figure. */
    public function figure(): ?DerivedFigure
    {
        return Assessment::figureOf($this->control);
    }

    /** @return list<Requirement> what must hold first */
    public function gates(): array
    {
        return $this->gates ??= $this->may->preconditions($this->control, $this->part);
    }

    /** @return list<Requirement> before some is taken back; none where nothing is too much */
    public function ofTaking(): array
    {
        return $this->control === Control::Charge ? $this->may->ofTaking($this->part) : [];
    }

    /** Whether it is held back but by a word. */
    public function isHeldBack(): bool
    {
        return $this->may->isHeldBack($this->control, $this->part) || (new Gate($this->ofTaking()))->shut() !== [];
    }

    /** @return list<Requirement> what fails, and no reason passes */
    public function firm(): array
    {
        return (new Gate($this->gates()))->firm();
    }

    /** Whether the last move was not read again. */
    public function isTooSoon(): bool
    {
        return $this->may->isTooSoon($this->control, $this->part);
    }
}
