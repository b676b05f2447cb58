<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Data\Refused;
use Metrum\Exchange\VisitFile;
use Metrum\Exchange\VisitReader;
use Metrum\Exchange\WorkAnswer;
use Metrum\Findings\Chapters;
use Metrum\Findings\DerivedFigure;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Band;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\MoveOutcome;
use Metrum\Knowledge\Prerequisite;
use Metrum\Language\Sentence;
use Metrum\Log\Content;
use Metrum\Log\NotAFact;
use Metrum\Quantity\Units;
use Metrum\Twin\Twins;
use Metrum\Work\Assessment;
use Metrum\Work\FigureForecast;
use Metrum\Work\MayMove;
use Metrum\Work\NextMove;
use Metrum\Work\Preconditions;
use Metrum\Work\Turning;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is done at a plant: chapters, forecasts, outcomes, what is learned of a control, and its next move. */
final class WorkTest extends TestCase
{
    private const SYSTEM = [
        'kind' => 'walk_in_cooler',
        'refrigerant' => 'R-134a',
        'metering' => 'txv',
        'receiver' => true,
        'condenser' => 'air_outdoor',
    ];

    /** Gauge kPa at which R-134a boils at −6 °C; the pipe's excess over that is the superheat. */
    private const SUCTION = 133.0;

    private const COIL = -6.0;

    public function test_a_move_leaves_as_evidence_only_what_it_cannot_change(): void
    {
        $file = self::told([
            self::look('frost_coil', 'even'),
            self::look('evaporator_fans', 'all_running'),
            self::read('ambient_temperature_c', 25),
            ...self::superheat(12.0),
            self::turned(-0.25),
        ]);
        $now = $file->findings;

        self::assertSame(['ambient_temperature_c'], array_keys($now->readings));
        self::assertSame(['evaporator_fans'], array_keys($now->observations), 'frost is another one now');
        $chapter = self::chapters($file)[1];
        $pipe = self::COIL + 12 + 273.15;
        self::assertEqualsWithDelta($pipe, $chapter->before['suction_temperature_evaporator_c'], 0.01);
        self::assertFalse($chapter->wasLookedAt());
    }

    public function test_what_a_move_puts_right_is_looked_at_again(): void
    {
        $file = self::told([
            self::look('condenser_face', 'dirty'),
            self::look('oil_stains', 'found'),
            ['kind' => 'confirmed', 'key' => 'condenser_airflow_low'],
            ['kind' => 'move', 'key' => 'condenser_washed'],
        ]);

        self::assertSame(['oil_stains'], array_keys($file->findings->observations));
        self::assertSame([], $file->findings->confirmed);
        self::assertSame([Fault::CondenserAirflowLow], $file->findings->ruledOut);
    }

    public function test_an_undone_move_ends_no_chapter(): void
    {
        $moved = [...self::superheat(12.0), self::turned(-0.25) + ['id' => 'm']];
        self::assertCount(2, self::chapters(self::told($moved)));
        $undone = self::told([...$moved, ['kind' => 'undo', 'of' => 'm']]);
        self::assertCount(1, self::chapters($undone));
        self::assertArrayHasKey('suction_pressure_kpa', $undone->findings->readings);
    }

    /** @return iterable<string, array{float, float, MoveOutcome}> */
    public static function outcomes(): iterable
    {
        yield 'as foretold' => [-2.0, -1.7, MoveOutcome::AsForetold];
        yield 'more than predicted' => [-2.0, -3.5, MoveOutcome::AsForetold];
        yield 'less' => [-4.0, -1.5, MoveOutcome::Less];
        yield 'nothing' => [-2.0, -0.1, MoveOutcome::Nothing];
        yield 'the other way' => [-2.0, 1.2, MoveOutcome::OtherWay];
        yield 'upward as foretold' => [1.5, 1.2, MoveOutcome::AsForetold];
        yield 'upward, the other way' => [1.5, -1.0, MoveOutcome::OtherWay];
    }

    #[DataProvider('outcomes')]
    public function test_an_outcome_is_told_by_the_deviations_of_its_forecast(
        float $foretold,
        float $measured,
        MoveOutcome $outcome,
    ): void {
        $forecast = new FigureForecast(DerivedFigure::EvaporatorSuperheat, 12.0, $foretold, 0.8);

        self::assertSame($outcome, $forecast->outcome($measured));
    }

    public function test_more_than_foretold_is_told_apart(): void
    {
        $forecast = new FigureForecast(DerivedFigure::EvaporatorSuperheat, 12.0, -2.0, 0.5);
        self::assertTrue($forecast->isExceededBy(-3.2));
        self::assertFalse($forecast->isExceededBy(-2.8));
        self::assertFalse($forecast->isExceededBy(4.0), 'the other way is no more');
    }

    public function test_the_twin_foretells_the_way_a_valve_answers(): void
    {
        foreach ([[-0.5, -1], [0.5, 1]] as [$turns, $way]) {
            $assessment = self::work(self::told(self::whole(9.0)));
            $main = $assessment->forecast(Control::ValveTurn, $turns)?->main();
            self::assertNotNull($main);
            self::assertGreaterThan(0.2, $way * $main->change);
            self::assertGreaterThan(0.0, $main->deviation);
        }
    }

    public function test_a_valve_that_answers_and_one_that_does_not(): void
    {
        $after = static fn (float $superheat): MoveOutcome => self::work(
            self::told([...self::whole(9.0), self::turned(-0.5), ...self::superheat($superheat, 40)]),
        )->present()->outcome;

        self::assertSame(MoveOutcome::AsForetold, $after(7.9));
        self::assertSame(MoveOutcome::Nothing, $after(9.0));
        self::assertSame(MoveOutcome::OtherWay, $after(10.5));
    }

    public function test_a_valve_that_answers_speaks_against_starvation_before_it(): void
    {
        $shortage = static function (float ...$after): float {
            $facts = self::whole(14.0);
            foreach ($after as $i => $superheat) {
                array_push($facts, self::turned(-0.5, '', 10 + 40 * $i), ...self::superheat($superheat, 40 + 40 * $i));
            }
            $assessment = self::work(self::told($facts));

            return self::probability($assessment, Fault::Undercharge) +
                self::probability($assessment, Fault::LiquidLineRestriction);
        };
        // What is read in the end is the same each time; only what the valve did until then differs.
        $answered = $shortage(15.5, 14.0);
        $silent = $shortage(14.0, 14.0);
        self::assertLessThan(0.7 * $silent, $answered);
    }

    public function test_one_that_does_not_answer_twice_speaks_for_a_stuck_one(): void
    {
        $told = static function (float ...$after): array {
            $facts = self::whole(14.0);
            foreach ($after as $i => $superheat) {
                array_push($facts, self::turned(-0.5, '', 10 + 40 * $i), ...self::superheat($superheat, 40 + 40 * $i));
            }
            $assessment = self::work(self::told($facts));
            $weights = [];
            foreach ($assessment->verdict($assessment->present())->suspects as $suspect) {
                $weights[$suspect->fault->value] = $suspect->probability;
            }

            return [
                array_map(static fn ($one): ?string => $one->speech()?->said, $assessment->present()->moved),
                $weights[Fault::ValveUnderfeeding->value],
            ];
        };
        self::assertNotNull(self::next([...self::whole(14.0), self::turned(-0.5), ...self::superheat(14.0, 40)]));
        self::assertNull(self::next([
            ...self::whole(14.0),
            self::turned(-0.5),
            ...self::superheat(14.0, 40),
            self::turned(-0.5, '', 50),
            ...self::superheat(14.0, 80),
        ]));
        [$once, $before] = $told(14.0);
        [$twice, $after] = $told(14.0, 14.0);
        self::assertSame([null], $once, 'once is not enough');
        self::assertSame([null, 'Two valve adjustments had no effect'], $twice);
        self::assertGreaterThan($before, $after);
    }

    public function test_a_valve_is_not_opened_where_liquid_would_come_to_the_compressor(): void
    {
        $next = static fn (float $compressor): ?float => self::next([
            ...self::whole(12.0),
            self::read('suction_temperature_compressor_c', self::COIL + $compressor),
        ]);
        self::assertLessThan(0.0, (float) $next(18.0), 'too much superheat: it is opened');
        self::assertNull($next(3.2), 'the same at the coil, but the compressor is wet nearly');
    }

    public function test_what_still_moves_between_two_readings_is_not_settled(): void
    {
        $reasons = static function (array ...$more): array {
            $assessment = self::work(self::told([...self::whole(6.0), ...$more]));

            $reasons = $assessment->verdict($assessment->present())->settled->reasons();

            return array_map(static fn (Sentence $one): string => $one->in(new Units()), $reasons);
        };
        $said = 'readings still drifting: suction pressure';
        self::assertSame([], $reasons());
        self::assertSame([], $reasons(self::read('suction_pressure_kpa', self::SUCTION + 2, 7)));
        self::assertSame([$said], $reasons(self::read('suction_pressure_kpa', self::SUCTION + 25, 7)));
        self::assertSame([], $reasons(self::read('suction_pressure_kpa', self::SUCTION + 25, 2)), 'a correction');
        self::assertSame([], $reasons(self::read('suction_pressure_kpa', self::SUCTION + 25, 50)), 'another hour');
        self::assertSame(
            [],
            $reasons(
                self::read('suction_pressure_kpa', self::SUCTION + 25, 7),
                self::read('suction_pressure_kpa', self::SUCTION + 26, 12),
            ),
            'it came to rest',
        );
        self::assertSame([], $reasons(self::turned(0.5, '', 3), self::read('suction_pressure_kpa', 110, 20)), 'moved');
    }

    public function test_an_opened_valve_uses_more_of_the_coil_and_a_shut_one_less(): void
    {
        $assessment = self::work(self::told(self::whole(9.0)));
        [$before, $opened] = $assessment->forecasts->coilUse(Control::ValveTurn, -0.5, PartId::circuit()) ?? [0.0, 0.0];
        [$same, $shut] = $assessment->forecasts->coilUse(Control::ValveTurn, 0.5, PartId::circuit()) ?? [0.0, 0.0];
        self::assertSame($before, $same);
        self::assertGreaterThan(0.5, $before);
        self::assertGreaterThan($before, $opened);
        self::assertLessThan($before, $shut);
        self::assertLessThan(1.0, $opened);
    }

    public function test_turned_back_and_gone_past_is_told(): void
    {
        $turning = static fn (array ...$facts): Turning => new Turning(
            self::work(self::told([...self::whole(12.0), ...array_merge(...$facts)])),
            Control::ValveTurn,
            PartId::circuit(),
        );
        $band = new Band(4.5, 6.5, 'wanted');
        $turn = static fn (float $turns, float $read, int $minute): array => [
            self::turned($turns, '', $minute),
            ...self::superheat($read, $minute + 30),
        ];
        $on = $turning($turn(-0.5, 9.0, 10), $turn(-0.5, 6.0, 50));
        self::assertFalse($on->isReversed());
        self::assertFalse($on->isOvershot($band), 'it came in');
        $past = $turning($turn(-0.5, 9.0, 10), $turn(-0.5, 3.0, 50));
        self::assertTrue($past->isOvershot($band));
        self::assertFalse($past->isReversed());
        $back = $turning($turn(-0.5, 9.0, 10), $turn(-0.5, 3.0, 50), $turn(0.25, 4.0, 90));
        self::assertTrue($back->isReversed());
        self::assertFalse($back->isOvershot($band), 'still below');
        self::assertFalse($turning()->isMoved());
    }

    public function test_gone_past_what_is_wanted_half_of_it_at_most_is_turned_back(): void
    {
        $past = [
            ...self::whole(12.0),
            self::turned(-0.5),
            ...self::superheat(9.0, 40),
            self::turned(-0.5, '', 50),
            ...self::superheat(2.0, 80),
        ];
        $next = self::next($past);
        self::assertNotNull($next);
        self::assertGreaterThan(0.0, $next);
        self::assertLessThanOrEqual(0.25, $next);
    }

    public function test_a_move_while_the_clock_of_the_last_one_runs_asks_to_wait_and_a_reason_passes_it(): void
    {
        $move = new Content(Control::ValveTurn->value, -0.25);
        $refused = static function (int $minute, string $reason) use ($move): string {
            $log = [...self::whole(12.0), self::turned(-0.25), ...self::superheat(11.0, 13)];
            $at = new \DateTimeImmutable(self::at($minute));
            try {
                (new MayMove(self::work(self::told($log))))->check($move, $reason, $at);
            } catch (NotAFact $refusal) {
                return $refusal->getMessage();
            }

            return '';
        };
        self::assertStringContainsString('left on its timer', $refused(13, ''));
        self::assertSame('', $refused(13, 'the box is needed in five minutes'));
        self::assertSame('', $refused(25, ''), 'the clock is over');
        $twice = [
            ...self::whole(12.0),
            self::turned(-0.25),
            ...self::superheat(11.0, 13),
            ...self::superheat(11.0, 15),
        ];
        (new MayMove(self::work(self::told($twice))))->check($move, '', new \DateTimeImmutable(self::at(16)));
    }

    public function test_right_after_a_move_the_plant_is_not_settled_whatever_was_said_before(): void
    {
        $settled = static function (array ...$facts): bool {
            $state = ['kind' => 'state', 'word' => 'running_settled', 'at' => self::at(1)];
            $assessment = self::work(self::told([...self::whole(9.0), $state, ...$facts]));
            $preconditions = Preconditions::at($assessment, $assessment->judged(), PartId::circuit());
            [$one] = $preconditions->all([Prerequisite::Settled]);

            return $one->isHolding();
        };
        self::assertTrue($settled());
        self::assertFalse($settled(self::turned(-0.25)));
        self::assertFalse($settled(self::turned(-0.25), self::read('box_temperature_c', 2, 12)));
        self::assertTrue($settled(self::turned(-0.25), self::read('box_temperature_c', 2, 40)));
    }

    public function test_two_things_moved_before_anything_is_read_have_one_outcome_and_teach_nothing(): void
    {
        $washed = ['kind' => 'move', 'key' => 'condenser_washed', 'at' => self::at(12)];
        $told = ['data' => ['forecast' => ['evaporator_superheat_k' => [9.0, -1.0, 0.3]]]];
        $valve = $told + self::turned(-0.25, '', 14);
        $assessment = self::work(self::told([...self::whole(9.0), $washed, $valve, ...self::superheat(8.0, 50)]));
        $last = $assessment->present();

        self::assertSame(MoveOutcome::AsForetold, $last->outcome);
        self::assertSame(['condenser_washed'], array_map(static fn ($one) => $one->content->key, $last->came->joint));
        self::assertSame([], $last->moved, 'evidence of neither');
        self::assertSame([], $assessment->responses->all());
    }

    public function test_two_valves_turned_before_either_is_read_teach_neither(): void
    {
        $pipes = static fn (float $a, float $b, int $minute): array => [
            self::read('suction_pressure_kpa', self::SUCTION, $minute),
            self::read('suction_temperature_evaporator_c', self::COIL + $a, $minute, 'coil A'),
            self::read('suction_temperature_evaporator_c', self::COIL + $b, $minute, 'coil B'),
        ];
        $both = self::work(self::told([
            ...self::whole(9.0),
            ...$pipes(9.0, 10.0, 2),
            self::turned(-0.25, 'coil A', 10),
            self::turned(-0.25, 'coil B', 11),
            ...$pipes(8.0, 9.0, 50),
        ]));
        self::assertSame([], $both->responses->all());
        $one = self::work(self::told([
            ...self::whole(9.0),
            ...$pipes(9.0, 10.0, 2),
            self::turned(-0.25, 'coil A', 10),
            ...$pipes(8.0, 10.0, 50),
        ]));
        self::assertCount(1, $one->responses->all());
    }

    private static function probability(Assessment $assessment, Fault $fault): float
    {
        foreach ($assessment->verdict($assessment->present())->suspects as $suspect) {
            if ($suspect->fault === $fault) {
                return $suspect->probability;
            }
        }

        return 0.0;
    }

    public function test_an_early_reading_is_no_outcome_until_it_stands(): void
    {
        $moved = [...self::whole(9.0), self::turned(-0.5)];
        $early = self::work(self::told([...$moved, ...self::superheat(8.0, 12)]));
        self::assertSame(MoveOutcome::NotRead, $early->present()->outcome);
        self::assertSame([], $early->responses->all());

        $stands = self::told([...$moved, ...self::superheat(8.0, 12), ...self::superheat(8.0, 14)]);
        self::assertSame(MoveOutcome::AsForetold, self::work($stands)->present()->outcome);

        $clock = ['kind' => 'clock', 'minutes' => 40, 'at' => self::at(11)];
        $longer = self::told([...$moved, $clock, ...self::superheat(8.0, 31)]);
        self::assertSame(MoveOutcome::NotRead, self::work($longer)->present()->outcome, 'its own clock still runs');
    }

    public function test_a_log_without_times_was_read_when_it_had_settled(): void
    {
        $log = [...self::whole(9.0), self::turned(-0.5), ...self::superheat(8.0)];
        $timeless = array_map(static fn (array $fact): array => array_diff_key($fact, ['at' => true]), $log);

        self::assertSame(MoveOutcome::AsForetold, self::work(self::told($timeless))->present()->outcome);
    }

    public function test_many_pairs_are_a_least_squares_line_and_one_stays_near_the_twin(): void
    {
        $facts = self::whole(14.0);
        $superheat = [14.0, 12.4, 11.2, 9.5, 8.1];
        foreach (array_slice($superheat, 1) as $i => $one) {
            $minute = 60 * ($i + 1);
            $facts = [...$facts, self::turned(-0.25, '', $minute), ...self::superheat($one, $minute + 30)];
        }
        $learned = self::work(self::told($facts))->responses->of(Control::ValveTurn, PartId::circuit());
        self::assertNotNull($learned);
        self::assertSame(4, $learned->pairs);
        // By hand: (−2·14 − 12.4 + 9.5 + 2·8.1) ÷ (10·0.25) out, so 5.88 K a turn in.
        self::assertEqualsWithDelta(5.88, $learned->slope, 0.15 * 5.88);

        $one = self::work(self::told([...self::whole(14.0), self::turned(-0.25), ...self::superheat(12.4, 40)]));
        $once = $one->responses->of(Control::ValveTurn, PartId::circuit());
        self::assertNotNull($once);
        self::assertSame(1, $once->pairs);
        self::assertLessThan(abs(6.4 - $once->slope), abs((float) $once->forecasts - $once->slope));
        self::assertGreaterThan($learned->deviation, $once->deviation);
    }

    public function test_each_valve_learns_by_its_own_readings(): void
    {
        $facts = [
            ...self::whole(10.0),
            self::read('suction_temperature_evaporator_c', self::COIL + 12, 1, 'coil 2'),
            self::turned(-0.5, 'coil 2'),
            ...self::superheat(10.1, 40),
            self::read('suction_temperature_evaporator_c', self::COIL + 9, 41, 'coil 2'),
        ];
        $learned = self::work(self::told($facts))->responses->all();

        self::assertSame(['coil 2'], array_map(static fn ($one): string => $one->part->name(), $learned));
        self::assertGreaterThan(1.5, $learned[0]->slope);
    }

    public function test_the_next_move_goes_toward_the_band_in_eighths_and_keeps_off_the_floor(): void
    {
        $out = self::next(self::whole(9.0));
        self::assertNotNull($out);
        self::assertLessThan(0.0, $out);
        self::assertGreaterThanOrEqual(-0.5, $out);
        self::assertEqualsWithDelta(round(8 * $out), 8 * $out, 1e-9);
        self::assertGreaterThan(0.0, (float) self::next(self::whole(2.0)));
        self::assertNull(self::next(self::whole(5.5)), 'it is right');
        $swinging = [...self::whole(7.5), self::read('superheat_lowest_k', 0.5, 1)];
        self::assertNull(self::next($swinging), 'the lowest of the swing has no room');
    }

    public function test_nothing_is_turned_to_cure_another_fault(): void
    {
        self::assertNull(self::next([...self::whole(9.0), self::look('evaporator_fans', 'some_stopped')]));
        self::assertNull(self::next([...self::whole(9.0), self::look('frost_coil', 'blocked')]));
        self::assertNull(self::next([...self::whole(9.0), self::look('doors', 'left_open')]));
    }

    public function test_a_wash_that_brings_the_head_down_leaves_the_rest_to_be_judged(): void
    {
        $washed = static fn (float $head): Assessment => self::work(
            self::told([
                ...self::whole(6.0, 1500),
                self::look('condenser_face', 'dirty'),
                ['kind' => 'move', 'key' => 'condenser_washed', 'at' => self::at(10)],
                self::read('discharge_pressure_kpa', $head, 40),
                self::read('condenser_outlet_temperature_c', 33, 40),
            ]),
        );
        self::assertContains(Fault::CondenserAirflowLow, $washed(1020)->judged()->findings()->ruledOut);
        self::assertNotContains(Fault::CondenserAirflowLow, $washed(1500)->judged()->findings()->ruledOut);
    }

    public function test_what_was_touched_stays_until_it_is_put_back_and_refrigerant_adds_up(): void
    {
        $file = self::told([
            ['kind' => 'touched', 'key' => 'stem_cracked'],
            ['kind' => 'touched', 'key' => 'bulb_off', 'subject' => 'coil 1'],
            ['kind' => 'move', 'key' => 'charge', 'value' => 0.4],
            ['kind' => 'move', 'key' => 'charge', 'value' => -0.15],
            ['kind' => 'move', 'key' => 'charge', 'value' => 0.2],
            ['kind' => 'restored', 'key' => 'bulb_off', 'subject' => 'coil 1'],
        ]);
        self::assertNotNull($file->told);
        $answer = WorkAnswer::of(self::work($file));

        self::assertSame(['stem_cracked'], $answer['touched']);
        self::assertSame(['added_kg' => 0.6, 'recovered_kg' => 0.15], $answer['movements']);
        self::assertSame('not_read', $answer['chapters'][1]['outcome']);
        self::assertNull($answer['proposed']);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no kind' => [
            ['kind' => 'dance'],
            'reading, observation, test, state, complaint, confirmed, ruled_out, note, move, card, clock, touched, '.
                'restored, goods, site, undo',
        ];
        yield 'no such reading' => [self::read('x', 1), 'got "x"'];
        yield 'no such word' => [self::look('sight_glass', 'red'), 'got "red"'];
        yield 'too far' => [self::turned(90), 'log.0.value: '];
        yield 'how far is missing' => [['kind' => 'move', 'key' => 'valve_turn'], 'log.0.value: missing'];
        yield 'undo of nothing' => [['kind' => 'undo', 'of' => 'y'], 'got "y", expected the id of an earlier fact'];
        yield 'no time' => [
            ['kind' => 'touched', 'key' => 'a', 'at' => 'noon'],
            'got "noon", expected a date and time that exists',
        ];
        yield 'something else' => [['kind' => 'note', 'text' => 'a', 'colour' => 1], 'log.0.colour: unknown key'];
    }

    /** @param  array<string, mixed>  $fact */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_in_a_log_is_named_with_its_place(array $fact, string $why): void
    {
        try {
            self::told([$fact]);
            self::fail('It was read.');
        } catch (Refused $refused) {
            self::assertStringContainsString($why, implode("\n", $refused->reasons));
        }
    }

    public function test_a_snapshot_beside_a_log_must_be_that_of_its_last_chapter(): void
    {
        $log = [...self::superheat(9.0), self::turned(-0.25), ...self::superheat(8.0, 40)];
        $last = ['suction_temperature_evaporator_c' => self::COIL + 8.0];
        self::assertNotNull(self::told($log, ['readings' => $last])->told);
        $this->expectException(Refused::class);
        $this->expectExceptionMessage(
            'readings.suction_temperature_evaporator_c: differs from the readings since the last change',
        );
        self::told($log, ['readings' => ['suction_temperature_evaporator_c' => self::COIL + 9.0]]);
    }

    /**
     * @param  list<array<string, mixed>>  $log
     * @param  array<string, mixed>  $beside
     */
    private static function told(array $log, array $beside = []): VisitFile
    {
        $file =
            [
                'format' => 'metrum-visit',
                'version' => 1,
                'taken_at' => self::at(0),
                'system' => self::SYSTEM,
                'state' => 'running_settled',
                'log' => $log,
            ] + $beside;

        return VisitReader::visit(json_encode($file, JSON_THROW_ON_ERROR));
    }

    private static function work(VisitFile $file): Assessment
    {
        self::assertNotNull($file->told);

        return new Assessment($file->told, new HouseRules(), new Twins());
    }

    /** @return non-empty-list<\Metrum\Findings\Chapter> */
    private static function chapters(VisitFile $file): array
    {
        self::assertNotNull($file->told);

        return Chapters::of($file->told)->all;
    }

    /** @param  list<array<string, mixed>>  $log */
    private static function next(array $log): ?float
    {
        return (new NextMove(self::work(self::told($log))))->of(
            Control::ValveTurn,
            PartId::circuit(),
        )[0] ?? null;
    }

    /**
     * A plant that runs as it should but for its superheat.
     *
     * @return list<array<string, mixed>>
     */
    private static function whole(float $superheat, float $head = 880): array
    {
        return [
            self::look('frost_coil', 'even'),
            self::look('evaporator_fans', 'all_running'),
            self::look('doors', 'shut_and_sealing'),
            self::look('sight_glass', 'clear'),
            self::read('ambient_temperature_c', 26),
            self::read('box_temperature_c', 2),
            self::read('discharge_pressure_kpa', $head),
            self::read('condenser_outlet_temperature_c', 35),
            ...self::superheat($superheat),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function superheat(float $kelvin, int $minute = 1): array
    {
        return [
            self::read('suction_pressure_kpa', self::SUCTION, $minute),
            self::read('suction_temperature_evaporator_c', self::COIL + $kelvin, $minute),
        ];
    }

    /** @return array<string, mixed> */
    private static function read(string $key, float $value, int $minute = 1, string $subject = ''): array
    {
        return [
            'kind' => 'reading',
            'key' => $key,
            'value' => $value,
            'at' => self::at($minute),
            'subject' => $subject,
        ];
    }

    /** @return array<string, mixed> */
    private static function look(string $key, string $word): array
    {
        return ['kind' => 'observation', 'key' => $key, 'word' => $word, 'at' => self::at(1)];
    }

    /** @return array<string, mixed> */
    private static function turned(float $turns, string $subject = '', int $minute = 10): array
    {
        return [
            'kind' => 'move',
            'key' => 'valve_turn',
            'subject' => $subject,
            'value' => $turns,
            'as_found' => '3 turns open',
            'at' => self::at($minute),
        ];
    }

    private static function at(int $minute): string
    {
        return (new \DateTimeImmutable('2026-11-26T08:00:00+00:00'))
            ->modify("+$minute minutes")
            ->format(\DateTimeInterface::ATOM);
    }
}
