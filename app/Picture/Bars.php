<?php

namespace App\Picture;

/** Amounts side by side, or spans along one line of time. */
final readonly class Bars
{
    public const WIDTH = 520.0;

    private const LEFT = 170.0;

    private const RIGHT = 430.0;

    private const ROW = 30.0;

    /** Where words beside a bar begin at the latest, and how far from it. */
    private const WORDS = 440.0;

    private const GAP = 8.0;

    /**
     * @var list<array{
     *     label: string, x: float, width: float, y: float, textX: float, text: string, strong: bool
     * }>
     */
    public array $rows;

    public float $height;

    /**
     * @param  non-empty-list<array{string, float, float, string, bool}>  $spans  label, from, to, text, whether it
     *                                                               is the one that matters
     * @param  float  $most  what fills the width; above 0
     */
    public function __construct(array $spans, float $most, public string $title)
    {
        $scale = (self::RIGHT - self::LEFT) / max(1e-9, $most);
        $rows = [];
        foreach ($spans as $i => [$label, $from, $to, $text, $strong]) {
            $x = self::LEFT + $scale * $from;
            $width = max(1.5, $scale * ($to - $from));
            $rows[] = [
                'label' => $label,
                'x' => $x,
                'width' => $width,
                'y' => self::ROW * $i + 6,
                'textX' => min($x + $width + self::GAP, self::WORDS),
                'text' => $text,
                'strong' => $strong,
            ];
        }
        $this->rows = $rows;
        $this->height = self::ROW * count($rows) + 8;
    }

    /**
     * How far a bar of 100 is filled.
     *
     * @param  float  $share  0 … 1
     */
    public static function width(float $share): float
    {
        return round(100 * $share, 1);
    }
}
