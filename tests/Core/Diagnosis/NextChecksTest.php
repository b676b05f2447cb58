<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Purpose;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Findings;
use Metrum\Installation\Kind;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Effort;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** Three questions: what tells the suspects apart, what would prove the one that leads, and what makes it do that. */
final class NextChecksTest extends TestCase
{
    public function test_from_a_complaint_alone_the_first_three_need_no_tool(): void
    {
        foreach ([Kind::WalkInCooler, Kind::WalkInFreezer, Kind::IceMachine, Kind::RackCircuitLow] as $kind) {
            foreach ([Complaint::TooWarm, Complaint::RunsAllTheTime, Complaint::IcedUp] as $complaint) {
                $findings = Visits::of([
                    'system' => ['refrigerant' => 'R-404A', 'kind' => $kind->value],
                    'complaint' => [$complaint->value],
                ]);
                $checks = array_slice(self::verdict($findings)->checks, 0, 3);
                self::assertCount(3, $checks);
                foreach ($checks as $check) {
                    self::assertSame(Effort::Look, $check->effort, $kind->value.' '.$check->title());
                }
            }
        }
    }

    public function test_once_one_leads_it_is_to_be_proven_then_its_cause_is_looked_for(): void
    {
        $verdict = self::verdict(self::iced());
        self::assertSame(Fault::EvaporatorIced, $verdict->first()->fault);
        self::assertGreaterThan(0.75, $verdict->first()->probability);
        // Ice through the coil is seen: nothing is left to prove, the cause is.
        $first = $verdict->checks[0];
        self::assertSame(Purpose::FindCause, $first->purpose);
        self::assertContains($first->key, FaultCatalogue::entry(Fault::EvaporatorIced)->causeBy);
        self::assertSame('Find the cause', $first->purpose->label());
    }

    public function test_what_was_tried_is_not_proposed_again(): void
    {
        $findings = self::iced();
        $asked = [];
        for ($n = 0; $n < 5; $n++) {
            $check = self::verdict($findings)->checks[0];
            self::assertNotContains($check->key, $asked);
            $asked[] = $check->key;
            $findings = match (true) {
                $check->key instanceof Observation, $check->key instanceof Test => $findings->with(
                    $check->key,
                    $check->key->words()[0],
                ),
                default => $findings->with($check->key, 280.0),
            };
        }
    }

    public function test_what_the_plant_tells_is_not_asked(): void
    {
        $running = Visits::cooler(Visits::HEALTHY);
        self::assertNotContains(Observation::Compressor, self::keys($running));
        self::assertNotContains(Observation::LiquidSolenoid, self::keys($running));
        $silent = Visits::of(Visits::COOLER);
        $ofFans = static fn (Findings $findings): array => array_filter(
            self::keys($findings),
            static fn (object $key): bool => in_array($key, [Observation::EvaporatorFans, Reading::FansRunning], true),
        );
        self::assertNotSame([], $ofFans($silent));
        self::assertSame([], $ofFans($silent->with(Reading::FansRunning, 3.0)->with(Reading::FansFitted, 3.0)));
        self::assertSame([], $ofFans($silent->with(Observation::EvaporatorFans, Word::AllRunning)));
    }

    public function test_a_side_where_nothing_was_taken_yet_costs_the_walk(): void
    {
        $atBox = Visits::of(Visits::COOLER)->with(Observation::Doors, Word::ShutAndSealing);
        $atBoth = $atBox->with(Observation::CondenserFans, Word::AllRunning);
        $worth = static fn (Findings $findings): float => self::find($findings, Observation::SightGlass)
            ->worth ?? 0.0;
        $gain = static fn (Findings $findings): float => self::find($findings, Observation::SightGlass)
            ->gain ?? 1.0;

        self::assertGreaterThan(0.0, $worth($atBox));
        self::assertGreaterThan($worth($atBox) / $gain($atBox), $worth($atBoth) / $gain($atBoth));
    }

    public function test_what_one_hose_brings_besides_counts_too(): void
    {
        $check = self::find(Visits::of(Visits::COOLER), Observation::SightGlass);
        self::assertNotNull($check);
        $more = $check->bringing(2 * $check->gain);
        self::assertEqualsWithDelta(2 * $check->worth, $more->worth, 1e-12);
        self::assertSame($check->outcomes, $more->outcomes);
    }

    public function test_what_would_be_looked_at_before_replacing_is_there_for_parts_that_are_condemned_too_soon(): void
    {
        foreach ([Fault::CompressorInefficient, Fault::ValveUnderfeeding, Fault::ValveOverfeeding] as $fault) {
            self::assertGreaterThan(2, count(FaultCatalogue::entry($fault)->beforeReplacing), $fault->value);
        }
        $one = FaultCatalogue::entry(Fault::CompressorInefficient)->beforeReplacing[3];
        self::assertFalse($one->isDone(Visits::of(Visits::COOLER)));
        self::assertTrue($one->isDone(Visits::cooler(['compressor_current_a' => 5])));
    }

    private static function iced(): Findings
    {
        return Visits::of(
            [
                'complaint' => ['too_warm', 'iced_up'],
                'readings' => [
                    'box_temperature_c' => 6,
                    'ambient_temperature_c' => 25,
                    'suction_pressure_kpa' => 190,
                    'discharge_pressure_kpa' => 1400,
                    'suction_temperature_evaporator_c' => -9,
                ],
                'observations' => [
                    'frost_coil' => 'blocked',
                    'evaporator_fans' => 'all_running',
                    'evaporator_face' => 'clean',
                ],
            ] + Visits::COOLER,
        );
    }

    private static function verdict(Findings $findings): Verdict
    {
        return (new Diagnosis())->of($findings, 12);
    }

    /** @return list<\Metrum\Knowledge\Asked> */
    private static function keys(Findings $findings): array
    {
        return array_map(
            static fn (Check $one): object => $one->key,
            (new Diagnosis())->of($findings, 80)->checks,
        );
    }

    private static function find(Findings $findings, Observation|Reading $key): ?Check
    {
        foreach ((new Diagnosis())->of($findings, 80)->checks as $check) {
            if ($check->key === $key || ($key instanceof Reading && in_array($key, $check->readings, true))) {
                return $check;
            }
        }

        return null;
    }
}
