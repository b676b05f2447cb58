<?php

use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Learning\Measured;
use Metrum\Twin\Twins;

/** A table of what was reached, and what was said instead. */
final class Table
{
    /** Columns of the calibration picture, of 2 % each. */
    private const PICTURE = 50;

    /** @var array<string, Measured> */
    private array $rows = [];

    /** @var array<string, array<string, int>> */
    private array $instead = [];

    private float $milliseconds = 0.0;

    private int $visits = 0;

    /**
     * @param  list<string>  $truth
     * @param  list<string>  $rows
     */
    public function add(Findings $findings, array $truth, array $rows): Verdict
    {
        $start = hrtime(true);
        $verdict = (new Diagnosis(new HouseRules(), new Twins()))->of($findings, explained: 0);
        $this->milliseconds += (hrtime(true) - $start) / 1e6;
        $this->visits++;
        $probabilities = [];
        foreach ($verdict->suspects as $suspect) {
            $probabilities[$suspect->fault->value] = $suspect->probability;
        }
        $first = $verdict->first()->fault;
        foreach (['all', ...$rows] as $row) {
            ($this->rows[$row] ??= new Measured())->add($probabilities, $truth);
            if (! in_array($first->value, $truth === [] ? [Fault::NoFault->value] : $truth, true)) {
                $this->instead[$row][$first->value] = ($this->instead[$row][$first->value] ?? 0) + 1;
            }
        }

        return $verdict;
    }

    public function line(string $name): string
    {
        $all = $this->rows['all'];

        return sprintf(
            "%-34s %5d %5.0f%% %5.0f%% %7.3f %6.3f %6.3f %8.1f\n",
            $name,
            $all->visits,
            100 * $all->first(),
            100 * $all->three(),
            $all->loss(),
            $all->calibrationError(),
            $all->errorByChance(),
            $this->milliseconds / $this->visits,
        );
    }

    public function show(string $title): void
    {
        printf("%s\n%-38s %6s %6s %6s", $title, '', 'n', 'first', 'three');
        printf(" %7s %6s %6s  %s\n", 'loss', 'error', 'chance', 'instead');
        ksort($this->rows);
        foreach ($this->rows as $row => $measured) {
            $instead = $this->instead[$row] ?? [];
            arsort($instead);
            printf(
                "%-38s %6d %5.0f%% %5.0f%% %7.3f %6.3f %6.3f  %s\n",
                $row,
                $measured->visits,
                100 * $measured->first(),
                100 * $measured->three(),
                $measured->loss(),
                $measured->calibrationError(),
                $measured->errorByChance(),
                str_starts_with($row, 'fault ') ? self::listed(array_slice($instead, 0, 3)) : '',
            );
        }
        $this->picture();
    }

    /** What was claimed (|) beside what was right (o), from 0 to 100 %. */
    private function picture(): void
    {
        echo "\nclaimed |, right o, from 0 to 100 %\n";
        foreach ($this->rows['all']->calibration() as [$claimed, $right, $visits]) {
            $line = str_repeat('.', self::PICTURE + 1);
            $line[(int) round(self::PICTURE * $claimed)] = '|';
            $line[(int) round(self::PICTURE * $right)] = 'o';
            printf("%s %4d visits, %3.0f%% claimed, %3.0f%% right\n", $line, $visits, 100 * $claimed, 100 * $right);
        }
        printf("%.1f ms a visit with its next checks\n\n", $this->milliseconds / $this->visits);
    }

    /** @param  array<string, int>  $named */
    private static function listed(array $named): string
    {
        $told = [];
        foreach ($named as $fault => $n) {
            $told[] = "$fault $n";
        }

        return implode(', ', $told);
    }
}
