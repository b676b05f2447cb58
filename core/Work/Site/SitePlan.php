<?php

declare(strict_types=1);

namespace Metrum\Work\Site;

use Metrum\Card\Card;
use Metrum\Card\Cards;
use Metrum\Card\Does;
use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\Verdict;
use Metrum\Installation\Circuit;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\SiteLimit;
use Metrum\Knowledge\Station;
use Metrum\Knowledge\Whereabouts;
use Metrum\Log\Fact;
use Metrum\Work\Desk\Desk;
use Metrum\Work\Leaks\SearchLog;

/**
 * What fits into the time at a site, in the order in which the desk asks for it, one after another; and what does not,
 * with the reason. Time for leaving is kept: what is open is restored and the report written.
 */
final readonly class SitePlan
{
    /** s kept for leaving. */
    public const CLOSING = 600.0;

    /** Checks and procedures that are thought of at most. */
    private const MOST = 8;

    /** Chance of the suspects that a procedure is for, from which it is thought of. */
    private const ASKED = 0.5;

    /**
     * @param  list<array{SiteTask, float}>  $fits  with s from now at which it is done
     * @param  list<array{SiteTask, Obstacle, float}>  $later  with why, and s that were left for it
     */
    private function __construct(public SiteTime $time, public array $fits, public array $later)
    {
    }

    public static function of(Desk $desk, SiteTime $time): self
    {
        $fits = $later = [];
        $spent = 0.0;
        foreach (self::tasks($desk) as $task) {
            $obstacle = self::obstacle($task, $spent, $time, $desk->circuit());
            if ($obstacle === null) {
                $spent += $task->seconds;
                $fits[] = [$task, $spent];
            } else {
                $later[] = [$task, $obstacle, self::left($time, $spent)];
            }
        }

        return new self($time, $fits, $later);
    }

    /** @return list<SiteTask> what was begun, the next checks, and what the suspects are put right by; each once */
    public static function tasks(Desk $desk): array
    {
        $cards = $desk->cards();
        $tasks = [
            ...array_map(static fn (array $one): SiteTask => SiteTask::ofCard($one[0]), $cards->open()),
            ...array_map(
                static fn (Check $one): SiteTask => SiteTask::ofCheck(
                    $one,
                    $one->key instanceof Question ? $cards->for($one->key) : null,
                ),
                $desk->verdict->checks,
            ),
            ...array_map(SiteTask::ofCard(...), self::remedies($desk)),
        ];
        $once = [];
        foreach ($tasks as $task) {
            $once[$task->key] ??= $task;
        }

        return array_slice(array_values($once), 0, self::MOST);
    }

    /**
     * Tests that the suspects ask for, then the procedure by which the first of them is put right, where they were not
     * ended. What follows from such a procedure (a leak that was found, parts, refrigerant) is planned when it came to
     * that.
     *
     * @return list<Card>
     */
    private static function remedies(Desk $desk): array
    {
        $shelf = $desk->cards();
        $tests = array_filter(
            [...$shelf->at(Station::Verdict), ...$shelf->at(Station::PutRight)],
            static fn (Card $one): bool => $one->does === Does::Test,
        );
        $ended = array_map(static fn (Fact $one): string => Card::split($one->content->key)[0], $shelf->ended());

        return array_values(array_filter(
            [...$tests, ...array_filter([self::remedy($desk)])],
            static fn (Card $one): bool => $one->does !== Does::Charge &&
                ! in_array($one->key, $ended, true) &&
                $shelf->asked($one) >= self::ASKED,
        ));
    }

    /** Of a shortage the search for its leak. */
    private static function remedy(Desk $desk): ?Card
    {
        $isShort = ! $desk->verdict->blank && Verdict::isShortage($desk->verdict->first()->fault);

        return $isShort ? Cards::find(SearchLog::CARD) : $desk->remedyCard();
    }

    private static function left(SiteTime $time, float $spent): float
    {
        $until = $time->until(SiteLimit::LeaveBy) ?? INF;

        return max(0.0, $until - self::CLOSING - $spent);
    }

    private static function obstacle(SiteTask $task, float $spent, SiteTime $time, Circuit $circuit): ?Obstacle
    {
        $done = $spent + $task->seconds;
        $isAfter = static fn (SiteLimit $limit): bool => $done > ($time->until($limit) ?? INF);
        $disturbs = $task->stops || $task->where === Whereabouts::Box;

        return match (true) {
            $task->where === Whereabouts::Unit && $time->isShut(SiteLimit::NoUnit) => Obstacle::NoUnit,
            $task->where === Whereabouts::Box && $time->isShut(SiteLimit::NoBox) => Obstacle::NoBox,
            $task->stops && $time->isShut(SiteLimit::NoStop) => Obstacle::NoStop,
            $task->seconds > self::left($time, $spent) => Obstacle::NoTime,
            $task->isOutdoors($circuit) && $isAfter(SiteLimit::DarkAt) => Obstacle::Dark,
            $disturbs && $isAfter(SiteLimit::OpensAt) => Obstacle::Open,
            default => null,
        };
    }
}
