<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Diagnosis\Diagnosis;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Installation\Kind;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Test;
use PHPUnit\Framework\TestCase;

/** A thousand findings that no plant ever had: every one is answered, and none with a figure that is none. */
final class RandomFindingsTest extends TestCase
{
    private const SEED = 20261126;

    private const HOW_MANY = 1000;

    public function test_whatever_was_entered_there_is_a_verdict(): void
    {
        mt_srand(self::SEED);
        $diagnosis = new Diagnosis();
        $circuits = array_map(Circuit::plain(...), Kind::cases());
        for ($i = 0; $i < self::HOW_MANY; $i++) {
            $findings = self::findings($circuits[$i % count($circuits)]);
            $verdict = $diagnosis->of($findings, checks: $i % 25 === 0 ? 3 : 0);
            $sum = 0.0;
            foreach ($verdict->suspects as $suspect) {
                self::assertTrue(is_finite($suspect->probability), "findings $i");
                $sum += $suspect->probability;
            }
            self::assertEqualsWithDelta(1.0, $sum, 1e-6, "findings $i");
            foreach ($verdict->figures->all() as $figure) {
                self::assertTrue(is_finite($figure->si), "findings $i, ".$figure->key->value);
            }
            self::assertSame(array_unique($verdict->cautions), $verdict->cautions);
        }
    }

    private static function findings(Circuit $circuit): Findings
    {
        $findings = new Findings(
            $circuit,
            self::maybe(State::cases()),
            mt_rand(0, 2) === 0 ? [] : [self::one(Complaint::cases())],
            confirmed: mt_rand(0, 9) === 0 ? [self::one(Fault::cases())] : [],
        );
        for ($n = mt_rand(0, 14); $n > 0; $n--) {
            $reading = self::one(Reading::cases());
            $field = $reading->field($circuit->atmosphere);
            $low = $field->least;
            $high = $field->most;
            $findings = $findings->with($reading, $low + (($high - $low) * mt_rand()) / mt_getrandmax());
        }
        for ($n = mt_rand(0, 8); $n > 0; $n--) {
            $asked = self::one([...Observation::cases(), ...Test::cases()]);
            $findings = $findings->with($asked, self::one($asked->words()));
        }

        return $findings;
    }

    /**
     * @template T
     *
     * @param  list<T>  $of
     * @return T
     */
    private static function one(array $of): mixed
    {
        return $of[mt_rand(0, count($of) - 1)];
    }

    /**
     * @template T
     *
     * @param  list<T>  $of
     * @return T|null
     */
    private static function maybe(array $of): mixed
    {
        return mt_rand(0, 2) === 0 ? null : self::one($of);
    }
}
