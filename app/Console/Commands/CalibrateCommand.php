<?php

namespace App\Console\Commands;

use App\Console\LearningCommand;
use Metrum\Learning\Calibration;
use Metrum\Learning\DrawnVisit;
use Metrum\Learning\Measured;
use Metrum\Learning\Patients;

/** Learns the curves of the diagnosis from simulated plants and writes data/curves.json. */
final class CalibrateCommand extends LearningCommand
{
    protected $signature = 'metrum:calibrate
        {--plants=56000 : how many visits are drawn}
        {--seed=2026 : the same seed gives the same file}
        {--out= : where the file goes; data/curves.json where nothing is said}
        {--compiled : go on in this process (used by the command itself)}
        {--part= : draw one part only (used by the command itself)}
        {--drawn-by= : of which twin the part is (used by the command itself)}';

    protected $description = 'Learn the diagnosis from simulated plants';

    protected function lines(int $seed, int $from, int $to): array
    {
        $patients = new Patients($seed);
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
        [$file, $reached] = Calibration::file($visits, $seed, $this->shown());
        $row = static fn (string $name, Measured $one): array => [$name, ...array_values($one->row())];
        $this->written($file, 'data/curves.json', array_map($row, array_keys($reached), $reached));
    }

    protected function print(): string
    {
        return Calibration::drawnBy();
    }
}
