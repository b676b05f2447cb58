<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Diagnosis\Cautions;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\FaultEntry;
use Metrum\Diagnosis\Rack\RackCurves;
use Metrum\Findings\Sign;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** The files a technician could read: whole, and without a word that the code does not know. */
final class CatalogueTest extends TestCase
{
    public function test_every_fault_is_told_whole(): void
    {
        $ofRacks = RackCurves::learned(plant: true)->faults;
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
                    $entry->signs !== [] || $entry->words !== [] || in_array($fault, $ofRacks, true),
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
                '/superheat|subcool|evaporat|condensing|saturat|kPa|\bTD\b|suction|txv/i',
                $entry->forTheOwner.' '.$entry->whatWeDo,
                $fault->value,
            );
        }
    }

    public function test_an_answer_is_told_by_chances_that_leave_room_for_others(): void
    {
        foreach (Fault::cases() as $fault) {
            foreach (FaultCatalogue::entry($fault)->words as $key => $words) {
                self::assertLessThanOrEqual(1.0001, array_sum($words), $fault->value.' '.$key);
            }
        }
    }

    /** A shift that is a hundred times too small never moves a verdict, and no arrow would show it. */
    public function test_a_shift_is_as_large_as_its_sign_can_feel(): void
    {
        foreach (Fault::cases() as $fault) {
            $entry = FaultCatalogue::entry($fault);
            foreach ($entry->signs + $entry->capillarySigns as $key => $shift) {
                $usual = Sign::from($key)->row()->usual(Visits::cooler()->circuit, null)->spread(0.0);
                $felt = max($usual, Sign::from($key)->row()->instrument ?? 0.0);
                $reach = max(abs($shift->mean), $shift->spread);
                $told = $fault->value.' '.$key.': '.$reach.' against '.$felt;
                self::assertTrue($reach === 0.0 || $reach > 0.1 * $felt, $told);
                self::assertLessThan(60 * $felt, $reach, $told);
            }
        }
    }

    /** @return iterable<string, array{string, string, string}> change of undercharge's file, and what is said */
    public static function broken(): iterable
    {
        yield 'a share of one for percent' => [
            '"level": -42',
            '"level": -0.42',
            'signs.level: got -0.42',
        ];
        yield 'no such sign' => ['"level": -42', '"mood": -42', 'signs.mood: no such sign'];
        yield 'no such word' => ['"bubbles": 0.72', '"fizz": 0.72', 'words.sight_glass.fizz: unknown key'];
        yield 'no such question' => ['"oil_stains": {', '"oil_smell": {', 'words.oil_smell: no such question'];
        yield 'a text for a number' => ['"prior": 13', '"prior": "13"', 'prior: expected a number'];
        yield 'another key' => ['"prior": 13', '"prior": 13, "colour": 1', 'colour: unknown key'];
        yield 'another fault' => [
            '"fault": "undercharge"',
            '"fault": "overcharge"',
            'fault: expected undercharge',
        ];
    }

    #[DataProvider('broken')]
    public function test_a_mistake_in_a_fault_file_is_named_with_its_path(
        string $from,
        string $to,
        string $said,
    ): void {
        $text = (string) file_get_contents(dirname(__DIR__, 3).'/data/faults/undercharge.json');
        self::assertStringContainsString($from, $text);
        $file = json_decode(str_replace($from, $to, $text), true);
        self::assertIsArray($file);
        $this->expectException(BrokenData::class);
        $this->expectExceptionMessage('data/faults/undercharge.json: '.$said);
        FaultEntry::of(new DataRow('data/faults/undercharge.json', $file), Fault::Undercharge);
    }

    public function test_every_question_has_a_procedure_minutes_and_usual_answers(): void
    {
        foreach ([...Reading::cases(), ...Observation::cases(), ...Test::cases()] as $key) {
            $taking = $key->taking();
            self::assertGreaterThan(0, $taking->minutes, $key->value);
            self::assertNotSame('', $taking->how);
            self::assertNotSame([], $taking->said, $key->value.' can be said');
            self::assertCount(count($taking->cautions), Cautions::words($taking->cautions));
        }
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            $row = $asked->row();
            $all = [$row->usual, ...array_column($row->usualWhen, 1)];
            foreach ($all as $usual) {
                self::assertEqualsWithDelta(1.0, array_sum($usual), 0.01, $asked->value);
                $unknown = array_diff(array_keys($usual), array_column($asked->words(), 'value'));
                self::assertSame([], $unknown, $asked->value);
            }
        }
    }

    public function test_hands_near_danger_are_warned_where_the_step_is(): void
    {
        $cautions = static fn (Asked $one): string => implode(' ', Cautions::words($one->taking()->cautions));
        self::assertStringContainsString('do not touch', $cautions(Reading::DischargeTemperature));
        self::assertStringContainsString('Fans', $cautions(Observation::EvaporatorFace));
        self::assertStringContainsString('vacuum', $cautions(Test::CompressorLeakBack));
        self::assertStringContainsString('Live parts', $cautions(Reading::HeaterCurrent));
        self::assertStringContainsString('Liquid may return', $cautions(Test::ValveBulbWarmed));
        self::assertStringContainsString('low-loss hoses', $cautions(Reading::SuctionPressure));
    }
}
