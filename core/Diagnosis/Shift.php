<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Findings\Sign;
use Metrum\Findings\SignRow;
use Metrum\Quantity\Unit;

/** How far a fault at its worst moves a sign from its healthy value, SI. A fault's file gives it in the sign's unit. */
final readonly class Shift
{
    /** Spread over plants where the file gives none, of the shift itself. */
    private const USUAL_SPREAD = 0.4;

    /** Shares are given in percent: a shift smaller than one of them was meant as a share of one. */
    private const LEAST_PERCENT = 1.0;

    private function __construct(public float $mean, public float $spread)
    {
    }

    /**
     * @return array<string, self> by Sign
     *
     * @throws BrokenData where a sign is not known, or a shift cannot be in the sign's unit
     */
    public static function ofRow(DataRow $row): array
    {
        $shifts = [];
        foreach ($row->keys() as $key) {
            $sign = Sign::tryFrom($key) ?? throw $row->broken($key, 'no such sign');
            $shifts[$key] = self::read($row, $key, $sign->row()->unit);
        }

        return $shifts;
    }

    private static function read(DataRow $row, string $key, Unit $unit): self
    {
        $pair = is_array($row->given($key)) ? array_values($row->numbers($key)) : [$row->number($key)];
        $mean = $pair[0] ?? throw $row->broken($key, 'expected a shift, or a shift and its spread');
        if ($unit === Unit::Percent && $mean !== 0.0 && abs($mean) < self::LEAST_PERCENT) {
            throw $row->broken(
                $key,
                "got $mean; a shift of this sign is in percent, so at least 1 or 0",
            );
        }
        $spread = $pair[1] ?? self::USUAL_SPREAD * abs($mean);

        return new self(SignRow::difference($unit, $mean), abs(SignRow::difference($unit, $spread)));
    }
}
