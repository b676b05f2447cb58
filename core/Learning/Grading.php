<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\Curves;
use Metrum\Diagnosis\Grade;

/** Curves that tell how marked a fault is where it is one. */
final readonly class Grading
{
    private const ROUNDS = 40;

    /** Visits of a fault below which its grades are not told apart. */
    private const FEWEST = 120;

    /** Nats below which a curve is not kept. */
    private const TOLD = 0.12;

    public function __construct(private Curriculum $taught)
    {
    }

    /**
     * @param  list<DrawnVisit>  $visits
     * @return array<string, array{list<int>, array<string, array<int|string, list<int>>>}>
     */
    public function of(array $visits): array
    {
        $places = array_flip(array_column(Grade::cases(), 'value'));
        $grades = [];
        foreach ($this->taught->learned as $fault) {
            $lessons = [];
            foreach ($visits as $visit) {
                if ($visit->faults === [$fault->value] && $visit->grade !== null) {
                    $lessons[] = $this->taught->columns->lesson($visit->features, [
                        $places[$visit->grade->value] => 1.0,
                    ]);
                }
            }
            if (count($lessons) < self::FEWEST) {
                continue;
            }
            $nothing = array_fill(0, $this->taught->columns->count, [0.0, 0.0, 0.0]);
            $fit = new CurveFit($nothing, [0.0, 0.0, 0.0], $this->taught->columns->features());
            $fit->to($lessons, self::ROUNDS, static function (): void {
            });
            $grades[$fault->value] = [
                Columns::rounded($fit->bias, Curves::WEIGHT),
                $this->taught->columns->named($fit->weights, Curves::WEIGHT, self::TOLD),
            ];
        }

        return $grades;
    }
}
