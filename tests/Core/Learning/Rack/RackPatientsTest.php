<?php

declare(strict_types=1);

namespace Tests\Core\Learning\Rack;

use Metrum\Diagnosis\Rack\PlantSigns;
use Metrum\Diagnosis\Rack\RackCurves;
use Metrum\Diagnosis\Rack\RackExamination;
use Metrum\Diagnosis\Rack\RackSign;
use Metrum\Knowledge\Fault;
use Metrum\Learning\Rack\RackCalibration;
use Metrum\Learning\Rack\RackPatient;
use Metrum\Learning\Rack\RackPatients;
use Metrum\Learning\Rack\RackRow;
use PHPUnit\Framework\TestCase;

/** Drawn racks: the same by number, with what is wrong showing where the trade looks for it. */
final class RackPatientsTest extends TestCase
{
    private const DRAWN = 60;

    /** @var list<RackPatient> */
    private static array $patients = [];

    /** @return list<RackPatient> */
    private static function drawn(): array
    {
        $all = new RackPatients(5);

        return self::$patients === []
            ? self::$patients = array_map($all->number(...), range(0, self::DRAWN - 1))
            : self::$patients;
    }

    public function test_a_number_gives_the_same_rack(): void
    {
        self::assertEquals(self::drawn()[3], (new RackPatients(5))->number(3));
        self::assertNotEquals(self::drawn()[3], (new RackPatients(6))->number(3));
    }

    public function test_some_are_sound_some_have_what_all_share_and_some_have_both(): void
    {
        $ofPlant = $ofCircuit = $both = $sound = 0;
        foreach (self::drawn() as $patient) {
            $shared = $patient->ofPlant !== Fault::NoFault;
            $own = $patient->ofCircuit->fault !== Fault::NoFault;
            $both += $shared && $own ? 1 : 0;
            $ofPlant += $shared ? 1 : 0;
            $ofCircuit += $own ? 1 : 0;
            $sound += $shared || $own ? 0 : 1;
        }
        self::assertGreaterThan(4, $sound);
        self::assertGreaterThan(8, $ofPlant);
        self::assertGreaterThan(8, $ofCircuit);
        self::assertGreaterThan(1, $both);
    }

    public function test_a_shortage_takes_the_level_down_and_a_surplus_up(): void
    {
        $off = [];
        for ($number = 0; $number < 400 && count($off) < 12; $number++) {
            $patient = (new RackPatients(9))->number($number);
            $signs = (new PlantSigns(RackExamination::of($patient->findings)))->all();
            $isMeant = $patient->ofPlant === Fault::Undercharge || $patient->ofPlant === Fault::Overcharge;
            if ($isMeant && isset($signs[RackSign::LevelOff->value])) {
                $way = $patient->ofPlant === Fault::Undercharge ? -1 : 1;
                $off[] = $way * $signs[RackSign::LevelOff->value];
            }
        }
        self::assertCount(12, $off);
        sort($off);
        self::assertGreaterThan(0.5, $off[6], 'in the middle of them, deviations in the right direction');
    }

    public function test_a_row_is_read_back_and_fits(): void
    {
        $rows = [];
        foreach (self::drawn() as $number => $patient) {
            foreach (RackRow::of($number, $patient) as $row) {
                self::assertSame($row->line(), RackRow::fromLine($row->line())->line());
                $rows[] = $row;
            }
        }
        [$file, $reached] = RackCalibration::file($rows, 5, static function (): void {
        });
        self::assertGreaterThan(4, $reached['plant'][0], 'visits held back');
        $curves = RackCurves::of($file['plant']);
        self::assertSame(RackRow::faults(plant: true), $curves->faults);
    }
}
