<?php

declare(strict_types=1);

namespace Metrum\Refrigerant;

use Metrum\Quantity\Unanswerable;

final class UnknownRefrigerant extends Unanswerable
{
    /** @param  list<string>  $known */
    public static function named(string $name, array $known): self
    {
        $shown = mb_strlen($name) > 40 ? mb_substr($name, 0, 40).'…' : $name;

        return new self(
            sprintf('"%s" is not available. Known: %s.', $shown, implode(', ', $known)),
        );
    }
}
