<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Sign;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;

/**
 * Which faults look like one another, and what tells them apart: by how differently each thing is found under both, as
 * it was learned (Jeffreys' divergence, nats).
 */
final readonly class LookAlikes
{
    private const MOST = 3;

    /** Deviations that a word is worth which is always said of one and never of the other. */
    private const WORD = 3.0;

    /** Nats from which a thing tells two faults apart. */
    private const TELLS = 0.25;

    private Words $words;

    /** @param  Conditions  $conditions  of the plant whose answers are meant */
    public function __construct(private Curves $curves, Conditions $conditions)
    {
        $this->words = new Words($curves, $conditions);
    }

    /** @return list<Fault> the likest first: those that move the same things the same way */
    public function of(Fault $fault): array
    {
        $own = $this->moved($fault);
        $alike = [];
        foreach ($this->curves->faults as $other) {
            if ($other !== $fault && $other !== Fault::NoFault) {
                $alike[$other->value] = self::cosine($own, $this->moved($other));
            }
        }
        arsort($alike);

        return array_map(Fault::from(...), array_slice(array_keys($alike), 0, self::MOST));
    }

    /**
     * How far a fault moves each thing from where a sound plant has it: signs in deviations, words by their chance.
     *
     * @return array<string, float>
     */
    private function moved(Fault $fault): array
    {
        $place = $this->curves->placeOf($fault);
        $sound = $this->curves->placeOf(Fault::NoFault);
        $moved = [];
        foreach (Sign::cases() as $sign) {
            $mean = 0.0;
            foreach ($this->curves->outcomes(Feature::of($sign)->name()) as $knot => $chances) {
                $mean += Scale::DEVIATIONS[(int) $knot] * ($chances[$place] - $chances[$sound]);
            }
            $moved[$sign->value] = $mean;
        }
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            foreach ($this->words->chances($asked) as $word => $chances) {
                $moved[$asked->value.' '.$word] = self::WORD * ($chances[$place] - $chances[$sound]);
            }
        }

        return $moved;
    }

    /**
     * @param  array<string, float>  $a
     * @param  array<string, float>  $b
     */
    private static function cosine(array $a, array $b): float
    {
        $both = $as = $bs = 1e-9;
        foreach ($a as $key => $one) {
            $both += $one * $b[$key];
            $as += $one * $one;
            $bs += $b[$key] * $b[$key];
        }

        return $both / sqrt($as * $bs);
    }

    /**
     * What tells two faults apart, best first.
     *
     * @return list<array{Asked|Sign, ?Word}> what is looked at, and the answer that speaks for the first of them
     */
    public function separators(Fault $fault, Fault $other): array
    {
        $told = array_filter(
            $this->told($fault, $other),
            static fn (array $one): bool => $one[1] >= self::TELLS,
        );
        usort($told, static fn (array $a, array $b): int => $b[1] <=> $a[1]);

        return array_map(static fn (array $one): array => [$one[0], $one[2]], array_slice($told, 0, self::MOST));
    }

    /** @return list<array{Asked|Sign, float, ?Word}> what is looked at, nats, and the answer for the first */
    private function told(Fault $fault, Fault $other): array
    {
        $told = [];
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            [$apart, $best] = $this->apart($this->words->chances($asked), $fault, $other);
            $told[] = [$asked, $apart * $asked->taking()->available, Word::tryFrom((string) $best)];
        }
        foreach (Sign::cases() as $sign) {
            [$apart] = $this->apart($this->curves->outcomes(Feature::of($sign)->name()), $fault, $other);
            $told[] = [$sign, $apart, null];
        }

        return $told;
    }

    /**
     * @param  array<int|string, array<int, float>>  $outcomes  chances by place
     * @return array{float, int|string|null} divergence, and the outcome that speaks most for the first
     */
    private function apart(array $outcomes, Fault $fault, Fault $other): array
    {
        $one = $this->curves->placeOf($fault);
        $two = $this->curves->placeOf($other);
        $sum = $most = 0.0;
        $best = null;
        foreach ($outcomes as $outcome => $chances) {
            $a = $chances[$one] + 1e-3;
            $b = $chances[$two] + 1e-3;
            $part = ($a - $b) * log($a / $b);
            $sum += $part;
            if ($a > $b && $part > $most) {
                [$best, $most] = [$outcome, $part];
            }
        }

        return [$sum, $best];
    }
}
