<?php

declare(strict_types=1);

namespace Metrum\Card;

use Metrum\Data\BrokenData;
use Metrum\Data\Knowledge;
use Metrum\Installation\Circuit;
use Metrum\Knowledge\Prerequisite;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Station;

/** All cards of data/cards/. A page wants few of them: which those are stands in an index, and only they are read. */
final class Cards
{
    /**
     * @return array<string, Card> by key, in the order of their names
     *
     * @throws BrokenData where a file cannot be: file and path are named
     */
    public static function all(): array
    {
        $all = [];
        foreach (array_keys(self::index()) as $key) {
            $all[$key] = self::card($key);
        }

        return $all;
    }

    public static function find(string $key): ?Card
    {
        return isset(self::index()[$key]) ? self::card($key) : null;
    }

    /** The one by which something is confirmed for a visit; null where nobody can. */
    public static function permitting(Prerequisite $gate): ?Card
    {
        foreach (self::index() as $key => $row) {
            if (in_array($gate->value, $row['permits'], true)) {
                return self::card($key);
            }
        }

        return null;
    }

    /** @return list<Card> that a plant has a use for, at a station */
    public static function at(Station $station, Circuit $circuit): array
    {
        return self::fitting(static fn (array $row): bool => $row['station'] === $station->value, $circuit);
    }

    /** @return list<Card> that a plant has a use for, and that answer a question */
    public static function answering(Question $question, Circuit $circuit): array
    {
        return self::fitting(
            static fn (array $row): bool => in_array($question->value, $row['answers'], true),
            $circuit,
        );
    }

    /**
     * @param  callable(array{station: string, answers: list<string>, permits: list<string>}): bool  $wanted
     * @return list<Card>
     */
    private static function fitting(callable $wanted, Circuit $circuit): array
    {
        $cards = array_map(self::card(...), array_keys(array_filter(self::index(), $wanted)));

        return array_values(array_filter($cards, static fn (Card $card): bool => $card->fit->asks($circuit)));
    }

    private static function card(string $key): Card
    {
        return Knowledge::kept('card-'.$key, static fn (): Card => self::read($key));
    }

    /** @throws BrokenData */
    private static function read(string $key): Card
    {
        return CardReader::read(Knowledge::file('cards/'.$key), $key);
    }

    /** @return array<string, array{station: string, answers: list<string>, permits: list<string>}> */
    private static function index(): array
    {
        return Knowledge::kept('card-index', self::indexed(...));
    }

    /** @return array<string, array{station: string, answers: list<string>, permits: list<string>}> */
    private static function indexed(): array
    {
        $index = [];
        foreach ((array) glob(Knowledge::inUse()->folder.'/cards/*.json') as $file) {
            $key = basename((string) $file, '.json');
            $card = self::read($key);
            $permits = array_filter(Prerequisite::cases(), $card->canPermit(...));
            $index[$key] = [
                'station' => $card->station->value,
                'answers' => $card->answered(),
                'permits' => array_column($permits, 'value'),
            ];
        }

        return $index;
    }
}
