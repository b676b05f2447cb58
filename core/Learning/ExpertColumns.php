<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\Feature;
use Metrum\Diagnosis\Features;
use Metrum\Diagnosis\Scale;
use Metrum\Diagnosis\Setting;
use Metrum\Diagnosis\Words;
use Metrum\Findings\Sign;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Test;

/** The trade's own curves, column by column as a fit sees them. */
final readonly class ExpertColumns
{
    /** Share of the trade's own weights that fitting starts from, since pieces of evidence overlap. */
    public const TEMPER = 0.8;

    /** The same of signs that the twin carries: there the visits themselves tell more. */
    private const CARRIED = 0.25;

    public ExpertCurves $experts;

    public function __construct(private Columns $columns)
    {
        $this->experts = new ExpertCurves($columns->set);
    }

    /**
     * The weights that fitting starts from, centred.
     *
     * @param  list<Fault>  $faults  by place
     * @param  array<int, array<int, float>>  $answers  how often each was given at drawn visits, by column and place;
     *                                                  none: as the files have it
     * @return array<int, array<int, float>> by column and place of the fault
     */
    public function rows(array $faults, array $answers = []): array
    {
        $rows = array_fill(0, $this->columns->count, array_fill(0, count($faults), 0.0));
        foreach ($faults as $place => $fault) {
            foreach ($this->told($fault) as $column => $log) {
                $rows[$column][$place] = isset($answers[$column])
                    ? log(Words::blended(exp($log), $answers[$column][$place]))
                    : $log;
            }
            foreach ($this->unshown($fault) as $column => $log) {
                $rows[$column][$place] = self::TEMPER * $log;
            }
            foreach ($this->carried($fault) as $column => $log) {
                $rows[$column][$place] = self::CARRIED * $log;
            }
        }

        return array_map(static function (array $row): array {
            $mean = array_sum($row) / count($row);

            return array_map(static fn (float $one): float => $one - $mean, $row);
        }, $rows);
    }

    /** @return array<int, float> logarithms of chances, by column; all signs among them */
    public function all(Fault $fault): array
    {
        return $this->told($fault) + $this->unshown($fault) + $this->carried($fault);
    }

    /** @return array<int, float> logarithms of chances, by column, of the signs that the twin carries */
    private function carried(Fault $fault): array
    {
        $logs = [];
        $set = $this->columns->set;
        foreach (array_filter(Sign::cases(), $set->has(...)) as $sign) {
            $logs += in_array($sign, ExpertCurves::signs($set), true) ? [] : $this->signOf($fault, $sign);
        }

        return $logs;
    }

    /** @return array<int, float> logarithms of chances of answers, by column */
    private function told(Fault $fault): array
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
            $column = $this->columns->words[Feature::of($complaint)->name()]['yes'];
            $logs[$column] = $this->experts->ofComplaint($fault, $complaint);
        }

        return $logs;
    }

    /** @return array<int, float> the same of signs that the steady twin does not carry */
    private function unshown(Fault $fault): array
    {
        $logs = [];
        foreach (ExpertCurves::signs($this->columns->set) as $sign) {
            $logs += $this->signOf($fault, $sign);
        }

        return $logs;
    }

    /** @return array<int, float> */
    private function signOf(Fault $fault, Sign $sign): array
    {
        $logs = [];
        foreach (Setting::names(Feature::of($sign)) as $name) {
            $logs += array_combine(
                $this->columns->curves[$name],
                $this->experts->ofSign($fault, $sign, Scale::DEVIATIONS),
            );
        }

        return $logs;
    }
}
