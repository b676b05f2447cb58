<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Data\Reasons;
use Metrum\Data\Refused;
use Metrum\Data\Section;
use Metrum\Findings\Chapters;
use Metrum\Findings\Findings;
use Metrum\Findings\RackFindings;
use Metrum\Installation\CircuitReader;
use Metrum\Installation\Installation;
use Metrum\Installation\InstallationReader;
use Metrum\Installation\NoPart;
use Metrum\Installation\PartId;
use Metrum\Installation\PartKind;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Test;
use Metrum\Log\Log;
use Metrum\Log\WholeRack;
use Metrum\Quantity\Atmosphere;
use Metrum\Refrigerant\Library;

/** Reads one visit file strictly: whatever is unknown, of the wrong type or impossible is named with its path. */
final readonly class VisitReader
{
    public const FORMAT = 'metrum-visit';

    /** One circuit, and what people call its parts. */
    public const FIRST = 1;

    /** The plant with its circuits, and parts by their names. */
    public const SECOND = 2;

    private const TOP = ['format', 'version', 'id', 'taken_at', 'system', 'design'];

    /** What is said of a circuit. */
    private const FOUND = ['complaint', 'confirmed', 'state', 'readings', 'observations', 'tests'];

    private const TIME = '/^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:?\d{2})?)?$/';

    /** Nobody kept files of visits before. */
    private const FIRST_YEAR = 1900;

    private const DEEPEST = 64;

    private Section $top;

    private function __construct(\stdClass $file, private Reasons $reasons)
    {
        $this->top = new Section('', get_object_vars($file), $reasons);
    }

    /** What it holds at its end. @throws Refused */
    public static function json(string $text): Findings
    {
        return self::visit($text)->findings;
    }

    /** The whole of it, its log too. @throws Refused */
    public static function visit(string $text): VisitFile
    {
        return (new self(self::decoded($text), new Reasons()))->read();
    }

    /** Of one circuit, or of a whole rack, as the file tells it. @throws Refused */
    public static function any(string $text): VisitFile|RackFindings
    {
        $file = self::decoded($text);

        return RackReader::isFor($file) ? RackReader::visit($file) : (new self($file, new Reasons()))->read();
    }

    /** @throws Refused */
    private static function decoded(string $text): \stdClass
    {
        $plain = str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text;
        try {
            $file = json_decode($plain, false, self::DEEPEST, JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            throw new Refused(['file: no JSON ('.$error->getMessage().')']);
        }
        if (! ($file instanceof \stdClass)) {
            throw new Refused(['file: '.'got '.Reasons::shown($file).', expected a JSON object']);
        }

        return $file;
    }

    private function read(): VisitFile
    {
        $top = $this->top;
        $isOfParts = $top->given('version') === self::SECOND;
        $isOfPlant = $isOfParts && $top->has('circuits');
        $top->only([
            ...self::TOP,
            ...self::FOUND,
            'log',
            'attachments',
            ...$isOfParts ? ['part'] : [],
            ...$isOfPlant ? InstallationReader::KEYS : [],
        ]);
        $top->constant('format', self::FORMAT);
        $this->checkVersion();
        $id = $top->text('id');
        $takenAt = self::time($top);
        [$plant, $part, $found] = $isOfPlant ? $this->plant() : $this->plain();
        $air = $plant === null ? Atmosphere::atAltitude(0) : $plant->atmosphere;
        $state = $found->word('state', State::class);
        $complaints = $found->words('complaint', Complaint::class);
        $confirmed = $found->words('confirmed', Fault::class);
        $readings = FoundReader::readings($found, $air);
        $observations = FoundReader::answers($found, 'observations', Observation::class);
        $tests = FoundReader::answers($found, 'tests', Test::class);
        if ($isOfPlant) {
            // What was found of the plant is known in each of its circuits.
            $readings += FoundReader::readings($top, $air);
            $observations += FoundReader::answers($top, 'observations', Observation::class);
        }
        $names = $isOfPlant ? CircuitNames::in($top) : [];
        $attachments = array_map(AttachmentLink::read(...), $top->rows('attachments'));
        $this->reasons->raise();
        assert($plant !== null);

        $snapshot = new Findings(
            circuit: $plant->circuit($part),
            state: $state,
            complaints: $complaints,
            readings: $readings,
            observations: $observations,
            tests: $tests,
            confirmed: $confirmed,
            id: $id,
            takenAt: $takenAt,
        );
        $log = $top->given('log');
        if ($log === null) {
            return new VisitFile($snapshot, null, $plant, $part, $names, $attachments);
        }
        $rack = count($plant->branches) > 1 ? new WholeRack(new Log([]), $plant, $names) : null;
        $window = (new LogReader($this->reasons, $air, $part, $isOfParts))->window($log, $snapshot, $rack);

        $findings = Chapters::of($window)->present()->findings;

        return new VisitFile($findings, $window, $plant, $part, $names, $attachments);
    }

    private function checkVersion(): void
    {
        $given = $this->top->given('version');
        if (! $this->top->has('version')) {
            $this->top->refuse('version', 'missing; it is required ('.self::FIRST.' or '.self::SECOND.')');
        } elseif (! in_array($given, [self::FIRST, self::SECOND], true)) {
            $wanted = self::FIRST.' or '.self::SECOND;
            $this->top->refuse('version', 'got '.Reasons::shown($given).', expected '.$wanted);
        }
    }

    /**
     * A plant of one circuit, all of it at the top.
     *
     * @return array{?Installation, PartId, Section} the plant, its circuit, and where is said what was found of it
     */
    private function plain(): array
    {
        $reader = new CircuitReader($this->reasons, Library::known());
        $circuit = $reader->read($this->top->section('system', required: true), $this->top->section('design'));
        $part = $this->named() ?? PartId::circuit();

        return [$circuit === null ? null : Installation::of($circuit, $part), $part, $this->top];
    }

    /** @return array{?Installation, PartId, Section} the same of a plant with its circuits in a list */
    private function plant(): array
    {
        $plant = (new InstallationReader($this->reasons, self::FOUND))->read($this->top);
        $rows = [];
        foreach ($this->top->rows('circuits') as $place => $row) {
            $name = is_string($row->given('part')) ? $row->given('part') : PartId::circuit($place + 1)->value;
            $rows[$name] = $row;
        }
        $told = array_filter(
            $rows,
            static fn (Section $row): bool => array_intersect($row->keys(), self::FOUND) !== [],
        );
        $visited = $this->named();
        $first = (string) (array_key_first($told) ?? array_key_first($rows));
        $name = $visited->value ?? $first;
        foreach (array_keys(array_diff_key($told, [$name => true])) as $other) {
            $place = (int) array_search($other, array_keys($rows), true);
            $this->top->refuse("circuits.$place", "what was found of $name stands in this file; one circuit is read");
        }
        if ($rows !== [] && ! isset($rows[$name])) {
            $possible = implode(', ', array_keys($rows));
            $this->top->refuse('part', 'got '.Reasons::shown($name).'; allowed: '.$possible);
        }
        $known = $visited ?? ($plant->branches[0]->part ?? PartId::circuit());
        foreach ($plant->branches ?? [] as $branch) {
            $known = $branch->part->value === $name ? $branch->part : $known;
        }

        return [$plant, $known, $rows[$name] ?? $this->top];
    }

    /** Which circuit the file is about; null where it does not say. */
    private function named(): ?PartId
    {
        $given = $this->top->text('part');
        try {
            $part = $given === null ? null : PartId::of($given);
        } catch (NoPart) {
            $part = null;
        }
        if ($given !== null && $part?->kind() !== PartKind::Circuit) {
            $this->top->refuse('part', 'got '.Reasons::shown($given).', expected a circuit, as circuit 1');
        }

        return $part?->kind() === PartKind::Circuit ? $part : null;
    }

    /** When it was, as it stands at the top of a file; refused where no calendar has it. */
    public static function time(Section $top): ?string
    {
        $given = $top->text('taken_at');
        if ($given !== null && ! self::isTime($given)) {
            $wanted = 'expected a valid date and time (2026-06-03T10:40:00+02:00)';
            $top->refuse('taken_at', 'got '.Reasons::shown($given).', '.$wanted);
        }

        return $given;
    }

    /** Whether that day, hour and minute are in the calendar and on the clock. */
    public static function isTime(string $given): bool
    {
        if (preg_match(self::TIME, $given) !== 1) {
            return false;
        }
        [$year, $month, $day] = array_map(intval(...), explode('-', substr($given, 0, 10)));
        preg_match('/T(\d{2}):(\d{2})(?::(\d{2}))?/', $given, $clock);
        preg_match('/[+-](\d{2}):?(\d{2})$/', substr($given, 10), $zone);

        return $year >= self::FIRST_YEAR &&
            checkdate($month, $day, $year) &&
            (int) ($clock[1] ?? 0) < 24 &&
            (int) ($clock[2] ?? 0) < 60 &&
            (int) ($clock[3] ?? 0) < 60 &&
            (int) ($zone[1] ?? 0) <= 14 &&
            (int) ($zone[2] ?? 0) < 60;
    }
}
