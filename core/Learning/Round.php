<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\Purpose;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Effort;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;

/** A visit walked from the complaint alone: what is asked next is answered by the plant, until the verdict is sure. */
final readonly class Round
{
    /** Probability at which it ends. */
    private const SURE = 0.85;

    /** Checks after which nobody goes on. */
    private const MOST = 40;

    /** Bits below which nobody fetches a ladder for it. */
    private const WORTH_IT = 0.02;

    /** Minutes to hang up hoses. */
    private const HOSES = 6;

    public function __construct(private Diagnosis $diagnosis)
    {
    }

    /**
     * @param  ?list<Asked>  $order  in which things are asked; null: by the next check
     * @return array{int, bool, bool} minutes, whether it became sure, and whether it was right then
     */
    public function of(Patient $patient, ?array $order = null): array
    {
        $whole = $patient->findings;
        $known = new Findings($whole->circuit, $whole->state, $whole->complaints);
        $minutes = 0;
        $asked = [];
        for ($n = 0; $n < self::MOST; $n++) {
            $verdict = $this->diagnosis->of($known, $order === null ? self::MOST : 0, 0);
            if ($verdict->first()->probability >= self::SURE) {
                break;
            }
            $keys =
                $order === null ? self::next($verdict->checks, $asked) : self::after($order, $asked, $whole);
            if ($keys === []) {
                break;
            }
            foreach ($keys as $key) {
                $asked[(string) $key->value] = true;
                $minutes += self::minutes($key, $known);
                $known = self::answered($known, $whole, $key);
            }
        }
        $first = $this->diagnosis->of($known, 0, 0)->first();

        return [$minutes, $first->probability >= self::SURE, $first->fault === $patient->fault()];
    }

    /**
     * @param  list<\Metrum\Diagnosis\Check>  $checks
     * @param  array<string, true>  $asked
     * @return list<Asked> what the first check not yet tried takes
     */
    private static function next(array $checks, array $asked): array
    {
        foreach ($checks as $check) {
            if ($check->gain < self::WORTH_IT && $check->purpose === Purpose::TellApart) {
                continue;
            }
            $keys = $check->readings === [] ? [$check->key] : $check->readings;
            $new = array_values(
                array_filter($keys, static fn (Asked $one): bool => ! isset($asked[(string) $one->value])),
            );
            if ($new !== []) {
                return $new;
            }
        }

        return [];
    }

    /**
     * @param  list<Asked>  $order
     * @param  array<string, true>  $asked
     * @return list<Asked>
     */
    private static function after(array $order, array $asked, Findings $whole): array
    {
        foreach ($order as $key) {
            if (! isset($asked[(string) $key->value]) && $key->taking()->fit->asks($whole->circuit)) {
                return [$key];
            }
        }

        return [];
    }

    private static function minutes(Asked $key, Findings $known): int
    {
        $gauge = $key->taking()->effort === Effort::Gauge;
        $hoses =
            $known->reading(Reading::SuctionPressure) === null &&
            $known->reading(Reading::DischargePressure) === null;

        return $key->taking()->minutes + ($gauge && $hoses ? self::HOSES : 0);
    }

    private static function answered(Findings $known, Findings $whole, Asked $key): Findings
    {
        $answer = match (true) {
            $key instanceof Reading => $whole->reading($key),
            $key instanceof Observation => $whole->observed($key),
            $key instanceof Test => $whole->tested($key),
            default => null,
        };

        return $answer === null ? $known : $known->with($key, $answer);
    }
}
