<?php

namespace App\Console\Commands;

use App\Console\LearningVisits;
use Metrum\Diagnosis\CurveSet;

/** Learns the curves of the diagnosis from simulated plants and writes data/curves.json. */
final class CalibrateCommand extends LearningVisits
{
    protected const DRAWN = 56000;

    protected const FILE = 'curves';

    protected $name = 'metrum:calibrate';

    protected $description = 'Learn the diagnosis from simulated plants';

    protected function set(): CurveSet
    {
        return CurveSet::Settling;
    }
}
