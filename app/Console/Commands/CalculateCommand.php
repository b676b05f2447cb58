<?php

namespace App\Console\Commands;

use Metrum\Data\Refused;
use Metrum\Exchange\CalculatorQuestion;

/** Works the calculators of the bench, one line each. */
final class CalculateCommand extends JsonLinesCommand
{
    protected $signature = 'metrum:calculate {file : JSON Lines, - for standard input}';

    protected $description = 'Run a calculator';

    protected function answer(string $line, int $number): LineAnswer
    {
        try {
            return LineAnswer::with(CalculatorQuestion::answer($line));
        } catch (Refused $file) {
            return LineAnswer::refused($number, $file->reasons);
        }
    }
}
