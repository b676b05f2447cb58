<?php

namespace App\Picture;

use Metrum\Knowledge\Word;

/** A plate with its cells and the ice in them, inlet above and outlet below. */
final readonly class IcePlate
{
    public const COLUMNS = 6;

    public const ROWS = 4;

    /** Distance of cells, and how large one is drawn that is full, thin or empty. */
    private const APART = 11.0;

    private const FULL = 9.0;

    private const THIN = 4.2;

    /** Cells that stay empty where the ice is patchy. */
    private const BARE = [1, 4, 8, 9, 15, 18, 22];

    /** @var list<array{x: float, y: float, size: float}> ice by cell; none of a size of 0 */
    public array $cells;

    /** Whether the ice is one sheet. */
    public bool $isBridged;

    public bool $isCloudy;

    public function __construct(Word $word)
    {
        $cells = [];
        for ($i = 0; $i < self::COLUMNS * self::ROWS; $i++) {
            $row = intdiv($i, self::COLUMNS);
            $size = self::sizeAt($word, $i, $row);
            $inset = (self::FULL - $size) / 2;
            $cells[] = [
                'x' => 3.0 + self::APART * ($i % self::COLUMNS) + $inset,
                'y' => 3.0 + self::APART * $row + $inset,
                'size' => $size,
            ];
        }
        $this->cells = $cells;
        $this->isBridged = $word === Word::ThickBridge;
        $this->isCloudy = $word === Word::Cloudy;
    }

    private static function sizeAt(Word $word, int $cell, int $row): float
    {
        return match (true) {
            $word === Word::None => 0.0,
            $word === Word::ThinAllOver => self::THIN,
            $word === Word::ThinAtOutlet => $row < 2 ? self::FULL : self::THIN - 1.4 * ($row - 2),
            $word === Word::Patchy => in_array($cell, self::BARE, true) ? 0.0 : self::FULL,
            default => self::FULL,
        };
    }

    /** @return list<array{float, float}> where cells are drawn, full or not */
    public static function places(): array
    {
        $places = [];
        for ($i = 0; $i < self::COLUMNS * self::ROWS; $i++) {
            $places[] = [3.0 + self::APART * ($i % self::COLUMNS), 3.0 + self::APART * intdiv($i, self::COLUMNS)];
        }

        return $places;
    }
}
