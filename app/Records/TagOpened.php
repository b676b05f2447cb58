<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\FactRecord;
use App\Models\User;
use App\Models\Visit;
use Metrum\Installation\PartId;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\SiteTold;

/** The tag that a person opened last, where it is of another circuit than the one on the page. */
final readonly class TagOpened
{
    /** Hours for which somebody is taken to stand where a tag was opened. */
    private const HOURS = 4;

    private function __construct(public Circuit $circuit, public Visit $visit)
    {
    }

    /** Null where it is this one, or none was opened lately. @param  PartId  $here  the circuit on the page */
    public static function elsewhere(Visit $visit, PartId $here, User $user): ?self
    {
        $open = Visit::stillOpen()->where('user_id', $user->id)->pluck('id');
        $last = FactRecord::query()
            ->whereIn('occasion_id', $open)
            ->where('kind', FactKind::Site->value)
            ->where('key', SiteTold::TAG)
            ->where('taken_at', '>', now()->subHours(self::HOURS))
            ->orderByDesc('taken_at')
            ->orderByDesc('seq')
            ->first();
        $other = $last === null ? null : Visit::query()->with('circuit.plant')->find($last->occasion_id);
        if ($last === null || $other === null || ($other->is($visit) && $last->part === $here->value)) {
            return null;
        }
        $circuit = $other->circuit->plant->circuits()->where('part', $last->part)->first();

        return $circuit === null ? null : new self($circuit, $other);
    }
}
