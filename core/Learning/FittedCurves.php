<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\CurveSet;
use Metrum\Knowledge\Fault;

/** Curves fitted to simulated visits, and what they reach on others. */
final readonly class FittedCurves
{
    private const ROUNDS = 80;

    /** How much steeper curves are tried. */
    private const STEEPER = [1.0, 1.05, 1.1, 1.15, 1.2, 1.25, 1.3, 1.35, 1.4];

    private Curriculum $taught;

    private ExpertColumns $experts;

    private CurveFit $fit;

    /** @var array<int, array<int, float>> how often each answer was given, by column and learned fault */
    private array $answers;

    /** @param  list<DrawnVisit>  $visits  from which is learned */
    public function __construct(private array $visits, CurveSet $set = CurveSet::Settling)
    {
        $this->taught = new Curriculum($set);
        $columns = $this->taught->columns;
        $this->experts = new ExpertColumns($columns);
        $faults = $this->taught->learned;
        $beforehand = array_map(
            fn (Fault $fault): float => log($this->taught->frequencies()[$fault->value]),
            $faults,
        );
        $given = (new ChanceTable($this->taught, $this->experts))->carried($visits);
        $this->answers = array_intersect_key($given, array_flip($columns->answers()));
        $this->fit = new CurveFit(
            $this->experts->rows($faults, $this->answers),
            $beforehand,
            $columns->taught(),
            $columns->families(),
        );
    }

    /** @param  callable(int, float): void  $told */
    public function learn(callable $told): void
    {
        $arrows = new Arrows($this->taught->columns, $this->taught->learned);
        $this->fit->to(array_map($this->taught->lesson(...), $this->visits), self::ROUNDS, $told, $arrows->kept(...));
    }

    /**
     * Makes the curves as sure as they may be: so steep that the loss is least on visits that were not fitted.
     *
     * @param  list<DrawnVisit>  $visits
     * @return float how much steeper they became
     */
    public function sharpen(array $visits): float
    {
        $best = 1.0;
        $least = INF;
        foreach (self::STEEPER as $times) {
            $loss = $this->reached($visits, $times)['all']->loss();
            if ($loss < $least) {
                [$best, $least] = [$times, $loss];
            }
        }
        $this->fit->sharpened($best);

        return $best;
    }

    public function file(): CurvesFile
    {
        return new CurvesFile($this->taught, $this->experts, $this->fit, $this->answers);
    }

    /**
     * What the curves reach on visits that were not fitted: over all, by other laws, by how much was entered.
     *
     * @param  list<DrawnVisit>  $visits
     * @return array<string, Measured>
     */
    public function measured(array $visits): array
    {
        return $this->reached($visits, 1.0);
    }

    /**
     * @param  list<DrawnVisit>  $visits
     * @return array<string, Measured>
     */
    private function reached(array $visits, float $times): array
    {
        $measured = ['all' => new Measured(), 'altered' => new Measured()];
        foreach ($visits as $visit) {
            if (count($visit->faults) > 1) {
                continue;
            }
            $probabilities = [];
            foreach ($this->fit->probabilities($this->taught->lesson($visit), $times) as $place => $probability) {
                $probabilities[$this->taught->learned[$place]->value] = $probability;
            }
            arsort($probabilities);
            $rows = ['all', 'entered '.self::amount($visit), ...$visit->altered ? ['altered'] : []];
            foreach ($rows as $row) {
                ($measured[$row] ??= new Measured())->add($probabilities, $visit->faults);
            }
        }

        return $measured;
    }

    /** How much was entered of a visit. */
    public static function amount(DrawnVisit $visit): string
    {
        $features = array_keys($visit->features);
        $figures = count((array) preg_grep('/^(sign|reading) /', $features));
        $words = count((array) preg_grep('/^(word|complaint) /', $features));

        return match (true) {
            $figures === 0 => 'looks only',
            $figures + $words < 12 => 'few',
            $figures + $words < 26 => 'half',
            default => 'much',
        };
    }
}
