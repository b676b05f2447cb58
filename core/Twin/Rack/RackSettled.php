<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

/** What is read off a plant of several circuits where it has settled. */
final readonly class RackSettled
{
    /**
     * @param  array<string, BranchWalk>  $walks  of circuits that cool, by part
     * @param  array<string, BranchState>  $states  by part; a circuit that is not told cools
     */
    public function __construct(
        private RackMachine $machine,
        private Store $store,
        private HighWalk $high,
        private array $walks,
        private array $states,
    ) {
    }

    /**
     * @param  float  $fill  of the receiver, 0 … 1; below and above it is empty or full
     * @param  float  $liquid  J/kg
     * @param  array<string, float>  $floors  Pa abs at which regulators stand, by part
     */
    public function state(float $fill, float $liquid, array $floors): RackState
    {
        $loop = $this->high->loop;
        $fluid = $this->machine->fluid();
        $point = $loop->condensing;
        $circuits = [];
        $groups = [];
        $held = $flow = $cooling = $power = 0.0;
        foreach ($this->high->groups as $walk) {
            $groups[$walk->group->part->value] = $walk->state($this->store->ambient);
            $power += $walk->power();
        }
        $first = null;
        foreach ($this->machine->branches as $branch) {
            $part = $branch->part->value;
            $walk = $this->walks[$part] ?? null;
            $first ??= $walk;
            $circuits[$part] = $walk === null
                ? $this->idle($branch, $groups[$this->machine->groupOf($branch)->part->value]->suction)
                : $walk->state($fluid->dewTemperature($walk->pressure));
            $held += $circuits[$part]->held;
            $flow += $circuits[$part]->flow;
            $cooling += $circuits[$part]->cooling;
        }
        $drawn = $first?->liquid();
        [$density, $temperature] = $drawn ?? [$point->heavy, $point->bubble];
        $places = $this->places($held, $density);
        $receiver = $this->machine->high->receiverVolume;
        $free = $this->machine->charge - array_sum($places);
        $level = match (true) {
            $fill < 0.0 => 0.0,
            $fill > 1.0 => 1.0,
            default => $free / max(1e-6, $receiver * ($point->heavy - $point->light)),
        };

        return new RackState(
            condensing: $point->pressure,
            liquid: $liquid,
            liquidTemperature: $temperature,
            quality: max(0.0, ($liquid - $point->liquid) / $point->latent),
            condenserOutlet: $loop->condenser->outlet,
            airOut: $this->high->airOut(),
            fill: $fill,
            level: $level,
            flow: $flow,
            cooling: $cooling,
            power: $power,
            flooded: min(1.0, $loop->condenser->flooded),
            fans: $loop->condenser->airFlow,
            held: $places,
            circuits: $circuits,
            groups: $groups,
            floors: $floors,
        );
    }

    /** @return array<string, float> kg by place, all but the liquid in the receiver */
    private function places(float $coils, float $liquid): array
    {
        $loop = $this->high->loop;
        $point = $loop->condensing;
        $machine = $this->machine;
        $filled = $this->store->reclaims ? $machine->filled : 0.0;

        return [
            'condenser' => $loop->condenser->mass($loop),
            'reclaim' => $machine->reclaimVolume * ($filled * $point->heavy + (1 - $filled) * $point->light),
            'liquid' => $machine->liquidVolume * $liquid,
            'coils' => $coils,
            'suction' => $machine->suctionVolume * $this->gasDensity(),
            'receiver_gas' => $machine->high->receiverVolume * $point->light,
        ];
    }

    /** kg/m³ in all suction lines: of several groups by what each of them draws. */
    private function gasDensity(): float
    {
        $walks = $this->high->groups;
        $flow = array_sum(array_map(static fn (GroupWalk $one): float => $one->flow, $walks));
        $density = 0.0;
        foreach ($walks as $one) {
            $share = count($walks) === 1 ? 1.0 : $one->flow / $flow;
            $density += $share * $one->loop->suction->density;
        }

        return $density;
    }

    private function idle(RackBranch $branch, float $suction): CircuitState
    {
        $state = $this->states[$branch->part->value] ?? BranchState::Cooling;
        $fluid = $this->machine->fluid();
        $point = $this->high->loop->condensing;
        $dew = $fluid->dewTemperature($suction);
        $gas = $fluid->vapourDensity($dew, 10.0);
        $filled = $state === BranchState::HotGas ? $this->machine->filled : 0.0;

        return new CircuitState(
            $state,
            $state === BranchState::HotGas ? $point->pressure : $suction,
            $dew,
            0.0,
            0.0,
            $branch->coilVolume * ($filled * $point->heavy + (1 - $filled) * $gas),
            null,
            [],
        );
    }
}
