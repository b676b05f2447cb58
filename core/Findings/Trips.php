<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Word;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;

/** What had stopped the compressor at a visit: a trip stays a finding of it, whether it was reset or not. */
final readonly class Trips
{
    /** @param  list<array{Word, Fact, bool}>  $all  which, as it was noted, whether it ran again since */
    private function __construct(public array $all)
    {
    }

    public static function of(Log $log): self
    {
        $trips = [];
        foreach ($log->history(FactKind::Observation) as $fact) {
            $word = $fact->content->key === Observation::Compressor->value
                ? Word::tryFrom((string) $fact->content->word)
                : null;
            if ($word === Word::Running) {
                $trips = array_map(static fn (array $one): array => [$one[0], $one[1], true], $trips);
            } elseif ($word?->stop()?->isRemembered() === true) {
                $trips[] = [$word, $fact, false];
            }
        }

        return new self($trips);
    }
}
