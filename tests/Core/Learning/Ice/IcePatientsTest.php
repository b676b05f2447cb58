<?php

declare(strict_types=1);

namespace Tests\Core\Learning\Ice;

use Metrum\Data\Knowledge;
use Metrum\Diagnosis\CurveSet;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Learning\Calibration;
use Metrum\Learning\DrawnVisit;
use Metrum\Learning\Ice\IcePatients;
use PHPUnit\Framework\TestCase;

/** Drawn visits to ice machines, and the curves that were learned from them. */
final class IcePatientsTest extends TestCase
{
    private const VISITS = 60;

    public function test_the_same_number_gives_the_same_visit(): void
    {
        $once = DrawnVisit::of(3, (new IcePatients(5))->number(3))->line();

        self::assertSame($once, DrawnVisit::of(3, (new IcePatients(5))->number(3))->line());
    }

    public function test_they_have_what_a_cycle_can_show_and_nothing_of_a_box(): void
    {
        $patients = new IcePatients(7);
        $faults = [];
        for ($number = 0; $number < self::VISITS; $number++) {
            $patient = $patients->number($number);
            $findings = $patient->findings;
            $faults[$patient->fault()->value] = true;

            self::assertTrue(IcePatients::isLearned($patient->fault()));
            self::assertTrue($findings->circuit->makesBatches());
            self::assertNull($findings->reading(Reading::BoxTemperature));
            self::assertNull($findings->reading(Reading::SupplyAirTemperature));
            if ($patient->fault() !== Fault::NoFault) {
                self::assertNotNull($patient->grade);
            }
        }
        self::assertGreaterThan(10, count($faults));
    }

    public function test_most_sound_machines_show_no_sign_far_off(): void
    {
        $patients = new IcePatients(11);
        $off = $all = 0;
        for ($number = 0; $all < 120; $number++) {
            $patient = $patients->number($number);
            if ($patient->fault() !== Fault::NoFault) {
                continue;
            }
            foreach (DrawnVisit::of($number, $patient)->features as $name => $value) {
                if (is_float($value) && str_starts_with($name, 'sign ')) {
                    $all++;
                    $off += abs($value) > 3.5 ? 1 : 0;
                }
            }
        }
        self::assertLessThan(0.06 * $all, $off);
    }

    public function test_the_curves_were_learned_by_these_features_from_this_twin(): void
    {
        $file = Knowledge::file(CurveSet::Ice->value);
        self::assertSame(
            Calibration::fingerprint(CurveSet::Ice),
            $file->text('features'),
            'run metrum:calibrate-ice',
        );
        $probes = $file->given('probes');
        self::assertIsArray($probes);
        foreach (Calibration::probes(CurveSet::Ice) as $i => $probe) {
            self::assertSame(array_keys($probe), array_keys($probes[$i]), 'another twin: run metrum:calibrate-ice');
            foreach ($probe as $feature => $value) {
                self::assertEqualsWithDelta($value, $probes[$i][$feature], 0.03, "$feature: run metrum:calibrate-ice");
            }
        }
    }
}
