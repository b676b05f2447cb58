<?php

use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Exchange\VisitReader;

/** Visits told by hand: what may stand first and within three, what a skilled person would do next, what is silly. */
final class ToldVisits
{
    /** Checks of a verdict that are looked at. */
    private const PROPOSED = 3;

    public int $visits = 0;

    public int $first = 0;

    public int $three = 0;

    public int $asked = 0;

    public int $skilled = 0;

    public int $silly = 0;

    /** @var list<string> what went wrong, a line a visit */
    public array $wrong = [];

    public function __construct(string $folder)
    {
        $truths = [];
        foreach (file($folder.'/told-truth.jsonl') as $line) {
            $one = json_decode($line, true);
            $truths[$one['id']] = $one;
        }
        foreach (file($folder.'/told.jsonl') as $line) {
            $findings = VisitReader::json($line);
            $this->add($findings->id, (new Diagnosis())->of($findings, self::PROPOSED, 0), $truths[$findings->id]);
        }
    }

    /** @param  array<string, mixed>  $truth  a line of told-truth.jsonl */
    private function add(string $id, Metrum\Diagnosis\Verdict $verdict, array $truth): void
    {
        $ranked = array_map(static fn ($one): string => $one->fault->value, $verdict->ranked(self::PROPOSED));
        $proposed = array_merge([], ...array_map(self::keys(...), $verdict->checks));
        $first = in_array($ranked[0], $truth['accept'], true);
        $within = array_intersect($truth['accept'], $ranked);
        $three = isset($truth['also']) ? count($within) === count($truth['accept']) : $within !== [];
        $skilled = $truth['next_any_of'] === [] || array_intersect($truth['next_any_of'], $proposed) !== [];
        $silly = array_intersect($truth['never_next'], $proposed);
        $this->visits++;
        $this->first += $first ? 1 : 0;
        $this->three += $three ? 1 : 0;
        $this->asked += $truth['next_any_of'] === [] ? 0 : 1;
        $this->skilled += $truth['next_any_of'] !== [] && $skilled ? 1 : 0;
        $this->silly += $silly === [] ? 0 : 1;
        $wrong = array_keys(array_filter([
            'first' => ! $first,
            'three' => ! $three,
            'next' => ! $skilled,
            'silly '.implode(' ', $silly) => $silly !== [],
        ]));
        if ($wrong !== []) {
            $this->wrong[] = sprintf(
                '%s %s: %s; wanted %s; next %s',
                $id,
                implode(', ', $wrong),
                implode(', ', $ranked),
                implode(' or ', $truth['accept']),
                implode(', ', array_unique($proposed)),
            );
        }
    }

    /** @return list<string> what is entered for a check */
    private static function keys(Check $check): array
    {
        return [(string) $check->key->value, ...array_column($check->readings, 'value')];
    }

    public function show(): void
    {
        printf("Visits told by hand, %d\n", $this->visits);
        printf(
            "right first %.1f %%, within three %.1f %%\n",
            (100 * $this->first) / $this->visits,
            (100 * $this->three) / $this->visits,
        );
        printf(
            "a skilled check among three proposed: %d of %d; a silly one: %d\n",
            $this->skilled,
            $this->asked,
            $this->silly,
        );
        echo implode("\n", $this->wrong), "\n\n";
    }
}
