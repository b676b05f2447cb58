<?php

namespace App\Records\Attachments;

/** A circle, an arrow or a word on a photo. Places are shares of its width and height. */
final readonly class PhotoMark
{
    private const LONGEST = 60;

    private const DECIMALS = 4;

    private function __construct(
        public MarkShape $shape,
        public float $x,
        public float $y,
        public float $toX,
        public float $toY,
        public string $word,
    ) {
    }

    /** Null where it is none. */
    public static function from(mixed $told): ?self
    {
        $named = is_array($told) ? $told['shape'] ?? null : null;
        $shape = is_string($named) ? MarkShape::tryFrom($named) : null;
        $word = is_array($told) ? $told['word'] ?? '' : null;
        if (! is_array($told) || $shape === null || ! is_string($word)) {
            return null;
        }
        [$x, $y] = [self::share($told['x'] ?? null), self::share($told['y'] ?? null)];
        [$toX, $toY] = [self::share($told['to_x'] ?? 0.0), self::share($told['to_y'] ?? 0.0)];
        $isPlaced = $x !== null && $y !== null && $toX !== null && $toY !== null;

        return $isPlaced && mb_strlen($word) <= self::LONGEST && ($shape !== MarkShape::Word || trim($word) !== '')
            ? new self($shape, $x, $y, $toX, $toY, $word)
            : null;
    }

    /** Whether a word ends at its place, so that it stays on the photo; else it begins there. */
    public function endsAtItsPlace(): bool
    {
        return $this->x > 0.5;
    }

    private static function share(mixed $told): ?float
    {
        return is_numeric($told) && $told >= 0.0 && $told <= 1.0 ? round((float) $told, self::DECIMALS) : null;
    }

    /** @return array<string, float|string> */
    public function toArray(): array
    {
        return [
            'shape' => $this->shape->value,
            'x' => $this->x,
            'y' => $this->y,
            'to_x' => $this->toX,
            'to_y' => $this->toY,
            'word' => $this->word,
        ];
    }
}
