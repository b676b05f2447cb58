<?php

namespace App\Console;

use Illuminate\Console\Command;
use Illuminate\Process\InvokedProcess;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;

/**
 * Draws plants in parts, in processes of its own, and fits to them: what was drawn is kept, so that a run that was
 * broken off goes on where it stood.
 */
abstract class LearningCommand extends Command
{
    /** Visits of one part; what is drawn of a part that was broken off is drawn again. */
    private const PART = 500;

    /**
     * Compiled as it runs a process draws twice as many visits, and the same ones. The usual number of traces is used
     * up before fitting begins, which is then not compiled and takes ten times as long.
     */
    private const FAST = [
        '-dopcache.enable_cli=1',
        '-dopcache.jit=tracing',
        '-dopcache.jit_buffer_size=256M',
        '-dopcache.jit_max_root_traces=16384',
        '-dopcache.jit_max_side_traces=16384',
        '-dopcache.jit_max_exit_counters=65536',
        '-dopcache.file_update_protection=0',
    ];

    /** Processes that draw at once, and seconds between two looks at them. */
    private const AT_ONCE = 2;

    private const LOOK = 0.3;

    private ?string $drawnBy = null;

    /** How many visits are drawn where nobody says it, and the file of data/ that is written. */
    protected const DRAWN = 16000;

    protected const FILE = 'curves';

    public function __construct()
    {
        $this->signature = sprintf(
            '%s
            {--plants=%d : how many are drawn}
            {--seed=2026 : the same seed gives the same file}
            {--out= : where the file goes; data/%s.json where nothing is said}
            {--compiled : go on in this process (used by the command itself)}
            {--part= : draw one part only (used by the command itself)}
            {--drawn-by= : of which twin the part is (used by the command itself)}',
            $this->name,
            static::DRAWN,
            static::FILE,
        );
        parent::__construct();
    }

    /** @return list<string> lines that are kept of what is drawn as such numbers */
    abstract protected function lines(int $seed, int $from, int $to): array;

    abstract protected function fit(int $seed, int $parts): void;

    /** Of everything that decides what is drawn; another print, other parts. */
    abstract protected function print(): string;

    public function handle(): int
    {
        $plants = filter_var($this->option('plants'), FILTER_VALIDATE_INT);
        $seed = filter_var($this->option('seed'), FILTER_VALIDATE_INT);
        if ($plants === false || $plants < self::PART || $seed === false) {
            $this->error(
                sprintf('Give --plants as a whole number from %d and --seed as a whole number.', self::PART),
            );

            return self::INVALID;
        }
        if ($this->option('part') !== null) {
            $this->draw($seed, (int) $this->option('part'));

            return self::SUCCESS;
        }
        if ($this->option('compiled') !== true) {
            return $this->again($plants, $seed);
        }
        $parts = intdiv($plants, self::PART);
        if (! $this->drawAll($seed, $parts)) {
            return self::FAILURE;
        }
        $this->fit($seed, $parts);

        return self::SUCCESS;
    }

    /** The same in a process that is compiled as it runs; where PHP cannot, it goes on as it is, only slower. */
    private function again(int $plants, int $seed): int
    {
        $out = $this->option('out');
        $asked = ["--plants=$plants", "--seed=$seed", ...is_string($out) ? ["--out=$out"] : []];
        $ended = Process::forever()->run(
            $this->compiled('--compiled', ...$asked),
            fn (string $_, string $told) => $this->output->write($told),
        );

        return $ended->exitCode() ?? self::FAILURE;
    }

    /** @return list<string> this command as a process that is compiled as it runs */
    private function compiled(string ...$asked): array
    {
        return [PHP_BINARY, ...self::FAST, base_path('artisan'), (string) $this->getName(), ...array_values($asked)];
    }

    private function drawAll(int $seed, int $parts): bool
    {
        File::ensureDirectoryExists(dirname($this->file($seed, 0)));
        $missing = array_values(
            array_filter(range(0, $parts - 1), fn (int $part): bool => ! File::exists($this->file($seed, $part))),
        );
        $this->info(
            sprintf(
                '%d visits to draw, %d are there.',
                count($missing) * self::PART,
                ($parts - count($missing)) * self::PART,
            ),
        );
        $bar = $this->output->createProgressBar($parts);
        $bar->setProgress($parts - count($missing));
        /** @var array<int, InvokedProcess> $running */
        $running = [];
        while ($missing !== [] || $running !== []) {
            while ($missing !== [] && count($running) < self::AT_ONCE) {
                $part = array_shift($missing);
                $running[$part] = Process::forever()->start(
                    $this->compiled("--seed=$seed", "--part=$part", '--drawn-by='.$this->drawnBy()),
                );
            }
            usleep((int) (1e6 * self::LOOK));
            foreach ($running as $part => $process) {
                if ($process->running()) {
                    continue;
                }
                unset($running[$part]);
                if (! $process->wait()->successful()) {
                    $this->error("Part $part broke off: ".$process->errorOutput());

                    return false;
                }
                $bar->advance();
            }
        }
        $bar->finish();
        $this->newLine();

        return true;
    }

    /** Written beside and moved there: a part is whole or not there. */
    private function draw(int $seed, int $part): void
    {
        $lines = $this->lines($seed, $part * self::PART, ($part + 1) * self::PART);
        $file = $this->file($seed, $part);
        File::put($file.'.new', implode("\n", $lines)."\n");
        File::move($file.'.new', $file);
    }

    /** @return iterable<string> all lines that were drawn */
    protected function drawn(int $seed, int $parts): iterable
    {
        ini_set('memory_limit', '-1');
        for ($part = 0; $part < $parts; $part++) {
            yield from File::lines($this->file($seed, $part))->filter();
        }
    }

    /** @return \Closure(int, float): void which shows how far the fit is, 0 … 100 %, and its loss */
    protected function shown(): \Closure
    {
        $bar = $this->output->createProgressBar(100);
        $bar->setFormat(' %percent:3s% % [%bar%] loss %message%');
        $bar->setMessage('');

        return static function (int $percent, float $loss) use ($bar): void {
            $bar->setMessage(sprintf('%.3f', $loss));
            $bar->setProgress($percent);
        };
    }

    /**
     * One curve a line, so that two files can be compared.
     *
     * @param  array<string, mixed>  $file
     * @param  list<list<mixed>>  $reached  rows of what it reached on visits that were not fitted
     */
    protected function written(array $file, array $reached): void
    {
        $given = $this->option('out');
        $out = is_string($given) ? $given : base_path('data/'.static::FILE.'.json');
        $json = json_encode($file, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
        File::put($out, str_replace(['},"', ']],"', ']},"'], ["},\n\"", "]],\n\"", "]},\n\""], $json)."\n");
        $this->newLine();
        $this->table(
            ['visits not fitted', 'number', 'first', 'within three', 'loss', 'calibration error'],
            $reached,
        );
        $this->info(sprintf('%s, %d kB.', $out, (int) (File::size($out) / 1000)));
    }

    private function file(int $seed, int $part): string
    {
        return storage_path(sprintf('app/calibration/%s-%d/%04d.jsonl', $this->drawnBy(), $seed, $part));
    }

    private function drawnBy(): string
    {
        $given = $this->option('drawn-by');

        return $this->drawnBy ??= is_string($given) ? $given : $this->print();
    }
}
