<?php

declare(strict_types=1);

namespace Tests\Core\Twin\Rack;

use Metrum\Diagnosis\Rack\RackCharge;
use Metrum\Diagnosis\Rack\RackExamination;
use Metrum\Findings\RackFindings;
use Metrum\Installation\Installation;
use Metrum\Installation\PartId;
use Metrum\Installation\SuctionGroup;
use Metrum\Knowledge\Fault;
use Metrum\Learning\Rack\RandomRacks;
use Metrum\Twin\Dice;
use Metrum\Twin\Rack\BranchState;
use Metrum\Twin\Rack\GroupState;
use Metrum\Twin\Rack\RackDay;
use Metrum\Twin\Rack\RackDisorder;
use Metrum\Twin\Rack\RackIll;
use Metrum\Twin\Rack\RackMachine;
use Metrum\Twin\Rack\RackMoment;
use Metrum\Twin\Rack\RackSolver;
use Metrum\Twin\Rack\RackState;
use Metrum\Twin\Rack\RackTwin;
use Metrum\Twin\Rack\Store;
use PHPUnit\Framework\TestCase;
use Tests\Core\Racks;
use Tests\Core\TwoGroups;

/** Two suction groups on one high side: each holds its own header, both send to one condenser. */
final class TwoGroupsTwinTest extends TestCase
{
    private const PLANTS = 12;

    private const MT = 'group 1';

    private const LT = 'group 2';

    private static function twin(?RackFindings $found = null): RackTwin
    {
        return RackTwin::of($found ?? TwoGroups::of());
    }

    private static function settled(RackMachine $machine, ?Store $store = null): RackState
    {
        $state = (new RackSolver($machine, $store ?? Racks::store(25)))->find();
        self::assertNotNull($state);

        return $state;
    }

    private static function sick(RackIll $ill, Store $store): RackState
    {
        $machine = self::twin()->machine;

        return self::settled((new RackDisorder($machine, self::settled($machine)))->with($ill), $store);
    }

    public function test_each_group_holds_its_own_header(): void
    {
        $machine = self::twin()->machine;
        $state = self::settled($machine);

        foreach ($machine->groups as $group) {
            $stands = $state->groups[$group->part->value];
            self::assertEqualsWithDelta($group->setSuction, $stands->suction, 0.002 * $group->setSuction);
            self::assertLessThan(1.0, $stands->running);
        }
        foreach ($machine->branches as $branch) {
            self::assertGreaterThan(
                $state->groups[$branch->group->value]->suction,
                $state->circuits[$branch->part->value]->pressure,
                'gas flows to the header of its own group',
            );
        }
    }

    public function test_what_circuits_send_each_header_takes_and_all_heat_leaves_by_the_condenser(): void
    {
        $twin = self::twin();
        $state = self::settled($twin->machine);

        foreach ($twin->machine->groups as $group) {
            $sent = 0.0;
            foreach ($twin->machine->branches as $branch) {
                $sent += $branch->group->is($group->part) ? $state->circuits[$branch->part->value]->flow : 0.0;
            }
            self::assertEqualsWithDelta($sent, $state->groups[$group->part->value]->flow, 1e-9);
        }
        $powers = array_map(static fn (GroupState $one): float => $one->power, $state->groups);
        self::assertEqualsWithDelta($state->power, array_sum($powers), 1e-6);
        $air = $twin->machine->high->condenser->capacity * $state->fans;
        $rejected = $air * ($state->airOut - 298.15);
        // Besides what motors and shells lose to the room (about an eighth), gas warms on its way: a tenth at most.
        self::assertGreaterThan($state->cooling + 0.7 * $state->power, $rejected);
        self::assertLessThan(1.12 * ($state->cooling + $state->power), $rejected);
    }

    public function test_gas_of_the_colder_group_leaves_hotter_for_more_power_to_the_same_cooling(): void
    {
        $state = self::settled(self::twin()->machine);
        [$medium, $low] = [$state->groups[self::MT], $state->groups[self::LT]];

        self::assertGreaterThan($medium->discharge + 10.0, $low->discharge);
        self::assertGreaterThan(1.3 * $medium->power / $medium->flow, $low->power / $low->flow);
    }

    public function test_two_groups_at_the_same_suction_are_as_one(): void
    {
        $file = Racks::file();
        $one = RackTwin::of(Racks::read($file));
        $readings = (object) array_intersect_key($file['readings'], TwoGroups::HEALTHY['MT']);
        $two = $file;
        $two['readings'] = array_diff_key($file['readings'], TwoGroups::HEALTHY['MT']);
        foreach (['A', 'B'] as $name) {
            $two['groups'][] = [
                'name' => $name,
                'design' => ['suction_saturated_c' => -8],
                'readings' => $readings,
            ];
        }
        foreach ([0, 3] as $place) {
            $two['circuits'][$place]['group'] = 'B';
        }
        $apart = RackTwin::of(Racks::read($two));
        [$whole, $both] = [self::settled($one->machine), self::settled($apart->machine)];

        self::assertEqualsWithDelta($whole->condensing, $both->condensing, 0.01 * $whole->condensing);
        self::assertEqualsWithDelta($whole->cooling, $both->cooling, 0.01 * $whole->cooling);
        self::assertEqualsWithDelta($whole->power, $both->power, 0.02 * $whole->power);
        self::assertEqualsWithDelta($whole->level, $both->level, 0.02);
    }

    public function test_with_a_compressor_out_only_its_own_header_rises(): void
    {
        $warm = Racks::store(36, 26, 60);
        $sound = self::settled(self::twin()->machine, $warm);
        $out = self::sick(
            new RackIll(Fault::CompressorOut, 1.0, compressor: 0, group: PartId::of(self::LT)),
            $warm,
        );

        self::assertGreaterThan(1.05 * $sound->groups[self::LT]->suction, $out->groups[self::LT]->suction);
        self::assertTrue($out->groups[self::LT]->allRun);
        self::assertEqualsWithDelta(
            $sound->groups[self::MT]->suction,
            $out->groups[self::MT]->suction,
            0.01 * $sound->groups[self::MT]->suction,
        );
    }

    public function test_a_wrong_set_point_of_one_group_warms_that_groups_circuits_alone(): void
    {
        $store = Racks::store(25);
        $sound = self::settled(self::twin()->machine);
        $wrong = self::sick(new RackIll(Fault::SuctionSetWrong, 0.6, group: PartId::of(self::LT)), $store);

        foreach (['circuit 6', 'circuit 7', 'circuit 8'] as $frozen) {
            self::assertGreaterThan(
                (float) $sound->circuits[$frozen]->warmest() + 1.0,
                $wrong->circuits[$frozen]->warmest(),
            );
        }
        foreach (['circuit 1', 'circuit 4'] as $chilled) {
            self::assertEqualsWithDelta(
                $sound->circuits[$chilled]->warmest(),
                $wrong->circuits[$chilled]->warmest(),
                0.3,
            );
        }
    }

    public function test_a_shortage_is_felt_by_both(): void
    {
        $warm = Racks::store(36, 26, 60);
        $sound = self::settled(self::twin()->machine, $warm);
        $short = self::sick(new RackIll(Fault::Undercharge, 0.9), $warm);

        self::assertLessThan(0.02, $short->level);
        foreach (['circuit 4', 'circuit 7'] as $circuit) {
            $over = static fn (RackState $of): float => $of->circuits[$circuit]->cases[0]->superheat;
            self::assertGreaterThan($over($sound) + 0.5, $over($short), $circuit);
        }
    }

    public function test_a_group_whose_circuits_all_stand_takes_nothing(): void
    {
        $machine = self::twin()->machine;
        $states = array_fill_keys(['circuit 6', 'circuit 7', 'circuit 8'], BranchState::Drained);
        $state = (new RackSolver($machine, Racks::store(25), $states))->find();

        self::assertNotNull($state);
        self::assertLessThan(1e-3, $state->groups[self::LT]->running);
        self::assertLessThan(1.0, $state->groups[self::LT]->power);
        self::assertGreaterThan(1e3, $state->groups[self::MT]->power);
    }

    public function test_each_group_has_the_circuit_that_is_its_limit_and_a_saving_of_its_own(): void
    {
        $found = TwoGroups::of();
        $twin = self::twin($found);
        $needs = $twin->needs($found);

        self::assertLessThan($needs['circuit 4'], $needs['circuit 7'], 'ice cream needs the colder header');
        [$medium, $low] = array_map(
            static fn (string $part): ?float => $twin->saving($found, PartId::of($part), 1.0),
            [self::MT, self::LT],
        );
        self::assertGreaterThan(0.003, $medium);
        self::assertGreaterThan(0.003, $low);
        self::assertLessThan(0.05, $medium + $low, 'a kelvin of both is 2 to 4 % of the power');
    }

    public function test_at_any_rack_in_any_weather_mass_and_flow_balance_group_by_group(): void
    {
        $dice = new Dice(43);
        $settled = 0;
        for ($i = 0; $i < self::PLANTS; $i++) {
            $plant = self::halved((new RandomRacks($dice))->plant());
            $twin = RackTwin::of(new RackFindings($plant));
            $state = $twin->at(Racks::store($dice->between(-8, 36), 22, $dice->between(30, 65)));
            if ($state === null) {
                continue;
            }
            $settled++;
            $machine = $twin->machine;
            $fluid = $machine->fluid();
            $gas = $fluid->vapourDensity($fluid->dewTemperature($state->condensing));
            $liquid = $fluid->liquidDensity($fluid->bubbleTemperature($state->condensing));
            self::assertEqualsWithDelta(
                $machine->charge,
                array_sum($state->held) + $state->level * $machine->high->receiverVolume * ($liquid - $gas),
                0.01 * $machine->charge,
                'kg of plant '.$i,
            );
            $flows = array_map(static fn (GroupState $one): float => $one->flow, $state->groups);
            self::assertEqualsWithDelta($state->flow, array_sum($flows), 1e-6, 'all that circuits send is drawn');
            foreach ($machine->groups as $group) {
                $own = $state->groups[$group->part->value];
                self::assertGreaterThan(0.999 * $group->setSuction, $own->suction, 'no header below its set point');
                self::assertLessThanOrEqual(1.0, $own->running);
                if ($own->suction > 1.01 * $group->setSuction) {
                    self::assertTrue($own->allRun, 'a header rises only once all run');
                }
            }
        }
        self::assertGreaterThan(self::PLANTS - 4, $settled);
    }

    /** Every other circuit on a second group with as many compressors. */
    private static function halved(Installation $plant): Installation
    {
        [$first] = $plant->groups;
        $second = PartId::of(self::LT);
        $branches = [];
        foreach ($plant->branches as $place => $branch) {
            $branches[] = $place % 2 === 0 ? $branch : $branch->drawingOn($second);
        }
        $groups = [$first, new SuctionGroup($second, $first->hold, false, $first->compressors)];

        return new Installation($plant->highSide, $groups, $branches, $plant->atmosphere);
    }

    public function test_a_day_runs_through_both_groups_with_their_defrosts(): void
    {
        $machine = self::twin()->machine;
        $frozen = ['circuit 6' => BranchState::Drained];
        $moments = RackDay::of(
            $machine,
            Racks::store(25),
            static fn (int $minute): array => $minute >= 360 && $minute < 390 ? $frozen : [],
            ['circuit 6' => 4e3],
        );

        self::assertCount(96, $moments);
        $at = static fn (int $minute): RackMoment => $moments[intdiv($minute, 15)];
        self::assertSame(['circuit 6'], $at(375)->standing);
        self::assertLessThan(
            $at(345)->state->groups[self::LT]->flow,
            $at(375)->state->groups[self::LT]->flow,
            'its group draws less meanwhile',
        );
        self::assertEqualsWithDelta(
            $at(345)->state->groups[self::MT]->suction,
            $at(375)->state->groups[self::MT]->suction,
            0.01 * $at(345)->state->groups[self::MT]->suction,
        );
        self::assertSame('circuit 6', $at(390)->warmest, 'it is pulled down again');
    }

    public function test_a_receiver_is_judged_by_what_both_groups_hold(): void
    {
        $found = TwoGroups::of([], ['receiver_level_percent' => 30]);
        $charge = RackCharge::of(RackExamination::of($found));

        self::assertNotNull($charge);
        self::assertEqualsWithDelta(
            (0.5 - 0.3) * $charge->whole(),
            $charge->missing(),
            0.08 * $charge->whole(),
            'the level was told at 50 %',
        );
        $shut = TwoGroups::of([], ['receiver_level_percent' => 30], circuits: [
            'Ice cream' => ['observations' => ['shut' => 'by_us']],
            'Freezer' => ['observations' => ['shut' => 'by_us']],
        ]);
        self::assertGreaterThan(
            $charge->expected->value,
            RackCharge::of(RackExamination::of($shut))?->expected->value,
            'what shut coils held stands in the receiver',
        );
    }
}
