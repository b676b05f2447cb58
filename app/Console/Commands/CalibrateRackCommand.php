<?php

namespace App\Console\Commands;

use App\Console\LearningCommand;
use Metrum\Learning\Rack\RackCalibration;
use Metrum\Learning\Rack\RackPatients;
use Metrum\Learning\Rack\RackRow;
use Metrum\Refrigerant\OutsideTable;

/** Learns the curves of a rack's diagnosis from drawn racks and writes data/rack-curves.json. */
final class CalibrateRackCommand extends LearningCommand
{
    protected const DRAWN = 12000;

    protected const FILE = 'rack-curves';

    protected $name = 'metrum:calibrate-rack';

    protected $description = 'Learn the diagnosis of racks from simulated racks';

    protected function lines(int $seed, int $from, int $to): array
    {
        $patients = new RackPatients($seed);
        $lines = [];
        for ($number = $from; $number < $to; $number++) {
            try {
                foreach (RackRow::of($number, $patients->number($number)) as $row) {
                    $lines[] = $row->line();
                }
            } catch (OutsideTable) {
                // Such a rack cannot be built with its refrigerant: nobody has one.
                continue;
            }
        }

        return $lines;
    }

    protected function fit(int $seed, int $parts): void
    {
        $rows = [];
        foreach ($this->drawn($seed, $parts) as $line) {
            $rows[] = RackRow::fromLine($line);
        }
        [$file, $reached] = RackCalibration::file($rows, $seed, $this->shown());
        $this->written(
            $file,
            array_map(
                static fn (string $name, array $one): array => [$name, ...$one, ''],
                array_keys($reached),
                array_values($reached),
            ),
        );
    }

    protected function print(): string
    {
        return RackCalibration::drawnBy();
    }
}
