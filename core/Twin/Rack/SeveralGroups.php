<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Installation\Branch;
use Metrum\Installation\Installation;
use Metrum\Quantity\Unanswerable;

/** A plant whose circuits draw on more than one suction group: the twin holds one header pressure. */
final class SeveralGroups extends Unanswerable
{
    /** @throws self */
    public static function refuse(Installation $plant): void
    {
        $groups = self::in($plant);
        if ($groups > 1) {
            throw new self(
                "got circuits on $groups suction groups; one group is judged as a whole: enter each group as a rack.",
            );
        }
    }

    /** Of how many groups its circuits draw. */
    public static function in(Installation $plant): int
    {
        return count(array_unique(array_map(
            static fn (Branch $one): string => $one->group->value,
            $plant->branches,
        )));
    }
}
