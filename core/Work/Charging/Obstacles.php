<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Diagnosis\Requirement;
use Metrum\Findings\Findings;
use Metrum\Findings\StandingFans;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Word;

/** What starves a coil, keeps the head up or hides a charge whatever is added or taken: it is put right first. */
final readonly class Obstacles
{
    /** Where to look, what must not be seen there, and what is put right then. */
    private const SEEN = [
        [Observation::FrostCoil, [Word::Blocked], 'coil', 'blocked by ice: clear it first'],
        [Observation::CondenserFace, [Word::Dirty, Word::Recirculating], 'condenser', 'clean it first'],
        [Observation::EvaporatorFace, [Word::Dirty], 'coil', 'clean it first'],
    ];

    private const LOOKED_AT = [
        [Observation::CondenserFans, 'condenser fans'],
        [Observation::CondenserFace, 'condenser face'],
        [Observation::EvaporatorFans, 'coil fans'],
        [Observation::FrostCoil, 'coil'],
    ];

    /** @return list<Requirement> that were seen */
    public static function seen(Findings $findings, HouseRules $rules): array
    {
        $fans = StandingFans::in($findings, $rules);
        $all = [];
        if ($fans->ofCoil) {
            $all[] = Requirement::fails('coil fans', 'put them right first', Observation::EvaporatorFans);
        }
        if ($fans->ofCondenser) {
            $all[] = Requirement::fails('condenser fans', 'put them right first', Observation::CondenserFans);
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
                $all[] = Requirement::open($label, 'not looked at', $asked);
            }
        }

        return $all;
    }
}
