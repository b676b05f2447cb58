<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Findings\Chapter;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\MoveAnswer;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\MoveOutcome;
use Metrum\Knowledge\Reading;
use Metrum\Log\Fact;

/** What came of each move: what was foretold beside what was read; jointly where moves were not read apart. */
final readonly class Outcomes
{
    public function __construct(private Assessment $assessment)
    {
    }

    /**
     * What came of the move that began a chapter.
     *
     * @param  list<Account>  $accounts  of the chapters before it
     */
    public function cameOf(int $place, array $accounts): MoveResult
    {
        $move = $this->assessment->chapters->all[$place]->began;
        if ($move === null) {
            return MoveResult::nothing(null);
        }
        $control = Control::from($move->content->key);
        [$base, $value, $others] = $this->since($place, $control, $move->part);
        if ($base === null) {
            return MoveResult::nothing(Forecast::keptIn($move->content));
        }
        $forecast = $others === []
            ? $this->foretold($place, $base, $value, $control, $move, $accounts)
            : Forecast::together(array_map(self::kept(...), [$move, ...$others]));
        if ($forecast === null) {
            return MoveResult::nothing(null);
        }
        $chapter = $this->assessment->chapters->all[$place];
        $first = $this->firstRead($chapter, $control, $move->part);
        if ($first === null) {
            return MoveResult::nothing($forecast);
        }
        $changes = fn (Chapter $to): array => $this->changes(
            $forecast,
            $this->assessment->chapters->all[$base],
            $to,
            $move->part,
        );
        $isSettled = $this->assessment->figure($chapter, $control, $move->part) !== null;

        return MoveResult::read(
            $forecast,
            $changes($first),
            $changes($isSettled ? $chapter : $first),
            $control->row()->isJudgedByAll,
            $others,
        );
    }

    /** @return array<string, float> change of each figure that was foretold and read before and after, SI */
    private function changes(Forecast $forecast, Chapter $from, Chapter $to, PartId $part): array
    {
        $changes = [];
        foreach ($forecast->figures as $one) {
            $was = $this->read($one->figure, $from->of($part));
            $is = $this->read($one->figure, $to->of($part));
            if ($was !== null && $is !== null) {
                $changes[$one->figure->value] = $is - $was;
            }
        }

        return $changes;
    }

    private function read(DerivedFigure|Reading $figure, Findings $findings): ?float
    {
        return $figure instanceof Reading
            ? $findings->reading($figure)
            : Figures::of($findings, $this->assessment->rules)->value($figure);
    }

    /**
     * What was said when a move was made; worked now where nothing was, or where it was made in several steps.
     *
     * @param  list<Account>  $accounts  of the chapters before it
     */
    private function foretold(
        int $place,
        int $base,
        float $value,
        Control $control,
        Fact $move,
        array $accounts,
    ): ?Forecast {
        $kept = $base === $place - 1 ? self::kept($move) : null;
        if ($kept !== null) {
            return $kept;
        }
        $before = $accounts[$base];

        return $this->assessment->forecasts
            ->forecasting($before->chapter, $move->part)
            ?->of($control, $value, $this->assessment->verdict($before)->suspects);
    }

    /** A chapter as it was once the figure of its move was read settled for the first time; null where it was not. */
    private function firstRead(Chapter $chapter, Control $control, PartId $part): ?Chapter
    {
        $needed = $this->assessment->needed($chapter, $control, $part) ?? [];
        $told = $this->assessment->settling->toldWhenSettled($chapter, ...$needed);

        return $told === null ? null : $chapter->asFirstRead($told);
    }

    /**
     * The last chapter before one in which a control's figure was read, with what that control was moved since, and
     * what else was moved meanwhile: then nobody can tell which of them did it.
     *
     * @return array{?int, float, list<Fact>} null where nothing was read
     */
    private function since(int $place, Control $control, PartId $part): array
    {
        $value = 0.0;
        $others = [];
        for ($i = $place; $i > 0; $i--) {
            $move = $this->assessment->chapters->all[$i]->began;
            if ($move === null) {
                break;
            }
            if ($move->isMoveOf($control, $part)) {
                $value += $move->content->value ?? 1.0;
            } elseif (Control::from($move->content->key)->row()->figures !== []) {
                $others[] = $move;
            }
            if ($this->assessment->figure($this->assessment->chapters->all[$i - 1], $control, $part) !== null) {
                return [$i - 1, $value, $others];
            }
        }

        return [null, 0.0, []];
    }

    private static function kept(Fact $move): ?Forecast
    {
        return Forecast::keptIn($move->content);
    }

    /** @param  list<MoveAnswer>  $before */
    public static function moved(Control $control, Fact $move, MoveOutcome $outcome, array $before): MoveAnswer
    {
        $again = false;
        foreach ($before as $one) {
            if ($one->control === $control && $one->part->is($move->part)) {
                $again = $one->outcome === $outcome;
            }
        }

        return new MoveAnswer($control, $outcome, $move->content->value ?? 1.0, $move->part, $again);
    }
}
