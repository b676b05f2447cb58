<?php

namespace App\Console\Commands;

use App\Console\LearningVisits;
use Metrum\Diagnosis\CurveSet;

/** Learns the curves of an ice machine's diagnosis from drawn ice machines and writes data/ice-curves.json. */
final class CalibrateIceCommand extends LearningVisits
{
    protected const DRAWN = 24000;

    protected const FILE = 'ice-curves';

    protected $name = 'metrum:calibrate-ice';

    protected $description = 'Learn the diagnosis of ice machines from simulated ice machines';

    protected function set(): CurveSet
    {
        return CurveSet::Ice;
    }
}
