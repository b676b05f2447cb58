<?php

declare(strict_types=1);

namespace Tests\Core\Twin\Rack;

use Metrum\Findings\RackFindings;
use Metrum\Installation\HeadPressureControl;
use Metrum\Knowledge\Fault;
use Metrum\Learning\Rack\RandomRacks;
use Metrum\Twin\Dice;
use Metrum\Twin\Rack\BranchState;
use Metrum\Twin\Rack\MoistAir;
use Metrum\Twin\Rack\RackDisorder;
use Metrum\Twin\Rack\RackIll;
use Metrum\Twin\Rack\RackMachine;
use Metrum\Twin\Rack\RackSolver;
use Metrum\Twin\Rack\RackState;
use Metrum\Twin\Rack\RackTwin;
use Metrum\Twin\Rack\Store;
use PHPUnit\Framework\TestCase;
use Tests\Core\Racks;

/** One high side, one group, many branches: what a rack does when weather, charge or one circuit changes. */
final class RackTwinTest extends TestCase
{
    private const PLANTS = 10;

    public function test_the_charge_is_where_it_says_at_any_rack_in_any_weather(): void
    {
        $dice = new Dice(24);
        $settled = 0;
        for ($i = 0; $i < self::PLANTS; $i++) {
            $plant = (new RandomRacks($dice))->plant();
            $twin = RackTwin::of(new RackFindings($plant));
            $state = $twin->at(Racks::store($dice->between(-10, 38), 22, $dice->between(30, 65)));
            if ($state === null) {
                continue;
            }
            $settled++;
            $machine = $twin->machine;
            $bubble = $machine->fluid()->bubbleTemperature($state->condensing);
            $gas = $machine->fluid()->vapourDensity($machine->fluid()->dewTemperature($state->condensing));
            $inReceiver = $state->level * $machine
                ->high
                ->receiverVolume * ($machine->fluid()->liquidDensity($bubble) - $gas);
            self::assertEqualsWithDelta(
                $machine->charge,
                array_sum($state->held) + $inReceiver,
                0.01 * $machine->charge,
                'kg of plant '.$i,
            );
            $flow = array_sum(array_map(static fn ($one): float => $one->flow, $state->circuits));
            self::assertEqualsWithDelta($state->flow, $flow, 1e-9, 'what circuits send the header takes');
            self::assertGreaterThan(
                $machine->groups[0]->setSuction * 0.999,
                $state->first()->suction,
                'no header below its set point',
            );
            foreach ($state->circuits as $circuit) {
                self::assertGreaterThan($state->first()->suction, $circuit->pressure, 'gas flows to the header');
            }
        }
        self::assertGreaterThan(self::PLANTS - 3, $settled);
    }

    public function test_less_charge_lowers_the_level_and_nothing_else(): void
    {
        $machine = self::twin()->machine;
        $sound = self::settled($machine);
        $less = self::settled($machine->charged(0.9 * $machine->charge));

        self::assertLessThan($sound->level - 0.05, $less->level);
        self::assertEqualsWithDelta($sound->condensing, $less->condensing, 1.0);
        self::assertEqualsWithDelta($sound->cooling, $less->cooling, 1.0);
    }

    public function test_circuits_in_defrost_give_their_liquid_to_the_receiver(): void
    {
        $all = self::settled(self::twin()->machine);
        $less = self::settled(self::twin()->machine, states: [
            'circuit 1' => BranchState::Drained,
            'circuit 2' => BranchState::Drained,
        ]);

        self::assertGreaterThan($all->level + 0.02, $less->level);
        self::assertSame(0.0, $less->circuits['circuit 1']->flow, 'a circuit in defrost cools nothing');
        self::assertLessThan($all->cooling, $less->cooling);
    }

    public function test_a_coil_in_hot_gas_and_a_reclaim_coil_hold_liquid(): void
    {
        $machine = self::twin()->machine;
        $states = static fn (BranchState $state): array => ['circuit 4' => $state];
        $drained = self::settled($machine, states: $states(BranchState::Drained));
        $gas = self::settled($machine, states: $states(BranchState::HotGas));
        self::assertGreaterThan($drained->held['coils'], $gas->held['coils']);

        $store = Racks::store(25);
        $reclaiming = self::settled($machine, new Store($store->ambient, $store->air, true));
        self::assertLessThan(self::settled($machine)->level, $reclaiming->level);
    }

    public function test_a_flooding_condenser_takes_the_level_down_in_the_cold(): void
    {
        $file = Racks::file(['head_set_kpa' => 1300]);
        $file['system']['head_pressure_control'] = HeadPressureControl::FloodingValve->value;
        $machine = RackTwin::of(Racks::read($file))->machine;
        $warm = self::settled($machine, Racks::store(24));
        $cold = self::settled($machine, Racks::store(-5));

        self::assertGreaterThan(0.5, $cold->flooded);
        self::assertLessThan($warm->level - 0.05, $cold->level);
    }

    public function test_load_follows_the_store_and_night_covers(): void
    {
        $machine = self::twin()->machine;
        $usual = self::settled($machine);
        $damp = self::settled($machine, Racks::store(25, 24, 60));
        $store = Racks::store(25);
        $covered = self::settled($machine, new Store($store->ambient, $store->air, false, true));

        self::assertGreaterThan(1.05 * $usual->cooling, $damp->cooling, 'by the enthalpy of its air');
        self::assertLessThan(0.9 * $usual->cooling, $covered->cooling);
    }

    public function test_a_regulator_holds_its_coil_whatever_the_header_does(): void
    {
        $machine = self::twin()->machine;
        $sound = self::settled($machine);
        $colder = $machine->holding($machine->fluid()->warmer($machine->groups[0]->setSuction, -2.0));
        $low = self::settled($colder, floors: $sound->floors);

        self::assertEqualsWithDelta(
            $sound->circuits['circuit 1']->pressure,
            $low->circuits['circuit 1']->pressure,
            200.0,
        );
        self::assertLessThan($sound->circuits['circuit 4']->pressure - 5e3, $low->circuits['circuit 4']->pressure);
        self::assertLessThan(
            $sound->circuits['circuit 1']->opening,
            (float) $low->circuits['circuit 1']->opening,
            'it closes as the header falls',
        );
    }

    public function test_the_circuit_that_needs_the_lowest_header_is_the_limit_and_a_warmer_header_saves(): void
    {
        $found = Racks::of();
        $twin = RackTwin::of($found);

        self::assertSame('circuit 4', array_key_first($twin->needs($found)), 'the fish case, at 0 °C');
        $saving = $twin->saving($found, $found->plant->groups[0]->part, 1.0);
        self::assertGreaterThan(0.01, $saving);
        self::assertLessThan(0.06, $saving, 'a kelvin of suction is 2 to 4 % of the power');
    }

    public function test_with_a_compressor_out_the_header_rises_once_all_others_run(): void
    {
        $machine = self::twin()->machine;
        $warm = Racks::store(36, 26, 60);
        $sound = self::settled($machine, $warm);
        $out = (new RackDisorder($machine, $sound))->with(new RackIll(Fault::CompressorOut, 1.0, compressor: 0));
        $left = self::settled($out, $warm);

        self::assertTrue($left->first()->allRun);
        self::assertGreaterThan($machine->groups[0]->setSuction * 1.02, $left->first()->suction);
    }

    public function test_too_short_a_charge_lets_gas_into_the_liquid_line_of_all(): void
    {
        $machine = self::twin()->machine;
        $sound = self::settled($machine);
        $short = self::settled($machine->charged(array_sum($sound->held) * 0.8));

        self::assertSame(0.0, $short->level);
        self::assertGreaterThan(0.0, $short->quality);
        self::assertSame(0.0, $sound->quality);
        foreach (['circuit 1', 'circuit 4', 'circuit 5'] as $part) {
            self::assertGreaterThan(
                $sound->circuits[$part]->cases[0]->superheat,
                $short->circuits[$part]->cases[0]->superheat,
                $part,
            );
        }
    }

    public function test_moist_air_has_its_known_enthalpy(): void
    {
        // Psychrometric charts: 25 °C, 50 % at sea level hold 50.4 kJ and 9.9 g to a kg of dry air.
        $air = new MoistAir(298.15, 0.5, 101325.0);
        self::assertEqualsWithDelta(50.4e3, $air->enthalpy(), 400.0);
        self::assertEqualsWithDelta(9.9e-3, $air->moisture(), 1e-4);
    }

    private static function twin(): RackTwin
    {
        return RackTwin::of(Racks::of());
    }

    /**
     * @param  array<string, BranchState>  $states
     * @param  array<string, float>  $floors
     */
    private static function settled(
        RackMachine $machine,
        ?Store $store = null,
        array $states = [],
        array $floors = [],
    ): RackState {
        $state = (new RackSolver($machine, $store ?? Racks::store(25), $states, $floors))->find();
        self::assertNotNull($state);

        return $state;
    }
}
