<?php

declare(strict_types=1);

namespace Metrum\Work\Leaks;

use Metrum\Card\Card;
use Metrum\Diagnosis\Verdict;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Work\Assessment;

/** The search for leaks at a visit, folded from its log: the steps of its card. */
final class SearchLog
{
    public const CARD = 'leak_search';

    private const MARK = '_mark';

    private const NO_MARK = 'none';

    /** Chance that anything leaks where nothing speaks of a shortage, and where the signs are plain. */
    private const SELDOM = 0.25;

    private const SURELY = 0.95;

    /**
     * @param  array<string, int>  $foundBefore  how often one was found at a place at earlier visits
     * @param  ?float  $years  age of the plant
     */
    public static function search(Assessment $assessment, array $foundBefore = [], ?float $years = null): LeakSearch
    {
        $steps = self::steps($assessment->log);
        $searched = $marked = [];
        foreach ($steps as $step => $answer) {
            if (str_ends_with($step, self::MARK)) {
                $marked[substr($step, 0, -strlen(self::MARK))] = $answer !== self::NO_MARK;
            } elseif (is_string($answer) && SearchMark::tryFrom($answer) !== null) {
                $searched[$step] = SearchMark::from($answer);
            }
        }
        $weather = $steps['weather'] ?? '';
        $low = $steps['pressure_low'] ?? null;
        $high = $steps['pressure_high'] ?? null;
        $findings = $assessment->judged()->chapter->findings;
        $read = $findings->reading(Reading::SuctionPressure);

        return new LeakSearch(
            $findings->circuit,
            $searched,
            $marked,
            $foundBefore,
            $years,
            self::leaks($assessment),
            is_string($weather) ? Air::tryFrom($weather) ?? Air::Calm : Air::Calm,
            is_float($low) ? $low : $read,
            is_float($high) ? $high : $findings->reading(Reading::DischargePressure),
        );
    }

    /** @return array<string, float|string> what its steps were answered, by step */
    private static function steps(Log $log): array
    {
        $steps = [];
        foreach ($log->standing(FactKind::Card) as $fact) {
            [$card, $step] = Card::split($fact->content->key);
            if ($card === self::CARD) {
                $steps[$step] = $fact->content->value ?? (string) $fact->content->word;
            }
        }

        return $steps;
    }

    /** @return list<string> places at which a bubble grew */
    public static function found(Log $log): array
    {
        $found = [];
        foreach (self::steps($log) as $step => $answer) {
            if ($answer === SearchMark::Bubble->value) {
                $found[] = $step;
            }
        }

        return $found;
    }

    /** How sure it is that anything leaks, before any place was searched. */
    private static function leaks(Assessment $assessment): float
    {
        $short = 0.0;
        // What was lost was lost, whatever was added since: the plainest chapter counts.
        foreach ($assessment->accounts() as $account) {
            $short = max($short, Verdict::chanceOfShortage($assessment->verdict($account)->suspects));
        }
        foreach ($assessment->judged()->findings()->confirmed as $fault) {
            $short = Verdict::isShortage($fault) ? 1.0 : $short;
        }
        if ($assessment->judged()->chapter->findings->saw(Observation::OilStains, Word::Found)) {
            $short = max($short, 0.6);
        }

        return self::SELDOM + (self::SURELY - self::SELDOM) * $short;
    }
}
