<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Gates;
use Metrum\Findings\Findings;
use Metrum\Findings\StandingFans;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Hazard;
use Metrum\Knowledge\Reading;
use Metrum\Work\OpenTouches;

/** What is thought of before a visit is left: what stands open, and what holds it. */
final readonly class Leaving
{
    /** Level of a receiver, 0 … 1, that is none. */
    private const EMPTY = 0.01;

    private OpenTouches $open;

    private Findings $found;

    public StandingFans $fans;

    public function __construct(private Desk $desk)
    {
        $assessment = $desk->assessment;
        // A visit to a rack is left as a whole.
        $this->open = OpenTouches::of($assessment->window->rack->log ?? $assessment->log);
        $this->found = $assessment->present()->findings();
        $this->fans = StandingFans::in($this->found, $assessment->rules);
    }

    /** What should be thought of before it is closed. @param  bool  $ranWell  whether it was marked as running well */
    public function closing(bool $ranWell): Gate
    {
        $verdict = $this->desk->verdict;
        $gates = new Gates($this->found, $verdict->figures, $this->desk->assessment->rules);

        return $gates->closing($verdict->contradictions, $ranWell);
    }

    /** @return list<array{string, PartId}> all that holds the visit open, with its part */
    public function heldOpen(): array
    {
        return $this->open->all();
    }

    /** @return list<array{string, PartId}> what was touched and is not put back, with its part */
    public function touched(): array
    {
        return array_values(array_filter(
            $this->open->all(),
            static fn (array $one): bool => Hazard::tryFrom($one[0]) === null,
        ));
    }

    /** @return list<string> what is often touched and does not stand open yet */
    public function touchable(): array
    {
        $keys = [...OpenTouches::OFTEN, ...array_column(Hazard::cases(), 'value')];

        return array_values(array_diff($keys, $this->open->keys()));
    }

    /** @return list<Hazard> that are made safe before anything else */
    public function hazards(): array
    {
        return $this->open->hazards();
    }

    public function isReceiverEmpty(): bool
    {
        $level = $this->found->reading(Reading::ReceiverLevel);

        return $level !== null && $level <= self::EMPTY;
    }
}
