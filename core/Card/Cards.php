<?php

declare(strict_types=1);

namespace Metrum\Card;

use Metrum\Circuit\Circuit;
use Metrum\Circuit\DataFile;
use Metrum\Circuit\Station;
use Metrum\Quantity\BrokenData;
use Metrum\Quantity\Prepared;

/** All cards of data/cards/. */
final class Cards
{
    /** @var array<string, Card> */
    private static array $all = [];

    /**
     * @return array<string, Card> by key, in the order of their names
     *
     * @throws BrokenData where a file cannot be: file and path are named
     */
    public static function all(): array
    {
        if (self::$all === []) {
            self::$all = Prepared::of('cards', self::read(...));
        }

        return self::$all;
    }

    public static function find(string $key): ?Card
    {
        return self::all()[$key] ?? null;
    }

    /** @return list<Card> that a plant has a use for, at a station */
    public static function at(Station $station, Circuit $circuit): array
    {
        return array_values(
            array_filter(
                self::all(),
                static fn (Card $card): bool => $card->station === $station && $card->fit->asks($circuit),
            ),
        );
    }

    /** @return array<string, Card> */
    private static function read(): array
    {
        $cards = [];
        foreach ((array) glob(dirname(__DIR__, 2).'/data/cards/*.json') as $file) {
            $key = basename((string) $file, '.json');
            $cards[$key] = CardReader::read(DataFile::read('cards/'.$key), $key);
        }

        return $cards;
    }
}
