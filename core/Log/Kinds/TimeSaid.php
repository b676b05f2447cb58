<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Log\Content;
use Metrum\Log\NotAFact;

/** A time as people say it: of the day ("22:30"), with its day ("2026-11-30 22:30"), or so long from now ("6 h"). */
final readonly class TimeSaid
{
    /** Under which a fact keeps it. */
    public const AT = 'at';

    private const CLOCK = '/^(\d{1,2})[:.]([0-5]\d)$/';

    private const DATED = '/^(\d{4})-(\d\d)-(\d\d)[T ](\d{1,2})[:.]([0-5]\d)$/';

    private const SPAN = '/^(\d+(?:[.,]\d+)?)\s*(h|m|d)(?:ours?|in|inutes?|ays?)?$/i';

    /** s of a unit. */
    private const UNITS = ['h' => 3600.0, 'm' => 60.0, 'd' => 86400.0];

    private const HALF_A_DAY = 43200;

    /** s: no time that is said is farther away. */
    private const FARTHEST = 30 * 86400.0;

    private function __construct(public string $text)
    {
    }

    /** @throws NotAFact where it is no time */
    public static function in(string $what, string $typed): self
    {
        $plain = (string) preg_replace('/\s+/', ' ', trim($typed));
        if (! self::isTime($plain)) {
            throw NotAFact::because(
                "$what: you entered “".mb_substr($plain, 0, 40).'”. Enter a time as 22:30, a day and time as '.
                    '2026-11-30 22:30, or a duration as 6 h or 90 minutes.',
            );
        }

        return new self($plain);
    }

    private static function isTime(string $text): bool
    {
        if (preg_match(self::DATED, $text, $is) === 1) {
            return checkdate((int) $is[2], (int) $is[3], (int) $is[1]) && (int) $is[4] < 24;
        }
        if (preg_match(self::SPAN, $text) === 1) {
            return self::span($text) <= self::FARTHEST;
        }

        return preg_match(self::CLOCK, $text, $is) === 1 && (int) $is[1] < 24;
    }

    /** Null where a fact keeps none, or none that can be read. */
    public static function kept(Content $content): ?self
    {
        $text = $content->text(self::AT);

        return self::isTime($text) ? new self($text) : null;
    }

    /** s; 0 where it is no duration. */
    private static function span(string $text): float
    {
        return preg_match(self::SPAN, $text, $is) === 1
            ? (float) str_replace(',', '.', $is[1]) * self::UNITS[strtolower($is[2])]
            : 0.0;
    }

    /** The last such time that is not after now. */
    public function before(\DateTimeImmutable $now): \DateTimeImmutable
    {
        $at = $this->on($now, -1);

        return $at > $now && preg_match(self::CLOCK, $this->text) === 1 ? $at->modify('-1 day') : $at;
    }

    /** Such a time of a day's work: of the clock the one that is nearest, a duration ahead. */
    public function nearest(\DateTimeImmutable $now): \DateTimeImmutable
    {
        $at = $this->on($now, 1);
        if (preg_match(self::CLOCK, $this->text) !== 1) {
            return $at;
        }
        $ahead = $at->getTimestamp() - $now->getTimestamp();

        return match (true) {
            $ahead > self::HALF_A_DAY => $at->modify('-1 day'),
            $ahead < -self::HALF_A_DAY => $at->modify('+1 day'),
            default => $at,
        };
    }

    /** @param  int  $way  -1: a duration goes back, 1: ahead */
    private function on(\DateTimeImmutable $now, int $way): \DateTimeImmutable
    {
        if (preg_match(self::CLOCK, $this->text, $is) === 1) {
            return $now->setTime((int) $is[1], (int) $is[2]);
        }
        if (preg_match(self::DATED, $this->text, $is) === 1) {
            return $now->setDate((int) $is[1], (int) $is[2], (int) $is[3])->setTime((int) $is[4], (int) $is[5]);
        }

        return $now->setTimestamp($now->getTimestamp() + $way * (int) round(self::span($this->text)));
    }
}
