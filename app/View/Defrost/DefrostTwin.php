<?php

namespace App\View\Defrost;

use Metrum\Findings\RackFindings;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Rack\RackDay;
use Metrum\Twin\Rack\RackMachine;
use Metrum\Twin\Rack\RackMoment;
use Metrum\Twin\Rack\RackTwin;
use Metrum\Twin\Rack\Store;
use Metrum\Work\Defrost\DefrostCheck;
use Metrum\Work\Defrost\DefrostNeeds;
use Metrum\Work\Defrost\DefrostPlan;
use Metrum\Work\Defrost\DefrostRules;

/** What a rack's twin says of its defrosts: what each circuit needs, whether a plan keeps the rules, its day. */
final readonly class DefrostTwin
{
    public Store $store;

    /** Null where the twin does not run so, so that there is nothing to plan by. */
    public ?DefrostCheck $check;

    private ?RackMachine $machine;

    public function __construct(RackFindings $found, DefrostRules $rules)
    {
        $this->store = RackTwin::store($found);
        try {
            $twin = RackTwin::of($found);
            $now = $twin->at($this->store);
        } catch (OutsideTable) {
            $twin = $now = null;
        }
        if ($twin === null || $now === null) {
            $this->check = $this->machine = null;

            return;
        }
        $this->machine = $twin->machine;
        $rated = 0.0;
        foreach ($twin->machine->branches as $branch) {
            $rated += $branch->rated();
        }
        $needs = (new DefrostNeeds($twin, $this->store))->of($found->plant);
        $dew = $twin->machine->fluid()->dewTemperature($now->condensing);
        $this->check = new DefrostCheck($needs, $rules, $rated, $now->level, $dew);
    }

    /** @return list<RackMoment> the day with a schedule; none where the twin does not run so */
    public function day(DefrostPlan $plan): array
    {
        $needs = $this->check->needs ?? [];
        $heats = array_map(DefrostNeeds::heat(...), $needs);

        return $this->machine === null
            ? []
            : RackDay::of($this->machine, $this->store, $plan->states($needs), $heats);
    }
}
