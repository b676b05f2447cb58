<?php

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Symfony\Component\Console\Output\OutputInterface;

/** Reads JSON Lines from a file or standard input and answers each line with one. */
abstract class JsonLinesCommand extends Command
{
    protected const ALL_ANSWERED = 0;

    protected const SOME_REFUSED = 1;

    protected const NOTHING_READ = 2;

    protected const MISTAKE_OF_OURS = 3;

    private const JSON =
        JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

    public function handle(): int
    {
        $given = $this->argument('file');
        $name = is_string($given) ? $given : '';
        $file = $name === '-' ? 'php://stdin' : $name;
        $readable = $name === '-' || (is_file($name) && is_readable($name));
        $handle = $readable ? fopen($file, 'r') : false;
        if ($handle === false) {
            $this->complain('Cannot read file: '.$name);

            return self::NOTHING_READ;
        }
        $refused = $mistaken = false;
        foreach ($this->documents($handle) as $number => $line) {
            try {
                $answered = $this->answer($line, $number);
                $this->tell($answered);
            } catch (\Throwable $mistake) {
                // One line that we cannot answer does not end the others; what went wrong stands in the log.
                report($mistake);
                $answered = LineAnswer::refused($number, ['internal error: this line could not be answered']);
                $this->tell($answered);
                $mistaken = true;
            }
            $refused = $refused || $answered->refused;
        }
        fclose($handle);

        return match (true) {
            $mistaken => self::MISTAKE_OF_OURS,
            $refused => self::SOME_REFUSED,
            default => self::ALL_ANSWERED,
        };
    }

    abstract protected function answer(string $line, int $number): LineAnswer;

    private function tell(LineAnswer $answered): void
    {
        if ($answered->answer !== null) {
            $this->json($answered->answer);
        }
    }

    /** @param  array<string, mixed>  $line */
    protected function json(array $line): void
    {
        $this->raw(json_encode($line, self::JSON));
    }

    /** What is written is data: nothing in it is a style. */
    protected function raw(string $line): void
    {
        $this->output->writeln($line, OutputInterface::OUTPUT_RAW);
    }

    protected function complain(string $what): void
    {
        $this->output->getErrorStyle()->writeln($what, OutputInterface::OUTPUT_RAW);
    }

    /**
     * Lines by their number; a file that is one document over many lines is one.
     *
     * @param  resource  $handle
     * @return \Generator<int, string>
     */
    private function documents($handle): \Generator
    {
        $number = 0;
        while (($line = fgets($handle)) !== false) {
            $number++;
            if (trim($line) === '') {
                continue;
            }
            if (self::opensDocument($line)) {
                yield from self::rest($line.stream_get_contents($handle), $number);

                return;
            }
            yield $number => $line;
            while (($next = fgets($handle)) !== false) {
                $number++;
                if (trim($next) !== '') {
                    yield $number => $next;
                }
            }
        }
    }

    /** The first line is no document of its own, but may begin one. */
    private static function opensDocument(string $line): bool
    {
        return json_decode($line) === null && str_starts_with(ltrim($line, "\u{FEFF} \t"), '{');
    }

    /** @return \Generator<int, string> the whole as one where it is one, else line by line */
    private static function rest(string $whole, int $number): \Generator
    {
        if (json_decode(ltrim($whole, "\u{FEFF}")) !== null) {
            yield 1 => $whole;

            return;
        }
        foreach (explode("\n", $whole) as $i => $one) {
            if (trim($one) !== '') {
                yield $number + $i => $one;
            }
        }
    }
}
