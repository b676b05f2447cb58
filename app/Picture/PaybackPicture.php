<?php

namespace App\Picture;

use Metrum\Work\Replacement\Payback;

/** How far replacement is ahead of repair over the years: likely as a line, its width as a field. */
final readonly class PaybackPicture
{
    public const WIDTH = 760.0;

    public const HEIGHT = 250.0;

    public const LEFT = 96.0;

    public const RIGHT = 720.0;

    private const TOP = 14.0;

    public const BOTTOM = 216.0;

    /** Years that are shown. */
    private const YEARS = 15;

    private const EVERY = 3;

    public string $field;

    public string $line;

    /** Where nothing is lost or gained. */
    public float $zero;

    /** @var list<array{float, string}> */
    public array $years;

    /** @var list<array{float, string}> */
    public array $levels;

    /** @param  \Closure(float): string  $told  an amount of money in words */
    public function __construct(Payback $payback, \Closure $told)
    {
        $ends = $payback->after(self::YEARS);
        $highest = max(0.0, $ends->high);
        $lowest = min(-$payback->extra, $ends->low, 0.0);
        $plot = new Plot(
            Axis::of(self::LEFT, self::RIGHT, 0.0, self::YEARS),
            Axis::of(self::BOTTOM, self::TOP, $lowest, $highest > $lowest ? $highest : $lowest + 1.0),
        );
        $upper = $lower = $likely = [];
        for ($year = 0; $year <= self::YEARS; $year++) {
            $then = $payback->after($year);
            $upper[] = [(float) $year, $then->high];
            $lower[] = [(float) $year, $then->low];
            $likely[] = [(float) $year, $then->likely];
        }
        $this->field = $plot->path([...$upper, ...array_reverse($lower)]).' Z';
        $this->line = $plot->path($likely);
        $this->zero = round($plot->y->at(0.0), 1);
        $years = [];
        for ($year = 0; $year <= self::YEARS; $year += self::EVERY) {
            $years[] = [round($plot->x->at($year), 1), $year === 0 ? 'now' : "$year years"];
        }
        $this->years = $years;
        $this->levels = array_map(
            static fn (float $level): array => [round($plot->y->at($level), 1), $told($level)],
            array_values(array_unique([$lowest, 0.0, $highest])),
        );
    }
}
