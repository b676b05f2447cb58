<?php

namespace App\Console\Commands;

use Metrum\Data\Refused;
use Metrum\Exchange\PropertyQuestion;

/** Answers questions about refrigerant properties, one line each. */
final class PropertiesCommand extends JsonLinesCommand
{
    protected $signature = 'metrum:properties {file : JSON Lines, - for standard input}';

    protected $description = 'Look up refrigerant properties';

    protected function answer(string $line, int $number): LineAnswer
    {
        try {
            return LineAnswer::with(PropertyQuestion::answer($line));
        } catch (Refused $file) {
            return LineAnswer::refused($number, $file->reasons);
        }
    }
}
