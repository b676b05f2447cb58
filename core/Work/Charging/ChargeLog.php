<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Findings\DerivedFigure;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Reading;
use Metrum\Work\Assessment;

/** The log of a charging: what was read after each addition, since anything but the charge was moved. */
final readonly class ChargeLog
{
    /** @param  list<ChargeRow>  $rows  in the order in which they were read */
    private function __construct(public array $rows)
    {
    }

    public static function of(Assessment $assessment, PartId $part): self
    {
        $rows = [];
        $added = 0.0;
        foreach ($assessment->chapters->all as $chapter) {
            $move = $chapter->began;
            if ($move !== null && ! $move->isMoveOf(Control::Charge, $part)) {
                // Another thing was moved: what was read before stands for another plant.
                $turnsAPage = Control::from($move->content->key)->row()->figures !== [];
                [$rows, $added] = $turnsAPage ? [[], 0.0] : [$rows, $added];
            } elseif ($move !== null) {
                $added += $move->content->value ?? 0.0;
            }
            $row = ChargeRow::of($chapter, $part, $added, $assessment->figures($chapter, $part));
            if ($row->tells() && ! $assessment->settling->isEarly($chapter, ...self::needed($row))) {
                $rows[] = $row;
            }
        }

        return new self($rows);
    }

    /** @return list<Reading> that must be settled for a row to count */
    private static function needed(ChargeRow $row): array
    {
        $readings = [];
        foreach ([DerivedFigure::EvaporatorSuperheat, DerivedFigure::Subcooling] as $figure) {
            foreach ($row->figures->figure($figure)->from ?? [] as $one) {
                if ($one instanceof Reading) {
                    $readings[] = $one;
                }
            }
        }

        return $readings;
    }

    public function last(): ?ChargeRow
    {
        return $this->rows === [] ? null : $this->rows[array_key_last($this->rows)];
    }

    /** Whether refrigerant was added since the first row. */
    public function isCharging(): bool
    {
        return count($this->rows) > 1 && $this->last()?->added !== $this->rows[0]->added;
    }

    /** kg that were added since the first row, less what was taken out. */
    public function added(): float
    {
        return $this->last()->added ?? 0.0;
    }
}
