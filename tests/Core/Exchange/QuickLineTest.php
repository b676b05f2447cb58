<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Metrum\Exchange\QuickLine;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Log\Statement;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** People type as they talk. */
final class QuickLineTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>}> line, entries as "kind key value" */
    public static function lines(): iterable
    {
        yield 'a pressure with its unit' => ['suction 32psi', ['reading suction_pressure_kpa 32psi']];
        yield 'a temperature' => ['bulb -2c', ['reading suction_temperature_evaporator_c -2c']];
        yield 'what is seen' => ['glass bubbles', ['observation sight_glass bubbles']];
        yield 'several with commas' => [
            'glass bubbling, level 5%',
            ['observation sight_glass bubbles', 'reading receiver_level_percent 5%'],
        ];
        yield 'a decimal comma is no separator' => [
            'head 14,2 bar, discharge 94,5',
            ['reading discharge_pressure_kpa 14,2 bar', 'reading discharge_temperature_c 94,5'],
        ];
        yield 'several without commas' => [
            'suction 2.06 bar bulb 6.2 °C',
            ['reading suction_pressure_kpa 2.06 bar', 'reading suction_temperature_evaporator_c 6.2 °C'],
        ];
        yield 'colons and capitals' => [
            'Suction: 2.06, HEAD = 14',
            ['reading suction_pressure_kpa 2.06', 'reading discharge_pressure_kpa 14'],
        ];
        yield 'vacuum' => ['suction 4"hg', ['reading suction_pressure_kpa 4"hg']];
        yield 'the longer name wins' => [
            'suction pipe 12, discharge pipe 94',
            ['reading suction_temperature_compressor_c 12', 'reading discharge_temperature_c 94'],
        ];
        yield 'number or word decides what is meant' => [
            'fans some stopped, fans 2',
            ['observation evaporator_fans some_stopped', 'reading fans_running 2'],
        ];
        yield 'liquid line by clamp and by hand' => [
            'liquid line 31, liquid line cold after drier',
            ['reading receiver_outlet_temperature_c 31', 'observation liquid_line_feel cold_after_drier'],
        ];
        yield 'complaint and state' => [
            'too warm, settled',
            ['complaint too_warm yes', 'state state running_settled'],
        ];
        yield 'the unit decides which is meant' => [
            'discharge 10 bar, discharge 9.5bar, discharge 85, discharge 85 °C',
            [
                'reading discharge_pressure_kpa 10 bar',
                'reading discharge_pressure_kpa 9.5bar',
                'reading discharge_temperature_c 85',
                'reading discharge_temperature_c 85 °C',
            ],
        ];
        yield 'a suction pipe by its unit' => [
            'suction 5 °C',
            ['reading suction_temperature_compressor_c 5 °C'],
        ];
        yield 'a unit that fits nothing is kept with its number' => [
            'box 3 bar, level 40psi',
            ['reading box_temperature_c 3 bar', 'reading receiver_level_percent 40psi'],
        ];
        yield 'absolute' => ['suction 300 kPa abs', ['reading suction_pressure_kpa 300 kPa abs']];
        yield 'what is denied is a note' => [
            'not iced up, no short cycling',
            ['note note not iced up', 'note note no short cycling'],
        ];
        yield 'a word within other words is no state' => ['cap off left open', ['note note cap off left open']];
        yield 'a state alone is one' => [
            'off, suction 2 bar settled',
            ['state state off', 'reading suction_pressure_kpa 2 bar', 'state state running_settled'],
        ];
        yield 'fractions' => ['ambient 20 1/2', ['reading ambient_temperature_c 20 1/2']];
        yield 'grams' => ['added 350 g', ['move charge 350 g']];
        yield 'grams with a reason' => ['added 350 g because the fish cannot wait', ['move charge 350 g']];
        yield 'grams out' => ['took out 200 g, recovered 1.2 kg', ['move charge -200 g', 'move charge -1.2 kg']];
        yield 'so far' => ['added so far 350 g', ['reading added_kg 350 g']];
        yield 'a valve that is turned' => ['valve 1/4 out', ['move valve_turn 1/4 out']];
        yield 'one of several valves' => ['valve B ½ in', ['move valve_turn ½ in']];
        yield 'a wash, a wait and a stem' => [
            'washed condenser, wait 15, stem cracked, stem back',
            [
                'move condenser_washed done',
                'clock settling 15',
                'touched stem_cracked yes',
                'restored stem_cracked yes',
            ],
        ];
        yield 'set points, with how they were found' => [
            'set 2 found 5, set cut-out 0.3 bar found 0.1 bar, set fan delay to -4 °C, set defrosts 4',
            [
                'move thermostat_set 2',
                'move low_cut_out_set 0.3 bar',
                'move fan_delay_set -4 °C',
                'move defrost_count_set 4',
            ],
        ];
        yield 'what a control was read to do is a reading' => [
            'cut out 0.3 bar',
            ['reading low_cut_out_kpa 0.3 bar'],
        ];
        yield 'a set without a figure is a note' => ['set it right', ['note note set it right']];
        yield 'what is not understood is a note' => ['bracket 1/4 in', ['note note bracket 1/4 in']];
        yield 'the rest of a line is kept' => [
            'box 41f set 36f',
            ['reading box_temperature_c 41f', 'circuit box_set_point_c 36f'],
        ];
        yield 'a note in the middle' => [
            'the keeper says since Sunday, box 7',
            ['note note the keeper says since Sunday', 'reading box_temperature_c 7'],
        ];
        yield 'a name without a value' => ['suction', ['note note suction']];
        yield 'nothing' => ['  ', []];
    }

    /** @param  list<string>  $wanted */
    #[DataProvider('lines')]
    public function test_it_reads(string $line, array $wanted): void
    {
        $said = array_map(
            self::told(...),
            (new QuickLine())->read($line),
        );
        self::assertSame($wanted, $said);
    }

    public function test_every_reading_and_every_answer_can_be_said(): void
    {
        $reader = new QuickLine();
        foreach (Reading::cases() as $reading) {
            self::assertSame($reading->value, $reader->read($reading->taking()->said[0].' 3')[0]->key);
        }
        foreach ([Observation::cases(), Test::cases()] as $asked) {
            foreach ($asked as $one) {
                foreach ($one->words() as $word) {
                    $said = $reader->read(
                        $one->taking()->said[count($one->taking()->said) - 1].
                            ' '.
                            str_replace('_', ' ', $word->value),
                    )[0];
                    self::assertSame([$one->value, $word->value], [$said->key, $said->typed]);
                }
            }
        }
    }

    public function test_a_cell_can_be_typed_by_the_name_that_stands_at_it(): void
    {
        $reader = new QuickLine();
        foreach (Reading::cases() as $one) {
            foreach ([$one->short(), $one->label(), str_replace('.', '', $one->short())] as $name) {
                $said = array_map(self::told(...), $reader->read("$name 12"));
                self::assertSame(["reading $one->value 12"], $said, $name);
            }
        }
    }

    public function test_a_choice_can_be_typed_as_its_button_reads(): void
    {
        $reader = new QuickLine();
        foreach ([...Observation::cases(), ...Test::cases()] as $one) {
            foreach ($one->words() as $word) {
                $said = $reader->read($one->label().': '.$word->label());
                self::assertCount(1, $said, $word->label());
                self::assertSame([$one->value, $word->value], [$said[0]->key, $said[0]->typed], $word->label());
            }
        }
    }

    private static function told(Statement $one): string
    {
        return $one->kind->value.' '.$one->key.' '.$one->typed;
    }

    public function test_it_proposes_the_rest_of_a_word(): void
    {
        $reader = new QuickLine();
        self::assertSame('tion', $reader->completion('suc'));
        self::assertSame('eiver', $reader->completion('head 14.2, rec'));
        self::assertNull($reader->completion('suction'));
        self::assertNull($reader->completion('suction 2'));
        self::assertNull($reader->completion('xyz'));
    }

    public function test_odd_bytes_do_no_harm(): void
    {
        self::assertSame([], (new QuickLine())->read("\xff\xfe"));
        self::assertNotSame([], (new QuickLine())->read(str_repeat('suction 1 ', 300)));
    }
}
