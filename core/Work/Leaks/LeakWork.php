<?php

declare(strict_types=1);

namespace Metrum\Work\Leaks;

use Metrum\Log\FactKind;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Work\Assessment;

/** What became of the search for a leak at a visit: found where, mended or not, tested again. */
final readonly class LeakWork
{
    private const CONFIRM = 'leak_confirm.done';

    private const SEARCH = 'leak_search.done';

    public function __construct(private Assessment $assessment)
    {
    }

    /** Null where none was searched for. */
    public function end(): ?LeakEnd
    {
        $isFound = $this->places() !== [];

        return match ($this->last(self::CONFIRM)) {
            'mended' => LeakEnd::Mended,
            'still' => LeakEnd::Still,
            'quoted' => LeakEnd::Found,
            'unproven' => LeakEnd::Unproven,
            default => match (true) {
                $isFound => LeakEnd::Found,
                $this->last(self::SEARCH) !== null => LeakEnd::NotFound,
                default => null,
            },
        };
    }

    public function isMended(): bool
    {
        return $this->last(self::CONFIRM) === 'mended';
    }

    /** Whether one was found and is not mended, or was searched for in vain. */
    public function isOpen(): bool
    {
        return ! $this->isMended() && ($this->last(self::SEARCH) !== null || $this->last(self::CONFIRM) !== null);
    }

    /** @return list<LeakPlace> where one was found */
    public function places(): array
    {
        return SearchLog::search($this->assessment)->found();
    }

    /** How a card of the search ended last; null where it did not. */
    private function last(string $key): ?string
    {
        $end = null;
        foreach ($this->assessment->log->history(FactKind::Card) as $fact) {
            $end = $fact->content->key === $key ? StepTaken::outcome($fact->content)?->key : $end;
        }

        return $end;
    }
}
