<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Fault;

/** One fault as the catalogue tells it: in words for people, and the weights its evidence carries. */
final readonly class FaultEntry
{
    /**
     * @param  string  $mechanism  in one sentence, for the technician
     * @param  string  $forTheOwner  the same without a word of the trade
     * @param  string  $whatWeDo  what will be done about it, for the owner
     * @param  list<string>  $speaksFor
     * @param  list<string>  $speaksAgainst
     * @param  list<string>  $check
     * @param  list<string>  $do
     * @param  list<string>  $cautions  keys of data/cautions.json
     * @param  list<array{condition: string, true: float|int, false: float|int, unknown: float|int}>  $scaled
     * @param  array<string, float|int|array{float|int, float|int}>  $signs  shift at full severity, in the sign's file unit, or [shift, spread]
     * @param  array<string, float|int|array{float|int, float|int}>  $capillarySigns  what differs where a capillary feeds
     * @param  array<string, array<string, float|int>>  $words  chance of an answer at full severity
     * @param  array<string, float|int>  $complaints  chance of hearing it
     */
    public function __construct(
        public Fault $fault,
        public string $name,
        public string $mechanism,
        public string $forTheOwner,
        public string $whatWeDo,
        public string $howOften,
        public float $prior,
        public array $speaksFor,
        public array $speaksAgainst,
        public array $check,
        public array $do,
        public array $cautions,
        public array $scaled,
        public array $signs,
        public array $capillarySigns,
        public array $words,
        public array $complaints,
    ) {
    }
}
