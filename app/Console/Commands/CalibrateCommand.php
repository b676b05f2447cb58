<?php

namespace App\Console\Commands;

use App\Console\LearningVisits;
use Metrum\Diagnosis\CurveSet;

/** Learns the curves of the diagnosis from simulated plants and writes data/curves.json. */
final class CalibrateCommand extends LearningVisits
{
    protected $signature = 'metrum:calibrate
        {--plants=56000 : how many visits are drawn}
        {--seed=2026 : the same seed gives the same file}
        {--out= : where the file goes; data/curves.json where nothing is said}
        {--compiled : go on in this process (used by the command itself)}
        {--part= : draw one part only (used by the command itself)}
        {--drawn-by= : of which twin the part is (used by the command itself)}';

    protected $description = 'Learn the diagnosis from simulated plants';

    protected function set(): CurveSet
    {
        return CurveSet::Settling;
    }
}
