<?php

namespace App\Console\Commands;

use App\Console\LearningCommand;
use Metrum\Diagnosis\CurveSet;
use Metrum\Learning\Calibration;
use Metrum\Learning\DrawnVisit;
use Metrum\Learning\Ice\IcePatients;
use Metrum\Learning\Measured;

/** Learns the curves of an ice machine's diagnosis from drawn ice machines and writes data/ice-curves.json. */
final class CalibrateIceCommand extends LearningCommand
{
    protected $signature = 'metrum:calibrate-ice
        {--plants=16000 : how many visits are drawn}
        {--seed=2026 : the same seed gives the same file}
        {--out= : where the file goes; data/ice-curves.json where nothing is said}
        {--compiled : go on in this process (used by the command itself)}
        {--part= : draw one part only (used by the command itself)}
        {--drawn-by= : of which twin the part is (used by the command itself)}';

    protected $description = 'Learn the diagnosis of ice machines from simulated ice machines';

    protected function lines(int $seed, int $from, int $to): array
    {
        $patients = new IcePatients($seed);
        $lines = [];
        for ($number = $from; $number < $to; $number++) {
            $lines[] = DrawnVisit::of($number, $patients->number($number))->line();
        }

        return $lines;
    }

    protected function fit(int $seed, int $parts): void
    {
        $visits = [];
        foreach ($this->drawn($seed, $parts) as $line) {
            $visits[] = DrawnVisit::fromLine($line);
        }
        [$file, $reached] = Calibration::file($visits, $seed, $this->shown(), CurveSet::Ice);
        $row = static fn (string $name, Measured $one): array => [$name, ...array_values($one->row())];
        $this->written($file, 'data/ice-curves.json', array_map($row, array_keys($reached), $reached));
    }

    protected function print(): string
    {
        return Calibration::drawnBy(CurveSet::Ice);
    }
}
