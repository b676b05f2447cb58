<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\Curves;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Feature;
use Metrum\Findings\Sign;
use Metrum\Knowledge\Fault;

/**
 * What was learned, as the diagnosis reads it.
 *
 * What the steady twin cannot carry stands on the trade's own curves: such a plant runs like a sound one but for what
 * its fault's file says, so each weighs what a sound plant weighs, and by how much better its file foretells a thing
 * than a sound plant does.
 */
final readonly class CurvesFile
{
    /** How often all faults together that the twin cannot carry are met, of sound plants. */
    private const UNCARRIED = 1.0;

    /** How far priors are set back from fault first to plant first, 0 … 1. */
    private const PLANT_FIRST = 0.5;

    /** Least share of plants that can have a fault. */
    private const SELDOM = 0.02;

    /** @param  array<int, array<int, float>>  $answers  how often each was given, by column and learned fault */
    public function __construct(
        private Curriculum $taught,
        private ExpertColumns $experts,
        private CurveFit $fit,
        private array $answers,
    ) {
    }

    /**
     * The file: curves, chances and grades.
     *
     * @param  list<DrawnVisit>  $visits
     * @param  array<string, float>  $met  how often plants are met that can have a fault, 0 … 1, by Fault
     * @return array<string, mixed>
     */
    public function of(array $visits, array $met): array
    {
        $all = [...$this->taught->learned, ...$this->taught->uncarried];

        return [
            'faults' => array_column($all, 'value'),
            'prior' => Columns::rounded($this->priors($met), Curves::WEIGHT),
            'shares' => array_map(static fn (float $one): float => round($one, 3), $this->fit->families->shares),
            'weights' => array_filter(
                $this->taught->columns->named(
                    $this->besideSound($this->withUncarried($this->fit->weights)),
                    Curves::WEIGHT,
                ),
                static fn (string $feature): bool => ! Feature::named($feature)->isAnswer(),
                ARRAY_FILTER_USE_KEY,
            ),
            'chances' => array_filter(
                $this->taught->columns->named(
                    (new ChanceTable($this->taught, $this->experts))->of($visits),
                    Curves::CHANCE,
                ),
                static fn (string $feature): bool => Feature::named($feature)->of instanceof Sign,
                ARRAY_FILTER_USE_KEY,
            ),
            'answers' => $this->taught->columns->named($this->answers, Curves::CHANCE),
            'grades' => (new Grading($this->taught))->of($visits),
        ];
    }

    /**
     * Visits were drawn fault first, so that seldom plants are learned too; they are met plant first, yet a part that
     * is fitted is also a part that is called for. The truth lies between.
     *
     * @param  array<string, float>  $met
     * @return array<int, float> by place of all faults
     */
    private function priors(array $met): array
    {
        $priors = [];
        foreach ($this->taught->learned as $place => $fault) {
            $priors[] =
                $this->fit->bias[$place] +
                self::PLANT_FIRST * log(max(self::SELDOM, $met[$fault->value] ?? 1.0));
        }
        $sound = $priors[$this->taught->placeOf(Fault::NoFault->value)];
        $sum = 0.0;
        foreach ($this->taught->uncarried as $fault) {
            $sum += FaultCatalogue::entry($fault)->prior;
        }
        foreach ($this->taught->uncarried as $fault) {
            $priors[] = $sound + log((self::UNCARRIED * FaultCatalogue::entry($fault)->prior) / $sum);
        }

        return $priors;
    }

    /**
     * @param  array<int, array<int, float>>  $rows  by column and learned fault
     * @return array<int, array<int, float>> with the others behind
     */
    private function withUncarried(array $rows): array
    {
        $place = $this->taught->placeOf(Fault::NoFault->value);
        $sound = $this->experts->all(Fault::NoFault);
        foreach ($this->taught->uncarried as $fault) {
            $own = $this->experts->all($fault);
            foreach ($rows as $column => $row) {
                $rows[$column][] =
                    $row[$place] + ExpertColumns::TEMPER * (($own[$column] ?? 0.0) - ($sound[$column] ?? 0.0));
            }
        }

        return $rows;
    }

    /**
     * Rounded beside a sound plant's curve, so that one which rises or falls throughout still does.
     *
     * @param  array<int, array<int, float>>  $rows  by column and fault
     * @return array<int, array<int, float>>
     */
    private function besideSound(array $rows): array
    {
        $place = $this->taught->placeOf(Fault::NoFault->value);
        $round = static fn (float $one): float => Curves::WEIGHT * round($one / Curves::WEIGHT);

        return array_map(static function (array $row) use ($place, $round): array {
            $sound = $row[$place];

            return array_map(static fn (float $one): float => $round($sound) + $round($one - $sound), $row);
        }, $rows);
    }
}
