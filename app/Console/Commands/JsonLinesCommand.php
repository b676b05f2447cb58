<?php

namespace App\Console\Commands;

use Illuminate\Console\Command;

/** Reads JSON Lines from a file or standard input and answers each line with one: 0 all answered, 1 some refused, 2 nothing read. */
abstract class JsonLinesCommand extends Command
{
    public function handle(): int
    {
        $given = $this->argument('file');
        $name = is_string($given) ? $given : '';
        $input = $name === '-' ? 'php://stdin' : $name;
        if ($name !== '-' && (! is_file($name) || ! is_readable($name))) {
            $this->getOutput()
                ->getErrorStyle()
                ->writeln('File cannot be read: '.$name);

            return 2;
        }
        $handle = fopen($input, 'r');
        if ($handle === false) {
            return 2;
        }
        $refusedAny = false;
        foreach ($this->documents($handle) as $number => $line) {
            [$answer, $refused] = $this->answer($line, $number);
            $refusedAny = $refusedAny || $refused;
            if ($answer === []) {
                continue;
            }
            $this->getOutput()->writeln(
                json_encode(
                    $answer,
                    JSON_UNESCAPED_SLASHES |
                        JSON_UNESCAPED_UNICODE |
                        JSON_PRESERVE_ZERO_FRACTION |
                        JSON_THROW_ON_ERROR,
                ),
                self::OUTPUT_RAW,
            );
        }
        fclose($handle);

        return $refusedAny ? 1 : 0;
    }

    protected const OUTPUT_RAW = 2;

    /** @return array{array<string, mixed>, bool} the answer (none where it has been written already), and whether the line was refused */
    abstract protected function answer(string $line, int $number): array;

    /** Lines by their number; a file that is one document over many lines is one. */
    private function documents(mixed $handle): \Generator
    {
        assert(is_resource($handle));
        $number = 0;
        $first = null;
        while (($line = fgets($handle)) !== false) {
            $number++;
            if (trim($line) === '') {
                continue;
            }
            if (
                $first === null &&
                json_decode($line) === null &&
                str_starts_with(ltrim($line, "\u{FEFF} \t"), '{')
            ) {
                $whole = $line.stream_get_contents($handle);
                if (json_decode(ltrim($whole, "\u{FEFF}")) !== null) {
                    yield 1 => $whole;

                    return;
                }
                foreach (explode("\n", $whole) as $i => $one) {
                    if (trim($one) !== '') {
                        yield $number + $i => $one;
                    }
                }

                return;
            }
            $first = $line;
            yield $number => $line;
        }
    }
}
