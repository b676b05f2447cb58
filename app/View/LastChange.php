<?php

namespace App\View;

use Metrum\Diagnosis\Snapshot;
use Metrum\Diagnosis\Verdict;
use Metrum\Knowledge\Fault;
use Metrum\Log\Fact;

/** What the last entry made of the ranking, in one line. */
final readonly class LastChange
{
    /** Change of a probability that is told. */
    private const TOLD = 0.03;

    public function __construct(private Snapshot $before, private Verdict $now, private Fact $fact)
    {
    }

    /** "Frost on the coil: inlet only. Short of refrigerant 15 % → 35 %." */
    public function line(Explain $explain): string
    {
        [$fault, $was, $is] = $this->mostMoved();
        $said = $explain->fact($this->fact);

        return $fault === null
            ? $said.': little effect on the ranking.'
            : $said.': '.Explain::change($fault, $was, $is).'.';
    }

    /** @return array{?Fault, float, float} of those that stood first then, or do now */
    private function mostMoved(): array
    {
        $then = $this->before->blank
            ? []
            : array_column(
                array_map(static fn (array $one): array => [$one[0]->value, $one[1]], $this->before->ranking),
                1,
                0,
            );
        $most = [null, 0.0, 0.0];
        foreach ($this->now->ranked(3) as $suspect) {
            $was = $then[$suspect->fault->value] ?? $suspect->probability;
            $moved = abs($suspect->probability - $was);
            if ($moved >= self::TOLD && $moved > abs($most[2] - $most[1])) {
                $most = [$suspect->fault, $was, $suspect->probability];
            }
        }

        return $most;
    }
}
