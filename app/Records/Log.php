<?php

namespace App\Records;

use App\Models\Entry;
use Metrum\Circuit\Circuit;
use Metrum\Circuit\Complaint;
use Metrum\Circuit\Fault;
use Metrum\Circuit\State;
use Metrum\Circuit\Word;
use Metrum\Findings\Findings;

/** The entries of one visit, read as a log: what still stands, what was taken back, and the findings that follow. */
final readonly class Log
{
    /** @var array<string, Entry> the latest standing entry by "kind:key" */
    private array $standing;

    /** @param  list<Entry>  $entries  in the order in which they came */
    public function __construct(public array $entries)
    {
        $undone = [];
        foreach ($entries as $entry) {
            if ($entry->kind === 'undo') {
                $undone[$entry->supersedes] = true;
            }
        }
        $standing = [];
        foreach ($entries as $entry) {
            if ($entry->kind !== 'undo' && ! isset($undone[$entry->id])) {
                $key =
                    $entry->kind === 'note' && $entry->key === 'note'
                        ? 'note:'.$entry->id
                        : $entry->kind.':'.$entry->key;
                $standing[$key] = $entry;
            }
        }
        $this->standing = $standing;
    }

    /** @return list<Entry> standing entries that say something, in order */
    public function standing(): array
    {
        $entries = array_values(
            array_filter($this->standing, static fn (Entry $entry): bool => ! $entry->isCleared()),
        );
        usort($entries, static fn (Entry $a, Entry $b): int => $a->seq <=> $b->seq);

        return $entries;
    }

    public function entry(string $kind, string $key): ?Entry
    {
        $entry = $this->standing[$kind.':'.$key] ?? null;

        return $entry === null || $entry->isCleared() ? null : $entry;
    }

    /** @return list<Entry> the last few that stand, newest first, for the line under the cells */
    public function latest(int $most): array
    {
        return array_slice(array_reverse($this->standing()), 0, $most);
    }

    /** @return list<Entry> */
    public function notes(): array
    {
        return array_values(
            array_filter(
                $this->standing(),
                static fn (Entry $entry): bool => $entry->kind === 'note' && $entry->key === 'note',
            ),
        );
    }

    public function findings(Circuit $circuit, string $id, string $takenAt): Findings
    {
        $readings = $observations = $tests = $complaints = $confirmed = $ruledOut = [];
        $state = null;
        foreach ($this->standing() as $entry) {
            match ($entry->kind) {
                'reading' => ($readings[$entry->key] = (float) $entry->value),
                'observation' => ($observations[$entry->key] = Word::from((string) $entry->word)),
                'test' => ($tests[$entry->key] = Word::from((string) $entry->word)),
                'state' => ($state = State::from((string) $entry->word)),
                'complaint' => ($complaints[] = Complaint::from($entry->key)),
                'confirmed' => ($confirmed[] = Fault::from($entry->key)),
                'ruled_out' => ($ruledOut[] = Fault::from($entry->key)),
                default => null,
            };
        }

        return new Findings(
            $circuit,
            $state,
            $complaints,
            $readings,
            $observations,
            $tests,
            $confirmed,
            $ruledOut,
            $id,
            $takenAt,
        );
    }
}
