<?php

declare(strict_types=1);

namespace Metrum\Card;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;

/** Holds the parts of a card against each other: names that are used exist, what is touched is put back. */
final readonly class CardCheck
{
    private const SERIES = ['times', 'values', 'last', 'took'];

    private function __construct(private Card $card, private DataRow $row)
    {
    }

    /** @throws BrokenData */
    public static function check(Card $card, DataRow $row): void
    {
        $check = new self($card, $row);
        $check->names();
        $check->steps();
        $check->outcomes();
        $check->putBack();
    }

    /** @throws BrokenData where two steps or outcomes have one name, or a step one that every card has */
    private function names(): void
    {
        $own = Card::OWN;
        foreach ($this->card->steps as $i => $step) {
            if ($step->kind !== StepKind::Say && (in_array($step->key, $own, true) || $step->key === '')) {
                throw $this->row->broken("steps.$i.key", 'missing, used twice, or reserved');
            }
            $own[] = $step->key;
        }
        $keys = array_map(static fn (Outcome $one): string => $one->key, $this->card->ends());
        if (count(array_unique($keys)) < count($keys)) {
            throw $this->row->broken('outcome', 'two have the same key');
        }
    }

    /** @throws BrokenData where a step speaks of one that is not there */
    private function steps(): void
    {
        foreach ($this->card->steps as $i => $step) {
            foreach ($step->with as $key => $ref) {
                $this->has($ref, "steps.$i.with.$key");
            }
            $this->clauses($step->if, "steps.$i.if");
            foreach ($step->stops as $n => $stop) {
                $this->stop($stop, $i, "steps.$i.stop.$n");
            }
        }
    }

    /** @throws BrokenData where a stop asks for what is answered after it: it would come too late */
    private function stop(Stop $stop, int $at, string $path): void
    {
        $this->clauses($stop->outcome->when, "$path.when");
        $refs = [...$stop->outcome->says->refs, ...$stop->outcome->keeps];
        foreach ($stop->outcome->when as $clause) {
            $refs[] = $clause->of;
        }
        foreach ($refs as $ref) {
            $this->has($ref, $path);
            $place = array_search($this->card->step($ref->name), $this->card->steps, true);
            if ($ref->origin === Origin::Step && $place > $at) {
                throw $this->row->broken($path, "\"$ref->name\" is answered after it");
            }
        }
    }

    /** @throws BrokenData */
    private function outcomes(): void
    {
        $last = array_key_last($this->card->outcomes);
        foreach ($this->card->outcomes as $i => $outcome) {
            $this->clauses($outcome->when, "outcome.$i.when");
            foreach ([...$outcome->says->refs, ...$outcome->keeps] as $ref) {
                $this->has($ref, "outcome.$i");
            }
            if (($outcome->when === []) !== ($i === $last)) {
                throw $this->row->broken("outcome.$i.when", 'the last one, and only it, holds where no other does');
            }
        }
    }

    /** @param  list<Clause>  $clauses @throws BrokenData */
    private function clauses(array $clauses, string $at): void
    {
        foreach ($clauses as $i => $clause) {
            $this->has($clause->of, "$at.$i.of");
            if ($clause->than !== null) {
                $this->has($clause->than, "$at.$i");
            }
            $answers = $clause->of->origin === Origin::Step ? $this->card->step($clause->of->name)?->answers : null;
            $isAnswer = array_key_exists((string) $clause->word, $answers ?? []);
            $asksWord = in_array($clause->comparison, [Comparison::Is, Comparison::IsNot], true);
            if ($asksWord && ($answers ?? []) !== [] && ! $isAnswer) {
                throw $this->row->broken(
                    "$at.$i.{$clause->comparison->value}",
                    "\"$clause->word\" is none of its answers",
                );
            }
        }
    }

    /** @throws BrokenData */
    private function has(Ref $ref, string $at): void
    {
        if ($ref->otherwise !== null) {
            $this->has($ref->otherwise, $at);
        }
        if ($ref->origin === Origin::Between) {
            $this->isBetween($ref, $at);
        }
        if ($ref->origin !== Origin::Step) {
            return;
        }
        $step = $this->card->step($ref->name) ?? throw $this->row->broken($at, "there is no step \"$ref->name\"");
        $isSeries = $step->kind === StepKind::Time;
        if ($isSeries !== in_array($ref->part, self::SERIES, true)) {
            throw $this->row->broken($at, 'a timed series has times, values, last and took, nothing else has');
        }
        if (($step->kind === StepKind::Figure) !== ($ref->part !== '' && ! $isSeries)) {
            throw $this->row->broken($at, 'a figure is named with its output, nothing else is');
        }
    }

    /** @throws BrokenData where one of two steps is none that is said at a moment */
    private function isBetween(Ref $ref, string $at): void
    {
        foreach ([$ref->name, $ref->part] as $name) {
            $kind = $this->card->step($name)?->kind;
            if (! in_array($kind, [StepKind::Tick, StepKind::Choose], true)) {
                throw $this->row->broken($at, "\"$name\" is no step that is ticked or chosen");
            }
        }
    }

    /** @throws BrokenData where something touched is never put back, or something is put back that nobody touched */
    private function putBack(): void
    {
        $touched = $restored = [];
        foreach ($this->card->steps as $step) {
            $touched[$step->touches] = $step->touches;
            $restored[$step->restores] = $step->restores;
        }
        unset($touched[''], $restored['']);
        sort($touched);
        sort($restored);
        if ($touched !== $restored) {
            throw $this->row->broken('steps', 'touches and restores differ: '.
                implode(', ', $touched).' against '.implode(', ', $restored));
        }
    }
}
