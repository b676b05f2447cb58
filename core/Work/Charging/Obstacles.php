<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Diagnosis\Requirement;
use Metrum\Findings\Findings;
use Metrum\Findings\StandingFans;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Word;
use Metrum\Language\Reason;

/** What starves a coil, keeps the head up or hides a charge whatever is added or taken: it is put right first. */
final readonly class Obstacles
{
    /** Where to look, what must not be seen there, and what is put right then. */
    private const SEEN = [
        [Observation::FrostCoil, [Word::Blocked], Reason::Coil, Reason::BlockedClearFirst],
        [Observation::CondenserFace, [Word::Dirty, Word::Recirculating], Reason::Condenser, Reason::CleanFirst],
        [Observation::EvaporatorFace, [Word::Dirty], Reason::Coil, Reason::CleanFirst],
    ];

    private const LOOKED_AT = [
        [Observation::CondenserFans, Reason::CondenserFans],
        [Observation::CondenserFace, Reason::CondenserFace],
        [Observation::EvaporatorFans, Reason::CoilFans],
        [Observation::FrostCoil, Reason::Coil],
    ];

    /** @return list<Requirement> that were seen */
    public static function seen(Findings $findings, HouseRules $rules): array
    {
        $fans = StandingFans::in($findings, $rules);
        $all = [];
        if ($fans->ofCoil) {
            $all[] = Requirement::fails(Reason::CoilFans, Reason::PutRightFirst, Observation::EvaporatorFans);
        }
        if ($fans->ofCondenser) {
            $all[] = Requirement::fails(Reason::CondenserFans, Reason::PutRightFirst, Observation::CondenserFans);
        }
        foreach (self::SEEN as [$asked, $words, $label, $said]) {
            if ($findings->saw($asked, ...$words)) {
                $all[] = Requirement::fails($label, $said, $asked);
            }
        }

        return $all;
    }

    /**
     * @param  Findings  ...$findings  now, and before refrigerant was moved at this visit
     * @return list<Requirement> where nobody looked yet
     */
    public static function notLookedAt(Findings ...$findings): array
    {
        $all = [];
        foreach (self::LOOKED_AT as [$asked, $label]) {
            $seen = array_filter($findings, static fn (Findings $one): bool => $one->observed($asked) !== null);
            if ($seen === []) {
                $all[] = Requirement::open($label, Reason::NotLookedAt, $asked);
            }
        }

        return $all;
    }
}
