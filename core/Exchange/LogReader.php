<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Data\Reasons;
use Metrum\Data\Section;
use Metrum\Findings\Chapters;
use Metrum\Findings\Findings;
use Metrum\Installation\NoPart;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Word;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Log\Source;
use Metrum\Log\WholeRack;
use Metrum\Log\Window;
use Metrum\Quantity\Atmosphere;

/** Reads the log of a visit file: its facts in order, as they happened. What cannot be is named with its path. */
final readonly class LogReader
{
    private const KEYS = [
        'id',
        'at',
        'kind',
        'key',
        'value',
        'word',
        'as_found',
        'minutes',
        'of',
        'reason',
        'text',
        'data',
        'source',
        'by',
    ];

    private const MOST = 5000;

    /** Pa, K and the like by which a snapshot may differ from its log. */
    private const SAME = 1e-3;

    /** Between two facts without a time. */
    private const APART = '+1 hour';

    /** When nobody says when. */
    private const SOMETIME = '2000-01-01T00:00:00+00:00';

    /**
     * @param  PartId  $circuit  that the file is about
     * @param  bool  $namesParts  whether its facts name their part; else what people call it, as its first version did
     */
    public function __construct(
        private Reasons $reasons,
        private Atmosphere $atmosphere,
        private PartId $circuit,
        private bool $namesParts = false,
    ) {
    }

    /**
     * @param  Findings  $snapshot  what the file holds beside its log: what the log does not tell is taken as found
     * @param  ?WholeRack  $rack  of which the circuit is one of several, nothing told of it yet
     *
     * @throws \Metrum\Data\Refused
     */
    public function window(mixed $given, Findings $snapshot, ?WholeRack $rack = null): Window
    {
        if (! is_array($given) || count($given) > self::MOST) {
            $this->reasons->refuse('log', 'expected a list of at most '.self::MOST.' facts');
            $this->reasons->raise();
        }
        $at = new \DateTimeImmutable($snapshot->takenAt ?? self::SOMETIME);
        $reader = new FactReader($this->atmosphere);
        $facts = [];
        $ids = [];
        foreach (is_array($given) ? array_values($given) : [] as $i => $row) {
            $path = "log.$i.";
            if (! ($row instanceof \stdClass)) {
                $this->reasons->refuse("log.$i", 'expected an object');

                continue;
            }
            $section = new Section($path, get_object_vars($row), $this->reasons);
            $section->only([...self::KEYS, $this->ofPart()]);
            $at = $this->moment($section, $at);
            $id = $section->text('id') ?? sprintf('%026d', $i + 1);
            if (isset($ids[$id])) {
                $section->refuse('id', 'already used by another fact');
            }
            $ids[$id] = true;
            $part = $this->part($section);
            [$kind, $content] = $reader->content($section, $ids, $part);
            if ($kind !== null && $content !== null) {
                $facts[] = new Fact($id, $kind, $content, $at, Source::Import, '', '', $part);
            }
        }
        $this->reasons->raise();
        $log = new Log([...$this->asFound($snapshot, $facts), ...$facts]);
        $window = new Window(
            $log,
            $snapshot->circuit,
            $this->circuit,
            (string) $snapshot->id,
            (string) $snapshot->takenAt,
            $rack?->withLog($log),
        );
        $present = Chapters::of($window)->present()->findings;
        $this->compare($snapshot, $present);
        $this->reasons->raise();

        return $window;
    }

    /** Under which a fact says of which part it is. */
    private function ofPart(): string
    {
        return $this->namesParts ? 'part' : 'subject';
    }

    private function part(Section $section): PartId
    {
        $key = $this->ofPart();
        $said = $section->given($key) === '' ? null : $section->text($key);
        try {
            return match (true) {
                $said === null => $this->circuit,
                $this->namesParts => PartId::of($said),
                default => PartId::called($said, $this->circuit),
            };
        } catch (NoPart $reason) {
            $section->refuse($key, $reason->getMessage());

            return $this->circuit;
        }
    }

    private function moment(Section $section, \DateTimeImmutable $before): \DateTimeImmutable
    {
        $said = $section->text('at');
        if ($said === null) {
            // Who gives no times read each thing once it had settled.
            return $before->modify(self::APART);
        }
        if (! VisitReader::isTime($said)) {
            $section->refuse('at', 'got '.Reasons::shown($said).', expected a date and time that exists');

            return $before;
        }

        return new \DateTimeImmutable($said);
    }

    /**
     * What stands beside the log and is not told by it: complaint, state and what was confirmed, as found.
     *
     * @param  list<Fact>  $facts
     * @return list<Fact>
     */
    private function asFound(Findings $snapshot, array $facts): array
    {
        $told = array_map(static fn (Fact $fact): FactKind => $fact->kind, $facts);
        $contents = [];
        foreach (in_array(FactKind::Complaint, $told, true) ? [] : $snapshot->complaints as $complaint) {
            $contents[] = [FactKind::Complaint, new Content($complaint->value, null, 'yes')];
        }
        if ($snapshot->state !== null && ! in_array(FactKind::State, $told, true)) {
            $contents[] = [FactKind::State, new Content('state', null, $snapshot->state->value)];
        }
        foreach (in_array(FactKind::Confirmed, $told, true) ? [] : $snapshot->confirmed as $fault) {
            $contents[] = [FactKind::Confirmed, new Content($fault->value, null, 'yes')];
        }
        $first = $facts === [] ? new \DateTimeImmutable(self::SOMETIME) : $facts[0]->takenAt;
        $found = [];
        foreach ($contents as $i => [$kind, $content]) {
            $found[] = new Fact("as-found-$i", $kind, $content, $first, Source::Import, '', '', $this->circuit);
        }

        return $found;
    }

    /** Where readings and answers stand beside the log they must be those of its last chapter. */
    private function compare(Findings $snapshot, Findings $present): void
    {
        foreach ($snapshot->readings as $key => $si) {
            $told = $present->readings[$key] ?? null;
            if ($told === null || abs($told - $si) > self::SAME * max(1.0, abs($si))) {
                $this->reasons->refuse('readings.'.$key, self::differs($told === null));
            }
        }
        $this->compareWords('observations', $snapshot->observations, $present->observations);
        $this->compareWords('tests', $snapshot->tests, $present->tests);
    }

    /**
     * @param  array<string, Word>  $given
     * @param  array<string, Word>  $present
     */
    private function compareWords(string $name, array $given, array $present): void
    {
        foreach ($given as $key => $word) {
            $told = $present[$key] ?? null;
            if ($told !== $word) {
                $this->reasons->refuse("$name.$key", self::differs($told === null));
            }
        }
    }

    private static function differs(bool $missing): string
    {
        return $missing
            ? 'is not among the readings since the last change in the log; the snapshot must match them'
            : 'differs from the readings since the last change in the log';
    }
}
