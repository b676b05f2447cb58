<?php

namespace App\Console;

use Metrum\Diagnosis\CurveSet;
use Metrum\Learning\Calibration;
use Metrum\Learning\DrawnVisit;
use Metrum\Learning\Measured;

/** Learns one set of curves from drawn visits and writes it to its file in data/. */
abstract class LearningVisits extends LearningCommand
{
    abstract protected function set(): CurveSet;

    protected function lines(int $seed, int $from, int $to): array
    {
        $patients = Calibration::patients($this->set(), $seed);
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
        [$file, $reached] = Calibration::file($visits, $seed, $this->shown(), $this->set());
        $row = static fn (string $name, Measured $one): array => [$name, ...array_values($one->row())];
        $this->written($file, array_map($row, array_keys($reached), $reached));
    }

    protected function print(): string
    {
        return Calibration::drawnBy($this->set());
    }
}
