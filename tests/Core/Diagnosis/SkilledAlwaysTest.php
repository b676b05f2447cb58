<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Diagnosis\Curves;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\Examination;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Verdict;
use Metrum\Diagnosis\Weighing;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Effort;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Learning\Patients;
use Metrum\Twin\Twins;
use PHPUnit\Framework\TestCase;

/** What holds of every visit, whatever was entered: drawn visits, and every answer that is a fault put to them. */
final class SkilledAlwaysTest extends TestCase
{
    private const VISITS = 8;

    private const FIRST = 3;

    public function test_an_answer_that_is_a_fault_never_lowers_it_or_what_brings_it_about(): void
    {
        foreach (self::visits() as $findings) {
            $before = self::chances(self::verdict($findings));
            foreach (self::seenAt($findings) as [$fault, $asked, $word]) {
                $after = self::chances(self::verdict($findings->with($asked, $word)));
                $family = [$fault->value, ...array_column(FaultCatalogue::causesOf($fault), 'value')];
                $sum = static fn (array $chances): float => array_sum(
                    array_intersect_key($chances, array_flip($family)),
                );
                self::assertGreaterThan(
                    $sum($before) - 0.02,
                    $sum($after),
                    "$findings->id: {$asked->value} {$word->value}",
                );
            }
        }
    }

    public function test_a_fault_that_is_seen_is_among_the_first_three(): void
    {
        foreach (self::visits() as $findings) {
            foreach (self::seenAt($findings) as [$fault, $asked, $word]) {
                $with = $findings->with($asked, $word);
                $seen = Examination::of($with, new HouseRules(), new Twins())->seen;
                $isSeen = array_filter($seen, static fn ($one): bool => $one->asked === $asked) !== [];
                $alone = count($seen) === 1 && count($seen[0]->faults) === 1;
                if (! $isSeen || ! $alone || self::isContradicted($with, $fault)) {
                    continue;
                }
                $first = array_slice(array_keys(self::chances(self::verdict($with))), 0, self::FIRST);
                self::assertContains($fault->value, $first, "$findings->id: {$asked->value} {$word->value}");
            }
        }
    }

    public function test_no_check_is_silly_whatever_is_struck_out(): void
    {
        foreach (self::visits() as $findings) {
            self::assertNoneSilly($findings);
            foreach (array_keys($findings->readings) as $key) {
                self::assertNoneSilly($findings->without([Reading::from($key)]));
            }
        }
    }

    public function test_a_complaint_more_never_makes_a_sound_plant_likelier(): void
    {
        foreach (self::visits() as $findings) {
            $plain = $findings->withoutComplaints();
            $before = self::chances(self::verdict($plain))['no_fault'];
            foreach ([Complaint::TooWarm, Complaint::IcedUp, Complaint::RunsAllTheTime] as $complaint) {
                if (! $complaint->isSaidOf($findings->circuit->kind)) {
                    continue;
                }
                $heard = new Findings(
                    $plain->circuit,
                    $plain->state,
                    [$complaint],
                    $plain->readings,
                    $plain->observations,
                    $plain->tests,
                );
                self::assertLessThan(
                    $before + 1e-3,
                    self::chances(self::verdict($heard))['no_fault'],
                    "$findings->id: {$complaint->value}",
                );
            }
        }
    }

    /** Whether two things that were measured speak against it. */
    private static function isContradicted(Findings $findings, Fault $fault): bool
    {
        $examined = Examination::of($findings, new HouseRules(), new Twins());
        $against = 0;
        foreach ((new Weighing(Curves::learned(), $examined))->weightsFor($fault) as [$piece, $weight]) {
            $against += $piece->isMeasured() && $weight < -0.3 ? 1 : 0;
        }

        return $against >= 2;
    }

    private static function assertNoneSilly(Findings $findings): void
    {
        $verdict = (new Diagnosis())->of($findings, 6, 0);
        foreach ($verdict->checks as $check) {
            $key = $check->key;
            $answered = match (true) {
                $key instanceof Observation => $findings->observed($key),
                $key instanceof Test => $findings->tested($key),
                default => $findings->reading(Reading::from((string) $key->value)),
            };
            $doubted = in_array($key, $verdict->doubted, true);
            self::assertTrue($answered === null || $doubted, 'answered already: '.$key->value);
            self::assertTrue($key->taking()->isAskedAt($findings->circuit), 'not fitted: '.$key->value);
            if ($key === Reading::ReceiverOutletTemperature || $key === Reading::ReceiverLevel) {
                self::assertTrue($findings->circuit->hasReceiver());
            }
            if ($findings->saw(Observation::EvaporatorFans, Word::AllStopped) && $findings->state?->runs() !== false) {
                self::assertNotSame(Effort::Gauge, $check->effort, (string) $key->value);
            }
        }
    }

    /** @return list<Findings> */
    private static function visits(): array
    {
        $patients = new Patients(2718);

        return array_map(
            static fn (int $number): Findings => $patients->number($number, false)->findings,
            range(1, self::VISITS),
        );
    }

    /** @return iterable<array{Fault, Question, Word}> answers that are a fault, to what was not looked at yet */
    private static function seenAt(Findings $findings): iterable
    {
        foreach (Fault::cases() as $fault) {
            $entry = FaultCatalogue::entry($fault);
            foreach ($entry->fit->asks($findings->circuit) ? $entry->seenBy : [] as $by) {
                $asked = $by->asked;
                $isAsked = $asked instanceof Question && $asked->taking()->isAskedAt($findings->circuit);
                if (! $isAsked || $by->under !== null) {
                    continue;
                }
                $answer = $findings->observations[$asked->value] ?? ($findings->tests[$asked->value] ?? null);
                if ($answer === null) {
                    yield [$fault, $asked, $by->words[0]];
                }
            }
        }
    }

    /** @return array<string, float> by Fault */
    private static function chances(Verdict $verdict): array
    {
        $chances = [];
        foreach ($verdict->suspects as $suspect) {
            $chances[$suspect->fault->value] = $suspect->probability;
        }

        return $chances;
    }

    private static function verdict(Findings $findings): Verdict
    {
        return (new Diagnosis())->of($findings, 0, 0);
    }
}
