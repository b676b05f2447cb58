<?php

namespace App\View;

use App\Models\Visit;
use Metrum\Installation\NoPart;
use Metrum\Installation\PartId;
use Metrum\Installation\PartKind;

/** How addresses and forms name a part of the visit's circuit; the circuit itself is not named. */
final class PartAddress
{
    private const KEY = 'part';

    /** As a form sends it. */
    public static function field(?PartId $part): string
    {
        return $part === null || $part->kind() === PartKind::Circuit ? '' : $part->value;
    }

    /** @return array<string, string> as an address has it */
    public static function of(?PartId $part): array
    {
        return self::field($part) === '' ? [] : [self::KEY => self::field($part)];
    }

    /** ", valve B" behind what is done to it; empty for the circuit itself. */
    public static function behind(PartId $part): string
    {
        return $part->name() === '' ? '' : ', '.$part->name();
    }

    /**
     * The part that an address names; the circuit itself where it names none.
     *
     * @param  array<string, mixed>  $asked
     */
    public static function part(array $asked, Visit $visit): PartId
    {
        $circuit = $visit->circuit->partId();
        $said = $asked[self::KEY] ?? '';
        try {
            return PartId::said(is_string($said) ? $said : '', $circuit);
        } catch (NoPart) {
            return $circuit;
        }
    }
}
