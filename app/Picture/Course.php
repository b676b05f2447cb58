<?php

namespace App\Picture;

use App\View\Units;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Reading;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Plant\Expectation;
use Metrum\Plant\Expected;
use Metrum\Plant\TwinExpectation;
use Metrum\Quantity\Kind;

/**
 * View data of the course: the run of temperature along the circuit over its expected band, air lines, gaps and labels.
 *
 * All coordinates are in the drawing's own units and finished: the component only prints them.
 */
final readonly class Course
{
    public CourseFrame $frame;

    /** @var array<string, float> measured temperatures (K) by place */
    public array $run;

    /** @var array<string, Expected> */
    public array $expected;

    /** @var list<Gap> */
    public array $gaps;

    public bool $settled;

    /** @var list<array{x1: float, y1: float, x2: float, y2: float, from: string, to: string, saturated: bool}> */
    public array $segments;

    /** @var list<array{x: float, y: float, colour: string, measured: bool}> */
    public array $points;

    /** @var list<string> SVG paths of the expected band */
    public array $bands;

    /** @var list<array{x1: float, y1: float, x2: float, y2: float}> */
    public array $airs;

    /** @var list<array{path: string, mark: string}> */
    public array $brackets;

    /** @var list<array{x: float, y: float, anchor: string, lines: list<array{class: string, text: string, y: float, size: float}>, mark: string}> */
    public array $labels;

    /** @var list<array{x1: float, y1: float, x2: float, y2: float, textX: float, textY: float, text: string, zero: bool, fold: bool}> */
    public array $grid;

    public function __construct(
        private Findings $findings,
        private Figures $figures,
        HouseRules $rules,
        public Units $units,
        float $height = 400.0,
        bool $downward = false,
        ?Expectation $expectation = null,
    ) {
        $this->run = CourseRun::measured($findings, $figures);
        $expectation ??= new TwinExpectation($findings, $rules);
        $this->expected = $expectation->run();
        $this->settled = $findings->isSettled();
        $this->gaps = (new CourseGaps($findings, $figures, $rules, $expectation))->all();
        [$lowest, $fold] = $this->span();
        $this->frame = $downward
            ? CourseFrame::down($lowest, $fold)
            : CourseFrame::across($height, $lowest, $fold);
        $drawing = new CourseDrawing($this->frame, $units);
        $this->grid = $drawing->grid();
        $this->segments = $drawing->segments($this->run);
        $this->points = $drawing->points($this->run);
        $this->bands = $drawing->bands($this->expected);
        $air = $this->air();
        $this->airs = $drawing->airs($air);
        $this->brackets = $drawing->brackets($this->gaps, $this->run, $air, $figures);
        $this->labels = $drawing->labels($air, $this->run);
    }

    public function isBlank(): bool
    {
        return $this->run === [] && $this->expected === [];
    }

    /** What would give the rest of the expected run; null where all of it is there. */
    public function missing(): ?string
    {
        $high = isset($this->expected['condenser_in']);
        $low = isset($this->expected['coil_in']);

        return match (true) {
            $high && $low => null,
            $low => 'The ambient temperature gives the expected run of the high side.',
            $high => 'The box temperature gives the expected run of the coil.',
            default => 'Box and ambient temperature give the expected run.',
        };
    }

    /**
     * The run cut into short pieces of one colour each, for printing where no gradient is known.
     *
     * @return list<array{x1: float, y1: float, x2: float, y2: float, colour: string, saturated: bool}>
     */
    public function halves(): array
    {
        $pieces = [];
        $places = array_keys($this->run);
        foreach ($places as $i => $place) {
            $next = $places[$i + 1] ?? null;
            if ($next === null || ! CourseRun::joins($place, $next)) {
                continue;
            }
            [$x1, $y1] = $this->frame->point($place, $this->run[$place]);
            [$x2, $y2] = $this->frame->point($next, $this->run[$next]);
            for ($k = 0; $k < 6; $k++) {
                $pieces[] = [
                    'x1' => round($x1 + (($x2 - $x1) * $k) / 6, 1),
                    'y1' => round($y1 + (($y2 - $y1) * $k) / 6, 1),
                    'x2' => round($x1 + (($x2 - $x1) * ($k + 1)) / 6, 1),
                    'y2' => round($y1 + (($y2 - $y1) * ($k + 1)) / 6, 1),
                    'colour' => TemperatureColour::of(
                        $this->run[$place] + (($this->run[$next] - $this->run[$place]) * ($k + 0.5)) / 6,
                    ),
                    'saturated' => in_array($next, ['condenser_out', 'coil_out'], true),
                ];
            }
        }

        return $pieces;
    }

    /** @return list<array{place: string, measured: string, expected: string}> the same as a table */
    public function rows(): array
    {
        $rows = [];
        foreach (CourseRun::PLACES as $place => $label) {
            $value = $this->run[$place] ?? null;
            $band = $this->expected[$place] ?? null;
            if ($value !== null || $band !== null) {
                $rows[] = [
                    'place' => $label,
                    'measured' => $value === null ? 'not measured' : $this->units->text($value, Kind::Temperature),
                    'expected' => $band === null
                            ? ''
                            : $this->units->span(
                                $band->value - $band->deviation,
                                $band->value + $band->deviation,
                                Kind::Temperature,
                            ).
                                ' '.
                                $this->units->symbol(Kind::Temperature),
                ];
            }
        }

        return $rows;
    }

    /** @return array<string, array{float, ?float}> air entering and leaving (K), by the place it belongs to */
    private function air(): array
    {
        $air = [];
        $ambient = $this->findings->reading(Reading::AmbientTemperature);
        if ($ambient !== null) {
            $air['condenser'] = [$ambient, $this->findings->reading(Reading::CondenserAirOutTemperature)];
        }
        $box = $this->findings->reading(Reading::BoxTemperature);
        if ($box !== null) {
            $air['coil'] = [$box, $this->findings->reading(Reading::SupplyAirTemperature)];
        }

        return $air;
    }

    /** @return array{float, float} lowest temperature shown and the fold, K */
    private function span(): array
    {
        $level = array_diff_key($this->run, ['discharge' => true]);
        foreach ($this->expected as $place => $band) {
            if ($place !== 'discharge') {
                $level[$place.' high'] = $band->value + $band->deviation;
                $level[$place.' low'] = $band->value - $band->deviation;
            }
        }
        $low = ($level === [] ? 273.15 : min($level)) - 273.15;
        $high = ($level === [] ? 273.15 : max($level)) - 273.15;
        $usual = $this->findings->circuit->isLowTemperature() ? -40.0 : -20.0;

        return [
            273.15 + min($usual, 10.0 * floor(($low - 2) / 10)),
            273.15 + max(50.0, 10.0 * ceil(($high + 1) / 10)),
        ];
    }
}
