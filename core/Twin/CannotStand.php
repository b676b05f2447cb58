<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Installation\Circuit;
use Metrum\Installation\DesignKey;
use Metrum\Knowledge\HouseRules;
use Metrum\Quantity\Format;
use Metrum\Quantity\Unanswerable;
use Metrum\Refrigerant\OutsideTable;

/** No plant can be built as a circuit is described; the message says which value stands in the way. */
final class CannotStand extends Unanswerable
{
    private function __construct(string $message, public readonly ?DesignKey $culprit)
    {
        parent::__construct($message);
    }

    public static function of(Circuit $circuit, HouseRules $rules, OutsideTable $reason): self
    {
        $culprit = self::culprit($circuit, $rules);
        $value = $culprit === null ? null : $circuit->design->value($culprit);
        $refrigerant = $circuit->refrigerant;
        if ($culprit === null || $value === null) {
            return new self("Not possible with $refrigerant: {$reason->getMessage()}", null);
        }
        $field = $culprit->field();
        $given = Format::amount($value, $field->fileUnit());

        return new self(
            "$field->label: you entered $given. Not possible with $refrigerant and the other values. ".
                $reason->getMessage(),
            $culprit,
        );
    }

    /** The first design value without which it could be built; null where it is none alone. */
    private static function culprit(Circuit $circuit, HouseRules $rules): ?DesignKey
    {
        foreach (DesignKey::cases() as $key) {
            if ($circuit->design->value($key) === null) {
                continue;
            }
            try {
                (new Sizing($circuit->with($circuit->design->with($key, null)), $rules))->machine();

                return $key;
            } catch (OutsideTable) {
                continue;
            }
        }

        return null;
    }
}
