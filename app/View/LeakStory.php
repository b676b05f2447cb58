<?php

namespace App\View;

use Metrum\Work\Assessment;
use Metrum\Work\Leaks\LeakEnd;
use Metrum\Work\Leaks\LeakPlace;
use Metrum\Work\Leaks\LeakWork;

/** What became of the search for a leak at a visit, in a sentence for the owner. */
final readonly class LeakStory
{
    private LeakWork $work;

    public function __construct(Assessment $assessment)
    {
        $this->work = new LeakWork($assessment);
    }

    /** @return list<string> */
    public function forTheOwner(): array
    {
        $places = implode(', ', array_map(
            static fn (LeakPlace $one): string => lcfirst($one->label),
            $this->work->places(),
        ));
        $at = $places === '' ? '' : ' at: '.$places;

        return match ($this->work->end()) {
            LeakEnd::Mended => ["We found a leak$at, mended it, and tested it: tight."],
            LeakEnd::Still => ["We found a leak$at and mended it; it still leaks and has to be mended another way."],
            LeakEnd::Found => ["We found a leak$at. It is not mended yet."],
            LeakEnd::Unproven => ["We suspect a leak$at that could not be reached today."],
            LeakEnd::NotFound => ['We searched for a leak and found none; one may still be there.'],
            null => [],
        };
    }
}
