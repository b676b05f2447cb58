<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Diagnosis\Causes;
use Metrum\Diagnosis\Conditions;
use Metrum\Diagnosis\ConfirmedFaults;
use Metrum\Diagnosis\Curves;
use Metrum\Diagnosis\CurveSet;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\Examination;
use Metrum\Diagnosis\FaultPair;
use Metrum\Diagnosis\Features;
use Metrum\Diagnosis\Grade;
use Metrum\Diagnosis\LookAlikes;
use Metrum\Diagnosis\Scale;
use Metrum\Diagnosis\Weighing;
use Metrum\Diagnosis\Words;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Learning\Patients;
use Metrum\Twin\Twins;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** The verdict is the sum of its pieces, whatever their order; nothing else is in it. */
final class WeighingTest extends TestCase
{
    public function test_order_does_not_matter(): void
    {
        $findings = self::short();
        $turned = new Findings(
            $findings->circuit,
            $findings->state,
            array_reverse($findings->complaints),
            array_reverse($findings->readings, true),
            array_reverse($findings->observations, true),
        );
        $a = self::weigh($findings)->byFault();
        foreach (self::weigh($turned)->byFault() as $fault => $probability) {
            self::assertEqualsWithDelta($a[$fault], $probability, 1e-9, $fault);
        }
    }

    /** J-12. */
    public function test_two_faults_at_once_are_named_where_one_leaves_something_over_and_seldom_else(): void
    {
        $patients = new Patients(815);
        $together = new FaultPair(Curves::learned(), new HouseRules());
        $named = ['right' => 0, 'wrong' => 0, 'though one' => 0];
        foreach (range(0, 109) as $number) {
            foreach ([true, false] as $twice) {
                $patient = $patients->number($number, $twice, true);
                $examined = Examination::of($patient->findings, new HouseRules(), new Twins());
                $pair = $together->of($examined, new Weighing(Curves::learned(), $examined));
                if ($pair === null) {
                    continue;
                }
                $ills = array_column($patient->ills, 0);
                $right = in_array($pair[0], $ills, true) && in_array($pair[1], $ills, true);
                $named[$right ? 'right' : (count($ills) > 1 ? 'wrong' : 'though one')]++;
            }
        }
        self::assertGreaterThan(3, $named['right'], (string) json_encode($named));
        self::assertGreaterThan(2 * ($named['wrong'] + $named['though one']), $named['right']);
    }

    public function test_the_pieces_together_are_the_ranking(): void
    {
        $weighing = self::weigh(self::short());
        foreach ($weighing->curves->faults as $place => $fault) {
            $sum = $weighing->prior[$place];
            foreach ($weighing->evidence as $piece) {
                $sum += $piece->weights[$place];
            }
            self::assertEqualsWithDelta($sum, $weighing->scores[$place], 1e-9, $fault->value);
        }
        self::assertEqualsWithDelta(1.0, array_sum($weighing->byFault()), 1e-9);
        // What is told for a suspect beside another adds up to how far apart they stand.
        $told = static fn (Fault $fault): float => array_sum(array_column($weighing->weightsFor($fault), 1));
        $place = $weighing->curves->placeOf(...);
        $apart = static fn (Fault $fault): float => $weighing->scores[$place($fault)] -
            $weighing->prior[$place($fault)];
        self::assertEqualsWithDelta(
            $apart(Fault::Undercharge) - $apart(Fault::Overcharge),
            $told(Fault::Undercharge) - $told(Fault::Overcharge),
            1e-6,
        );
    }

    public function test_a_figure_as_it_stands_is_told_with_its_sign_and_alone_where_it_has_none(): void
    {
        $weighing = self::weigh(self::short());
        $curves = Curves::learned();
        $told = array_column($weighing->evidence, null, 'feature');
        $sign = 'sign superheat_suction';
        $figure = 'figure evaporator_superheat_k';
        self::assertArrayNotHasKey($figure, $told, 'one thing that was found is said once');
        foreach ([Fault::Undercharge, Fault::ValveOverfeeding, Fault::CondenserAirflowLow] as $fault) {
            $place = $curves->placeOf($fault);
            $both = 0.0;
            foreach ([$sign, $figure] as $feature) {
                $both += $curves->weightsOf($feature, $weighing->features[$feature])[$place] ?? 0.0;
            }
            // A superheat above what is expected is nothing for a valve that feeds too much, whatever its curves say.
            $counts = $told[$sign]->isOnOtherSide($fault) ? min(0.0, $both) : $both;
            self::assertEqualsWithDelta($counts, $told[$sign]->weights[$place], 1e-9, $fault->value);
        }
        self::assertTrue($told[$sign]->isOnOtherSide(Fault::ValveOverfeeding));
        self::assertFalse($told[$sign]->isOnOtherSide(Fault::Undercharge));
        $alone = $told['figure condenser_approach_k']->figure ?? self::fail('liquid above air is told alone');
        self::assertEqualsWithDelta(32.6 - 25, $alone->si, 0.01);
    }

    /** Liquid as cold as the air has stood in the condenser; foreign gas leaves it as warm as ever. */
    public function test_liquid_as_cold_as_the_air_is_too_much_refrigerant_rather_than_foreign_gas(): void
    {
        $head = ['discharge_pressure_kpa' => 2150, 'discharge_temperature_c' => 88];
        $apart = static function (float $liquid) use ($head): float {
            $pipes = ['condenser_outlet_temperature_c' => $liquid, 'receiver_outlet_temperature_c' => $liquid];
            $by = self::weigh(Visits::cooler([...$head, ...$pipes]))->byFault();

            return log($by['overcharge'] / $by['non_condensables']);
        };
        self::assertGreaterThan($apart(36.0) + 0.2, $apart(27.0));
    }

    public function test_missing_is_not_zero(): void
    {
        $starved = [
            'suction_pressure_kpa' => 225,
            'discharge_pressure_kpa' => 1480,
            'ambient_temperature_c' => 25,
            'box_temperature_c' => 4,
            'suction_temperature_evaporator_c' => 3,
        ];
        $without = Visits::of(['readings' => $starved] + Visits::COOLER);
        $with = Visits::of(
            ['readings' => $starved + ['receiver_outlet_temperature_c' => 30.5]] + Visits::COOLER,
        );
        $short = static fn (Findings $findings): float => self::weigh($findings)->byFault()['undercharge'];
        self::assertLessThan(
            0.9 * $short($without),
            $short($with),
            'good subcooling speaks against a shortage',
        );
    }

    public function test_no_single_wrong_word_flips_a_well_evidenced_verdict(): void
    {
        $findings = self::short();
        self::assertGreaterThan(0.85, self::weigh($findings)->byFault()['undercharge']);
        foreach (Observation::cases() as $asked) {
            if (! $asked->taking()->fit->asks($findings->circuit) || $asked === Observation::Compressor) {
                continue;
            }
            foreach ($asked->words() as $word) {
                $ranking = self::weigh($findings->with($asked, $word))->byFault();
                self::assertSame('undercharge', array_key_first($ranking), $asked->value.' '.$word->value);
            }
        }
    }

    public function test_every_fault_can_be_reached(): void
    {
        $curves = Curves::learned();
        $said = new Words($curves, new Conditions(Visits::of(Visits::COOLER), null));
        foreach ($curves->faults as $place => $fault) {
            if ($fault === Fault::NoFault) {
                // A sound plant is told by its figures.
                continue;
            }
            $most = $curves->prior[$place];
            foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
                $best = 0.0;
                foreach ($asked->words() as $word) {
                    $weights = $said->weights($asked, $word);
                    $others = array_diff_key($weights, [$place => 0]);
                    $best = max($best, $weights[$place] - array_sum($others) / count($others));
                }
                $most += $best;
            }
            foreach (Features::numbers(CurveSet::Settling) as $feature) {
                $most += self::best($curves, $place, $feature, Scale::knots($feature));
            }
            self::assertGreaterThan(3.0, $most, $fault->value);
        }
    }

    public function test_what_a_confirmed_fault_explains_is_taken_out(): void
    {
        $findings = self::short();
        $before = self::weigh($findings)->byFault();
        $after = self::weigh($findings->withConfirmed(Fault::Undercharge))->byFault();

        self::assertArrayNotHasKey('undercharge', $after);
        self::assertLessThan(0.5, max(array_diff_key($after, ['no_fault' => 0])), 'nothing else stands out');
        self::assertLessThan(
            $before['liquid_line_restriction'] / (1 - $before['undercharge']),
            $after['liquid_line_restriction'],
        );
    }

    public function test_a_second_fault_is_found_once_the_first_is_confirmed(): void
    {
        $patients = new Patients(77);
        $found = $count = 0;
        for ($i = 0; $count < 14; $i++) {
            $patient = $patients->number($i, true);
            if (count($patient->ills) < 2 || count($patient->findings->readings) < 9) {
                continue;
            }
            $count++;
            $left = self::weigh($patient->findings->withConfirmed($patient->ills[0][0]))->byFault();
            $found += in_array($patient->ills[1][0]->value, array_slice(array_keys($left), 0, 3), true) ? 1 : 0;
        }
        self::assertGreaterThan(0.5 * $count, $found);
    }

    public function test_a_cause_is_named_where_a_look_tells_it(): void
    {
        $cooler = Visits::of(Visits::COOLER);
        self::assertNull(Causes::of(Fault::EvaporatorAirflowLow, $cooler), 'nothing tells');
        $stopped = $cooler->with(Observation::EvaporatorFans, Word::SomeStopped);
        self::assertSame(
            'fans_stopped',
            Causes::of(Fault::EvaporatorAirflowLow, $stopped)[0]->cause->value ?? '',
        );
        $dirty = $cooler->with(Observation::EvaporatorFace, Word::Dirty);
        self::assertSame('face_dirty', Causes::of(Fault::EvaporatorAirflowLow, $dirty)[0]->cause->value ?? '');
        self::assertNull(Causes::of(Fault::Undercharge, $dirty), 'no causes are told apart');
    }

    public function test_a_fault_is_graded_by_what_it_costs(): void
    {
        self::assertSame(Grade::Mild, Grade::ofEffect(Grade::effect(0.03, 0.0)));
        self::assertSame(Grade::Moderate, Grade::ofEffect(Grade::effect(0.15, 0.0)));
        self::assertSame(Grade::Severe, Grade::ofEffect(Grade::effect(0.02, 14.0)));
        $verdict = (new Diagnosis())->of(self::short());
        self::assertSame(Grade::Severe, $verdict->first()->grade);
    }

    public function test_look_alikes_are_those_that_are_mixed_up(): void
    {
        $alike = new LookAlikes(Curves::learned(), new Conditions(Visits::of(Visits::COOLER), null));
        $names = array_column($alike->of(Fault::CondenserAirflowLow), 'value');
        self::assertNotSame([], array_intersect(['non_condensables', 'overcharge'], $names));
        foreach (Fault::cases() as $fault) {
            self::assertCount(3, $alike->of($fault), $fault->value);
            self::assertNotContains($fault, $alike->of($fault));
        }
        self::assertNotSame([], $alike->separators(Fault::EvaporatorIced, Fault::EvaporatorAirflowLow));
    }

    /**
     * By how much the best outcome of a feature speaks for a fault beside the others.
     *
     * @param  list<float|string>  $outcomes
     */
    private static function best(Curves $curves, int $place, string $feature, array $outcomes): float
    {
        $best = 0.0;
        foreach ($outcomes as $outcome) {
            $weights = $curves->weightsOf($feature, $outcome) ?? self::fail($feature);
            $others = array_diff_key($weights, [$place => 0]);
            $best = max($best, $weights[$place] - array_sum($others) / count($others));
        }

        return $best;
    }

    private static function short(): Findings
    {
        return Visits::of(
            [
                'complaint' => ['too_warm'],
                'readings' => [
                    'suction_pressure_kpa' => 205,
                    'discharge_pressure_kpa' => 1290,
                    'ambient_temperature_c' => 25,
                    'box_temperature_c' => 3.5,
                    'suction_temperature_evaporator_c' => 2.8,
                    'suction_temperature_compressor_c' => 12,
                    'receiver_outlet_temperature_c' => 32.5,
                    'condenser_outlet_temperature_c' => 32.6,
                    'receiver_level_percent' => 4,
                    'discharge_temperature_c' => 84,
                ],
                'observations' => [
                    'sight_glass' => 'bubbles',
                    'frost_coil' => 'inlet_only',
                    'valve_sound' => 'hissing_gas',
                ],
            ] + Visits::COOLER,
        );
    }

    private static function weigh(Findings $findings): Weighing
    {
        $rules = new HouseRules();
        $curves = Curves::learned();
        $examined = Examination::of($findings, $rules, new Twins());

        return new Weighing(
            $curves,
            $examined,
            ConfirmedFaults::at($examined, $findings->confirmed, $curves, $rules),
        );
    }
}
