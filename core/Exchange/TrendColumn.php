<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Unit;

/** What a column of a controller's export is: which reading, of which part, in which unit. */
final readonly class TrendColumn
{
    public function __construct(public int $column, public Reading $reading, public PartId $part, public Unit $unit)
    {
    }
}
