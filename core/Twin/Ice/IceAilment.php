<?php

declare(strict_types=1);

namespace Metrum\Twin\Ice;

use Metrum\Data\BrokenData;
use Metrum\Data\Knowledge;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;

/** How a fault shows at plate, water and harvest of an ice machine, as its file has it under "twin": "ice". */
final readonly class IceAilment
{
    public const KEY = 'ice';

    /** Where its cause is not known. */
    private const ANY = 'any';

    /** @param  list<float>  $by  how far it goes at full severity */
    private function __construct(public IceEffect $effect, public array $by)
    {
    }

    /** Null where it shows in the refrigerant's loop, or not at all. @throws BrokenData */
    public static function of(Fault $fault, ?Cause $cause): ?self
    {
        return Knowledge::once(
            'ice ailment '.$fault->value.' '.($cause->value ?? ''),
            static fn (): ?self => self::read($fault, $cause),
        );
    }

    /** @throws BrokenData */
    private static function read(Fault $fault, ?Cause $cause): ?self
    {
        $rows = Knowledge::file('faults/'.$fault->value)->row('twin')->row(self::KEY);
        $key = $cause !== null && $rows->has($cause->value) ? $cause->value : self::ANY;
        if (! $rows->has($key)) {
            return null;
        }
        $row = $rows->row($key)->only(['effect', 'by']);
        $effect = $row->word('effect', IceEffect::class);
        $by = array_values($row->numbers('by'));
        if (count($by) !== $effect->takes()) {
            throw $row->broken('by', "$effect->value takes {$effect->takes()} numbers, got ".count($by));
        }

        return new self($effect, $by);
    }
}
