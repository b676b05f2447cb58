<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Diagnosis\Conditions;
use Metrum\Diagnosis\Curves;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Words;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Installation\Circuit;
use Metrum\Installation\Kind;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Learning\Arrows;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every sign and every word that a fault's file names moves that fault, in its direction, by more than nothing. */
final class NothingDeadTest extends TestCase
{
    /** Nats below which nothing was moved. */
    private const SOMETHING = 0.04;

    /** Deviations by which a sign is moved. */
    private const FAR = 3.5;

    /** Chance by which a word is heard more often, from which it must speak. */
    private const HEARD = 0.15;

    /** @return iterable<string, array{Fault, string, int}> */
    public static function arrows(): iterable
    {
        foreach (Fault::cases() as $fault) {
            foreach (Arrows::clearSigns($fault) as $sign => $way) {
                yield "{$fault->value} by $sign" => [$fault, $sign, $way];
            }
        }
    }

    #[DataProvider('arrows')]
    public function test_a_sign_that_goes_its_way_speaks_for_its_fault(
        Fault $fault,
        string $sign,
        int $way,
    ): void {
        $with = self::beside($fault, 'sign '.$sign, $way * self::FAR);
        $against = self::beside($fault, 'sign '.$sign, -$way * self::FAR);

        self::assertGreaterThanOrEqual($against - 1e-9, $with, 'the other way speaks for it');
    }

    public function test_nearly_every_arrow_moves_its_fault(): void
    {
        $dead = $all = [];
        foreach (self::arrows() as $name => [$fault, $sign, $way]) {
            $all[] = $name;
            $moved =
                self::beside($fault, 'sign '.$sign, $way * self::FAR) -
                self::beside($fault, 'sign '.$sign, -$way * self::FAR);
            if ($moved < self::SOMETHING) {
                $dead[] = $name;
            }
        }
        self::assertLessThan(0.1 * count($all), count($dead), implode(', ', $dead));
    }

    /** Those of an ice machine's cycle are learned from drawn cycles alone: IceJudgementTest. */
    public function test_every_sign_is_named_by_a_fault(): void
    {
        $named = [];
        foreach (Fault::cases() as $fault) {
            $named += FaultCatalogue::entry($fault)->signs;
        }
        $silent = array_filter(Sign::cases(), static fn (Sign $sign): bool => ! isset($named[$sign->value]));
        $ofIce = array_column(Sign::OF_ICE, 'value');
        self::assertSame([], array_values(array_diff(array_column($silent, 'value'), $ofIce)));
    }

    /** @return iterable<string, array{Fault, Observation|Test}> */
    public static function questions(): iterable
    {
        foreach (Fault::cases() as $fault) {
            foreach (array_keys(FaultCatalogue::entry($fault)->words) as $key) {
                yield "{$fault->value} by $key" => [$fault, Observation::tryFrom($key) ?? Test::from($key)];
            }
        }
    }

    #[DataProvider('questions')]
    public function test_a_word_heard_more_often_speaks_for_its_fault(
        Fault $fault,
        Observation|Test $asked,
    ): void {
        $words = self::words();
        $places = [Curves::learned()->placeOf($fault), Curves::learned()->placeOf(Fault::NoFault)];
        foreach ($words->chances($asked) as $name => $chances) {
            [$own, $usual] = [$chances[$places[0]], $chances[$places[1]]];
            $weights = $words->weights($asked, Word::from($name));
            $weight = $weights[$places[0]] - $weights[$places[1]];
            if ($own - $usual > self::HEARD) {
                self::assertGreaterThan(self::SOMETHING, $weight, $name);
            }
            if ($usual - $own > self::HEARD) {
                self::assertLessThan(-self::SOMETHING, $weight, $name);
            }
        }
        self::assertNotSame([], $words->chances($asked));
    }

    public function test_every_word_and_every_complaint_tells_some_fault_from_others(): void
    {
        $dead = [];
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            // What the board of a rack asks moves the verdict there: RackSignsTest.
            foreach ($asked->taking()->fit->isOfBoard() ? [] : $asked->words() as $word) {
                $weights = self::words()->weights($asked, $word);
                if (max($weights) - min($weights) < self::SOMETHING) {
                    $dead[] = $asked->value.' '.$word->value;
                }
            }
        }
        foreach (Complaint::cases() as $complaint) {
            $weights = self::words()->ofComplaint($complaint);
            if (max($weights) - min($weights) < self::SOMETHING) {
                $dead[] = $complaint->value;
            }
        }
        self::assertSame([], $dead);
    }

    private static function words(): Words
    {
        $plant = new Findings(Circuit::plain(Kind::WalkInFreezer));

        return new Words(Curves::learned(), new Conditions($plant, null));
    }

    /** Nats for a fault beside a sound plant. */
    private static function beside(Fault $fault, string $feature, float $value): float
    {
        $curves = Curves::learned();
        $weights = $curves->weightsOf($feature, $value);
        self::assertNotNull($weights);

        return $weights[$curves->placeOf($fault)] - $weights[$curves->placeOf(Fault::NoFault)];
    }
}
