<?php

namespace App\View;

use Metrum\Log\FactKind;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Work\Assessment;
use Metrum\Work\Leaks\LeakPlace;
use Metrum\Work\Leaks\SearchLog;

/** What became of the search for a leak at a visit: found where, mended or not, tested again. */
final readonly class LeakStory
{
    private const CONFIRM = 'leak_confirm.done';

    private const SEARCH = 'leak_search.done';

    public function __construct(private Assessment $assessment)
    {
    }

    /** How a card of the search ended last; null where it did not. */
    private function end(string $key): ?string
    {
        $end = null;
        foreach ($this->assessment->log->history(FactKind::Card) as $fact) {
            $end = $fact->content->key === $key ? StepTaken::outcome($fact->content)?->key : $end;
        }

        return $end;
    }

    public function isMended(): bool
    {
        return $this->end(self::CONFIRM) === 'mended';
    }

    /** Whether one was found and is not mended, or was searched for in vain. */
    public function isOpen(): bool
    {
        $searched = $this->end(self::SEARCH);

        return ! $this->isMended() && ($searched !== null || $this->end(self::CONFIRM) !== null);
    }

    /** "flare at the valve, coil bends"; empty where none was found. */
    private function places(): string
    {
        return implode(', ', array_map(
            static fn (LeakPlace $one): string => lcfirst($one->label),
            SearchLog::search($this->assessment)->found(),
        ));
    }

    /** @return list<string> */
    public function forTheOwner(): array
    {
        $at = $this->places() === '' ? '' : ' at: '.$this->places();
        $confirmed = $this->end(self::CONFIRM);
        $searched = $this->end(self::SEARCH);

        return array_filter([
            match (true) {
                $confirmed === 'mended' => "We found a leak$at, mended it, and tested it: tight.",
                $confirmed === 'still' => "We found a leak$at and mended it; it still leaks ".
                    'and has to be mended another way.',
                $confirmed === 'quoted' => "We found a leak$at. It is not mended yet.",
                $confirmed === 'unproven' => "We suspect a leak$at that could not be reached today.",
                $at !== '' => "We found a leak$at. It is not mended yet.",
                $searched !== null => 'We searched for a leak and found none; one may still be there.',
                default => '',
            },
        ]);
    }
}
