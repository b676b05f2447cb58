<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Findings\Chapters;
use Metrum\Findings\Findings;
use Metrum\Log\Log;

/** A visit as a file tells it. */
final readonly class VisitFile
{
    /**
     * @param  Findings  $findings  at its end
     * @param  ?array{Log, Chapters}  $told  its log with its chapters; null: the file holds none
     */
    public function __construct(public Findings $findings, public ?array $told)
    {
    }
}
