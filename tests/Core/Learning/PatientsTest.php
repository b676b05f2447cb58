<?php

declare(strict_types=1);

namespace Tests\Core\Learning;

use Metrum\Data\Knowledge;
use Metrum\Diagnosis\Curves;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Learning\Calibration;
use Metrum\Learning\Circumstances;
use Metrum\Learning\InstrumentReadings;
use Metrum\Learning\Patients;
use Metrum\Twin\Dice;
use Metrum\Twin\Disorder;
use Metrum\Twin\PlantState;
use Metrum\Twin\RandomPlants;
use Metrum\Twin\Sizing;
use Metrum\Twin\SteadyState;
use PHPUnit\Framework\TestCase;

/** Simulated visits: drawn by number, entered as people enter them, and what was learned belongs to this twin. */
final class PatientsTest extends TestCase
{
    private const VISITS = 120;

    public function test_the_same_seed_and_number_give_the_same_visit(): void
    {
        foreach ([0, 7, 31] as $number) {
            self::assertEquals((new Patients(5))->number($number), (new Patients(5))->number($number));
        }
        self::assertNotEquals((new Patients(5))->number(1), (new Patients(6))->number(1));
    }

    public function test_visits_are_as_different_as_visits_are(): void
    {
        $patients = new Patients(12);
        $faults = $empty = $full = $named = $altered = [];
        for ($i = 0; $i < self::VISITS; $i++) {
            $patient = $patients->number($i);
            $faults[$patient->fault()->value] = true;
            $taken = count($patient->findings->readings);
            $empty[] = $taken <= 1;
            $full[] = $taken >= 15;
            $named[] = $patient->findings->circuit->design->evaporatorTd !== null;
            $altered[] = $patient->altered;
            self::assertTrue(Patients::isLearned($patient->fault()), $patient->fault()->value);
            self::assertSame($patient->ills === [], $patient->grade === null);
        }
        self::assertGreaterThan(15, count($faults));
        foreach (
            ['few' => $empty, 'much' => $full, 'design known' => $named, 'other laws' => $altered] as $what => $all
        ) {
            $share = count(array_filter($all)) / self::VISITS;
            self::assertGreaterThan(0.02, $share, $what);
            self::assertLessThan(0.9, $share, $what);
        }
    }

    public function test_two_things_can_be_wrong_and_a_whole_visit_has_all(): void
    {
        $patients = new Patients(3);
        $two = $patients->number(4, true);
        self::assertCount(2, $two->ills);
        self::assertNotSame($two->ills[0][0], $two->ills[1][0]);
        $part = $patients->number(4, false);
        $whole = $patients->number(4, false, true);
        self::assertGreaterThan(count($part->findings->observations), count($whole->findings->observations));
        self::assertGreaterThan(12, count($whole->findings->readings) + count($whole->findings->tests));
    }

    public function test_the_coil_is_measured_where_a_regulator_stands_before_the_gauge(): void
    {
        $patients = new Patients(44);
        $taken = ['with' => [], 'without' => []];
        for ($i = 0; $i < 2 * self::VISITS; $i++) {
            $findings = $patients->number($i)->findings;
            if (count($findings->readings) >= 8) {
                $taken[$findings->circuit->regulator === true ? 'with' : 'without'][] =
                    $findings->reading(Reading::EvaporatorPressure) !== null ? 1 : 0;
            }
        }
        $share = array_map(static fn (array $all): float => array_sum($all) / max(1, count($all)), $taken);
        self::assertGreaterThan(2 * $share['without'], $share['with']);
        self::assertGreaterThan(0.4, $share['with']);
        self::assertGreaterThan(0.02, $share['without']);
    }

    public function test_who_reads_something_off_a_plant_that_stands_says_that_it_stands(): void
    {
        $random = new RandomPlants(9);
        $machine = (new Sizing($random->circuit()))->machine();
        $around = $random->surroundings($machine);
        $stands = (new SteadyState(Disorder::in($machine, Fault::LiquidSolenoidShut, 1.0), $around))->findOrStand(null);
        $runs = (new SteadyState($machine, $around))->find();
        self::assertFalse($stands->runs());
        $open = ['stands, read' => 0, 'stands, nothing read' => 0, 'runs, nothing read' => 0];
        for ($seed = 0; $seed < 1000; $seed++) {
            $said = static fn (PlantState $state, bool $read): ?State => (new Circumstances(new Dice($seed)))->state(
                $state,
                $around,
                $machine,
                $read,
            );
            $open['stands, read'] += $said($stands, true) === State::Off ? 0 : 1;
            $open['stands, nothing read'] += $said($stands, false) === null ? 1 : 0;
            $open['runs, nothing read'] += $said($runs, false) === null ? 1 : 0;
        }
        self::assertSame(0, $open['stands, read']);
        // That nothing was read yet says nothing of whether it runs.
        self::assertGreaterThan(80, $open['runs, nothing read']);
        self::assertEqualsWithDelta($open['runs, nothing read'], $open['stands, nothing read'], 40);
    }

    public function test_a_clamp_is_drawn_toward_the_air_around_it(): void
    {
        $random = new RandomPlants(9);
        $machine = (new Sizing($random->circuit()))->machine();
        $state = (new SteadyState($machine, $random->surroundings($machine)))->find();
        $misses = [];
        for ($seed = 0; $seed < 300; $seed++) {
            $read = (new InstrumentReadings(new Dice($seed)))->of($state);
            $key = Reading::DischargeTemperature->value;
            $misses[] = $read[$key] - $state->readings[$key];
        }
        // A hot pipe reads too cold on the average, never by much.
        $mean = array_sum($misses) / count($misses);
        self::assertLessThan(-0.3, $mean);
        self::assertGreaterThan(-4.0, $mean);
    }

    public function test_the_curves_were_learned_by_these_features_from_this_twin(): void
    {
        $file = Knowledge::file('curves');
        self::assertSame(Calibration::fingerprint(), $file->text('features'), 'run metrum:calibrate');
        $probes = $file->given('probes');
        self::assertIsArray($probes);
        foreach (Calibration::probes() as $i => $probe) {
            self::assertSame(array_keys($probe), array_keys($probes[$i]), 'another twin: run metrum:calibrate');
            foreach ($probe as $feature => $value) {
                self::assertEqualsWithDelta(
                    $value,
                    $probes[$i][$feature],
                    0.03,
                    "$feature: run metrum:calibrate",
                );
            }
        }
    }

    public function test_every_fault_has_its_curves(): void
    {
        $curves = Curves::learned();
        self::assertCount(count(Fault::cases()), $curves->faults);
        foreach (Fault::cases() as $fault) {
            self::assertContains($fault, $curves->faults);
        }
        self::assertLessThan(3_000_000, filesize(dirname(__DIR__, 3).'/data/curves.json'));
    }
}
