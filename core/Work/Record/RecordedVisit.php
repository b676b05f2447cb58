<?php

declare(strict_types=1);

namespace Metrum\Work\Record;

use Metrum\Findings\Findings;
use Metrum\Knowledge\HouseRules;
use Metrum\Twin\Twins;

/** One visit in the record of its circuit. */
final readonly class RecordedVisit
{
    /** @param  bool  $ranWell  somebody marked it: here it ran as it should */
    public function __construct(public string $id, public bool $ranWell, public Departures $departures)
    {
    }

    /** One at which nothing was moved, as it was read at a moment (s since 1970). */
    public static function read(string $id, bool $ranWell, float $at, Findings $findings, Twins $twins): self
    {
        $point = HistoryPoint::read($at, $findings, new HouseRules(), $twins);

        return new self($id, $ranWell, new Departures($point === null ? [] : [$point], []));
    }

    /**
     * The record of a plant that was visited so; it ran well at the first two.
     *
     * @param  list<array{float, Findings}>  $visits  s since the first, and what was read
     * @return list<self>
     */
    public static function all(array $visits): array
    {
        $twins = new Twins();
        $all = [];
        foreach ($visits as $place => [$at, $findings]) {
            $all[] = self::read("visit $place", $place < 2, $at, $findings, $twins);
        }

        return $all;
    }
}
