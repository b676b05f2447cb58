<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** What is dangerous on the way to the work: made safe before anything else, and told in the report. */
enum Hazard: string
{
    case IcedOrWetFloor = 'iced_or_wet_floor';
    case HosesOverAWalkway = 'hoses_over_a_walkway';

    public function label(): string
    {
        return match ($this) {
            self::IcedOrWetFloor => 'Iced or wet floor',
            self::HosesOverAWalkway => 'Hoses or cables over a walkway',
        };
    }

    /** What makes it safe. */
    public function remedy(): string
    {
        return match ($this) {
            self::IcedOrWetFloor => 'Close off the area and clear or grit it before anyone walks there; '.
                'do not open anything electrical while standing in the wet.',
            self::HosesOverAWalkway => 'Route them along the wall or overhead, or close off the way, '.
                'before applying pressure or voltage.',
        };
    }
}
