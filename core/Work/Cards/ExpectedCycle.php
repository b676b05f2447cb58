<?php

declare(strict_types=1);

namespace Metrum\Work\Cards;

use Metrum\Installation\DesignKey;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\QuantityKind;
use Metrum\Twin\Ice\IceExpectation;

/** What a cycle of an ice machine should show a card: ice of a day, or a reading. */
final class ExpectedCycle
{
    /** Null where the twin does not show it. */
    public static function of(IceExpectation $expectation, string $name): ?StepValue
    {
        $reading = Reading::tryFrom($name);
        $si = $reading === null ? null : $expectation->reading($reading)?->value;

        return match (true) {
            $name === DesignKey::IcePerDay->value => StepValue::amount(
                $expectation->perDay()->value,
                QuantityKind::Mass,
            ),
            $reading === null || $si === null => null,
            default => StepValue::amount($si, $reading->quantity()),
        };
    }
}
