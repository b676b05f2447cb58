<?php

namespace App\View;

use App\Models\Visit;
use App\Records\JudgedVisit;
use Metrum\Card\Card;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Station;
use Metrum\Log\Fact;
use Metrum\Log\Kinds\StepTaken;

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

    /**
     * Those of a station that fit, in groups: what the verdict asks for under '', the rest by what it is for where
     * there are many.
     *
     * @return array<string, list<Card>>
     */
    public function groups(Station $station): array
    {
        $cards = $this->judged->desk->cards()->at($station);
        if (count($cards) <= self::MANY) {
            return $cards === [] ? [] : ['' => $cards];
        }
        $groups = ['' => array_slice($cards, 0, self::FIRST)];
        foreach (array_slice($cards, self::FIRST) as $card) {
            $groups[$card->does->label()][] = $card;
        }

        return $groups;
    }

    /** @return list<string> what each card came to, in the order in which they were done */
    public function cameTo(): array
    {
        return array_map(
            static fn (Fact $fact): string => StepTaken::card($fact->content->key)?->name.
                PartAddress::behind($fact->part).': '.StepTaken::outcome($fact->content)?->label.'. '.
                StepTaken::said($fact->content),
            $this->judged->desk->cards()->ended(),
        );
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
