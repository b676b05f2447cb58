<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Data\Reasons;
use Metrum\Data\Refused;
use Metrum\Data\Section;
use Metrum\Findings\PartFindings;
use Metrum\Findings\RackFindings;
use Metrum\Installation\InstallationReader;
use Metrum\Installation\Kind;
use Metrum\Installation\PartId;
use Metrum\Installation\PartKind;
use Metrum\Installation\PartRow;
use Metrum\Installation\SystemKey;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Atmosphere;

/**
 * Reads a visit to a whole rack: what its circuits share at the top, then compressors, circuits and their cases, each
 * with what was found of it. Parts are numbered as they stand in their lists and called by their names.
 */
final readonly class RackReader
{
    private const TOP = ['format', 'version', 'id', 'taken_at', ...InstallationReader::KEYS, ...FoundReader::KEYS];

    /** Kinds of plants whose visits are told so. */
    private const KINDS = [Kind::RackCircuitMedium, Kind::RackCircuitLow];

    private const CIRCUITS = 'circuits';

    private const COMPRESSORS = 'compressors';

    private const GROUPS = 'groups';

    private function __construct(private Section $top, private Reasons $reasons)
    {
    }

    /** Whether a file tells a visit so. */
    public static function isFor(\stdClass $file): bool
    {
        return ($file->version ?? null) === VisitReader::FIRST && isset($file->circuits);
    }

    /** @throws Refused */
    public static function visit(\stdClass $file): RackFindings
    {
        $reasons = new Reasons();

        return (new self(new Section('', get_object_vars($file), $reasons), $reasons))->read();
    }

    private function read(): RackFindings
    {
        $top = $this->top;
        $top->only(self::TOP);
        $top->constant('format', VisitReader::FORMAT);
        $top->constant('version', VisitReader::FIRST);
        $id = $top->text('id');
        $takenAt = VisitReader::time($top);
        $plant = (new InstallationReader(
            $this->reasons,
            [...FoundReader::KEYS, InstallationReader::CASES],
            FoundReader::KEYS,
            FoundReader::KEYS,
            FoundReader::KEYS,
        ))->read($top);
        $this->checkKind();
        $air = $plant->atmosphere ?? Atmosphere::atAltitude(0);
        $shared = FoundReader::part($top, $air);
        $parts = [];
        foreach ($top->rows(self::COMPRESSORS) as $place => $row) {
            $part = PartId::shared(PartKind::Compressor, (string) ($place + 1));
            $parts[$part->value] = FoundReader::compressor($row, $air);
        }
        $groups = $top->rows(self::GROUPS);
        foreach ($groups as $place => $row) {
            $part = PartRow::shared($row, PartKind::Group, $place + 1);
            $parts[$part->value] = FoundReader::part($row, $air);
        }
        if (count($groups) > 1) {
            $this->refuseUnnamed();
        }
        foreach ($top->rows(self::CIRCUITS) as $place => $row) {
            $parts += $this->circuit($row, PartId::circuit($place + 1), $air);
        }
        $names = CircuitNames::in($top);
        $this->reasons->raise();
        assert($plant !== null);

        return new RackFindings($plant, $shared, self::found($parts), $names, $id, $takenAt);
    }

    /** What is read at a header and its compressors says of several groups which. */
    private function refuseUnnamed(): void
    {
        $section = $this->top->section('readings');
        foreach ($section->keys() as $key) {
            if (Reading::tryFrom($key)?->taking()->isOfGroup === true) {
                $section->refuse($key, 'of which group? Enter it in its row of '.self::GROUPS);
            }
        }
    }

    private function checkKind(): void
    {
        $key = SystemKey::Kind->value;
        $system = $this->top->section('system');
        $given = $system->given($key);
        if ($given !== null && ! in_array(Kind::tryFrom(is_string($given) ? $given : ''), self::KINDS, true)) {
            $allowed = implode(', ', array_column(self::KINDS, 'value'));
            $system->refuse($key, 'expected one of '.$allowed.' with a list of circuits');
        }
    }

    /** @return array<string, PartFindings> of the circuit and its cases, by their part */
    private function circuit(Section $row, PartId $circuit, Atmosphere $air): array
    {
        $parts = [$circuit->value => FoundReader::part($row, $air)];
        foreach ($row->rows(InstallationReader::CASES) as $place => $case) {
            $part = $circuit->below(PartKind::Coil, (string) ($place + 1));
            $parts[$part->value] = FoundReader::part($case, $air);
        }

        return $parts;
    }

    /**
     * @param  array<string, PartFindings>  $parts
     * @return array<string, PartFindings> of which something was found
     */
    private static function found(array $parts): array
    {
        return array_filter($parts, static fn (PartFindings $one): bool => ! $one->isEmpty() || $one->state !== null);
    }
}
