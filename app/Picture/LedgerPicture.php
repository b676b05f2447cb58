<?php

namespace App\Picture;

use Metrum\Knowledge\ChargePurpose;
use Metrum\Quantity\Units;
use Metrum\Work\Ledger\Ledger;

/** The ledger over time: what is in by the book as a line, and under it each loss as long as it is heavy. */
final readonly class LedgerPicture
{
    public const WIDTH = 760.0;

    public const HEIGHT = 230.0;

    private const LEFT = 64.0;

    private const RIGHT = 740.0;

    private const TOP = 18.0;

    private const BASE = 120.0;

    /** Where losses hang from, and how long the heaviest is. */
    private const LOSSES = 140.0;

    private const LONGEST = 60.0;

    private const DAY = 86400;

    /** @var list<array{float, float}> corners of the line */
    public array $line;

    /** @var list<array{x: float, to: float, words: string}> */
    public array $losses;

    /** @var list<array{x: float, y: float, words: string}> movements that are no losses */
    public array $marks;

    /** @var list<array{float, string}> x and words of the years */
    public array $years;

    public ?float $fullAt;

    public string $full;

    public function __construct(Ledger $ledger, \DateTimeInterface $now, Units $units)
    {
        $from = $ledger->movements[0]->at->getTimestamp() - 20 * self::DAY;
        $to = max($now->getTimestamp(), $from + 60 * self::DAY);
        $time = Axis::of(self::LEFT, self::RIGHT, $from, $to);
        $running = $ledger->running();
        $known = array_filter([...$running, $ledger->full], static fn (?float $one): bool => $one !== null);
        $most = 1.1 * max(1e-3, ...$known === [] ? [1.0] : array_values($known));
        $mass = Axis::of(self::BASE, self::TOP, 0.0, $most);
        $y = static fn (float $kilograms): float => $mass->at(max(0.0, $kilograms));
        $line = $losses = $marks = [];
        $before = $running[0] === null ? null : ($ledger->full ?? 0.0);
        if ($before !== null && $ledger->movements[0]->purpose === ChargePurpose::Commissioning) {
            $before = 0.0;
        }
        $heaviest = max(1e-6, ...[1e-6, ...array_column($ledger->losses(), 1)]);
        if ($before !== null) {
            $line[] = [self::LEFT, $y($before)];
        }
        foreach ($ledger->movements as $i => $one) {
            $at = $time->at($one->at->getTimestamp());
            $is = $running[$i];
            if ($is !== null) {
                $line[] = [$at, $y($before ?? $is)];
                $line[] = [$at, $y($is)];
                $before = $is;
            }
            if ($one->purpose !== ChargePurpose::Leak || ! $one->isIn()) {
                $words = $units->signedMass($one->kilograms).', '.$one->purpose->label();
                $marks[] = ['x' => $at, 'y' => $y($is ?? 0.0), 'words' => $words];
            }
        }
        foreach ($ledger->losses() as [$when, $lost]) {
            $losses[] = [
                'x' => $time->at($when->getTimestamp()),
                'to' => self::LOSSES + (self::LONGEST * $lost) / $heaviest,
                'words' => $units->mass($lost),
            ];
        }
        if ($before !== null) {
            $line[] = [self::RIGHT, $y($before)];
        }
        $this->line = $line;
        $this->losses = $losses;
        $this->marks = $marks;
        $this->years = self::years($from, $to, $time);
        $this->full = $ledger->full === null ? '' : 'full charge '.$units->mass($ledger->full);
        $this->fullAt = $ledger->full === null ? null : $y($ledger->full);
    }

    /** @return list<array{float, string}> */
    private static function years(int $from, int $to, Axis $time): array
    {
        $years = [];
        for ($year = (int) date('Y', $from) + 1; ; $year++) {
            $begins = (int) strtotime("$year-01-01");
            if ($begins > $to) {
                return $years;
            }
            $years[] = [$time->at($begins), (string) $year];
        }
    }

    public function lossesFrom(): float
    {
        return self::LOSSES;
    }

    /** "M12.0 40.0 L…" */
    public function path(): string
    {
        return Plot::through($this->line);
    }
}
