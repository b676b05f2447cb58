<?php

namespace App\View;

use App\Models\Visit;
use App\Records\JudgedVisit;
use Metrum\Card\Card;
use Metrum\Card\Cards;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Station;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Work\Cards\BegunCards;

/** The cards of a visit: what fits at a station, in the order in which the verdict asks for them, and what is open. */
final readonly class CardList
{
    /** Cards of a station that stand in one list, and those that stand first where there are more. */
    private const MANY = 12;

    private const FIRST = 4;

    public function __construct(private JudgedVisit $judged)
    {
    }

    public static function link(Visit $visit, Card $card, ?PartId $part = null): string
    {
        $asked = ['card' => $card->key] + PartAddress::of($part);

        return route('visits.show', [$visit, $card->station->value, ...$asked]);
    }

    /** @return list<Card> that fit, what the verdict asks for first */
    public function at(Station $station): array
    {
        $cards = Cards::at($station, $this->judged->findings->circuit);
        $asked = array_map($this->asked(...), $cards);
        array_multisort($asked, SORT_DESC, array_keys($cards), SORT_ASC, $cards);

        return $cards;
    }

    /**
     * The same in groups: what the verdict asks for under '', the rest by what it is for where there are many.
     *
     * @return array<string, list<Card>>
     */
    public function groups(Station $station): array
    {
        $cards = $this->at($station);
        if (count($cards) <= self::MANY) {
            return $cards === [] ? [] : ['' => $cards];
        }
        $groups = ['' => array_slice($cards, 0, self::FIRST)];
        foreach (array_slice($cards, self::FIRST) as $card) {
            $groups[$card->does->label()][] = $card;
        }

        return $groups;
    }

    /** How sure the suspects are that a card is for, 0 … 1. */
    public function asked(Card $card): float
    {
        $sum = 0.0;
        foreach ($this->judged->verdict->blank ? [] : $this->judged->verdict->suspects as $suspect) {
            $sum += in_array($suspect->fault, $card->suspects, true) ? $suspect->probability : 0.0;
        }

        return $sum;
    }

    /** The card that answers a question step by step; null where there is none for this plant. */
    public function for(Question $question): ?Card
    {
        return Cards::answering($question, $this->judged->findings->circuit)[0] ?? null;
    }

    /** @return list<array{Card, PartId}> begun and not ended, with the part of the circuit that they are about */
    public function open(): array
    {
        return BegunCards::of($this->judged->log)->open();
    }

    /** @return list<string> what each card came to, in the order in which they were done */
    public function cameTo(): array
    {
        $said = [];
        foreach ($this->judged->log->history(FactKind::Card) as $fact) {
            $outcome = StepTaken::outcome($fact->content);
            if ($outcome !== null) {
                $name = StepTaken::card($fact->content->key)?->name;
                $of = PartAddress::behind($fact->part);
                // Kept twice it is told once.
                $said["$name$of $outcome->key"] ??= "$name$of: $outcome->label. ".StepTaken::said($fact->content);
            }
        }

        return array_values($said);
    }

    /** @return string what is read again after a card, in words; empty: nothing */
    public static function readAgain(Card $card): string
    {
        return implode(', ', array_map(
            static fn (Asked $one): string => Explain::within($one->label()),
            $card->after,
        ));
    }
}
