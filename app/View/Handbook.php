<?php

namespace App\View;

use Metrum\Data\Knowledge;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\FaultEntry;
use Metrum\Knowledge\Fault;

/** All faults, in the order in which a plant is thought through; searchable by any word of theirs. */
final readonly class Handbook
{
    /** @param  string  $sought  words of which each must be in an entry; none: all entries */
    public function __construct(public string $sought)
    {
    }

    /** @return array<string, list<FaultEntry>> by part of the plant; parts without an entry are left out */
    public function chapters(): array
    {
        $file = Knowledge::file('handbook');
        $chapters = [];
        foreach ($file->keys() as $part) {
            foreach ($file->words($part, Fault::class) as $fault) {
                $entry = FaultCatalogue::entry($fault);
                if ($this->has($entry)) {
                    $chapters[$part][] = $entry;
                }
            }
        }

        return $chapters;
    }

    private function has(FaultEntry $entry): bool
    {
        $text = mb_strtolower(
            implode(' ', [
                $entry->name,
                $entry->mechanism,
                ...$entry->speaksFor,
                ...$entry->speaksAgainst,
                ...$entry->check,
                ...$entry->do,
                ...array_column($entry->causes, 'name'),
            ]),
        );
        foreach (
            preg_split('/\s+/', mb_strtolower(trim($this->sought)), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word
        ) {
            if (! str_contains($text, $word)) {
                return false;
            }
        }

        return true;
    }
}
