<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Diagnosis\Likelihoods;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Question;

/** How much of what is open at a rack an answer would settle. */
final class BitsTold
{
    /**
     * Bits that an answer would tell on the average, and what each would leave.
     *
     * @param  array<string, float>  $ranking
     * @return array{float, array<string, array<string, float>>}
     */
    public static function by(Question $asked, Likelihoods $likelihoods, array $ranking): array
    {
        $open = self::open($ranking);
        $left = 0.0;
        $outcomes = [];
        foreach ($asked->words() as $word) {
            $joint = [];
            foreach ($ranking as $fault => $chance) {
                $joint[$fault] = $chance * $likelihoods->chance(Fault::from($fault), $asked, $word);
            }
            $often = array_sum($joint);
            if ($often > 0.0) {
                $after = array_map(static fn (float $one): float => $one / $often, $joint);
                arsort($after);
                $outcomes[$word->value] = $after;
                $left += $often * self::open($after);
            }
        }

        return [max(0.0, $open - $left), $outcomes];
    }

    /**
     * Bits that are still open.
     *
     * @param  array<string, float>  $ranking  probability by Fault
     */
    public static function open(array $ranking): float
    {
        $bits = 0.0;
        foreach ($ranking as $chance) {
            $bits -= $chance > 0.0 ? $chance * log($chance, 2) : 0.0;
        }

        return $bits;
    }
}
