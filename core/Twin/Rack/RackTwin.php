<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Findings\RackFindings;
use Metrum\Installation\Branch;
use Metrum\Installation\Coil;
use Metrum\Installation\DefrostKind;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Celsius;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Expected;

/** A simulated plant of several circuits, as this one is known: what it should show here and now. */
final class RackTwin
{
    /** K of the air entering the condenser where nobody read it. */
    private const USUAL_AMBIENT = Celsius::ZERO + 20.0;

    /** Of the drop at its rated flow, what a line and an open regulator take at a usual load. */
    private const AT_PART_LOAD = 0.6;

    /** @var array<string, ?RackState> */
    private array $found = [];

    private function __construct(
        public readonly RackMachine $machine,
        public readonly ?RackState $reference,
        private readonly LevelDoubt $doubt,
    ) {
    }

    /**
     * @throws OutsideTable where such a plant cannot be built with its refrigerant
     */
    public static function of(RackFindings $found): self
    {
        $sizing = new RackSizing($found->plant);
        $machine = $sizing->machine(GroupSettings::in($found), $found->absolute(Reading::HeadSet));

        return new self(
            $machine,
            $sizing->reference($machine),
            LevelDoubt::of($found->plant, $found->absolute(Reading::HeadSet) !== null),
        );
    }

    /** In which weather and air it was met. */
    public static function store(RackFindings $found): Store
    {
        $shared = $found->shared;
        $covers = [];
        foreach ($found->parts as $part) {
            $covers[] = $part->saw(Observation::NightCover, Word::On);
        }

        return new Store(
            $shared->reading(Reading::AmbientTemperature) ?? self::USUAL_AMBIENT,
            new MoistAir(
                $shared->reading(Reading::StoreTemperature) ?? Store::USUAL_TEMPERATURE,
                $shared->reading(Reading::StoreHumidity) ?? Store::USUAL_HUMIDITY,
                $found->plant->atmosphere->pascal,
            ),
            $shared->saw(Observation::HeatReclaim, Word::On),
            in_array(true, $covers, true),
        );
    }

    /** @return array<string, BranchState> of circuits that do not cool, by their part */
    public static function states(RackFindings $found): array
    {
        $states = [];
        foreach ($found->plant->branches as $branch) {
            if (! $found->cools($branch)) {
                $isGas = $found->isInDefrost($branch) && $branch->load->defrost === DefrostKind::HotGas;
                $states[$branch->part->value] = $isGas ? BranchState::HotGas : BranchState::Drained;
            }
        }

        return $states;
    }

    /** As it would stand now if it were sound; null where it does not run so. */
    public function now(RackFindings $found): ?RackState
    {
        return $this->at(self::store($found), self::states($found));
    }

    /** @param  array<string, BranchState>  $states */
    public function at(Store $store, array $states = []): ?RackState
    {
        $key = serialize([$store, $states]);
        if (! array_key_exists($key, $this->found)) {
            $this->found[$key] = (new RackSolver($this->machine, $store, $states))->find();
        }

        return $this->found[$key];
    }

    /**
     * Level of the receiver as it should be, 0 … 1; null where nothing tells.
     *
     * @param  array<string, BranchState>  $states
     */
    public function level(Store $store, array $states = []): ?Expected
    {
        $now = $this->at($store, $states);

        return $now === null || $this->reference === null
            ? null
            : new Expected(
                max(0.0, min(1.0, $now->level)),
                $this->doubt->deviation($this->machine, $this->reference, $now),
            );
    }

    /**
     * Pa abs at the header that each circuit in cooling needs for its set point, lowest first.
     *
     * @return array<string, float> by part
     */
    public function needs(RackFindings $found): array
    {
        $now = $this->now($found);
        $solver = new RackSolver($this->machine, self::store($found), self::states($found));
        $needs = $solver->needs($now);
        foreach ($found->plant->branches as $branch) {
            $part = $branch->part->value;
            if (isset($needs[$part])) {
                $needs[$part] = $this->shown($found, $branch, $needs[$part]);
            }
        }
        asort($needs);

        return $needs;
    }

    /**
     * The same by what the circuit itself shows: one that nothing but the header holds shows it by its air, one behind
     * a regulator by its coil.
     */
    private function shown(RackFindings $found, Branch $branch, float $need): float
    {
        $header = $found->absoluteOf($found->plant->group($branch), Reading::SuctionHeader);
        $over = $found->above($branch);
        if ($over === []) {
            return $need;
        }
        $above = max($over);
        $fluid = $this->machine->fluid();
        $isHeld = $branch->regulator?->isFitted === true || $branch->load->control?->isByThermostat() === true;
        if (! $isHeld && $header !== null) {
            return $fluid->warmer($header, -$above);
        }
        $coil = $found->of($branch->part)->reading(Reading::EvaporatorPressure);
        if ($coil === null || $branch->regulator?->isFitted !== true) {
            return $need;
        }
        $drop = $this->branch($branch)->drop * self::AT_PART_LOAD;

        return $fluid->warmer($found->plant->atmosphere->absolute($coil), -$above - $drop);
    }

    /**
     * Share of the power to the same cooling that a group's header so many kelvin warmer would save here and now; null
     * where it does not run so.
     */
    public function saving(RackFindings $found, PartId $group, float $kelvin): ?float
    {
        $now = $this->now($found);
        $fluid = $this->machine->fluid();
        $warmer = $this->machine->withGroup(
            $group,
            static fn (RackGroup $one): RackGroup => $one->holding($fluid->warmer($one->setSuction, $kelvin)),
        );
        $then = (new RackSolver($warmer, self::store($found), self::states($found)))->find();

        return $now === null || $then === null || $now->power <= 0.0
            ? null
            : 1 - $then->power / $then->cooling / ($now->power / $now->cooling);
    }

    private function branch(Branch $branch): RackBranch
    {
        foreach ($this->machine->branches as $one) {
            if ($one->part->is($branch->part)) {
                return $one;
            }
        }
        throw new \LogicException('no such circuit: '.$branch->part->value);
    }
}
