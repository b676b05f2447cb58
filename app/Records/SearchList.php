<?php

namespace App\Records;

/** A list that can be searched, each on pages of its own and as a table. */
enum SearchList: string
{
    case Circuits = 'circuits';
    case Sites = 'sites';
    case FollowUps = 'follow-ups';
    case Notes = 'notes';
    case Cylinders = 'cylinders';

    public function label(): string
    {
        return match ($this) {
            self::Circuits => 'Circuits',
            self::Sites => 'Sites',
            self::FollowUps => 'Follow-ups',
            self::Notes => 'Notes and repairs',
            self::Cylinders => 'Cylinders',
        };
    }

    /** Whether a state of a circuit narrows it. */
    public function hasState(): bool
    {
        return $this === self::Circuits || $this === self::FollowUps || $this === self::Notes;
    }

    /** @return list<string> columns of its table */
    public function columns(): array
    {
        return match ($this) {
            self::Circuits => ['site', 'circuit', 'kind', 'refrigerant', 'last_visit', 'drifting', 'address'],
            self::Sites => ['site', 'place', 'contact', 'circuits', 'address'],
            self::FollowUps => ['due', 'what', 'site', 'circuit', 'done', 'address'],
            self::Notes => ['at', 'what', 'site', 'circuit', 'address'],
            self::Cylinders => ['cylinder', 'refrigerant', 'recovered', 'note', 'address'],
        };
    }
}
