<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Bench\Answer;
use Metrum\Card\Card;
use Metrum\Card\Cards;
use Metrum\Card\Step;
use Metrum\Diagnosis\Requirement;
use Metrum\Installation\Circuit;
use Metrum\Installation\Kind;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Log\FactKind;
use Metrum\Log\NotAFact;
use Metrum\Quantity\Units;
use Metrum\Work\Clocks;
use Metrum\Work\OpenTouches;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A card as it is worked: which step comes next, what is touched meanwhile, what it comes to and tells. */
final class CardRunTest extends TestCase
{
    private const BULB = [
        'suction_pressure_kpa' => 290,
        'off' => 'yes',
        'colder' => 'yes',
        'cold' => 220,
        'limit' => 'yes',
        'warm' => 360,
        'back' => 'yes',
    ];

    private const LEAK_BACK = ['kind' => 'piston', 'seat' => 'yes', 'round' => 'again', 'open' => 'yes'];

    private const HEATERS = [
        'phases' => 'three',
        'defrost' => 'yes',
        'heater_rated_current_a' => 10,
        'ended' => 'yes',
    ];

    private const NO_VOLTS = ['pull' => 'no', 'switch' => 'alone', 'isolated' => 'proved', 'volts' => 'no'];

    private const ISOLATED = ['switch' => 'alone', 'isolated' => 'proved'];

    private const AMPS = ['compressor_current_a' => 9, 'plate' => 10];

    private const STANDING = ['off' => 'yes', 'wait' => 'yes', 'ambient_temperature_c' => 25, 'on' => 'yes'];

    /** @return iterable<string, array{string, array<string, mixed>, string}> card, answers, what it comes to */
    public static function ends(): iterable
    {
        $frost = ['count' => 4, 'length' => 25, 'before' => 'bridged', 'ended_by' => 'temperature', 'busy' => 'no'] +
            ['defrost_clock' => 'right_time', 'doors' => 'shut_and_sealing', 'last_defrost' => 'cleared_coil'];
        yield 'frost that bridges behind a sound door' => ['defrost_settings', $frost, 'more'];
        yield 'behind one that leaks' => ['defrost_settings', ['doors' => 'leaking'] + $frost, 'door'];
        yield 'behind one left open' => ['defrost_settings', ['doors' => 'left_open'] + $frost, 'door'];
        yield 'one that did not run' => ['defrost_settings', ['last_defrost' => 'did_not_run'] + $frost, 'not_run'];
        yield 'a wrong clock' => ['defrost_settings', ['defrost_clock' => 'wrong_time'] + $frost, 'clock_wrong'];
        yield 'a clock that stands' => [
            'defrost_settings',
            ['defrost_clock' => 'not_turning', 'last_defrost' => 'did_not_run', 'doors' => 'leaking'] + $frost,
            'clock',
        ];
        yield 'a valve with a live bulb' => ['bulb_test', self::BULB, 'works_both'];
        yield 'one that hardly answers' => ['bulb_test', ['cold' => 285, 'warm' => 310] + self::BULB, 'sluggish'];
        yield 'one that does not answer' => ['bulb_test', ['cold' => 288, 'warm' => 292] + self::BULB, 'dead_both'];
        yield 'one that stays open' => ['bulb_test', ['cold' => 289] + self::BULB, 'stays_open'];
        yield 'a rise that a sound compressor keeps' => [
            'leak_back',
            self::LEAK_BACK + ['rise' => [10, 12, 14]],
            'holds',
        ];
        yield 'a rise of worn valves, warm' => ['leak_back', self::LEAK_BACK + ['rise' => [10, 60, 110]], 'worn'];
        yield 'the same for the first time' => [
            'leak_back',
            ['round' => 'first'] + self::LEAK_BACK + ['rise' => [10, 60, 110]],
            'repeat',
        ];
        yield 'a scroll is not tested so' => ['leak_back', ['kind' => 'scroll'], 'not_for_it'];
        yield 'a drier that takes three kelvins' => ['drier_drop', self::clamps(38, 35), 'restricted'];
        yield 'one that begins to' => ['drier_drop', self::clamps(38, 36.6), 'beginning'];
        yield 'a drop in air warmer than the liquid' => [
            'drier_drop',
            ['ambient_temperature_c' => 41.0] + self::clamps(38, 35),
            'no_test',
        ];
        yield 'a plant that stands: its pipe has the air\'s temperature' => [
            'drier_drop',
            ['ambient_temperature_c' => 25.0] + self::clamps(25.4, 25.3),
            'no_test',
        ];
        $walk = [
            'ambient_temperature_c' => 25.0,
            'condenser_outlet_temperature_c' => 35.0,
            'receiver_outlet_temperature_c' => 34.8,
            'drier_inlet_temperature_c' => 34.6,
            'drier_outlet_temperature_c' => 34.5,
            'after_solenoid' => 34.4,
            'valve_inlet_temperature_c' => 34.2,
        ];
        yield 'a line that takes nothing' => ['liquid_line_walk', $walk, 'nowhere'];
        yield 'a line of a plant that stands' => [
            'liquid_line_walk',
            array_map(static fn (): float => 25.2, $walk),
            'no_test',
        ];
        yield 'a narrow place before the receiver' => [
            'liquid_line_walk',
            ['condenser_outlet_temperature_c' => 38.0] + $walk,
            'to_receiver',
        ];
        yield 'a solenoid half open' => [
            'liquid_line_walk',
            ['after_solenoid' => 31.0, 'valve_inlet_temperature_c' => 30.9] + $walk,
            'solenoid',
        ];
        yield 'a kink on the way to the valve' => [
            'liquid_line_walk',
            ['valve_inlet_temperature_c' => 31.0] + $walk,
            'elsewhere',
        ];
        $rack = ['warm' => 'several', 'shut' => 'yes', 'open' => 'yes', 'case' => 'same', 'time' => 'yes'];
        yield 'a glass that bubbles before and after' => [
            'circuit_isolation',
            ['glass' => 'bubbles', 'after' => 'bubbles'] + $rack,
            'no_answer',
        ];
        yield 'a glass that clears' => [
            'circuit_isolation',
            ['glass' => 'bubbles', 'after' => 'clear'] + $rack,
            'shared',
        ];
        $head = [
            'has' => 'valve',
            'ambient_temperature_c' => 25.0,
            'discharge_pressure_kpa' => 850.0,
            'condenser_outlet_temperature_c' => 36.5,
            'sight_glass' => 'clear',
        ];
        yield 'a tap that says hot where the clamps say nothing' => [
            'head_control',
            ['receiver_outlet_temperature_c' => 36.8, 'head_pressure_valve_bypass_line' => 'hot'] + $head,
            'hand',
        ];
        yield 'a receiver hotter than condensing' => [
            'head_control',
            ['receiver_outlet_temperature_c' => 52.0, 'head_pressure_valve_bypass_line' => 'cold'] + $head,
            'no_seal',
        ];
        yield 'clamps the wrong way round' => ['drier_drop', self::clamps(35, 38), 'turned_round'];
        yield 'a drop that subcooling hides' => ['drier_drop', self::gauges(930, 900, 35), 'hidden'];
        yield 'a drop that boils behind it' => ['drier_drop', self::gauges(930, 700, 35), 'boils'];
        // R-134a at 25 °C: 564 kPa on the gauge.
        yield 'a standing pressure at saturation' => [
            'foreign_gas',
            self::STANDING + ['outlet' => 25.2, 'standing' => 566],
            'clean',
        ];
        yield 'one far above it' => ['foreign_gas', self::STANDING + ['outlet' => 25.2, 'standing' => 650], 'foreign'];
        yield 'one far below it' => ['foreign_gas', self::STANDING + ['outlet' => 25, 'standing' => 450], 'no_liquid'];
        yield 'a condenser still warm' => [
            'foreign_gas',
            self::STANDING + ['outlet' => 29, 'standing' => 650],
            'too_early',
        ];
        yield 'a fuse is gone' => ['heater_legs', self::legs(8.7, 8.7, 0) + ['volts' => 'two'], 'supply'];
        yield 'a leg of a star' => ['heater_legs', self::legs(8.7, 0, 8.7) + ['volts' => 'all'], 'leg'];
        yield 'an element of a delta' => ['heater_legs', self::legs(5.8, 10, 5.8), 'element'];
        yield 'whole heaters' => ['heater_legs', self::legs(9.8, 10, 10.1), 'whole'];
        yield 'a box that will arrive' => ['pull_down', ['box' => [12, 8, 5.33, 3.56]], 'arrives'];
        yield 'one that will not' => ['pull_down', ['box' => [12, 9, 7.5, 6.75]], 'will_not'];
        yield 'one that is straight yet' => ['pull_down', ['box' => [12, 11, 10]], 'straight'];
        yield 'one that stands still' => ['pull_down', ['box' => [7, 7, 7.1]], 'not_falling'];
        yield 'a supply out of balance' => [
            'supply_legs',
            self::AMPS + ['phases' => 'three', 'first' => 400, 'second' => 400, 'third' => 380],
            'stop',
        ];
        yield 'little current' => [
            'supply_legs',
            ['phases' => 'one', 'supply_voltage_v' => 230, 'compressor_current_a' => 5, 'plate' => 10],
            'low',
        ];
    }

    /** @param  array<string, float|string|list<float>>  $answers */
    #[DataProvider('ends')]
    public function test_what_was_answered_decides_what_it_comes_to(string $card, array $answers, string $end): void
    {
        $run = self::walker($card)->all($answers)->run();

        self::assertNull($run->next(), (string) $run->next()?->label);
        self::assertSame($end, $run->outcome()?->key);
    }

    /** Z-04: leaving air and box air are two references; each school asks for its own alone. */
    public function test_a_regulator_is_set_from_the_air_of_its_school_alone(): void
    {
        $card = Cards::find('regulator_air');
        self::assertNotNull($card);
        $target = static function (string $school) use ($card): array {
            $rules = new HouseRules(['air_to_coil' => $school]);
            $walker = new CardWalker($card, CardWalker::circuitFor($card), $rules);
            $asked = array_map(static fn (Step $step): string => $step->key, $walker->run()->steps());
            $plain = ['regulator_stem' => 'automatic', 'solenoid' => 'none', 'cases' => 'one', 'header' => 100];
            foreach ($plain as $step => $as) {
                $walker->answer($step, $as);
            }
            $walker->answer($school === 'entering' ? 'wanted_box' : 'wanted', 2);
            $walker->answer($school === 'entering' ? 'box_temperature_c' : 'supply_air_temperature_c', 3);
            $walker->answer('evaporator_pressure_kpa', 300);
            $set = $card->step('set');
            self::assertNotNull($set);

            $answer = $walker->run()->answer($set);
            self::assertInstanceOf(Answer::class, $answer);

            return [$asked, $answer->output('target_coil_c')->value];
        };
        [$asked, $coil] = $target('leaving');
        self::assertNotContains('box_temperature_c', $asked);
        self::assertEqualsWithDelta(275.15 - 5.5, $coil, 1e-6);
        [$asked, $coil] = $target('entering');
        self::assertNotContains('supply_air_temperature_c', $asked);
        self::assertNotContains('wanted', $asked);
        self::assertEqualsWithDelta(275.15 - 9.5, $coil, 1e-6);
    }

    public function test_steps_come_one_after_the_other_and_a_branch_not_taken_is_not_asked(): void
    {
        $walker = self::walker('bulb_test');
        $asked = [];
        foreach (array_merge(self::BULB, ['colder' => 'no']) as $key => $answer) {
            if ($key !== 'cold') {
                $asked[] = $walker->nextKey();
                $walker->answer($key, $answer);
            }
        }
        sort($asked);
        self::assertSame(['back', 'colder', 'limit', 'off', 'suction_pressure_kpa', 'warm'], $asked);
        self::assertNull($walker->next());
        self::assertSame('works', $walker->run()->outcome()?->key);
    }

    public function test_nothing_comes_of_a_card_before_its_end(): void
    {
        $walker = self::walker('drier_drop')->all(['way' => 'clamps', 'ambient_temperature_c' => 25]);

        self::assertNull($walker->run()->outcome());
        $this->expectException(NotAFact::class);
        $this->expectExceptionMessage('Filter-drier drop test is not at its end yet');
        $walker->run()->done();
    }

    public function test_what_a_step_touches_is_open_until_a_later_step_puts_it_back(): void
    {
        $walker = self::walker('bulb_test')->answer('suction_pressure_kpa', 290)->answer('off');
        self::assertSame(['expansion valve bulb'], OpenTouches::of($walker->log())->keys());
        self::assertSame([], OpenTouches::of($walker->answer('back')->log())->keys());
    }

    public function test_a_step_that_waits_is_a_clock(): void
    {
        $walker = self::walker('bulb_test');
        self::assertSame([], Clocks::of($walker->log())->all);
        $clocks = Clocks::of($walker->answer('limit')->log())->all;
        self::assertCount(1, $clocks);
        self::assertSame(60, $clocks[0]->ends()->getTimestamp() - $clocks[0]->fact->takenAt->getTimestamp());
    }

    public function test_what_it_came_to_is_evidence_and_its_figures_are_readings(): void
    {
        $walker = self::walker('leak_back')->all(self::LEAK_BACK + ['rise' => [10, 60, 110]]);
        $before = $walker->work()->chapters->present();
        self::assertNull($before->findings->tested(Test::CompressorLeakBack));
        self::assertFalse($before->wasLookedAt());

        $now = $walker->end()->work()->chapters->present();
        self::assertSame(Word::RisesFast, $now->findings->tested(Test::CompressorLeakBack));
        // 50 kPa a minute, in Pa a second.
        $rise = $now->findings->reading(Reading::PumpDownRise);
        self::assertEqualsWithDelta(50_000 / 60, (float) $rise, 1.0);
        self::assertTrue($now->wasLookedAt());
    }

    public function test_what_it_came_to_moves_the_verdict(): void
    {
        $worn = self::walker('leak_back')->all(self::LEAK_BACK + ['rise' => [10, 60, 110]])->end()->work();
        $sound = self::walker('leak_back')->all(self::LEAK_BACK + ['rise' => [10, 11, 12]])->end()->work();
        $of = static function ($assessment): float {
            $fault = \Metrum\Knowledge\Fault::CompressorInefficient;
            foreach ($assessment->verdict($assessment->present())->suspects as $suspect) {
                if ($suspect->fault === $fault) {
                    return $suspect->probability;
                }
            }

            return 0.0;
        };
        self::assertGreaterThan(3 * $of($sound), $of($worn));
    }

    public function test_begun_anew_it_asks_all_over_again(): void
    {
        $walker = self::walker('solenoid')->all(self::NO_VOLTS)->end();
        self::assertNotNull($walker->run()->progress->done());
        $walker->say(FactKind::Card, 'solenoid.begun', word: 'yes');
        self::assertNull($walker->run()->progress->done());
        self::assertSame('pull', $walker->nextKey());
    }

    public function test_a_step_mended_after_the_end_opens_it_again(): void
    {
        $walker = self::walker('solenoid')->all(self::NO_VOLTS)->end()->answer('pull', 'yes');

        self::assertNull($walker->run()->progress->done());
        self::assertSame('click', $walker->nextKey());
    }

    public function test_a_reading_before_and_after_a_move_are_two(): void
    {
        $walker = self::walker('wash_test')->all(self::ISOLATED + [
            'condenser_face' => 'dirty',
            'discharge_pressure_kpa' => 1400,
            'ambient_temperature_c' => 25,
            'off' => 'yes',
            'condenser_washed' => 'yes',
            'on' => 'yes',
        ]);
        self::assertSame('head_after', $walker->nextKey(), 'the head of before does not count for after');
        $run = $walker->all(['head_after' => 1200, 'air_after' => 25.5])->run();
        self::assertSame('dirt', $run->outcome()?->key);
        $other = self::walker('wash_test')->all(self::ISOLATED + [
            'condenser_face' => 'dirty',
            'discharge_pressure_kpa' => 1400,
            'ambient_temperature_c' => 25,
            'off' => 'yes',
            'condenser_washed' => 'yes',
            'on' => 'yes',
            'head_after' => 1390,
            'air_after' => 25,
        ]);
        self::assertSame('no_change', $other->run()->outcome()?->key);
    }

    public function test_what_an_earlier_move_left_as_it_was_need_not_be_taken_again(): void
    {
        $card = Cards::find('wash_test');
        assert($card !== null);
        $walker = (new CardWalker($card, Circuit::plain(Kind::WalkInCooler)))
            ->say(FactKind::Observation, 'condenser_face', word: 'dirty')
            ->say(FactKind::Reading, 'ambient_temperature_c', 298.15)
            ->say(FactKind::Reading, 'discharge_pressure_kpa', 14e5)
            ->say(FactKind::Move, 'valve_turn', 0.25)
            ->say(FactKind::Card, 'wash_test.begun', word: 'yes');
        self::assertSame('discharge_pressure_kpa', $walker->nextKey(), 'air and face stay, the head does not');
        $walker->answer('discharge_pressure_kpa', 1300)->all(self::ISOLATED)->answer('off')->answer('condenser_washed');
        self::assertSame('on', $walker->nextKey());
        $walker->answer('on')->answer('head_after', 1200);
        self::assertSame('air_after', $walker->nextKey(), 'after the wash the air is read again');
    }

    public function test_a_gate_that_does_not_hold_says_what_comes_first(): void
    {
        $walker = self::walker('superheat_trace');
        self::assertSame([], $walker->run()->failing(), 'what nobody looked at is open, not shut');
        $walker->say(FactKind::Observation, 'evaporator_fans', word: 'some_stopped');
        $walker->say(FactKind::State, 'state', word: 'pulling_down');
        $name = static fn (Requirement $one): string => $one->name()->in(new Units());
        $labels = array_map($name, $walker->run()->failing());
        self::assertSame(['settled', 'fans'], $labels);
    }

    public function test_the_drop_of_a_drier_colder_than_the_air_says_nothing(): void
    {
        $walker = self::walker('drier_drop')->all(['way' => 'clamps'] + self::clamps(38, 35));
        $labels = static fn (CardWalker $one): array => array_map(
            static fn (Requirement $gate): string => $gate->name()->in(new Units()),
            $one->run()->failing(),
        );
        self::assertSame([], $labels($walker));
        self::assertSame(
            ['liquid warmer than the air'],
            $labels(self::walker('drier_drop')->all(['ambient_temperature_c' => 41.0] + self::clamps(38, 35))),
        );
    }

    /** @return array<string, float|string> */
    private static function clamps(float $before, float $after): array
    {
        return [
            'way' => 'clamps',
            'ambient_temperature_c' => 25,
            'drier_inlet_temperature_c' => $before,
            'drier_outlet_temperature_c' => $after,
        ];
    }

    /** @return array<string, mixed> */
    private static function gauges(float $before, float $behind, float $liquid): array
    {
        return ['way' => 'gauges', 'before' => $before, 'behind' => $behind, 'liquid' => $liquid];
    }

    /** @return array<string, mixed> */
    private static function legs(float $first, float $second, float $third): array
    {
        return self::HEATERS + ['first' => $first, 'second' => $second, 'third' => $third];
    }

    private static function walker(string $key): CardWalker
    {
        $card = Cards::find($key);
        assert($card instanceof Card);

        return new CardWalker($card, Circuit::plain(Kind::WalkInCooler));
    }
}
