<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Circuit\Complaint;
use Metrum\Circuit\Fault;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Test;
use Metrum\Diagnosis\Curves;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Features;
use Metrum\Diagnosis\Grade;
use Metrum\Diagnosis\Scale;
use Metrum\Findings\Sign;

/**
 * Fits the curves to simulated visits and writes them as the diagnosis reads them.
 *
 * What the steady twin cannot carry (clocks, heaters, controls, oil, water, hunting) stands on the trade's own curves:
 * such a plant runs like a sound one but for what its fault's file says, so each weighs what a sound plant weighs,
 * and by how much better its file foretells a thing than a sound plant does.
 */
final class Trained
{
    private const ROUNDS = 200;

    /** The same where only grades of one fault are told apart. */
    private const GRADE_ROUNDS = 40;

    /** Share of the trade's own weights that fitting starts from, since pieces of evidence overlap. */
    private const TEMPER = 0.8;

    /** The same of signs that the twin carries: there the visits themselves tell more. */
    private const CARRIED = 0.25;

    /** How often all faults together that the twin cannot carry are met, of sound plants. */
    private const UNCARRIED = 0.6;

    /** Visits of a fault below which its grades are not told apart. */
    private const FEWEST = 120;

    /** Added to every count of a chance. */
    private const NEVER_NONE = 2.0;

    private Columns $columns;

    private ExpertCurves $experts;

    /** @var list<Fault> that are learned, by place */
    private array $faults;

    /** @var list<Fault> that stand on the trade's own curves */
    private array $uncarried;

    public Fit $fit;

    public function __construct()
    {
        $this->columns = new Columns();
        $this->experts = new ExpertCurves();
        $carried = static fn (Fault $fault): bool => Patients::isLearned($fault);
        $this->faults = array_values(array_filter(Fault::cases(), $carried));
        $this->uncarried = array_values(
            array_filter(Fault::cases(), static fn (Fault $fault): bool => ! $carried($fault)),
        );
        $even = array_fill(0, count($this->faults), -log(count($this->faults)));
        $this->fit = new Fit($this->expertRows(), $even, $this->columns->features());
    }

    /**
     * @param  list<Drawn>  $visits
     * @param  callable(int, float): void  $told
     */
    public function learn(array $visits, callable $told): void
    {
        $this->fit->to(array_map($this->lesson(...), $visits), self::ROUNDS, $told);
        $arrows = new Arrows($this->columns, $this->experts, $this->faults);
        $this->fit->weights = $arrows->kept($this->fit->weights);
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
            foreach ($this->fit->probabilities($this->lesson($visit)) as $place => $probability) {
                $probabilities[$this->faults[$place]->value] = $probability;
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

    private function lesson(Drawn $visit): Lesson
    {
        $faults = $visit->faults === [] ? [Fault::NoFault->value] : $visit->faults;
        $truth = [];
        foreach ($faults as $fault) {
            $truth[$this->placeOf($fault)] = 1 / count($faults);
        }

        return $this->columns->lesson($visit->features, $truth);
    }

    private function placeOf(string $fault): int
    {
        return (int) array_search(Fault::from($fault), $this->faults, true);
    }

    /** @return array<int, array<int, float>> the trade's own weights, by column and fault, centred */
    private function expertRows(): array
    {
        $rows = array_fill(0, $this->columns->count, array_fill(0, count($this->faults), 0.0));
        foreach ($this->faults as $place => $fault) {
            foreach ($this->expertsOf($fault) as $column => $log) {
                $rows[$column][$place] = self::TEMPER * $log;
            }
            foreach ($this->carriedLogs($fault) as $column => $log) {
                $rows[$column][$place] = self::CARRIED * $log;
            }
        }

        return array_map(static function (array $row): array {
            $mean = array_sum($row) / count($row);

            return array_map(static fn (float $one): float => $one - $mean, $row);
        }, $rows);
    }

    /** @return array<int, float> logarithms of chances, by column */
    private function expertsOf(Fault $fault): array
    {
        $logs = [];
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            foreach ([null, ...array_column($asked->row()->usualWhen, 0)] as $under) {
                foreach ($this->experts->ofQuestion($fault, $asked, $under) as $word => $log) {
                    $logs[$this->columns->words[Features::word($asked, $under)][$word]] = $log;
                }
            }
        }
        foreach (Complaint::cases() as $complaint) {
            $column = $this->columns->words['complaint '.$complaint->value]['yes'];
            $logs[$column] = $this->experts->ofComplaint($fault, $complaint);
        }
        foreach (ExpertCurves::SIGNS as $sign) {
            $logs += $this->signOf($fault, $sign);
        }

        return $logs;
    }

    /** @return array<int, float> */
    private function signOf(Fault $fault, Sign $sign): array
    {
        return array_combine(
            $this->columns->curves['sign '.$sign->value],
            $this->experts->ofSign($fault, $sign, Scale::DEVIATIONS),
        );
    }

    /**
     * The file: curves, chances and grades.
     *
     * @param  list<Drawn>  $visits
     * @param  array<string, float>  $met  how often plants are met that can have a fault, 0 … 1, by Fault
     * @return array<string, mixed>
     */
    public function file(array $visits, array $met): array
    {
        $all = [...$this->faults, ...$this->uncarried];

        return [
            'faults' => array_column($all, 'value'),
            'prior' => self::rounded($this->priors($met), Curves::WEIGHT),
            'weights' => $this->named($this->withUncarried($this->fit->weights), Curves::WEIGHT),
            'chances' => array_filter(
                $this->named($this->chances($visits), Curves::CHANCE),
                static fn (string $feature): bool => str_starts_with($feature, 'sign ') || str_starts_with($feature, 'word '),
                ARRAY_FILTER_USE_KEY,
            ),
            'grades' => $this->grades($visits),
        ];
    }

    /**
     * Visits were drawn fault first, so that seldom plants are learned too; they are met plant first.
     *
     * @param  array<string, float>  $met
     * @return array<int, float> by place of all faults
     */
    public function priors(array $met): array
    {
        $priors = [];
        foreach ($this->faults as $place => $fault) {
            $priors[] = $this->fit->bias[$place] + log(max(0.02, $met[$fault->value] ?? 1.0));
        }
        $sound = $priors[$this->placeOf(Fault::NoFault->value)];
        $sum = 0.0;
        foreach ($this->uncarried as $fault) {
            $sum += FaultCatalogue::entry($fault)->prior;
        }
        foreach ($this->uncarried as $fault) {
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
        $place = $this->placeOf(Fault::NoFault->value);
        $sound = $this->uncarriedLogs(Fault::NoFault);
        foreach ($this->uncarried as $fault) {
            $own = $this->uncarriedLogs($fault);
            foreach ($rows as $column => $row) {
                $rows[$column][] = $row[$place] + self::TEMPER * (($own[$column] ?? 0.0) - ($sound[$column] ?? 0.0));
            }
        }

        return $rows;
    }

    /** @return array<int, float> logarithms of chances, by column; all signs among them */
    private function uncarriedLogs(Fault $fault): array
    {
        return $this->expertsOf($fault) + $this->carriedLogs($fault);
    }

    /** @return array<int, float> logarithms of chances, by column, of the signs that the twin carries */
    private function carriedLogs(Fault $fault): array
    {
        $logs = [];
        foreach (Sign::cases() as $sign) {
            $logs += in_array($sign, ExpertCurves::SIGNS, true) ? [] : $this->signOf($fault, $sign);
        }

        return $logs;
    }

    /**
     * How often each thing is found so under each fault, where it is looked at.
     *
     * @param  list<Drawn>  $visits
     * @return array<int, array<int, float>> by column and fault, carried and not
     */
    private function chances(array $visits): array
    {
        $counts = array_fill(0, $this->columns->count, array_fill(0, count($this->faults), 0.0));
        foreach ($visits as $visit) {
            $lesson = $this->lesson($visit);
            foreach ($lesson->columns as $n => $column) {
                foreach ($lesson->truth as $place => $share) {
                    $counts[$column][$place] += $share * $lesson->parts[$n];
                }
            }
        }
        $chances = [];
        foreach ([...array_values($this->columns->curves), ...array_values($this->columns->words)] as $columns) {
            $columns = array_values($columns);
            foreach (array_keys($this->faults) as $place) {
                $sum = self::NEVER_NONE;
                $overall = 0.0;
                foreach ($columns as $column) {
                    $sum += $counts[$column][$place];
                    $overall += array_sum($counts[$column]) + 0.1;
                }
                foreach ($columns as $column) {
                    $usual = (array_sum($counts[$column]) + 0.1) / $overall;
                    $chances[$column][$place] = ($counts[$column][$place] + self::NEVER_NONE * $usual) / $sum;
                }
            }
        }
        ksort($chances);

        return $this->chancesWithUncarried(array_values($chances));
    }

    /**
     * @param  array<int, array<int, float>>  $chances
     * @return array<int, array<int, float>>
     */
    private function chancesWithUncarried(array $chances): array
    {
        $place = $this->placeOf(Fault::NoFault->value);
        $sound = $this->uncarriedLogs(Fault::NoFault);
        foreach ($this->uncarried as $fault) {
            $own = $this->uncarriedLogs($fault);
            foreach ([...array_values($this->columns->curves), ...array_values($this->columns->words)] as $columns) {
                $raw = [];
                foreach ($columns as $column) {
                    $raw[$column] = $chances[$column][$place] * exp(($own[$column] ?? 0.0) - ($sound[$column] ?? 0.0));
                }
                $sum = array_sum($raw);
                foreach ($raw as $column => $chance) {
                    $chances[$column][] = $chance / $sum;
                }
            }
        }

        return $chances;
    }

    /**
     * @param  list<Drawn>  $visits
     * @return array<string, array{list<int>, array<string, array<int|string, list<int>>>}>
     */
    private function grades(array $visits): array
    {
        $places = array_flip(array_column(Grade::cases(), 'value'));
        $grades = [];
        foreach ($this->faults as $fault) {
            $lessons = [];
            foreach ($visits as $visit) {
                if ($visit->faults === [$fault->value] && $visit->grade !== null) {
                    $lessons[] = $this->columns->lesson($visit->features, [$places[$visit->grade->value] => 1.0]);
                }
            }
            if (count($lessons) < self::FEWEST) {
                continue;
            }
            $nothing = array_fill(0, $this->columns->count, [0.0, 0.0, 0.0]);
            $fit = new Fit($nothing, [0.0, 0.0, 0.0], $this->columns->features());
            $fit->to($lessons, self::GRADE_ROUNDS, static function (): void {
            });
            $grades[$fault->value] = [self::rounded($fit->bias, Curves::WEIGHT), $this->named($fit->weights, Curves::WEIGHT, self::TOLD)];
        }

        return $grades;
    }

    /** Nats below which a curve of grades is not kept. */
    private const TOLD = 0.12;

    /**
     * @param  array<int, array<int, float>>  $rows  by column
     * @param  float  $least  features that nowhere reach it are left out
     * @return array<string, array<int|string, list<int>>> by feature, and knot or word
     */
    private function named(array $rows, float $unit, float $least = 0.0): array
    {
        $named = [];
        foreach ([...$this->columns->curves, ...$this->columns->words] as $feature => $columns) {
            $reach = 0.0;
            foreach ($columns as $key => $column) {
                $named[$feature][$key] = self::rounded($rows[$column], $unit);
                foreach ($rows[$column] as $one) {
                    $reach = max($reach, abs($one));
                }
            }
            if ($reach < $least) {
                unset($named[$feature]);
            }
        }

        return $named;
    }

    /**
     * @param  array<int, float>  $numbers
     * @return list<int>
     */
    private static function rounded(array $numbers, float $unit): array
    {
        return array_map(static fn (float $one): int => (int) round($one / $unit), array_values($numbers));
    }
}
