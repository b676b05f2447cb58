<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Knowledge\Cause;

/** One of the things that can lie behind a fault, and what is answered where it does. */
final readonly class CauseEntry
{
    /**
     * @param  string  $name  completes "…, because "
     * @param  float  $share  of such faults, 0 … 1
     * @param  array<string, array<string, float>>  $words  chance of an answer, by question and word; else the fault's
     */
    private function __construct(
        public Cause $cause,
        public string $name,
        public float $share,
        public array $words,
    ) {
    }

    /**
     * @return array<string, self> by Cause
     *
     * @throws BrokenData
     */
    public static function ofRow(DataRow $rows): array
    {
        $causes = [];
        foreach ($rows->keys() as $key) {
            $cause = Cause::tryFrom($key) ?? throw $rows->broken($key, 'no such cause');
            $row = $rows->row($key)->only(['name', 'share', 'words']);
            $causes[$key] = new self(
                $cause,
                $row->text('name'),
                $row->number('share'),
                FaultEntry::chances($row->row('words')),
            );
        }

        return $causes;
    }
}
