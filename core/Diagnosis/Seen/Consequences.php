<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Seen;

use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Knowledge\Fault;

/**
 * Causes before what they bring about: ice that a dead heater left is no fault of its own. Where a cause is seen, or
 * likely enough once its consequence is not held for a fault of its own, or where it alone explains what else is wrong,
 * most of what speaks for the consequence speaks for the cause.
 */
final readonly class Consequences
{
    /** Share of a consequence's chance that goes over to its cause. */
    private const GOES_OVER = 0.8;

    /** Chance of a cause, of its consequence's, from which it is likely enough. */
    private const LIKELY_ENOUGH = 0.3;

    /** Share from which so little was read that what is seen decides. */
    private const LITTLE_READ = 0.55;

    /** Nats by which answers speak for a cause more than for what it brought about, where it was not seen itself. */
    private const TOLD = 1.0;

    /** Chance of a complaint from which a fault explains what was found, and below which it does not. */
    private const EXPLAINS = 0.2;

    /**
     * @param  array<string, float>  $rest  chances, were no consequence seen as a fault, by Fault
     * @param  array<string, float>  $seen  how surely a fault was seen, by Fault
     * @param  list<FoundState>  $found  what is wrong besides
     * @param  float  $share  at which what is seen stands above what is measured, 0 … 1
     * @param  \Closure(Fault, Fault): float  $told  nats by which answers speak for one more than for another
     */
    public function __construct(
        private array $rest,
        private array $seen,
        private array $found,
        private float $share,
        private \Closure $told,
    ) {
    }

    /**
     * @param  array<string, float>  $chances  by Fault
     * @return array<string, float> by Fault
     */
    public function behind(array $chances): array
    {
        foreach (array_keys($chances) as $name) {
            $cause = $this->causeOf(Fault::from($name), $chances);
            if ($cause !== null && $chances[$cause->value] < $chances[$name]) {
                $often = FaultCatalogue::entry($cause)->bringsAbout[$name];
                $over = self::GOES_OVER * ($this->share > self::LITTLE_READ ? 1.0 : $often) * $chances[$name];
                $chances[$name] -= $over;
                $chances[$cause->value] += $over;
            }
        }

        return $chances;
    }

    /**
     * What brought it about, first what explains more than it, then what was seen most surely; null where nothing is
     * known to.
     *
     * @param  array<string, float>  $chances
     */
    private function causeOf(Fault $consequence, array $chances): ?Fault
    {
        $causes = [];
        foreach (array_keys($chances) as $name) {
            $often = FaultCatalogue::entry(Fault::from($name))->bringsAbout[$consequence->value] ?? 0.0;
            if ($often > 0.0 && $this->isToBlame(Fault::from($name), $consequence, $often)) {
                $explains = $this->explainsMore(Fault::from($name), $consequence);
                $causes[$name] = [$explains, $this->seen[$name] ?? 0.0, $chances[$name]];
            }
        }
        arsort($causes);
        $first = array_key_first($causes);

        return $first === null ? null : Fault::from($first);
    }

    private function isToBlame(Fault $cause, Fault $consequence, float $often): bool
    {
        $own = $often * ($this->rest[$cause->value] ?? 0.0);

        return isset($this->seen[$cause->value]) ||
            ($own > self::LIKELY_ENOUGH * ($this->rest[$consequence->value] ?? 0.0) &&
                ($this->told)($cause, $consequence) > self::TOLD) ||
            $this->explainsMore($cause, $consequence);
    }

    /** Whether something that was found is explained by the cause alone: a box too cold, by its thermostat. */
    private function explainsMore(Fault $cause, Fault $consequence): bool
    {
        foreach ($this->found as $one) {
            $by = static fn (Fault $fault): float => FaultCatalogue::entry($fault)
                ->complaints[$one->what->value] ?? 0.0;
            if ($by($cause) > self::EXPLAINS && $by($consequence) < self::EXPLAINS) {
                return true;
            }
        }

        return false;
    }
}
