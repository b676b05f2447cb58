<?php

namespace App\View;

use App\Picture\LadderScale;
use App\Picture\PathPicture;
use Metrum\Data\Knowledge;
use Metrum\Diagnosis\Pattern;
use Metrum\Diagnosis\Suspect;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Work\PathStep;

/**
 * Why the verdict is what it is: what pulled each suspect up and down, how the ranking came about, and how often such
 * verdicts are right.
 *
 * @phpstan-type Rung array{text: string, nats: float, from: float, to: float}
 */
final readonly class WhyPage
{
    private const SUSPECTS = 3;

    /** Rungs of a ladder that are told one by one. */
    private const RUNGS = 9;

    /** Change of a probability from one entry to the next that is told. */
    private const TOLD = 0.12;

    /** @param  non-empty-list<PathStep>  $path */
    public function __construct(public VisitPage $page, public array $path)
    {
    }

    /** @return list<Suspect> */
    public function suspects(): array
    {
        return $this->page->verdict->ranked(self::SUSPECTS);
    }

    /**
     * What was found, heaviest first, each from where the one before it left the suspect; nats.
     *
     * @return list<Rung>
     */
    public function ladder(Suspect $suspect): array
    {
        $pieces = [...$suspect->speaksFor, ...$suspect->speaksAgainst];
        usort($pieces, static fn (array $a, array $b): int => abs($b[1]) <=> abs($a[1]));
        $rungs = [];
        $at = 0.0;
        foreach (array_slice($pieces, 0, self::RUNGS) as [$piece, $nats]) {
            $rungs[] = $this->rung($this->page->explain->evidence($piece), $nats, $at);
            $at += $nats;
        }
        $rest = array_slice($pieces, self::RUNGS);
        if ($rest !== []) {
            $nats = array_sum(array_map(static fn (array $one): float => $one[1], $rest));
            $rungs[] = $this->rung(count($rest).' smaller items together', $nats, $at);
        }

        return $rungs;
    }

    /**
     * Ends of a ladder, nats: both ends of the widest, so that the ladders can be compared.
     *
     * @return array{float, float}
     */
    private function span(): array
    {
        $ends = [-0.5, 0.5];
        foreach ($this->suspects() as $suspect) {
            foreach ($this->ladder($suspect) as $rung) {
                array_push($ends, $rung['from'], $rung['to']);
            }
        }

        return [min($ends), max($ends)];
    }

    /** Where the rungs of all ladders stand. */
    public function scale(): LadderScale
    {
        return new LadderScale(...$this->span());
    }

    public function picture(): PathPicture
    {
        return new PathPicture(
            array_map(
                fn (Suspect $suspect): array => array_map(
                    static fn (PathStep $step): float => $step->probabilities[$suspect->fault->value] ?? 0.0,
                    $this->path,
                ),
                $this->suspects(),
            ),
        );
    }

    /**
     * The entries that changed the ranking most, in the order in which they came.
     *
     * @return list<array{number: int, text: string, change: string}>
     */
    public function turns(): array
    {
        $turns = [];
        for ($i = 1, $n = count($this->path); $i < $n; $i++) {
            [$before, $now] = [$this->path[$i - 1], $this->path[$i]];
            [$fault, $moved] = self::mostMoved($before->probabilities, $now->probabilities);
            if ($now->fact !== null && abs($moved) >= self::TOLD) {
                $turns[] = [
                    'number' => $i,
                    'text' => $this->page->explain->fact($now->fact),
                    'change' => Explain::change(
                        $fault,
                        $before->probabilities[$fault->value] ?? 0.0,
                        $now->probabilities[$fault->value] ?? 0.0,
                    ),
                ];
            }
        }

        return $turns;
    }

    /**
     * Both pressures beside what they should be (J-01, J-02).
     *
     * @return list<array{name: string, is: string, should: string, stands: string}>
     */
    public function pressures(): array
    {
        $rows = [];
        foreach ([Reading::SuctionPressure, Reading::DischargePressure] as $reading) {
            $told = $this->pattern()->of($reading);
            if ($told === null) {
                continue;
            }
            [$is, $should, $stands] = $told;
            $units = $this->page->units;
            $kind = $reading->quantity();
            $rows[] = [
                'name' => $reading->label(),
                'is' => $units->text($is, $kind),
                'should' => $units->span(
                    $should->value - $should->deviation,
                    $should->value + $should->deviation,
                    $kind,
                ).
                    ' '.
                    $units->symbol($kind),
                'stands' => match ($stands) {
                    1 => 'high',
                    -1 => 'low',
                    default => 'normal',
                },
            ];
        }

        return $rows;
    }

    public function pattern(): Pattern
    {
        return new Pattern($this->page->findings, $this->page->judged->expectation, $this->page->verdict);
    }

    /** @return list<array{float, float, int}> what was claimed, how often it was so, and of how many */
    public function calibration(): array
    {
        /** @var ?list<array{float, float, int}> $rows */
        $rows = Knowledge::file('curves')->given('calibration');

        return $rows ?? [];
    }

    /** "Of 100 diagnoses stated at about 70 %, 69 were correct." Null where none were as sure. */
    public function howOften(): ?string
    {
        $probability = $this->page->verdict->first()->probability;
        $nearest = null;
        foreach ($this->calibration() as $row) {
            if ($nearest === null || abs($row[0] - $probability) < abs($nearest[0] - $probability)) {
                $nearest = $row;
            }
        }

        return $nearest === null
            ? null
            : sprintf(
                'Of 100 diagnoses stated at about %s, %d were correct.',
                Explain::percent($nearest[0]),
                round(100 * $nearest[1]),
            );
    }

    /** @return Rung */
    private function rung(string $text, float $nats, float $at): array
    {
        return ['text' => $text, 'nats' => $nats, 'from' => $at, 'to' => $at + $nats];
    }

    /**
     * @param  array<string, float>  $before
     * @param  array<string, float>  $now
     * @return array{Fault, float}
     */
    private static function mostMoved(array $before, array $now): array
    {
        $most = [Fault::NoFault, 0.0];
        foreach ($now as $fault => $probability) {
            $moved = $probability - ($before[$fault] ?? 0.0);
            if (abs($moved) > abs($most[1])) {
                $most = [Fault::from($fault), $moved];
            }
        }

        return $most;
    }
}
