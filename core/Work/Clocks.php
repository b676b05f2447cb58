<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\Log;

/** The clocks of a visit. */
final readonly class Clocks
{
    /** @param  list<Clock>  $all  soonest first */
    private function __construct(public array $all)
    {
    }

    public static function of(Log $log): self
    {
        $set = array_filter(
            $log->standing(FactKind::Clock, FactKind::Card),
            static fn (Fact $fact): bool => $fact->kind === FactKind::Clock || StepTaken::waits($fact->content),
        );
        $all = array_map(static fn (Fact $fact): Clock => new Clock($fact), array_values($set));
        usort($all, static fn (Clock $a, Clock $b): int => $a->ends() <=> $b->ends());

        return new self($all);
    }

    /** @return list<Clock> */
    public function running(\DateTimeInterface $now): array
    {
        return array_values(array_filter($this->all, static fn (Clock $one): bool => $one->runs($now)));
    }
}
