<?php

namespace App\Console\Commands;

use Metrum\Exchange\PropertyQuestion;
use Metrum\Exchange\RefusedFile;

/** Answers questions about refrigerant properties, one line each. */
final class PropertiesCommand extends JsonLinesCommand
{
    protected $signature = 'metrum:properties {file : JSON Lines, - for standard input}';

    protected $description = 'Look up refrigerant properties';

    protected function answer(string $line, int $number): array
    {
        try {
            return [PropertyQuestion::answer($line), false];
        } catch (RefusedFile $file) {
            return [['line' => $number, 'refused' => $file->reasons], true];
        }
    }
}
