<?php

declare(strict_types=1);

namespace Metrum\Learning;

/** Curves fitted to simulated visits, and what they reach on others. */
final readonly class Trained
{
    private const ROUNDS = 150;

    private Taught $taught;

    private ExpertColumns $experts;

    private Fit $fit;

    public function __construct()
    {
        $this->taught = new Taught();
        $this->experts = new ExpertColumns($this->taught->columns);
        $faults = $this->taught->learned;
        $even = array_fill(0, count($faults), -log(count($faults)));
        $this->fit = new Fit($this->experts->rows($faults), $even, $this->taught->columns->taught());
    }

    /**
     * @param  list<Drawn>  $visits
     * @param  callable(int, float): void  $told
     */
    public function learn(array $visits, callable $told): void
    {
        $arrows = new Arrows($this->taught->columns, $this->experts->experts, $this->taught->learned);
        $this->fit->to(array_map($this->taught->lesson(...), $visits), self::ROUNDS, $told, $arrows->kept(...));
    }

    public function file(): CurvesFile
    {
        return new CurvesFile($this->taught, $this->experts, $this->fit);
    }

    /**
     * What the curves reach on visits that were not fitted: over all, by other laws, by how much was entered.
     *
     * @param  list<Drawn>  $visits
     * @return array<string, Measured>
     */
    public function measured(array $visits): array
    {
        $measured = ['all' => new Measured(), 'altered' => new Measured()];
        foreach ($visits as $visit) {
            if (count($visit->faults) > 1) {
                continue;
            }
            $probabilities = [];
            foreach ($this->fit->probabilities($this->taught->lesson($visit)) as $place => $probability) {
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
    public static function amount(Drawn $visit): string
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
