<?php

namespace App\Console\Commands;

use Metrum\Data\Refused;
use Metrum\Exchange\ScenarioAnswer;
use Metrum\Exchange\ScenarioReader;
use Metrum\Twin\Simulation;

/** Asks the twin: a steady state for each scenario, or a run in time. */
final class SimulateCommand extends JsonLinesCommand
{
    /** Least and most of the options. */
    private const MINUTES = [0.1, 43200.0];

    private const STEP = [1.0, 600.0];

    /** s of a step inside, at most. */
    private const FINEST = 10.0;

    protected $signature = 'metrum:simulate
        {file : scenarios as JSON Lines, - for standard input}
        {--minutes= : simulate this many minutes}
        {--step=1 : seconds between two lines, 1 to 600}
        {--csv : CSV instead of JSON}';

    protected $description = 'Simulate systems, steady or over time';

    private bool $headed = false;

    public function handle(): int
    {
        foreach (['minutes' => self::MINUTES, 'step' => self::STEP] as $option => [$least, $most]) {
            $given = $this->option($option);
            if ($given !== null && (! is_numeric($given) || (float) $given < $least || (float) $given > $most)) {
                $shown = is_string($given) ? $given : '';
                $this->complain("--$option: got \"$shown\", expected $least to $most.");

                return self::NOTHING_READ;
            }
        }

        return parent::handle();
    }

    protected function answer(string $line, int $number): LineAnswer
    {
        try {
            $scenario = ScenarioReader::json($line);
        } catch (Refused $file) {
            return LineAnswer::refused($number, $file->reasons);
        }
        $minutes = $this->option('minutes');
        if ($minutes === null) {
            return LineAnswer::with(ScenarioAnswer::steady($scenario, $scenario->steady()));
        }
        $this->headed = false;
        $this->series($scenario->simulation(), (float) $minutes * 60, (float) $this->option('step'));

        return LineAnswer::written();
    }

    /** Writes a line or row a step. */
    private function series(Simulation $simulation, float $seconds, float $step): void
    {
        $inside = $step / ceil($step / self::FINEST);
        for ($time = 0.0; $time <= $seconds + 1e-6; $time += $step) {
            $line = ScenarioAnswer::moment($simulation->now());
            if ((bool) $this->option('csv')) {
                $this->row($line);
            } else {
                $this->json($line);
            }
            for ($done = 0.0; $done < $step - 1e-9; $done += $inside) {
                $simulation->advance($inside);
            }
        }
    }

    /** @param  array<string, float|int|string|bool|null>  $line */
    private function row(array $line): void
    {
        if (! $this->headed) {
            $this->csv(array_keys($line));
            $this->headed = true;
        }
        $this->csv(array_map(static fn (mixed $value): mixed => is_bool($value) ? (int) $value : $value, $line));
    }

    /** @param  array<float|int|string|null>  $fields */
    private function csv(array $fields): void
    {
        $row = fopen('php://memory', 'r+');
        assert($row !== false);
        fputcsv($row, $fields, escape: '');
        rewind($row);
        $this->raw(rtrim((string) stream_get_contents($row), "\n"));
        fclose($row);
    }
}
