<?php

namespace App\View\Defrost;

use Metrum\Findings\RackFindings;
use Metrum\Work\Defrost\DefrostBreach;
use Metrum\Work\Defrost\DefrostRules;

/** Which rule a defrost schedule does not keep, in words. */
final readonly class DefrostWords
{
    public function __construct(private RackFindings $found, private DefrostRules $rules)
    {
    }

    /**
     * @param  iterable<DefrostBreach>  $breaches
     * @return list<string>
     */
    public function of(iterable $breaches): array
    {
        $told = [];
        foreach ($breaches as $one) {
            $told[] = $this->sentence($one);
        }

        return $told;
    }

    private function sentence(DefrostBreach $one): string
    {
        $names = [];
        foreach ($this->found->plant->branches as $branch) {
            $names = in_array($branch->part->value, $one->circuits, true)
                ? [...$names, $this->found->nameOf($branch)]
                : $names;
        }
        $who = implode(', ', $names);
        $at = DayTimes::text($one->minute ?? 0);

        return match ($one->rule) {
            DefrostBreach::TOO_MANY => "$at: $who in defrost together. {$this->rules->atOnce} at once are allowed.",
            DefrostBreach::NO_GAS => "$at: too few circuits cooling to feed the hot gas ($who).",
            DefrostBreach::BUSY => "$at: $who in defrost in a time kept free.",
            DefrostBreach::HEAD => "$at: head pressure too low for the hot gas with $who in defrost.",
            DefrostBreach::LEVEL => "$at: the receiver would be nearly full or empty with $who in defrost.",
            DefrostBreach::TOO_FEW => 'Too few defrosts: ice grows from one to the next.',
            DefrostBreach::UNEVEN => 'Too long between two defrosts: too much ice grows.',
        };
    }
}
