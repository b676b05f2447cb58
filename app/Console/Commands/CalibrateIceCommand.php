<?php

namespace App\Console\Commands;

use App\Console\LearningVisits;
use Metrum\Diagnosis\CurveSet;

/** Learns the curves of an ice machine's diagnosis from drawn ice machines and writes data/ice-curves.json. */
final class CalibrateIceCommand extends LearningVisits
{
    protected $signature = 'metrum:calibrate-ice
        {--plants=16000 : how many visits are drawn}
        {--seed=2026 : the same seed gives the same file}
        {--out= : where the file goes; data/ice-curves.json where nothing is said}
        {--compiled : go on in this process (used by the command itself)}
        {--part= : draw one part only (used by the command itself)}
        {--drawn-by= : of which twin the part is (used by the command itself)}';

    protected $description = 'Learn the diagnosis of ice machines from simulated ice machines';

    protected function set(): CurveSet
    {
        return CurveSet::Ice;
    }
}
