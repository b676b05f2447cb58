<?php

declare(strict_types=1);

namespace Metrum\Work\Defrost;

use Metrum\Data\DataRow;
use Metrum\Data\Knowledge;
use Metrum\Installation\Branch;
use Metrum\Installation\DefrostKind;
use Metrum\Installation\Installation;
use Metrum\Quantity\Celsius;
use Metrum\Twin\Rack\BranchState;
use Metrum\Twin\Rack\RackBranch;
use Metrum\Twin\Rack\RackState;
use Metrum\Twin\Rack\RackTwin;
use Metrum\Twin\Rack\Store;

/**
 * What each circuit of a rack needs of defrosts, from its twin: the water that the store's air brings, what of it
 * freezes on a coil below 0 °C, how much a coil may hold before air suffers, and how long its heat takes to melt that.
 * Heat to the rated cooling, the share of it that reaches the ice, minutes of drip and the longest: data/defrosts.json.
 */
final readonly class DefrostNeeds
{
    /** kg of frost that a coil holds before its air suffers, to a W of rated cooling: half a millimetre on its fins. */
    private const HOLDS = 1.5e-3;

    /** J/(K W) that the metal of a coil takes to warm, to its rated cooling. */
    private const METAL = 4.2;

    /** J/kg that ice takes to melt, and J/(kg K) to warm. */
    private const MELTS = 334e3;

    private const ICE = 2100.0;

    /** K to which a coil is warmed in the end. */
    private const ENDS = Celsius::ZERO + 8.0;

    /** K over 0 °C of the case's air at which off-cycle air melts as it is rated; the colder the less. */
    private const OFF_CYCLE_AIR = 6.0;

    private const LEAST_OFF_CYCLE = 0.2;

    /** K by which the air of a case rises while it melts by itself. */
    private const RISES = 2.0;

    private const MOST = 12;

    /** Coils that stand above this do not freeze, K. */
    private const FREEZES = Celsius::ZERO - 0.3;

    public function __construct(private RackTwin $twin, private Store $store)
    {
    }

    /** @return array<string, DefrostNeed> by the part of circuits that frost; none where the twin does not run so */
    public function of(Installation $plant): array
    {
        $now = $this->twin->at($this->store);
        $needs = [];
        foreach ($plant->branches as $place => $branch) {
            $need = $now === null ? null : $this->need($branch, $this->twin->machine->branches[$place], $now);
            $needs = $need === null ? $needs : [...$needs, $branch->part->value => $need];
        }

        return $needs;
    }

    private function need(Branch $branch, RackBranch $built, RackState $now): ?DefrostNeed
    {
        $kind = $branch->load->defrost ?? DefrostKind::OffCycle;
        $circuit = $now->circuits[$branch->part->value];
        if ($kind === DefrostKind::None || $circuit->saturated > self::FREEZES) {
            return null;
        }
        $frost = 0.0;
        foreach ($built->cases as $case) {
            $water = $case->load->moisture($built->setPoint, $this->store);
            $frost += $case->count * $water * 60 * DefrostPlan::DAY;
        }
        $rated = $built->rated();
        [$count, $minutes, $melting] = $this->lengths($kind, $frost, $rated, $circuit->saturated, $built->setPoint);
        $then = $this->during($branch, $kind);
        $heats = $kind === DefrostKind::Electric ? self::rowOf($kind)->number('heat') * $rated : 0.0;

        return new DefrostNeed(
            $branch->part,
            $kind,
            $frost,
            $count,
            $minutes,
            $heats * $melting * $count,
            $rated,
            $then === null ? 0.0 : $then->level - $now->level,
            $then === null ? 0.0 : $this->dew($then) - $this->dew($now),
        );
    }

    /** W into the coils of a circuit while it is in defrost. */
    public static function heat(DefrostNeed $need): float
    {
        return $need->kind === DefrostKind::OffCycle ? 0.0 : self::rowOf($need->kind)->number('heat') * $need->rated;
    }

    /** @return array{int, int, float} how many, minutes of each, and seconds of heat */
    private function lengths(DefrostKind $kind, float $frost, float $rated, float $coil, float $air): array
    {
        $row = self::rowOf($kind);
        $longest = (int) $row->number('longest_min');
        $reaches = $row->number('reaches') * $this->strength($kind, $air);
        $heat = max(1.0, $row->number('heat') * $reaches * $rated);
        $metal = self::METAL * $rated * (self::ENDS - $coil);
        for ($count = max(1, (int) ceil($frost / (self::HOLDS * $rated))); ; $count++) {
            $ice = ($frost / $count) * (self::MELTS + self::ICE * (Celsius::ZERO - $coil));
            $seconds = ($ice + $metal) / $heat;
            $minutes = (int) (5 * ceil(($seconds / 60 + $row->number('drip_min')) / 5));
            if ($minutes <= $longest || $count >= self::MOST) {
                return [$count, min($minutes, $longest), $seconds];
            }
        }
    }

    private static function rowOf(DefrostKind $kind): DataRow
    {
        return Knowledge::file('defrosts')->row($kind->value);
    }

    /** Of its heat as it is rated: air that is hardly above 0 °C melts little. */
    private function strength(DefrostKind $kind, float $air): float
    {
        return $kind === DefrostKind::OffCycle
            ? max(self::LEAST_OFF_CYCLE, min(1.0, ($air + self::RISES - Celsius::ZERO) / self::OFF_CYCLE_AIR))
            : 1.0;
    }

    /** The plant while this circuit is in defrost; null where its twin does not run so. */
    private function during(Branch $branch, DefrostKind $kind): ?RackState
    {
        $state = $kind === DefrostKind::HotGas ? BranchState::HotGas : BranchState::Drained;

        return $this->twin->at($this->store, [$branch->part->value => $state]);
    }

    /** K at which it condenses. */
    private function dew(RackState $state): float
    {
        return $this->twin->machine->fluid()->dewTemperature($state->condensing);
    }
}
