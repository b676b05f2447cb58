<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Data\Reasons;
use Metrum\Quantity\Unanswerable;

/** What was given names no part of a plant; the message says what does. */
final class NoPart extends Unanswerable
{
    public static function given(string $given): self
    {
        $kinds = implode(', ', array_column(PartKind::cases(), 'value'));

        $shown = Reasons::shown($given);

        return new self("got $shown; a part is named by type and number or letter, such as valve B or ".
            "circuit 2/coil 1; allowed: $kinds");
    }
}
