<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Quantity\Kind;
use Metrum\Quantity\Unit;

/** The unit in which a design key is written in the visit file, told by the key's last word. */
final class DesignUnits
{
    public static function of(string $key): Unit
    {
        return self::quantity($key)->units()[0];
    }

    public static function quantity(string $key): Kind
    {
        return match (substr($key, (int) strrpos($key, '_') + 1)) {
            'k' => Kind::Difference,
            'c' => Kind::Temperature,
            'a' => Kind::Current,
            'l' => Kind::Volume,
            'kg' => Kind::Mass,
            default => Kind::Count,
        };
    }
}
