<?php

declare(strict_types=1);

namespace Metrum\Work\Cards;

use Metrum\Card\Card;
use Metrum\Installation\PartId;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\Log;

/** The cards that were begun at a visit, each with the part of the circuit that it is about. */
final readonly class BegunCards
{
    /** @param  list<array{Card, PartId, Progress}>  $all  in the order in which they were begun first */
    private function __construct(private array $all)
    {
    }

    public static function of(Log $log): self
    {
        $begun = [];
        foreach ($log->history(FactKind::Card) as $fact) {
            $card = StepTaken::card($fact->content->key);
            $part = $fact->part;
            if ($card === null || isset($begun[$card->key.' '.$part])) {
                continue;
            }
            $progress = new Progress($card, $part, $log);
            if ($progress->isBegun()) {
                $begun[$card->key.' '.$part] = [$card, $part, $progress];
            }
        }

        return new self(array_values($begun));
    }

    /** @return list<array{Card, PartId}> that came to no end yet and were not left */
    public function open(): array
    {
        return self::where($this->all, static fn (Progress $one): bool => $one->isOpen());
    }

    /** @return list<array{Card, PartId}> that came to an end by one of their stops */
    public function stopped(): array
    {
        return self::where($this->all, static function (Progress $one): bool {
            $done = $one->done();

            return $done !== null && StepTaken::isStop($done->content);
        });
    }

    /**
     * @param  list<array{Card, PartId, Progress}>  $all
     * @param  callable(Progress): bool  $is
     * @return list<array{Card, PartId}>
     */
    private static function where(array $all, callable $is): array
    {
        $found = array_filter($all, static fn (array $one): bool => $is($one[2]));

        return array_values(array_map(static fn (array $one): array => [$one[0], $one[1]], $found));
    }
}
