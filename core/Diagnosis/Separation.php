<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Sign;
use Metrum\Knowledge\Effort;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;

/** What tells the suspects apart, by bits for its minutes and risk; nothing is turned, stopped or opened for that. */
final readonly class Separation
{
    /** Bits below which a check is not worth naming. */
    private const LEAST_GAIN = 0.004;

    /** Bits a minute below which deciding tells more than looking on: three hours a bit. */
    private const LEAST_WORTH = 0.0055;

    public function __construct(private Sensible $sensible, private Proposals $propose)
    {
    }

    /**
     * @param  bool  $looksFirst  whether what needs no tool stands before all else
     * @return list<Check> best first
     */
    public function ranked(bool $looksFirst): array
    {
        $asked = array_filter(
            [...Observation::cases(), ...Test::cases()],
            fn (Question $one): bool => Sensible::isLook($one) && $this->sensible->is($one),
        );
        $checks = [...array_map($this->propose->ofQuestion(...), array_values($asked)), ...$this->measured()];
        $worthy = array_values(
            array_filter(
                $checks,
                static fn (Check $one): bool => $one->gain >= self::LEAST_GAIN &&
                    $one->worth >= self::LEAST_WORTH &&
                    $one->tells(),
            ),
        );
        usort(
            $worthy,
            static fn (Check $a, Check $b): int => [$looksFirst && $b->effort === Effort::Look, $b->worth] <=> [
                $looksFirst && $a->effort === Effort::Look,
                $a->worth,
            ],
        );

        return $worthy;
    }

    /** @return list<Check> of signs; what one hose or clamp brings besides counts too, ever less */
    private function measured(): array
    {
        $checks = [];
        foreach (Sign::cases() as $sign) {
            $check = $this->propose->ofSign($sign);
            if ($check !== null && $this->sensible->isToBeHad($check) && Sensible::isLook($check->key)) {
                $checks[] = $check;
            }
        }
        usort($checks, static fn (Check $a, Check $b): int => $b->gain <=> $a->gain);
        $shared = [];
        foreach ($checks as $check) {
            $gain = $check->gain;
            $n = 1;
            foreach ($checks as $other) {
                if (
                    $other !== $check &&
                    array_udiff($other->readings, $check->readings, self::compared(...)) === []
                ) {
                    $gain += $other->gain / ++$n;
                }
            }
            $shared[] = $check->bringing($gain);
        }

        return $shared;
    }

    private static function compared(Reading $a, Reading $b): int
    {
        return $a->value <=> $b->value;
    }
}
