<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

/** What a circuit of a rack does at one moment. */
enum BranchState: string
{
    case Cooling = 'cooling';
    /** Its solenoid is shut: satisfied, or in a defrost by air or heaters. */
    case Drained = 'drained';
    /** Hot gas flows through its coils backwards and condenses there. */
    case HotGas = 'hot_gas';
}
