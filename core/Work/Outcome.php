<?php

declare(strict_types=1);

namespace Metrum\Work;

/** What a move did, beside what was foretold. */
enum Outcome: string
{
    case AsForetold = 'as_foretold';
    case Less = 'less';
    case Nothing = 'nothing';
    case OtherWay = 'other_way';
    case NotRead = 'not_read';

    /** Deviations within which it is as foretold. */
    private const WITHIN = 2.0;

    /** Share of what was foretold below which it is nothing. */
    private const HARDLY = 0.25;

    /** What two readings of a thing that stands still differ by, K. */
    private const NOISE = 0.3;

    /** What is foretold below this is as good as nothing, K. */
    private const LITTLE = 0.1;

    /**
     * @param  float  $change  measured, K
     */
    public static function of(Foretold $foretold, float $change): self
    {
        $expected = $foretold->change;
        $size = abs($expected);
        if ($size < self::LITTLE) {
            return self::AsForetold;
        }
        $along = $expected < 0.0 ? -$change : $change;

        return match (true) {
            $along < -max(self::NOISE, self::HARDLY * $size) => self::OtherWay,
            $along < self::HARDLY * $size => self::Nothing,
            $along < $size - self::WITHIN * $foretold->deviation => self::Less,
            default => self::AsForetold,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::AsForetold => 'as foretold',
            self::Less => 'less than foretold',
            self::Nothing => 'nothing',
            self::OtherWay => 'the other way',
            self::NotRead => 'not read yet',
        };
    }
}
