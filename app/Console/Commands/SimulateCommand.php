<?php

namespace App\Console\Commands;

use Metrum\Exchange\RefusedFile;
use Metrum\Exchange\ScenarioAnswer;
use Metrum\Exchange\ScenarioReader;
use Metrum\Plant\Scenario;

/** Asks the twin: a steady state for each scenario, or a run in time. */
final class SimulateCommand extends JsonLinesCommand
{
    protected $signature = 'metrum:simulate {file : scenarios as JSON Lines, - for standard input} {--minutes= : a run of so many minutes} {--step=1 : seconds between two lines, 1 to 600} {--csv : rows instead of JSON}';

    protected $description = 'Simulate plants, steady or in time';

    public function handle(): int
    {
        foreach (['minutes' => [0.1, 60 * 24 * 30], 'step' => [1, 600]] as $option => [$least, $most]) {
            $given = $this->option($option);
            if ($given !== null && (! is_numeric($given) || (float) $given < $least || (float) $given > $most)) {
                $this->getOutput()
                    ->getErrorStyle()
                    ->writeln(
                        '--'.
                            $option.
                            ': "'.
                            (is_string($given) ? $given : '').
                            '" was given; possible is '.
                            $least.
                            ' to '.
                            $most.
                            '.',
                    );

                return 2;
            }
        }

        return parent::handle();
    }

    protected function answer(string $line, int $number): array
    {
        try {
            $scenario = ScenarioReader::json($line);
        } catch (RefusedFile $file) {
            return [['line' => $number, 'refused' => $file->reasons], true];
        }
        $minutes = $this->option('minutes');
        if ($minutes === null) {
            return [ScenarioAnswer::steady($scenario, $scenario->steady()), false];
        }
        $this->series($scenario, (float) $minutes * 60, (float) $this->option('step'));

        return [[], false];
    }

    /** Writes a line or row a step; inside, steps are never longer than a minute. */
    private function series(Scenario $scenario, float $seconds, float $step): void
    {
        $simulation = $scenario->simulation();
        $inside = $step / ceil($step / 10.0);
        $first = true;
        for ($time = 0.0; $time <= $seconds + 1e-6; $time += $step) {
            $line = ScenarioAnswer::moment($simulation->now());
            if ((bool) $this->option('csv')) {
                if ($first) {
                    $this->getOutput()->writeln(implode(',', array_keys($line)));
                    $first = false;
                }
                $this->getOutput()->writeln(
                    implode(
                        ',',
                        array_map(
                            static fn (mixed $value): string => is_bool($value)
                                ? ($value
                                    ? '1'
                                    : '0')
                                : (string) $value,
                            $line,
                        ),
                    ),
                );
            } else {
                $this->getOutput()->writeln(json_encode($line, JSON_THROW_ON_ERROR), self::OUTPUT_RAW);
            }
            for ($done = 0.0; $done < $step - 1e-9; $done += $inside) {
                $simulation->advance($inside);
            }
        }
    }
}
