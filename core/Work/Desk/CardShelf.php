<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

use Metrum\Card\Card;
use Metrum\Card\Cards;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Station;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Work\Cards\BegunCards;

/** The cards of a visit: those that fit, in the order in which the verdict asks for them, and those that are open. */
final readonly class CardShelf
{
    public function __construct(private Desk $desk)
    {
    }

    /** @return list<Card> of a station that fit this plant, what the verdict asks for first */
    public function at(Station $station): array
    {
        $cards = Cards::at($station, $this->desk->circuit());
        $asked = array_map($this->asked(...), $cards);
        array_multisort($asked, SORT_DESC, array_keys($cards), SORT_ASC, $cards);

        return $cards;
    }

    /** How sure the suspects are that a card is for, 0 … 1. */
    public function asked(Card $card): float
    {
        $sum = 0.0;
        foreach ($this->desk->verdict->blank ? [] : $this->desk->verdict->suspects as $suspect) {
            $sum += in_array($suspect->fault, $card->suspects, true) ? $suspect->probability : 0.0;
        }

        return $sum;
    }

    /**
     * The card that answers a question step by step; null where there is none for this plant. Where one leads to
     * another, as a search does to the confirmation of what was found, the one that comes before.
     */
    public function for(Question $question): ?Card
    {
        $cards = Cards::answering($question, $this->desk->circuit());
        $led = [];
        foreach ($cards as $card) {
            foreach ($card->outcomes as $outcome) {
                $led[] = $outcome->leads;
            }
        }
        $first = array_filter($cards, static fn (Card $one): bool => ! in_array($one->key, $led, true));

        return array_values($first)[0] ?? $cards[0] ?? null;
    }

    /** @return list<array{Card, PartId}> begun and not ended, with the part that each is about */
    public function open(): array
    {
        return BegunCards::of($this->desk->assessment->log)->open();
    }

    /** @return list<Fact> ends of cards, in the order in which they were done; kept twice it is told once */
    public function ended(): array
    {
        $ended = [];
        foreach ($this->desk->assessment->log->history(FactKind::Card) as $fact) {
            $outcome = StepTaken::outcome($fact->content);
            if ($outcome !== null) {
                $ended[$fact->part.' '.$fact->content->key.' '.$outcome->key] ??= $fact;
            }
        }

        return array_values($ended);
    }
}
