<?php

declare(strict_types=1);

namespace Metrum\Learning;

/** One visit as a fit sees it: columns that are not empty, and the truth. */
final readonly class Lesson
{
    /**
     * @param  list<int>  $columns
     * @param  list<float>  $parts  what stands in them
     * @param  array<int, float>  $truth  share by place of the fault; together 1
     * @param  list<int>  $closed  places of faults that such a plant cannot have: no part of the question
     * @param  list<float>  $given  nats by place that are said beside what is fitted; none: nothing
     */
    public function __construct(
        public array $columns,
        public array $parts,
        public array $truth,
        public array $closed = [],
        public array $given = [],
    ) {
    }
}
