<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Findings\Findings;
use Metrum\Installation\Installation;
use Metrum\Installation\PartId;
use Metrum\Log\Window;

/** A visit as a file tells it: to which plant and circuit, and what was found there. */
final readonly class VisitFile
{
    /**
     * @param  Findings  $findings  at its end
     * @param  ?Window  $told  its log; null: the file holds none
     * @param  array<string, string>  $names  what people call the circuits of a plant of several, by their part
     * @param  list<AttachmentLink>  $attachments  photos and voice notes, which lie elsewhere
     */
    public function __construct(
        public Findings $findings,
        public ?Window $told,
        public Installation $plant,
        public PartId $circuit,
        public array $names = [],
        public array $attachments = [],
    ) {
    }
}
