<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Findings\DerivedFigure;
use Metrum\Knowledge\MoveOutcome;
use Metrum\Knowledge\Reading;
use Metrum\Log\Content;
use Metrum\Log\Kinds\PlantMoved;

/** What a move will do, said before it is done, and kept with it. */
final readonly class Forecast
{
    /** @param  list<FigureForecast>  $figures  the one it is made for first */
    public function __construct(public array $figures)
    {
    }

    public function of(DerivedFigure|Reading $figure): ?FigureForecast
    {
        foreach ($this->figures as $one) {
            if ($one->figure === $figure) {
                return $one;
            }
        }

        return null;
    }

    /** The figure that the move is made for; null where nothing can be foretold. */
    public function main(): ?FigureForecast
    {
        return $this->figures[0] ?? null;
    }

    /** The figure by which the move is told: its own, else the one that should move most beyond its width. */
    public function telling(): ?FigureForecast
    {
        $telling = $this->main();
        if ($telling === null || $telling->moves()) {
            return $telling;
        }
        foreach ($this->figures as $one) {
            $isFirst = ! $telling->moves();
            if ($one->moves() && ($isFirst || $one->standsOut() > $telling->standsOut())) {
                $telling = $one;
            }
        }

        return $telling;
    }

    /**
     * What came of the move.
     *
     * @param  array<string, float>  $changes  SI by figure
     * @param  bool  $byAll  by all of its figures that were read again, not by the main one alone
     */
    public function outcome(array $changes, bool $byAll): MoveOutcome
    {
        $main = $this->main();
        if ($main === null || ! isset($changes[$main->figure->value])) {
            return MoveOutcome::NotRead;
        }

        return $byAll ? $this->ofAll($changes) : $main->outcome($changes[$main->figure->value]);
    }

    /**
     * As foretold where all figures went so that should have moved, nothing where none of them did, else what lies
     * between; where none should have moved, as foretold where none did.
     *
     * @param  array<string, float>  $changes
     */
    private function ofAll(array $changes): MoveOutcome
    {
        $came = [];
        foreach ($this->figures as $one) {
            if ($one->moves() && isset($changes[$one->figure->value])) {
                $came[] = $one->outcome($changes[$one->figure->value]);
            }
        }
        $are = static fn (MoveOutcome ...$of): bool => array_filter(
            $came,
            static fn (MoveOutcome $one): bool => ! in_array($one, $of, true),
        ) === [];

        return match (true) {
            $are(MoveOutcome::AsForetold) => MoveOutcome::AsForetold,
            $are(MoveOutcome::Nothing) => MoveOutcome::Nothing,
            $are(MoveOutcome::Nothing, MoveOutcome::OtherWay) => MoveOutcome::OtherWay,
            default => MoveOutcome::Less,
        };
    }

    /** Whether anything was foretold to move by more than two readings of one thing differ: else it proves nothing. */
    public function tells(): bool
    {
        foreach ($this->figures as $one) {
            if ($one->moves()) {
                return true;
            }
        }

        return false;
    }

    /**
     * Figures beside the main one that went another way than foretold.
     *
     * @param  array<string, float>  $changes  SI by figure
     * @return list<FigureForecast>
     */
    public function missed(array $changes): array
    {
        return array_values(array_filter(
            array_slice($this->figures, 1),
            static fn (FigureForecast $one): bool => $one->moves() &&
                isset($changes[$one->figure->value]) &&
                $one->outcome($changes[$one->figure->value]) !== MoveOutcome::AsForetold,
        ));
    }

    /**
     * What several moves do together: their changes added, figure by figure.
     *
     * @param  non-empty-list<?self>  $all  of the last move first; null where nothing was foretold of one
     */
    public static function together(array $all): ?self
    {
        $figures = [];
        foreach ($all[0]->figures ?? [] as $one) {
            $change = 0.0;
            $square = 0.0;
            foreach ($all as $forecast) {
                $part = $forecast?->of($one->figure);
                $change += $part->change ?? 0.0;
                $square += ($part->deviation ?? 0.0) ** 2;
            }
            $figures[] = new FigureForecast($one->figure, $one->before, $change, sqrt($square));
        }

        return $figures === [] ? null : new self($figures);
    }

    /** @return array<string, array{float, float, float}> as a log keeps it */
    public function kept(): array
    {
        $kept = [];
        foreach ($this->figures as $one) {
            $kept[$one->figure->value] = $one->kept();
        }

        return $kept;
    }

    /** As it was said when the move was made; null where it was not. */
    public static function keptIn(Content $move): ?self
    {
        $kept = $move->data[PlantMoved::FORECAST] ?? null;
        $figures = [];
        foreach (is_array($kept) ? $kept : [] as $key => $row) {
            $figure = DerivedFigure::tryFrom((string) $key) ?? Reading::tryFrom((string) $key);
            if ($figure === null || ! is_array($row) || count($row) !== 3) {
                continue;
            }
            $numbers = array_filter(array_values($row), is_numeric(...));
            if (count($numbers) === 3) {
                $figures[] = new FigureForecast($figure, (float) $numbers[0], (float) $numbers[1], (float) $numbers[2]);
            }
        }

        return $figures === [] ? null : new self($figures);
    }
}
