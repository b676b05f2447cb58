<?php

namespace App\Records;

use Metrum\Data\Refused;

/** A file of visits: one in JSON, or many in JSON Lines. */
final readonly class VisitLines
{
    /** @param  non-empty-list<array{int, string}>  $all  number of its line, and what stands there */
    private function __construct(public array $all, public bool $many)
    {
    }

    /** @throws Refused where nothing is in it */
    public static function of(string $text): self
    {
        $many = json_decode($text) === null && str_contains(trim($text), "\n");
        $lines = [];
        foreach ($many ? explode("\n", $text) : [$text] as $i => $line) {
            if (trim($line) !== '') {
                $lines[] = [$i + 1, $line];
            }
        }

        return $lines === [] ? throw new Refused(['file: it is empty']) : new self($lines, $many);
    }

    /** A reason with the line that it is about, where there are several. */
    public function at(int $number, string $reason): string
    {
        return $this->many ? "line $number, $reason" : $reason;
    }
}
