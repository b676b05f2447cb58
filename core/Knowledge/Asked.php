<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** One thing that is asked at a plant: a reading, an observation or a test. What is known of it is one row of data. */
interface Asked extends \BackedEnum
{
    public function label(): string;

    /** Where, how, for whom and at what cost it is taken. */
    public function taking(): Taking;
}
