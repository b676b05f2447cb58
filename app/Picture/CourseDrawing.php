<?php

namespace App\Picture;

use App\View\Units;
use Metrum\Findings\Figures;
use Metrum\Plant\Expected;
use Metrum\Quantity\Kind;

/** Turns temperatures into lines, bands, brackets and labels on the frame. */
final class CourseDrawing
{
    private LabelPlacer $placer;

    /** @var list<array{Gap, float, float}> gaps with the place of their bracket, waiting for their labels */
    private array $waiting = [];

    public function __construct(private readonly CourseFrame $frame, private readonly Units $units)
    {
        $this->placer = new LabelPlacer(
            $frame->width,
            $frame->height - ($frame->downward ? 0 : 20),
            $frame->downward ? 0 : 36,
            $frame->downward ? 22 : 4,
        );
    }

    /** @return list<array{x1: float, y1: float, x2: float, y2: float, textX: float, textY: float, text: string, zero: bool, fold: bool}> */
    public function grid(): array
    {
        $grid = [];
        foreach ([false, true] as $fold) {
            foreach ($this->frame->ticks($fold) as $kelvin) {
                $at = $this->frame->along($kelvin);
                $line = $this->frame->downward
                    ? [
                        'x1' => $at,
                        'y1' => 20.0,
                        'x2' => $at,
                        'y2' => $this->frame->height,
                        'textX' => $at,
                        'textY' => 13.0,
                    ]
                    : [
                        'x1' => 34.0,
                        'y1' => $at,
                        'x2' => $this->frame->width,
                        'y2' => $at,
                        'textX' => 29.0,
                        'textY' => $at + 3.5,
                    ];
                $grid[] = $line + [
                    'text' => $this->tick($kelvin),
                    'zero' => abs($kelvin - 273.15) < 0.01,
                    'fold' => $fold,
                ];
            }
        }

        return $grid;
    }

    /**
     * @param  array<string, float>  $run
     * @return list<array{x1: float, y1: float, x2: float, y2: float, from: string, to: string, saturated: bool}>
     */
    public function segments(array $run): array
    {
        $segments = [];
        $before = null;
        foreach ($run as $place => $kelvin) {
            if ($before !== null && CourseRun::joins($before, $place)) {
                [$x1, $y1] = $this->frame->point($before, $run[$before]);
                [$x2, $y2] = $this->frame->point($place, $kelvin);
                $this->placer->line($x1, $y1, $x2, $y2);
                $segments[] = [
                    'x1' => $x1,
                    'y1' => $y1,
                    'x2' => $x2,
                    'y2' => $y2,
                    'from' => TemperatureColour::of($run[$before]),
                    'to' => TemperatureColour::of($kelvin),
                    'saturated' => in_array($place, ['condenser_out', 'coil_out'], true),
                ];
            }
            $before = $place;
        }

        return $segments;
    }

    /**
     * @param  array<string, float>  $run
     * @return list<array{x: float, y: float, colour: string, measured: bool}>
     */
    public function points(array $run): array
    {
        $points = [];
        foreach ($run as $place => $kelvin) {
            [$x, $y] = $this->frame->point($place, $kelvin);
            $this->placer->block($x - 7, $y - 7, 14, 14);
            $points[] = [
                'x' => $x,
                'y' => $y,
                'colour' => TemperatureColour::of($kelvin),
                'measured' => CourseRun::isClamp($place),
            ];
        }

        return $points;
    }

    /**
     * @param  array<string, Expected>  $expected
     * @return list<string>
     */
    public function bands(array $expected): array
    {
        $paths = [];
        $stretch = [];
        $before = null;
        foreach (array_keys(CourseRun::PLACES) as $place) {
            if (! isset($expected[$place])) {
                continue;
            }
            if ($before !== null && ! $this->bandJoins($before, $place)) {
                $paths[] = $this->bandPath($stretch);
                $stretch = [];
            }
            $stretch[$place] = $expected[$place];
            $before = $place;
        }
        if ($stretch !== []) {
            $paths[] = $this->bandPath($stretch);
        }

        return $paths;
    }

    /**
     * @param  array<string, array{float, ?float}>  $air
     * @return list<array{x1: float, y1: float, x2: float, y2: float}>
     */
    public function airs(array $air): array
    {
        $lines = [];
        foreach ($air as $zone => [$in, $out]) {
            [$start, $end] = $this->frame->zoneSpan($zone);
            [$a, $b] = [$this->frame->along($in), $this->frame->along($out ?? $in)];
            $line = $this->frame->downward
                ? ['x1' => $a, 'y1' => $start, 'x2' => $b, 'y2' => $end]
                : ['x1' => $start, 'y1' => $a, 'x2' => $end, 'y2' => $b];
            $this->placer->line($line['x1'], $line['y1'], $line['x2'], $line['y2']);
            $lines[] = $line;
        }

        return $lines;
    }

    /**
     * @param  list<Gap>  $gaps
     * @param  array<string, float>  $run
     * @param  array<string, array{float, ?float}>  $air
     * @return list<array{path: string, mark: string}>
     */
    public function brackets(array $gaps, array $run, array $air, Figures $figures): array
    {
        $brackets = [];
        foreach ($gaps as $gap) {
            $ends = match ($gap->name) {
                'superheat' => isset($run['coil_out'], $run['bulb'])
                    ? ['bulb', 9.0, $run['coil_out'], $run['bulb']]
                    : null,
                'subcooling' => $this->subcoolingEnds($run, $gap->value),
                'split' => isset($air['condenser'], $run['condenser_in'], $run['condenser_out'])
                    ? ['condenser', 0.42, $air['condenser'][0], $air['condenser'][0] + $gap->value]
                    : null,
                'TD' => isset($air['coil'])
                    ? ['coil', 0.3, $air['coil'][0] - $gap->value, $air['coil'][0]]
                    : null,
                'line gain' => isset($run['bulb'], $run['suction_pipe'])
                    ? ['suction_pipe', 9.0, $run['bulb'], $run['suction_pipe']]
                    : null,
                'discharge' => ['discharge', 0.0, $gap->value, $gap->value],
                'drier drop' => $gap->mark !== 'fine' && isset($run['drier_inlet'], $run['drier_outlet'])
                    ? ['drier_outlet', 7.0, $run['drier_outlet'], $run['drier_inlet']]
                    : null,
                default => null,
            };
            if ($ends === null) {
                continue;
            }
            [$place, $aside, $low, $high] = $ends;
            if ($gap->name === 'split' || $gap->name === 'TD') {
                [$x1, $y1] = $this->frame->middle($place, $low, $aside);
                [$x2, $y2] = $this->frame->middle($place, $high, $aside);
                $aside = 0.0;
            } else {
                [$x1, $y1] = $this->frame->point($place, $low);
                [$x2, $y2] = $this->frame->point($place, $high);
            }
            $path = $this->frame->downward
                ? sprintf('M%.1f %.1f v5 H%.1f v-5', $x1, $y1 + $aside, $x2)
                : sprintf('M%.1f %.1f h5 V%.1f h-5', $x1 + $aside, $y1, $y2);
            $at = $this->frame->downward
                ? [($x1 + $x2) / 2, $y1 + $aside + 5]
                : [$x1 + $aside + 5, ($y1 + $y2) / 2];
            if ($gap->name !== 'discharge') {
                $brackets[] = ['path' => $path, 'mark' => $gap->mark];
                $this->frame->downward
                    ? $this->placer->line($x1, $at[1], $x2, $at[1])
                    : $this->placer->line($at[0], $y1, $at[0], $y2);
            }
            $this->waiting[] = [$gap, $at[0], $at[1]];
        }

        return $brackets;
    }

    /**
     * @param  array<string, array{float, ?float}>  $air
     * @param  array<string, float>  $run
     * @return list<array{x: float, y: float, anchor: string, lines: list<array{class: string, text: string, y: float, size: float}>, mark: string}>
     */
    public function labels(array $air, array $run): array
    {
        $labels = [];
        usort(
            $this->waiting,
            static fn (array $a, array $b): int => ['act' => 0, 'look' => 1, 'fine' => 2][$a[0]->mark] <=>
                ['act' => 0, 'look' => 1, 'fine' => 2][$b[0]->mark],
        );
        foreach ($this->waiting as [$gap, $x, $y]) {
            $value = $gap->shown($this->units);
            $wanted = $gap->name === 'discharge' ? '' : $gap->wanted($this->units);
            $width = max(
                7.0 * mb_strlen($gap->name) + 16,
                10.8 * mb_strlen($value) + 6.6 * mb_strlen($wanted) + 6,
            );
            [$left, $top] = $this->placer->place($x, $y, $width, 31.0, [
                [7.0, -15.5],
                [-$width - 12.0, -15.5],
                [7.0, -34.0],
                [7.0, 4.0],
            ]);
            $labels[] = [
                'x' => $left,
                'y' => $top,
                'anchor' => 'start',
                'mark' => $gap->mark,
                'lines' => [
                    [
                        'class' => 'gap-name',
                        'text' => $gap->sign().' '.$gap->name,
                        'y' => $top + 11,
                        'size' => 11.5,
                    ],
                    ['class' => 'gap-value', 'text' => $value, 'y' => $top + 27.5, 'size' => 17.0],
                    [
                        'class' => 'gap-wanted',
                        'text' => $wanted,
                        'y' => $top + 27.5,
                        'size' => 11.0,
                        'x' => $left + 10.2 * mb_strlen($value) + 5,
                    ],
                ],
            ];
        }
        foreach ($air as $zone => [$in, $out]) {
            $text =
                ($zone === 'coil' ? 'box ' : 'ambient ').
                $this->units->number($in, Kind::Temperature).
                ($out === null ? '' : ' → '.$this->units->number($out, Kind::Temperature));
            [$x, $y] = $this->frame->middle($zone, $in, 0.02);
            $width = 6.5 * mb_strlen($text) + 4;
            [$left, $top] = $this->placer->place($x, $y, $width, 14.0, [
                [4.0, 4.0],
                [4.0, -18.0],
                [40.0, 4.0],
                [40.0, -18.0],
            ]);
            $labels[] = [
                'x' => $left,
                'y' => $top,
                'anchor' => 'start',
                'mark' => 'air',
                'lines' => [['class' => 'air-name', 'text' => $text, 'y' => $top + 11, 'size' => 11.5]],
            ];
        }

        return $labels;
    }

    /**
     * @param  array<string, float>  $run
     * @return ?array{string, float, float, float}
     */
    private function subcoolingEnds(array $run, float $value): ?array
    {
        foreach (['receiver_outlet', 'condenser_outlet', 'valve_inlet'] as $place) {
            if (isset($run[$place], $run['condenser_out'])) {
                return [$place, 7.0, $run[$place], $run[$place] + $value];
            }
        }

        return null;
    }

    private function bandJoins(string $from, string $to): bool
    {
        $order = array_keys(CourseRun::PLACES);
        $gap = (int) array_search($to, $order, true) - (int) array_search($from, $order, true);

        return $gap === 1 ||
            ($to === 'drier_outlet' && $from === 'receiver_outlet') ||
            $to === 'valve_inlet' ||
            ($to === 'coil_in' && $from === 'valve_inlet');
    }

    /** @param  array<string, Expected>  $stretch */
    private function bandPath(array $stretch): string
    {
        $upper = $lower = [];
        foreach ($stretch as $place => $band) {
            $upper[] = vsprintf('%.1f %.1f', $this->frame->point($place, $band->value + $band->deviation));
            $lower[] = vsprintf('%.1f %.1f', $this->frame->point($place, $band->value - $band->deviation));
        }

        return 'M'.implode(' L', [...$upper, ...array_reverse($lower)]).' Z';
    }

    private function tick(float $kelvin): string
    {
        $text = str_replace('.0', '', $this->units->number($kelvin, Kind::Temperature));

        return str_starts_with($text, '−') || $text === '0' ? $text : '+'.$text;
    }
}
