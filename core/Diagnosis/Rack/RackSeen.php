<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Diagnosis\Conditions;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Seen\AmongFirst;
use Metrum\Diagnosis\Seen\SeenFault;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;

/** What is seen as a fault at one circuit of a rack: it is there, and what it brought about ranks behind it. */
final readonly class RackSeen
{
    /** K over its set point from which a case is warm for a reason. */
    private const WARM = 2.0;

    /** Sureness from which what is seen is there. */
    private const SURE = 0.75;

    /** Share of a consequence's chance that goes over to what brought it about. */
    private const GOES_OVER = 0.8;

    /**
     * @param  array<string, float>  $chances  by Fault
     * @return array<string, float> the same, highest first
     */
    public static function first(array $chances, Findings $findings): array
    {
        $air = $findings->reading(Reading::BoxTemperature);
        $set = $findings->circuit->design->boxSetPoint;
        $isWarm = $air !== null && $set !== null && $air - $set >= self::WARM;
        $seen = SeenFault::in($findings, [], new Conditions($findings, null), new HouseRules());
        foreach ($seen as $one) {
            foreach ($one->faults as $fault) {
                $chances = self::behind($chances, $fault);
            }
            $chances = $isWarm && $one->sureness() >= self::SURE ? self::isThere($chances, $one) : $chances;
        }
        $chances = $seen === [] ? $chances : (new AmongFirst($seen, static fn (): int => 0))->kept($chances);
        arsort($chances);

        return $chances;
    }

    /**
     * What is seen at a warm case is there, but for a slip of who looked: that nothing is wrong cannot lead beside it.
     *
     * @param  array<string, float>  $chances
     * @return array<string, float>
     */
    private static function isThere(array $chances, SeenFault $seen): array
    {
        $fault = $seen->faults[0];
        $sound = Fault::NoFault->value;
        if (isset($chances[$sound], $chances[$fault->value])) {
            $over = $seen->sureness() * $chances[$sound];
            $chances[$sound] -= $over;
            $chances[$fault->value] += $over;
        }

        return $chances;
    }

    /**
     * @param  array<string, float>  $chances
     * @return array<string, float>
     */
    private static function behind(array $chances, Fault $fault): array
    {
        foreach (array_keys(FaultCatalogue::entry($fault)->bringsAbout) as $name) {
            if (isset($chances[$name], $chances[$fault->value])) {
                $over = self::GOES_OVER * $chances[$name];
                $chances[$name] -= $over;
                $chances[$fault->value] += $over;
            }
        }

        return $chances;
    }
}
