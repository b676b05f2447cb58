<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

/**
 * A day of a rack in time: the store's air brings load by its enthalpy, defrosts come as they are planned, cases warm
 * meanwhile and are pulled down again, and the receiver gives and takes what coils hold. Refrigerant follows at once
 * (quasi-steady); the air of each case with what stands in it is the state that takes time.
 */
final class RackDay
{
    /** s of a step. */
    public const STEP = 900.0;

    public const DAY = 86_400.0;

    /**
     * J/(K W) that air, shelves and the outer product of a case take to warm, to its rated cooling. An assumption: half
     * an hour without cooling then warms an open case by 6 to 7 K.
     */
    private const HOLDS = 250.0;

    /** K of air by which a coil's cooling grows by all that is rated. */
    private const COIL = 7.0;

    /** Share of a defrost's heat that stays in the case. */
    private const STAYS = 0.2;

    /** K over what its load makes of it, from which a case is still pulled down. */
    private const RECOVERS = 0.3;

    /** K by which the weather swings about its mean, and the second of the day at which it is warmest. */
    private const SWINGS = 4.0;

    private const WARMEST = 54_000.0;

    /** @var array<string, array<int, float>> K by part and case */
    private array $airs = [];

    /** @var array<string, float> Pa at which regulators stand, by part */
    private array $floors = [];

    private function __construct(private readonly RackMachine $machine, private readonly Store $store)
    {
    }

    /**
     * @param  Store  $store  its ambient is the mean of the day
     * @param  callable(int): array<string, BranchState>  $states  of circuits in defrost at a minute of the day
     * @param  array<string, float>  $heats  W into the coil while in defrost, by part
     * @return list<RackMoment> none where the twin does not run so
     */
    public static function of(RackMachine $machine, Store $store, callable $states, array $heats = []): array
    {
        $self = new self($machine, $store);
        $steady = (new RackSolver($machine, $store))->find();
        if ($steady === null) {
            return [];
        }
        $self->floors = $steady->floors;
        foreach ($machine->branches as $branch) {
            $cases = $steady->circuits[$branch->part->value]->cases;
            foreach (array_keys($branch->cases) as $place) {
                $self->airs[$branch->part->value][$place] = $cases[$place]->air ?? $branch->setPoint;
            }
        }
        $moments = [];
        // The first hours of a day follow from the last ones: it is begun the evening before.
        for ($time = -4 * 3600.0; $time < self::DAY; $time += self::STEP) {
            $minute = (int) floor(fmod($time + self::DAY, self::DAY) / 60);
            $moment = $self->step($minute, $states($minute), $heats);
            if ($moment === null) {
                return [];
            }
            $moments = $time < 0.0 ? [] : [...$moments, $moment];
        }

        return $moments;
    }

    /**
     * @param  array<string, BranchState>  $states
     * @param  array<string, float>  $heats
     */
    private function step(int $minute, array $states, array $heats): ?RackMoment
    {
        $store = $this->store->at(
            $this->store->ambient + self::SWINGS * cos(2 * M_PI * (60 * $minute - self::WARMEST) / self::DAY),
        );
        $state = (new RackSolver($this->machine, $store, $states, $this->floors, $this->recovering()))->find();
        if ($state === null) {
            return null;
        }
        $over = 0.0;
        $warmest = '';
        foreach ($this->machine->branches as $branch) {
            $part = $branch->part->value;
            $cools = ! isset($states[$part]);
            foreach ($branch->cases as $place => $case) {
                $air = $this->airs[$part][$place];
                $next = $cools
                    ? $this->cooled($case, $air, $state->circuits[$part]->cases[$place] ?? null, $store)
                    : $this->warmed($case, $air, $store, ($heats[$part] ?? 0.0) / max(1.0, $branch->rated()));
                $this->airs[$part][$place] = $next;
                if ($next - $branch->setPoint > $over) {
                    [$over, $warmest] = [$next - $branch->setPoint, $part];
                }
            }
        }

        return new RackMoment($minute, $state, array_keys($states), $over, $warmest);
    }

    /** @return array<string, list<?float>> K of cases that are still pulled down; of the others the load makes it */
    private function recovering(): array
    {
        $airs = [];
        foreach ($this->machine->branches as $branch) {
            $part = $branch->part->value;
            foreach (array_keys($branch->cases) as $place) {
                $air = $this->airs[$part][$place];
                $airs[$part][$place] = $air > $branch->setPoint + self::RECOVERS ? $air : null;
            }
        }

        return array_map(array_values(...), $airs);
    }

    private function cooled(RackCase $case, float $air, ?CaseState $state, Store $store): float
    {
        if ($state === null) {
            return $air;
        }
        $load = $case->load->at($air, $store);
        $slope = $case->load->rated / self::COIL;
        $way = 1 - exp(-self::STEP / (self::HOLDS * self::COIL));
        $next = $air + ($load - $state->cooling) / $slope * $way;
        // Where its air follows from the load it stands there already.
        $isSteady = abs($state->air - $air) > 1e-9;

        return $isSteady ? $state->air : $next;
    }

    /** @param  float  $heat  of its defrost, share of what it is rated at */
    private function warmed(RackCase $case, float $air, Store $store, float $heat): float
    {
        $taken = $case->load->at($air, $store) + self::STAYS * $heat * $case->load->rated;

        return min($store->air->temperature, $air + $taken * self::STEP / (self::HOLDS * $case->load->rated));
    }
}
