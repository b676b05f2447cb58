<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Installation\Branch;

/** What the other circuits in cooling show beside one: those of its suction group; where it is alone there, all. */
final readonly class Neighbours
{
    public function __construct(private RackExamination $examined, private Branch $branch)
    {
    }

    /** K over their set points, the middle one; null where none was read. */
    public function over(): ?float
    {
        return $this->middle(function (Branch $branch): array {
            $above = $this->examined->found->above($branch);

            return $above === [] ? [] : [max($above)];
        });
    }

    /** K of superheat over what is planned, the middle one; null where none was read. */
    public function starved(): ?float
    {
        return $this->middle(
            fn (Branch $branch): array => (new CircuitSigns($this->examined, $branch))->superheats(),
        );
    }

    /** @param  callable(Branch): list<float>  $told */
    private function middle(callable $told): ?float
    {
        $plant = $this->examined->found->plant;
        foreach ([$plant->branchesOf($plant->group($this->branch)), $plant->branches] as $branches) {
            $all = [];
            foreach ($branches as $branch) {
                $isOther = $branch !== $this->branch && $this->examined->found->cools($branch);
                $all = $isOther ? [...$all, ...$told($branch)] : $all;
            }
            if ($all !== []) {
                return RackExamination::median($all);
            }
        }

        return null;
    }
}
