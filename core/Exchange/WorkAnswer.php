<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Requirement;
use Metrum\Diagnosis\Suspect;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Figure;
use Metrum\Knowledge\Control;
use Metrum\Log\Fact;
use Metrum\Work\Account;
use Metrum\Work\Assessment;
use Metrum\Work\Charging\ChargingGate;
use Metrum\Work\Movements;
use Metrum\Work\NextMove;
use Metrum\Work\OpenTouches;
use Metrum\Work\Response;

/** What was done at a visit, as the command line answers it (work.md §7), in file units. */
final class WorkAnswer
{
    private const RANKED = 3;

    /** @return array<string, mixed> */
    public static function of(Assessment $assessment): array
    {
        $log = $assessment->log;
        $movements = Movements::of($log);

        return [
            'chapters' => array_map(
                static fn (Account $one): array => self::chapter($one, $assessment->verdict($one)),
                $assessment->accounts(),
            ),
            'touched' => OpenTouches::of($log)->keys(),
            'learned' => array_map(self::response(...), $assessment->responses->all()),
            'proposed' => self::proposed($assessment),
            'movements' => [
                'added_kg' => round($movements->added, 4),
                'recovered_kg' => round($movements->recovered, 4),
            ],
            'charging' => self::charging($assessment),
        ];
    }

    /**
     * What the charge comes to: the gate and what keeps it shut, what is missing (below 0: too much) and the knee, with
     * its row among the chapters that tell of the charge (the first is 0) and what was added until there.
     *
     * @return array<string, mixed>
     */
    private static function charging(Assessment $assessment): array
    {
        $charging = $assessment->charging();
        $estimate = $charging->estimate();
        $knee = $charging->knee();
        $next = (new NextMove($assessment))->of(Control::Charge, $assessment->window->circuit)[0] ?? null;
        $gate = new ChargingGate($assessment, $assessment->judged(), $assessment->window->circuit);
        $shut = (new Gate($gate->all()))->shut();

        return [
            'school' => $charging->school->value,
            'gate' => $shut === [] ? 'open' : 'shut',
            'because' => array_map(
                static fn (Requirement $one): string => $one->sentence()->in(VerdictAnswer::units()),
                $shut,
            ),
            'missing_kg' => $estimate === null ? null : round($estimate->missing, 4),
            'deviation_kg' => $estimate === null ? null : round($estimate->deviation, 4),
            'knee' => $knee === null ? null : ['row' => $knee->row, 'added_kg' => round($knee->added, 4)],
            'next_kg' => $next === null ? null : round($next, 4),
        ];
    }

    /** @return array<string, mixed> */
    private static function chapter(Account $account, Verdict $verdict): array
    {
        $derived = static fn (Figure $figure): float => round($figure->inFileUnit(), 4);
        $suspect = static fn (Suspect $one): array => [
            'fault' => $one->fault->value,
            'probability' => round($one->probability, 5),
        ];
        $move = $account->chapter->began;
        $forecast = [];
        foreach ($account->forecast->figures ?? [] as $one) {
            $unit = $one->figure->fileUnit();
            $forecast[$one->figure->value] = [round($unit->fromSi($one->after()), 3), round($one->deviation, 3)];
        }

        return [
            'began' => $move === null ? null : self::move($move),
            'derived' => (object) array_map($derived, $verdict->figures->all()),
            'ranking' => array_map($suspect, $verdict->ranked(self::RANKED)),
            'forecast' => (object) $forecast,
            'outcome' => $account->outcome->value,
        ];
    }

    /** @return array<string, mixed> */
    private static function move(Fact $move): array
    {
        $content = $move->content;
        $unit = Control::from($content->key)->row()->field?->fileUnit();

        return array_filter(
            [
                'key' => $content->key,
                'subject' => $move->part->name(),
                'value' => $unit === null || $content->value === null ? null : round($unit->fromSi($content->value), 4),
                'word' => $content->word,
                'at' => $move->takenAt->format(\DateTimeInterface::ATOM),
            ],
            static fn (mixed $one): bool => $one !== null && $one !== '',
        );
    }

    /** @return array<string, mixed> */
    private static function response(Response $response): array
    {
        return [
            'key' => $response->control->value,
            'subject' => $response->part->name(),
            'figure' => $response->figure->value,
            'per_unit' => round($response->slope, 4),
            'deviation' => round($response->deviation, 4),
            'pairs' => $response->pairs,
        ];
    }

    /** @return ?array<string, mixed> the next move of what was moved last */
    private static function proposed(Assessment $assessment): ?array
    {
        foreach (array_reverse($assessment->chapters->all) as $chapter) {
            $move = $chapter->began;
            if ($move === null || ! Control::from($move->content->key)->isStep()) {
                continue;
            }
            $control = Control::from($move->content->key);
            $next = (new NextMove($assessment))->of($control, $move->part);

            return $next === null
                ? null
                : array_filter(
                    ['key' => $control->value, 'subject' => $move->part->name(), 'value' => round($next[0], 4)],
                    static fn (mixed $one): bool => $one !== '',
                );
        }

        return null;
    }
}
