<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Findings\Derived;
use Metrum\Log\Content;
use Metrum\Log\Kinds\PlantMoved;

/** What a move will do, said before it is done, and kept with it. */
final readonly class Forecast
{
    /** @param  list<Foretold>  $figures  the one it is made for first */
    public function __construct(public array $figures)
    {
    }

    public function of(Derived $figure): ?Foretold
    {
        foreach ($this->figures as $one) {
            if ($one->figure === $figure) {
                return $one;
            }
        }

        return null;
    }

    /** The figure that the move is made for; null where nothing can be foretold. */
    public function main(): ?Foretold
    {
        return $this->figures[0] ?? null;
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
            $figure = Derived::tryFrom((string) $key);
            if ($figure === null || ! is_array($row) || count($row) !== 3) {
                continue;
            }
            $numbers = array_filter(array_values($row), is_numeric(...));
            if (count($numbers) === 3) {
                $figures[] = new Foretold($figure, (float) $numbers[0], (float) $numbers[1], (float) $numbers[2]);
            }
        }

        return $figures === [] ? null : new self($figures);
    }
}
