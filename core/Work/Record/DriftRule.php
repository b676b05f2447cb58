<?php

declare(strict_types=1);

namespace Metrum\Work\Record;

use Metrum\Data\BrokenData;
use Metrum\Data\Knowledge;

/** When a line through visits is told as a drift. Data: data/drift.json. */
final readonly class DriftRule
{
    private const DAY = 86400.0;

    public const YEAR = 365.25 * self::DAY;

    /**
     * @param  float  $sure  deviations that a slope is from none at least
     * @param  float  $without  the same, whichever visit is left out
     * @param  int  $points  in a line at least
     * @param  float  $days  s between the first and the last of them at least
     * @param  float  $prior  readings as which the known scatter weighs
     * @param  float  $horizon  s within which it reaches what asks for something to be done
     * @param  float  $looksBack  s
     * @param  int  $zero  visits at which it ran well that make the zero
     */
    private function __construct(
        public float $sure,
        public float $without,
        public int $points,
        public float $days,
        public float $prior,
        public float $horizon,
        public float $looksBack,
        public int $zero,
    ) {
    }

    /** @throws BrokenData */
    public static function inForce(): self
    {
        return Knowledge::once('drift', self::read(...));
    }

    private static function read(): self
    {
        $file = Knowledge::file('drift');

        return new self(
            $file->row('sure')->number('deviations'),
            $file->row('without')->number('deviations'),
            (int) $file->row('least')->number('points'),
            self::DAY * $file->row('least')->number('days'),
            $file->row('prior')->number('points'),
            self::YEAR * $file->row('horizon')->number('years'),
            self::YEAR * $file->row('looks_back')->number('years'),
            (int) $file->row('zero')->number('visits'),
        );
    }
}
