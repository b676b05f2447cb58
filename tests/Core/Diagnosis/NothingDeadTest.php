<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Circuit\Circuit;
use Metrum\Circuit\CircuitWriter;
use Metrum\Circuit\Complaint;
use Metrum\Circuit\Fault;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Kind;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Test;
use Metrum\Diagnosis\CatalogueWeights;
use Metrum\Diagnosis\Conditions;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Hypotheses;
use Metrum\Diagnosis\Signal;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Plant\DesignExpectation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every sign and every word that a fault's file names moves that fault, in its direction, by more than nothing. */
final class NothingDeadTest extends TestCase
{
    /** Nats below which nothing was moved. */
    private const SOMETHING = 0.004;

    /** @return iterable<string, array{Fault, Sign}> */
    public static function signs(): iterable
    {
        foreach (Fault::cases() as $fault) {
            $entry = FaultCatalogue::entry($fault);
            foreach (array_keys($entry->signs + $entry->capillarySigns) as $key) {
                yield "{$fault->value} by $key" => [$fault, Sign::from($key)];
            }
        }
    }

    #[DataProvider('signs')]
    public function test_a_sign_moves_its_fault(Fault $fault, Sign $sign): void
    {
        $weather = ['ambient_temperature_c' => 298.15, 'box_temperature_c' => 276.15];
        $findings = new Findings(self::circuitWith($fault), readings: $weather);
        $weights = new CatalogueWeights(new Conditions($findings, null));
        [$shift, $spread] = $weights->shift($fault, $sign, 1.0);
        $healthy = (new DesignExpectation($findings, new HouseRules()))->healthy($sign);
        self::assertNotNull($healthy, 'nothing is expected of it at such a plant');
        if (abs($shift) < 1e-9) {
            // Said to stay as it is: it speaks for the fault where others would have moved it, or it widens both ways.
            self::assertGreaterThanOrEqual(0.0, $spread);

            return;
        }
        $for = self::weight($weights, $fault, new Signal($sign, $healthy->value + 0.8 * $shift, $healthy));
        $against = self::weight($weights, $fault, new Signal($sign, $healthy->value - 0.8 * $shift, $healthy));

        self::assertGreaterThan(self::SOMETHING, $for - $against, 'which way it moves makes no difference');
        self::assertLessThanOrEqual(0.0, $against, 'moved the other way it must speak against the fault');
    }

    public function test_every_sign_is_named_by_a_fault(): void
    {
        $named = [];
        foreach (Fault::cases() as $fault) {
            $named += FaultCatalogue::entry($fault)->signs;
        }
        $silent = array_filter(Sign::cases(), static fn (Sign $sign): bool => ! isset($named[$sign->value]));
        self::assertSame([], array_column($silent, 'value'));
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
    public function test_a_word_moves_its_fault(Fault $fault, Observation|Test $asked): void
    {
        $weights = new CatalogueWeights(new Conditions(new Findings(self::circuitWith($fault)), null));
        foreach (FaultCatalogue::entry($fault)->words[(string) $asked->value] as $word => $told) {
            $word = current(array_filter($asked->words(), static fn ($one): bool => $one->value === $word));
            self::assertNotFalse($word);
            $moved = 0.0;
            foreach ([$weights, self::atAFreezer()] as $at) {
                $usual = $at->chance(Fault::NoFault, $asked, $word, 0.0);
                $with = $at->chance($fault, $asked, $word, 0.55);
                $moved = max($moved, abs(log($with / $usual)));
                if (abs($told - $usual) > 0.05) {
                    self::assertSame($told > $usual, $with > $usual, $word->value);
                }
            }
            self::assertGreaterThan(self::SOMETHING, $moved, $word->value);
        }
    }

    public function test_every_word_tells_some_fault_from_others(): void
    {
        $dead = [];
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            foreach ($asked->words() as $word) {
                $reach = [];
                foreach (Fault::cases() as $fault) {
                    $weights = new CatalogueWeights(
                        new Conditions(new Findings(self::circuitWith($fault)), null),
                    );
                    $usual = $weights->chance(Fault::NoFault, $asked, $word, 0.0);
                    $reach[] = abs(log($weights->chance($fault, $asked, $word, 0.55) / $usual));
                }
                if (max($reach) < self::SOMETHING) {
                    $dead[] = $asked->value.' '.$word->value;
                }
            }
        }
        self::assertSame([], $dead);
    }

    public function test_every_complaint_speaks_for_some_fault_and_too_warm_for_a_dirty_condenser(): void
    {
        foreach (Complaint::cases() as $complaint) {
            $ratios = array_map(
                static fn (Fault $fault): float => self::ratio($fault, $complaint),
                Fault::cases(),
            );
            self::assertGreaterThan(1.1, max($ratios), $complaint->value);
            self::assertLessThan(0.95, min($ratios), $complaint->value);
        }
        self::assertGreaterThan(1.0, self::ratio(Fault::CondenserAirflowLow, Complaint::TooWarm));
    }

    public function test_complaints_weigh_by_the_kind_of_plant(): void
    {
        $ratio = static fn (Kind $kind): float => (new CatalogueWeights(
            new Conditions(new Findings(Circuit::plain($kind)), null),
        ))->complaintRatio(Fault::Undercharge, Complaint::LowProduction);

        self::assertLessThan($ratio(Kind::WalkInCooler), $ratio(Kind::IceMachine));
    }

    private static function atAFreezer(): CatalogueWeights
    {
        return new CatalogueWeights(new Conditions(new Findings(Circuit::plain(Kind::WalkInFreezer)), null));
    }

    private static function ratio(Fault $fault, Complaint $complaint): float
    {
        $findings = new Findings(self::circuitWith($fault));

        return (new CatalogueWeights(new Conditions($findings, null)))->complaintRatio($fault, $complaint);
    }

    /** How much better the fault foretells it than a sound plant does, nats. */
    private static function weight(CatalogueWeights $weights, Fault $fault, Signal $signal): float
    {
        $hypotheses = Hypotheses::open($weights, [], []);
        $logs = $hypotheses->ofSignal($signal);
        $best = -INF;
        $sound = 0.0;
        foreach ($hypotheses->all as $i => [$one]) {
            if ($one === $fault) {
                $best = max($best, $logs[$i]);
            } elseif ($one === Fault::NoFault) {
                $sound = $logs[$i];
            }
        }

        return $best - $sound;
    }

    /** A plant that has the part which the fault is of. */
    private static function circuitWith(Fault $fault): Circuit
    {
        foreach (Kind::cases() as $kind) {
            $plain = Circuit::plain($kind);
            foreach (
                [
                    [],
                    ['metering' => 'capillary'],
                    ['head_pressure_control' => 'flooding_valve'],
                    ['evaporator_pressure_regulator' => true],
                    ['defrost' => 'hot_gas'],
                ] as $more
            ) {
                $circuit = $more === [] ? $plain : self::changed($plain, $more);
                if (FaultCatalogue::entry($fault)->fit->asks($circuit)) {
                    return $circuit;
                }
            }
        }
        self::fail("no plant can have {$fault->value}");
    }

    /** @param  array<string, string|bool>  $more */
    private static function changed(Circuit $plain, array $more): Circuit
    {
        return Circuit::fromWords($more + CircuitWriter::system($plain), CircuitWriter::design($plain));
    }
}
