<?php

declare(strict_types=1);

namespace Metrum\Work\Cards;

use Metrum\Card\Card;
use Metrum\Installation\PartId;
use Metrum\Log\Fact;
use Metrum\Quantity\Units;
use Metrum\Work\Assessment;

/** What stops cards of a visit, as it stands, beside what is kept of it. */
final readonly class CardStops
{
    private BegunCards $begun;

    public function __construct(private Assessment $assessment, private Units $units)
    {
        $this->begun = BegunCards::of($assessment->log);
    }

    /** @return list<Run> that something stops now, and it is not kept yet */
    public function toKeep(): array
    {
        return array_values(array_filter(
            array_map(fn (array $one): Run => $this->run(...$one), $this->begun->open()),
            static fn (Run $run): bool => $run->stop() !== null,
        ));
    }

    /** @return list<Fact> stops that are kept, and what stopped the card was taken back */
    public function toTakeBack(): array
    {
        $gone = [];
        foreach ($this->begun->stopped() as [$card, $part]) {
            $run = $this->run($card, $part);
            $done = $run->progress->done();
            if ($done !== null && $run->stop()?->key() !== $done->content->word) {
                $gone[] = $done;
            }
        }

        return $gone;
    }

    private function run(Card $card, PartId $part): Run
    {
        return new Run($card, $part, $this->assessment, $this->assessment->log, $this->units);
    }
}
