<?php

namespace App\View\Trend;

use App\Models\TrendRecord;
use App\Picture\TrendPicture;

/** One trend on its page: its picture, and how it went around what was done. */
final readonly class TrendLane
{
    /**
     * @param  list<array{at: string, done: string, before: string, after: string, says: string}>  $moves
     * @param  string  $last  moment of its last sample, as a field of a form has it
     */
    public function __construct(
        public TrendRecord $record,
        public string $name,
        public TrendPicture $picture,
        public array $moves,
        public string $last,
    ) {
    }
}
