<?php

declare(strict_types=1);

namespace Tests\Core\Learning;

use Metrum\Diagnosis\Conditions;
use Metrum\Diagnosis\Grade;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Installation\Circuit;
use Metrum\Installation\Kind;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Learning\Circumstances;
use Metrum\Learning\ExpertCurves;
use Metrum\Learning\Extent;
use Metrum\Learning\PlantAsBuilt;
use Metrum\Learning\SpokenAnswers;
use Metrum\Twin\Dice;
use Metrum\Twin\Machine;
use Metrum\Twin\Sizing;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;
use PHPUnit\Framework\TestCase;

/** Visits are drawn as plants are met: by what a fault costs, in its weather, in people's words. */
final class DrawnAsMetTest extends TestCase
{
    private static function machine(string $head): Machine
    {
        $usual = Kind::WalkInCooler->usual();
        $system = ['condenser' => 'air_outdoor', 'head_pressure_control' => $head, 'receiver' => true];

        return (new Sizing(
            Circuit::fromWords($system + $usual->system + ['refrigerant' => 'R-448A'], $usual->design),
        ))->machine();
    }

    /** @return array<string, int> how often each grade comes of a fault, and how often nobody would notice */
    private static function grades(Fault $fault, float $severity): array
    {
        $machine = self::machine('fan_cycling');
        $around = new Surroundings(303.15, $machine->design->box);
        $sound = (new SteadyState($machine, $around))->find();
        $met = ['mild' => 0, 'moderate' => 0, 'severe' => 0, 'unnoticed' => 0];
        for ($seed = 0; $seed < 90; $seed++) {
            $extent = new Extent(new Dice($seed), $machine);
            $ills = $extent->drawn([[$fault, null, $severity]], $around, $sound);
            $state = (new SteadyState($extent->sick($ills), $around))->find($sound->solution);
            $met[$extent->grade($sound, $state)->value]++;
            $lost = 1 - $state->cooling / $sound->cooling;
            $head = $state->reading(Reading::DischargePressure) / $sound->reading(Reading::DischargePressure) - 1;
            $met['unnoticed'] += $lost < 0.02 && $head < 0.02 ? 1 : 0;
        }

        return $met;
    }

    public function test_a_fault_is_met_as_often_mild_as_moderate_as_severe(): void
    {
        foreach ([Fault::CompressorInefficient, Fault::EvaporatorIced, Fault::ValveUnderfeeding] as $fault) {
            $met = self::grades($fault, 1.0);
            foreach (Grade::cases() as $grade) {
                self::assertGreaterThan(15, $met[$grade->value], $fault->value.' '.$grade->value);
                self::assertLessThan(50, $met[$grade->value], $fault->value.' '.$grade->value);
            }
            self::assertLessThan(10, $met['unnoticed'], $fault->value);
        }
    }

    public function test_what_a_receiver_hides_has_gone_on_until_it_shows(): void
    {
        self::assertLessThan(25, self::grades(Fault::Undercharge, 0.1)['unnoticed']);
    }

    public function test_what_costs_nothing_is_as_far_gone_as_it_was_drawn(): void
    {
        $machine = self::machine('fan_cycling');
        $around = new Surroundings(303.15, $machine->design->box);
        $sound = (new SteadyState($machine, $around))->find();
        $ills = [[Fault::ValveOverfeeding, null, 0.37]];
        self::assertSame($ills, (new Extent(new Dice(1), $machine))->drawn($ills, $around, $sound));
    }

    public function test_a_plant_with_nothing_to_hold_its_head_is_met_in_the_cold_for_that_alone(): void
    {
        $coldest = static function (string $head, Fault $fault): float {
            $machine = self::machine($head);
            $met = [];
            for ($seed = 0; $seed < 200; $seed++) {
                $met[] = (new Circumstances(new Dice($seed)))->weather($machine, [[$fault, null, 0.5]])->ambient;
            }

            return min($met) - 273.15;
        };
        self::assertGreaterThan(15.0, $coldest('none', Fault::CompressorInefficient));
        self::assertLessThan(0.0, $coldest('none', Fault::HeadPressureLow));
        self::assertLessThan(0.0, $coldest('fan_cycling', Fault::CompressorInefficient));
    }

    public function test_heads_are_held_at_what_old_valves_want_or_at_what_newer_ones_do_with(): void
    {
        $machine = self::machine('flooding_valve');
        $held = [];
        for ($seed = 0; $seed < 100; $seed++) {
            $held[] = (new PlantAsBuilt(new Dice($seed)))->of($machine, false)->head->setting - 273.15;
        }
        self::assertEqualsWithDelta(32.0, max($held), 1.0);
        self::assertEqualsWithDelta(20.0, min($held), 1.0);
    }

    /** @return array<string, int> how often each is heard in 600 visits */
    private static function heard(Kind $kind, Fault $fault): array
    {
        $conditions = new Conditions(new Findings(Circuit::plain($kind)), false);
        $heard = array_fill_keys(array_column(Complaint::cases(), 'value'), 0);
        for ($seed = 0; $seed < 600; $seed++) {
            foreach ((new SpokenAnswers(new Dice($seed), $conditions))->complaints([[$fault, null, 0.8]]) as $one) {
                $heard[$one->value]++;
            }
        }

        return $heard;
    }

    public function test_too_warm_a_box_is_too_little_ice_at_an_ice_machine(): void
    {
        foreach ([Fault::SuctionRestriction, Fault::Undercharge, Fault::CondenserAirflowLow] as $fault) {
            $ice = self::heard(Kind::IceMachine, $fault);
            self::assertSame(0, $ice['too_warm']);
            self::assertGreaterThan(100, $ice['low_production'], $fault->value);
            $box = self::heard(Kind::WalkInCooler, $fault);
            self::assertSame(0, $box['low_production']);
            self::assertGreaterThan(100, $box['too_warm'], $fault->value);
        }
        // So it tells hardly anything between faults that both cost ice.
        $experts = new ExpertCurves();
        self::assertEqualsWithDelta(
            $experts->ofComplaint(Fault::SuctionRestriction, Complaint::LowProduction),
            $experts->ofComplaint(Fault::ValveUnderfeeding, Complaint::LowProduction),
            0.3,
        );
    }

    public function test_who_looks_is_wrong_as_often_as_such_a_look_is_and_not_twice(): void
    {
        $machine = self::machine('fan_cycling');
        $state = (new SteadyState($machine, new Surroundings(303.15, $machine->design->box)))->find();
        $conditions = new Conditions(new Findings($machine->circuit), false);
        $running = 0;
        for ($seed = 0; $seed < 6000; $seed++) {
            $told = new SpokenAnswers(new Dice($seed), $conditions);
            $running += $told->answer(Observation::EvaporatorFans, $state, []) === Word::AllRunning ? 1 : 0;
        }
        // Fans that stand are seen where they are what is wrong; else one of the four words is said by mistake.
        $slip = Observation::EvaporatorFans->row()->look->slip();
        self::assertEqualsWithDelta(1 - $slip + $slip / 4, $running / 6000, 0.005);
    }

    public function test_fans_that_all_run_leave_a_dirty_coil_possible(): void
    {
        $experts = new ExpertCurves();
        $allRun = static fn (Fault $fault): float => $experts->ofSign($fault, Sign::Fans, [0.0])[0];
        $gap = $allRun(Fault::NoFault) - $allRun(Fault::EvaporatorAirflowLow);
        self::assertGreaterThan(0.2, $gap);
        self::assertLessThan(1.0, $gap);
        self::assertGreaterThan(2.0, $allRun(Fault::NoFault) - $allRun(Fault::FanDelayHolding));
        $stands = static fn (Fault $fault): float => $experts->ofSign($fault, Sign::Fans, [-10.0])[0];
        self::assertGreaterThan(2.0, $stands(Fault::EvaporatorAirflowLow) - $stands(Fault::NoFault));
    }
}
