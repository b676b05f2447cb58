<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Circuit\Complaint;
use Metrum\Circuit\DataFile;
use Metrum\Circuit\Fault;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Test;
use Metrum\Diagnosis\Cautions;
use Metrum\Diagnosis\Conditions;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Sign;
use Metrum\Plant\DesignExpectation;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** The files a technician could read: whole, and without a word that the code does not know. */
final class CatalogueTest extends TestCase
{
    public function test_every_fault_is_told_whole(): void
    {
        foreach (Fault::cases() as $fault) {
            $entry = FaultCatalogue::entry($fault);
            self::assertSame($fault, $entry->fault);
            self::assertNotSame('', $entry->name);
            self::assertGreaterThan(0.0, $entry->prior);
            self::assertSame(
                1,
                preg_match_all('/\.(?:\s|$)/', $entry->mechanism),
                $fault->value.': one sentence',
            );
            self::assertNotSame('', $entry->forTheOwner);
            self::assertNotSame('', $entry->whatWeDo);
            if ($fault !== Fault::NoFault) {
                self::assertNotSame([], $entry->speaksFor, $fault->value);
                self::assertNotSame([], $entry->speaksAgainst, $fault->value);
                self::assertNotSame([], $entry->check, $fault->value);
                self::assertNotSame([], $entry->do, $fault->value);
                self::assertTrue(
                    $entry->signs !== [] || $entry->words !== [],
                    $fault->value.' leaves some trace',
                );
            }
            foreach ($entry->cautions as $key) {
                self::assertNotSame('', Cautions::word($key));
            }
        }
    }

    public function test_the_owner_is_told_without_words_of_the_trade(): void
    {
        foreach (Fault::cases() as $fault) {
            $entry = FaultCatalogue::entry($fault);
            self::assertDoesNotMatchRegularExpression(
                '/superheat|subcool|evaporat|condens|saturat|kPa|\bTD\b|suction|txv/i',
                $entry->forTheOwner.' '.$entry->whatWeDo,
                $fault->value,
            );
        }
    }

    public function test_weights_name_only_known_signs_words_complaints_and_conditions(): void
    {
        $findings = Visits::cooler();
        $conditions = new Conditions($findings, new DesignExpectation($findings, new HouseRules()));
        foreach (Fault::cases() as $fault) {
            $entry = FaultCatalogue::entry($fault);
            foreach (array_keys($entry->signs + $entry->capillarySigns) as $sign) {
                self::assertSame($sign, Sign::named($sign)->key);
            }
            foreach ($entry->words as $key => $words) {
                $asked = Observation::tryFrom($key) ?? Test::from($key);
                $known = array_column($asked->words(), 'value');
                self::assertSame([], array_diff(array_keys($words), $known), $fault->value.' '.$key);
                self::assertLessThanOrEqual(1.0001, array_sum($words), $fault->value.' '.$key);
            }
            foreach (array_keys($entry->complaints) as $complaint) {
                self::assertNotNull(Complaint::tryFrom($complaint), $fault->value.' '.$complaint);
            }
            foreach ($entry->scaled as $scale) {
                $conditions->holds($scale['condition']);
            }
        }
    }

    public function test_every_question_has_a_procedure_minutes_and_usual_answers(): void
    {
        foreach ([...Reading::cases(), ...Observation::cases(), ...Test::cases()] as $key) {
            /** @var array{minutes: int, effort: string, how: string, cautions: list<string>} $told */
            $told = DataFile::read('checks')[$key->value];
            self::assertGreaterThan(0, $told['minutes'], $key->value);
            self::assertContains($told['effort'], ['look', 'hand', 'clamp', 'gauge', 'intervention']);
            self::assertNotSame('', $told['how']);
            Cautions::words($told['cautions']);
        }
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            /** @var array{family: string, usual: array<string, float>} $usual */
            $usual = DataFile::read('evidence/words')[$asked->value];
            self::assertEqualsWithDelta(1.0, array_sum($usual['usual']), 0.01, $asked->value);
            self::assertSame(
                [],
                array_diff(array_keys($usual['usual']), array_column($asked->words(), 'value')),
                $asked->value,
            );
        }
    }

    public function test_hands_near_danger_are_warned_where_the_step_is(): void
    {
        $cautions = static fn (string $key): string => implode(
            ' ',
            Cautions::words(DataFile::read('checks')[$key]['cautions']),
        );
        self::assertStringContainsString('burn', $cautions('discharge_temperature_c'));
        self::assertStringContainsString('Fans', $cautions('evaporator_face'));
        self::assertStringContainsString('vacuum', $cautions('compressor_leak_back'));
        self::assertStringContainsString('Live parts', $cautions('heater_current_a'));
        self::assertStringContainsString('Liquid may return', $cautions('valve_bulb_warmed'));
        self::assertStringContainsString('low-loss hoses', $cautions('suction_pressure_kpa'));
    }
}
