<?php

declare(strict_types=1);

namespace Tests\Core\Data;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Data\Knowledge;
use Metrum\Diagnosis\Cautions;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\FaultEntry;
use Metrum\Diagnosis\Rack\RackSign;
use Metrum\Diagnosis\Sureness;
use Metrum\Findings\Sign;
use Metrum\Findings\SignRow;
use Metrum\Installation\DesignKey;
use Metrum\Installation\Kind;
use Metrum\Installation\RackKey;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\HouseRuleRow;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\QuestionRow;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\ReadingRow;
use Metrum\Knowledge\Test;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The files under data/: every row is read whole, and a mistake in one is named with its file and path. */
final class DataFilesTest extends TestCase
{
    private const FILES = [
        'readings' => Reading::class,
        'observations' => Observation::class,
        'tests' => Test::class,
        'signs' => Sign::class,
        'kinds' => Kind::class,
        'rack-signs' => RackSign::class,
    ];

    public function test_a_file_has_one_row_for_each_of_its_words_and_no_other(): void
    {
        foreach (self::FILES as $file => $words) {
            self::assertEqualsCanonicalizing(
                array_column($words::cases(), 'value'),
                Knowledge::file($file)->keys(),
                $file,
            );
        }
        self::assertEqualsCanonicalizing(
            array_column([...DesignKey::cases(), ...RackKey::cases()], 'value'),
            Knowledge::file('design')->keys(),
        );
        self::assertCount(67, Reading::cases());
        $faults = array_map(
            static fn (string $path): string => basename($path, '.json'),
            glob(dirname(__DIR__, 3).'/data/faults/*.json') ?: [],
        );
        self::assertEqualsCanonicalizing(array_column(Fault::cases(), 'value'), $faults);
    }

    public function test_every_row_is_read_whole(): void
    {
        foreach (Reading::cases() as $reading) {
            $field = $reading->row()->field;
            self::assertLessThan($field->most, $field->least, $reading->value);
            self::assertGreaterThan(0, $reading->taking()->minutes, $reading->value);
        }
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            self::assertGreaterThanOrEqual(2, count($asked->words()), (string) $asked->value);
            $sum = array_sum($asked->row()->usual);
            self::assertEqualsWithDelta(1.0, $sum, 0.011, $asked->value.': usual answers add up to one');
        }
        foreach (Sign::cases() as $sign) {
            self::assertNotSame($sign->row()->high, $sign->row()->low, $sign->value);
        }
        foreach (Kind::cases() as $kind) {
            self::assertNotSame([], $kind->usual()->design, $kind->value);
        }
        foreach (HouseRule::cases() as $rule) {
            self::assertNotSame([], $rule->row()->schools, $rule->value);
        }
    }

    public function test_every_caution_named_is_written(): void
    {
        $named = [];
        foreach (Fault::cases() as $fault) {
            $named = [...$named, ...FaultCatalogue::entry($fault)->cautions];
        }
        foreach ([...Reading::cases(), ...Observation::cases(), ...Test::cases()] as $asked) {
            $named = [...$named, ...$asked->taking()->cautions];
        }
        self::assertGreaterThan(10, count($named));
        foreach (array_unique($named) as $caution) {
            self::assertNotSame('', Cautions::word($caution));
        }
    }

    public function test_causes_of_a_fault_add_up_and_the_handbook_has_every_fault_once(): void
    {
        foreach (Fault::cases() as $fault) {
            $causes = FaultCatalogue::entry($fault)->causes;
            if ($causes !== []) {
                self::assertEqualsWithDelta(1.0, array_sum(array_column($causes, 'share')), 1e-9, $fault->value);
            }
        }
        $told = [];
        foreach (Knowledge::file('handbook')->keys() as $part) {
            array_push($told, ...Knowledge::file('handbook')->words($part, Fault::class));
        }
        $named = array_column($told, 'value');
        $all = array_column(Fault::cases(), 'value');
        sort($named);
        sort($all);
        self::assertSame($all, $named);
    }

    public function test_every_word_that_people_say_is_an_answer_to_something(): void
    {
        $answers = [];
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            $answers = [...$answers, ...array_column($asked->words(), 'value')];
        }
        $said = Knowledge::file('sayings')->row('answers')->keys();

        self::assertGreaterThan(20, count($said));
        self::assertSame([], array_diff($said, $answers));
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('mistakes')]
    public function test_a_mistake_is_named_with_file_and_path(
        string $file,
        string $row,
        array $change,
        string $said,
    ): void {
        $path = dirname(__DIR__, 3).'/data/'.$file.'.json';
        $rows = json_decode((string) file_get_contents($path), true, 32, JSON_THROW_ON_ERROR);
        $whole = $row === '' ? $change + $rows : [$row => $change + $rows[$row]] + $rows;
        $broken = new DataRow('data/'.$file.'.json', $whole);
        $one = $row === '' ? $broken : $broken->row($row);

        $this->expectException(BrokenData::class);
        $this->expectExceptionMessageMatches('~^data/'.$file.'\.json: '.$said.'~u');
        match (true) {
            $file === 'readings' => ReadingRow::of($one, $row),
            $file === 'signs' => SignRow::of($one),
            $file === 'house-rules' => HouseRuleRow::of($one, $row),
            str_starts_with($file, 'faults/') => FaultEntry::of($one, Fault::Undercharge),
            default => QuestionRow::of($one),
        };
    }

    /** @return iterable<string, array{string, string, array<string, mixed>, string}> */
    public static function mistakes(): iterable
    {
        $reading = static fn (array $change, string $said): array => [
            'readings',
            'suction_pressure_kpa',
            $change,
            $said,
        ];
        yield 'a key nobody reads' => $reading(['colour' => 'blue'], 'suction_pressure_kpa.colour');
        yield 'no such unit' => $reading(['kind' => 'furlong'], 'suction_pressure_kpa.kind.*furlong');
        yield 'a span upside down' => $reading(['span' => [900, -100]], 'suction_pressure_kpa.span');
        yield 'no such station' => $reading(
            ['stations' => ['attic' => 1]],
            'suction_pressure_kpa.stations.attic',
        );
        yield 'an answer that is none' => [
            'observations',
            'sight_glass',
            ['usual' => ['purple' => 1.0]],
            'sight_glass.usual',
        ];
        yield 'minutes in words' => ['tests', 'valve_bulb_warmed', ['minutes' => 'ten'], 'valve_bulb_warmed.minutes'];
        yield 'a sign of no reading' => ['signs', 'split', ['needs' => ['mood']], 'split.needs.*mood'];
        yield 'a sign in no unit' => ['signs', 'split', ['unit' => 'stone'], 'split.unit.*stone'];
        yield 'no such sign' => ['faults/undercharge', '', ['signs' => ['smell' => 3]], 'signs.smell'];
        yield 'a share given as a part of one' => [
            'faults/undercharge',
            '',
            ['signs' => ['level' => -0.3]],
            'signs.level.*percent',
        ];
        yield 'no such question' => [
            'faults/undercharge',
            '',
            ['words' => ['taste' => ['bitter' => 1]]],
            'words.taste',
        ];
        yield 'no such cause' => [
            'faults/undercharge',
            '',
            ['causes' => ['sunday' => ['name' => 'it is Sunday', 'share' => 1, 'words' => []]]],
            'causes.sunday.*no such cause',
        ];
        yield 'nothing that proves it' => [
            'faults/undercharge',
            '',
            ['proven_by' => ['crystal_ball']],
            'proven_by.*crystal_ball',
        ];
        yield 'an exclusion by nothing' => [
            'faults/undercharge',
            '',
            ['before_replacing' => [['text' => 'it was looked at', 'by' => []]]],
            'before_replacing.0.by.*one at least',
        ];
    }

    public function test_how_sure_is_sure_rises_word_by_word(): void
    {
        $begins = array_map(static fn (Sureness $one): float => $one->begins(), Sureness::cases());
        $sorted = $begins;
        sort($sorted);
        self::assertSame($sorted, $begins);
        self::assertSame($begins, array_unique($begins));
    }
}
