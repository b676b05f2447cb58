<?php

declare(strict_types=1);

namespace Metrum\Work\Cards;

use Metrum\Card\Card;
use Metrum\Card\Step;
use Metrum\Card\StepKind;
use Metrum\Installation\PartId;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\Log;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;

/** How far a card was worked, folded from the log: what each of its steps was answered since it was begun last. */
final class Progress
{
    /** @var array<string, list<Fact>> what was said at each of its own steps, in order */
    private array $said = [];

    /** @var list<int> places in the log at which a move of this card began a new stretch */
    private array $moved = [];

    /** Place in the log of its beginning; null: it was not begun. */
    private ?int $begun = null;

    private ?Fact $beginning = null;

    /** What it came to; null as long as it goes on, or was mended since. */
    private ?Fact $done = null;

    /** Where it was left before its end, and why; null while it goes on. */
    private ?Fact $left = null;

    /** @var array<string, string> stops that were passed, with the reason */
    private array $passed = [];

    /** Place in the log of the last move before it was begun, -1 where there is none. */
    private int $movedBefore = -1;

    /** @var list<Fact> */
    private readonly array $happened;

    public function __construct(private readonly Card $card, private readonly PartId $part, Log $log)
    {
        $this->happened = $log->happened();
        $controls = [];
        foreach ($card->steps as $step) {
            if ($step->control !== null) {
                $controls[] = $step->control->value;
            }
        }
        $moved = -1;
        foreach ($this->happened as $place => $fact) {
            $this->hear($place, $fact, $moved, $controls);
            $moved = $fact->kind === FactKind::Move ? $place : $moved;
        }
    }

    /** @param  list<string>  $controls  that this card moves */
    private function hear(int $place, Fact $fact, int $movedBefore, array $controls): void
    {
        if ($fact->kind === FactKind::Move && $this->begun !== null && in_array($fact->content->key, $controls, true)) {
            $this->moved[] = $place;

            return;
        }
        [$card, $step] = Card::split($fact->content->key);
        $isOwn = $card === $this->card->key && $fact->part->is($this->part);
        if ($fact->kind !== FactKind::Card || ! $isOwn) {
            return;
        }
        if ($step === Card::DONE) {
            $this->done = $fact;

            return;
        }
        if ($step === Card::BEGUN) {
            $this->said = $this->moved = $this->passed = [];
            $this->begun = null;
        }
        if ($this->begun === null) {
            [$this->begun, $this->beginning, $this->movedBefore] = [$place, $fact, $movedBefore];
        }
        $this->done = $this->left = null;
        match ($step) {
            Card::PASSED => $this->passed[(string) $fact->content->word] = $fact->content->text('reason'),
            Card::LEFT => $this->left = $fact->content->isCleared() ? null : $fact,
            default => $this->say($step, $fact),
        };
    }

    /** A later answer stands instead of an earlier one; every value of a timed series stands. */
    private function say(string $step, Fact $fact): void
    {
        $isTimed = $this->card->step($step)?->kind === StepKind::Time;
        $before = $isTimed ? $this->said[$step] ?? [] : [];
        if ($fact->content->isCleared()) {
            unset($this->said[$step]);
        } else {
            $all = [...$before, $fact];
            usort($all, static fn (Fact $a, Fact $b): int => $a->seenAt() <=> $b->seenAt());
            $this->said[$step] = $all;
        }
    }

    public function isBegun(): bool
    {
        return $this->begun !== null;
    }

    public function beginning(): ?Fact
    {
        return $this->beginning;
    }

    public function done(): ?Fact
    {
        return $this->done;
    }

    public function left(): ?Fact
    {
        return $this->left;
    }

    /** Whether it was begun, and neither came to its end nor was left. */
    public function isOpen(): bool
    {
        return $this->begun !== null && $this->done === null && $this->left === null;
    }

    /** @return array<string, string> stops that were passed, with the reason */
    public function passed(): array
    {
        return $this->passed;
    }

    /** @return list<Fact> what was said at one of its own steps */
    public function said(Step $step): array
    {
        return $this->said[$step->key] ?? [];
    }

    /** s from one step to another, as both were said; null as long as one was not. */
    public function between(string $from, string $to): ?float
    {
        $moments = [];
        foreach ([$from, $to] as $key) {
            $fact = $this->said[$key][0] ?? null;
            if ($fact === null) {
                return null;
            }
            $moments[] = (float) $fact->seenAt()->getTimestamp();
        }

        return $moments[1] - $moments[0];
    }

    /** The unit in which an amount of a kind was typed last at its own steps; null where none was. */
    public function typedIn(QuantityKind $kind): ?Unit
    {
        $unit = null;
        foreach ($this->card->steps as $step) {
            $facts = $step->field?->kind === $kind ? $this->said($step) : [];
            $unit = $facts === [] ? $unit : StepTaken::typedIn(end($facts)->content) ?? $unit;
        }

        return $unit;
    }

    /** What was taken of the visit at a step: within the stretch between the card's moves that the step belongs to. */
    public function taken(Step $step): ?Fact
    {
        $key = $step->reading->value ?? $step->observation->value ?? null;
        $kind = $step->reading !== null ? FactKind::Reading : FactKind::Observation;
        [$from, $to] = $this->stretch($step);
        $found = null;
        for ($place = $from; $place < $to; $place++) {
            $fact = $this->happened[$place];
            if ($fact->kind === $kind && $fact->content->key === $key && $this->isAbout($fact)) {
                $found = $fact->content->isCleared() ? null : $fact;
            }
        }

        return $found;
    }

    /** Whether what the visit knew before anything of the card was moved counts for a step. */
    public function countsAsKnown(Step $step): bool
    {
        return ! $step->isFresh && $this->movesBefore($step) === 0;
    }

    /** The first move of the card; null as long as none was made. */
    public function firstMove(): ?Fact
    {
        return $this->moved === [] ? null : $this->happened[$this->moved[0]];
    }

    /** The move that a step asks for; null as long as it was not made. */
    public function move(Step $step): ?Fact
    {
        $place = $this->moved[$this->movesBefore($step)] ?? null;

        return $place === null ? null : $this->happened[$place];
    }

    /** What is said of the whole circuit holds for a part of it too. */
    private function isAbout(Fact $fact): bool
    {
        return $fact->part->is($this->part) || ! $fact->part->kind()->isOfCircuit();
    }

    /** @return array{int, int} places in the log from which and before which a step counts */
    private function stretch(Step $step): array
    {
        $moves = $this->movesBefore($step);
        $end = count($this->happened);
        $to = $this->moved[$moves] ?? $end;
        if ($moves > 0) {
            return [($this->moved[$moves - 1] ?? $end) + 1, $to];
        }

        return [$step->isFresh ? $this->begun ?? $end : $this->movedBefore + 1, $to];
    }

    /** How many moves of the card stand before a step. */
    private function movesBefore(Step $step): int
    {
        $moves = 0;
        foreach ($this->card->steps as $one) {
            if ($one === $step) {
                break;
            }
            $moves += $one->kind === StepKind::Move ? 1 : 0;
        }

        return $moves;
    }
}
