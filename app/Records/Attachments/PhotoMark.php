<?php

namespace App\Records\Attachments;

/** A circle, an arrow or a word on a photo. Places are shares of its width and height. */
final readonly class PhotoMark
{
    public const SHAPES = ['circle', 'arrow', 'word'];

    private const LONGEST = 60;

    private const DECIMALS = 4;

    private function __construct(
        public string $shape,
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
        $shape = is_array($told) ? $told['shape'] ?? null : null;
        $word = is_array($told) ? $told['word'] ?? '' : null;
        if (! is_array($told) || ! is_string($shape) || ! is_string($word) || ! in_array($shape, self::SHAPES, true)) {
            return null;
        }
        [$x, $y] = [self::share($told['x'] ?? null), self::share($told['y'] ?? null)];
        [$toX, $toY] = [self::share($told['to_x'] ?? 0.0), self::share($told['to_y'] ?? 0.0)];
        $isPlaced = $x !== null && $y !== null && $toX !== null && $toY !== null;

        return $isPlaced && mb_strlen($word) <= self::LONGEST && ($shape !== 'word' || trim($word) !== '')
            ? new self($shape, $x, $y, $toX, $toY, $word)
            : null;
    }

    private static function share(mixed $told): ?float
    {
        return is_numeric($told) && $told >= 0.0 && $told <= 1.0 ? round((float) $told, self::DECIMALS) : null;
    }

    /** @return array<string, float|string> */
    public function toArray(): array
    {
        return [
            'shape' => $this->shape,
            'x' => $this->x,
            'y' => $this->y,
            'to_x' => $this->toX,
            'to_y' => $this->toY,
            'word' => $this->word,
        ];
    }
}
