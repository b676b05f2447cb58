<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Findings\Findings;
use Metrum\Installation\CircuitWriter;
use Metrum\Installation\InstallationWriter;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;

/** Writes findings as a visit file; what VisitReader reads back is the same. */
final class VisitWriter
{
    /**
     * What was found of one circuit, without its log.
     *
     * @return array<string, mixed>
     */
    public static function file(Findings $findings): array
    {
        $head = self::head($findings, VisitReader::FIRST) + ['system' => CircuitWriter::system($findings->circuit)];
        $design = CircuitWriter::design($findings->circuit);

        return $head + ($design === [] ? [] : ['design' => $design]) + self::found($findings);
    }

    /**
     * The whole of a visit: its plant, what was found, and its log. A plant of one circuit has that at the top.
     *
     * @return array<string, mixed>
     */
    public static function whole(VisitFile $visit): array
    {
        $log = $visit->told === null ? [] : ['log' => LogWriter::rows($visit->told->everything(), $visit->circuit)];
        $links = array_map(static fn (AttachmentLink $one): array => $one->toArray(), $visit->attachments);
        $log += $links === [] ? [] : ['attachments' => $links];
        $findings = $visit->findings;
        if (count($visit->plant->branches) === 1) {
            return array_replace(self::file($findings), ['version' => VisitReader::SECOND]) + $log;
        }

        $visited = $visit->circuit->value;
        $rows = CircuitNames::rows($visit->names);
        $rows[$visited] = ($rows[$visited] ?? []) + self::found($findings);

        return self::head($findings, VisitReader::SECOND) +
            ['part' => $visited] +
            InstallationWriter::document($visit->plant, $rows) +
            $log;
    }

    /** @return array<string, mixed> */
    private static function head(Findings $findings, int $version): array
    {
        return array_filter(
            [
                'format' => VisitReader::FORMAT,
                'version' => $version,
                'id' => $findings->id,
                'taken_at' => $findings->takenAt,
            ],
            static fn (int|string|null $one): bool => $one !== null && $one !== '',
        );
    }

    /** @return array<string, mixed> what was found of a circuit */
    private static function found(Findings $findings): array
    {
        $found = [
            'complaint' => array_column($findings->complaints, 'value'),
            'confirmed' => array_column($findings->confirmed, 'value'),
            'state' => $findings->state?->value,
            'readings' => [],
            'observations' => array_map(static fn (Word $one): string => $one->value, $findings->observations),
            'tests' => array_map(static fn (Word $one): string => $one->value, $findings->tests),
        ];
        foreach (Reading::cases() as $reading) {
            $value = $findings->reading($reading);
            if ($value !== null) {
                $found['readings'][$reading->value] = CircuitWriter::number($reading->fileUnit()->fromSi($value));
            }
        }

        return array_filter($found, static fn (mixed $one): bool => $one !== null && $one !== []);
    }

    /** @param  array<string, mixed>  $file */
    public static function json(array $file): string
    {
        return json_encode(
            $file,
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        ).'
';
    }
}
