<?php

declare(strict_types=1);

namespace Metrum\Work\Defrost;

use Metrum\Installation\DefrostKind;
use Metrum\Installation\PartId;

/** What the coils of one circuit need to stay free of ice, a day. */
final readonly class DefrostNeed
{
    /**
     * @param  float  $frost  kg a day
     * @param  int  $count  defrosts a day
     * @param  int  $minutes  of each, drip and all
     * @param  float  $energy  J a day that heaters take
     * @param  float  $rated  W of cooling that stands meanwhile
     * @param  float  $level  by which its liquid raises the receiver meanwhile, as a share of it
     * @param  float  $head  K by which condensing changes meanwhile
     */
    public function __construct(
        public PartId $circuit,
        public DefrostKind $kind,
        public float $frost,
        public int $count,
        public int $minutes,
        public float $energy,
        public float $rated,
        public float $level,
        public float $head = 0.0,
    ) {
    }

    /** Minutes from one start to the next. */
    public function spacing(): float
    {
        return DefrostPlan::DAY / max(1, $this->count);
    }
}
