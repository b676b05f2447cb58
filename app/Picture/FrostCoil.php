<?php

namespace App\Picture;

use Metrum\Knowledge\Word;

/** The coil with twelve fins: which of them carry frost, and where it is ice. */
final readonly class FrostCoil
{
    private const FINS = 12;

    /** Where the first fin stands, how far apart they are, and how thick without and with frost. */
    private const FIRST = 7.0;

    private const APART = 5.0;

    private const THICK = [1.4, 3.6];

    /** First frosted fin, and the first that is bare again. */
    private const FROSTED = [
        'inlet_only' => [0, 4],
        'even' => [0, 12],
        'blocked' => [0, 12],
        'outlet_only' => [8, 12],
        'inlet_iced' => [0, 6],
        'outlet_iced' => [6, 12],
    ];

    private const ICED = [
        'blocked' => ['x' => 4.0, 'width' => 64.0],
        'inlet_iced' => ['x' => 4.0, 'width' => 33.0],
        'outlet_iced' => ['x' => 35.0, 'width' => 33.0],
    ];

    /** @var list<array{x: float, width: float, isFrosted: bool}> */
    public array $fins;

    /** @var ?array{x: float, width: float} */
    public ?array $ice;

    public function __construct(Word $word)
    {
        [$from, $to] = self::FROSTED[$word->value] ?? [0, 0];
        $fins = [];
        for ($i = 0; $i < self::FINS; $i++) {
            $isFrosted = $i >= $from && $i < $to;
            $fins[] = [
                'x' => self::FIRST + self::APART * $i,
                'width' => self::THICK[(int) $isFrosted],
                'isFrosted' => $isFrosted,
            ];
        }
        $this->fins = $fins;
        $this->ice = self::ICED[$word->value] ?? null;
    }
}
