<?php

declare(strict_types=1);

namespace Metrum\Work\Record;

use Metrum\Findings\Chapter;
use Metrum\Findings\Chapters;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\HouseRules;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Window;
use Metrum\Twin\Twins;

/**
 * A visit as the record of its circuit keeps it: how far its figures were from the twin as found and as left, and what
 * was moved.
 *
 * The twin is the one of the system as it is known, not drawn to any visit: all visits of a circuit are held against
 * the same, or a drift would be drawn into what is expected. What the twin's own sizes are off by stays the same from
 * visit to visit, and goes out with the zero (FigureHistory).
 */
final readonly class Departures
{
    /**
     * @param  list<HistoryPoint>  $points  in order of time, one or two
     * @param  list<HistoryMove>  $moves  in order of time
     */
    public function __construct(public array $points, public array $moves)
    {
    }

    public static function of(Window $window, HouseRules $rules, Twins $twins): self
    {
        $chapters = array_values(array_filter(
            Chapters::of($window)->all,
            static fn (Chapter $one): bool => self::lastReading($one) !== null,
        ));
        // As found, and as left.
        $told = count($chapters) < 2 ? $chapters : [$chapters[0], $chapters[count($chapters) - 1]];
        $points = [];
        foreach ($told as $chapter) {
            $at = self::lastReading($chapter)?->takenAt->getTimestamp() ?? 0;
            $point = HistoryPoint::read((float) $at, $chapter->findings, $rules, $twins);
            $points = $point === null ? $points : [...$points, $point];
        }
        $moves = [];
        foreach ($window->log->history(FactKind::Move) as $fact) {
            $control = Control::from($fact->content->key);
            $moves[] = new HistoryMove((float) $fact->takenAt->getTimestamp(), $control, $fact->content->value ?? 1.0);
        }

        return new self($points, $moves);
    }

    private static function lastReading(Chapter $chapter): ?Fact
    {
        $readings = array_filter(
            $chapter->found,
            static fn (Fact $one): bool => $one->kind === FactKind::Reading,
        );

        return $readings === [] ? null : end($readings);
    }

    /** @return array{points: list<array<string, mixed>>, moves: list<array{float, string, float}>} */
    public function toArray(): array
    {
        return [
            'points' => array_map(
                static fn (HistoryPoint $one): array => [
                    'at' => $one->at,
                    'ambient' => $one->ambient,
                    'departures' => array_map(
                        static fn (Departure $it): array => [$it->value, $it->expected, $it->deviation],
                        $one->departures,
                    ),
                ],
                $this->points,
            ),
            'moves' => array_map(
                static fn (HistoryMove $one): array => [$one->at, $one->control->value, $one->value],
                $this->moves,
            ),
        ];
    }

    /** @param  array<mixed>  $kept  what toArray gave; a figure or a move that is no longer known is left out */
    public static function fromArray(array $kept): self
    {
        $points = $moves = [];
        foreach (self::list($kept['points'] ?? null) as $one) {
            $departures = [];
            foreach (self::list($one['departures'] ?? null) as $key => $it) {
                if (HistoryFigure::tryFrom((string) $key) !== null && count($it) === 3) {
                    $departures[(string) $key] = new Departure(...array_map(self::number(...), array_values($it)));
                }
            }
            $ambient = $one['ambient'] ?? null;
            $known = $ambient === null ? null : self::number($ambient);
            $points[] = new HistoryPoint(self::number($one['at'] ?? null), $known, $departures);
        }
        foreach (self::list($kept['moves'] ?? null) as $one) {
            $word = $one[1] ?? null;
            $control = is_string($word) ? Control::tryFrom($word) : null;
            if ($control !== null) {
                $moves[] = new HistoryMove(self::number($one[0] ?? null), $control, self::number($one[2] ?? null));
            }
        }

        return new self($points, $moves);
    }

    /** @return array<array<mixed>> */
    private static function list(mixed $kept): array
    {
        return is_array($kept) ? array_filter($kept, is_array(...)) : [];
    }

    private static function number(mixed $kept): float
    {
        return is_numeric($kept) ? (float) $kept : 0.0;
    }
}
