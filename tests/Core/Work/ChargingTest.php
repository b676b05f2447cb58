<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Holding;
use Metrum\Diagnosis\Requirement;
use Metrum\Exchange\WorkAnswer;
use Metrum\Findings\DerivedFigure;
use Metrum\Installation\Circuit;
use Metrum\Installation\DesignKey;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\MoveOutcome;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Log\Content;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Log\Kinds\WeighedAmount;
use Metrum\Log\NotAFact;
use Metrum\Quantity\Units;
use Metrum\Work\Assessment;
use Metrum\Work\Charging\ChargeLog;
use Metrum\Work\Charging\ChargingGate;
use Metrum\Work\Charging\ChargingSchool;
use Metrum\Work\Charging\Knee;
use Metrum\Work\Charging\Shortage;
use Metrum\Work\Charging\TakingGate;
use Metrum\Work\MayMove;
use Metrum\Work\NextMove;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Charging: how much is missing, the next addition, where it ends, and what keeps the gate shut. */
final class ChargingTest extends TestCase
{
    /** @return iterable<string, array{float}> */
    public static function shares(): iterable
    {
        foreach ([0.6, 0.75, 0.9, 1.0, 1.15, 1.3] as $share) {
            yield sprintf('%.0f %% in', 100 * $share) => [$share];
        }
    }

    #[DataProvider('shares')]
    public function test_what_is_missing_is_told_within_what_it_says_itself(float $share): void
    {
        $hand = ChargeHand::cabinet($share)->look()->read();
        $estimate = $hand->work()->charging()->estimate();

        self::assertNotNull($estimate);
        $really = $hand->machine->charge - $hand->in();
        self::assertEqualsWithDelta($really, $estimate->missing, 2 * $estimate->deviation + 0.005);
        self::assertLessThan(0.12 * $hand->machine->charge, $estimate->deviation);
    }

    #[DataProvider('shares')]
    public function test_too_little_is_added_and_too_much_taken_back_and_right_is_left(float $share): void
    {
        $next = ChargeHand::cabinet($share)->look()->read()->work()->charging()->next();

        match (true) {
            $share < 0.95 => self::assertGreaterThan(0.0, $next),
            $share > 1.05 => self::assertLessThan(0.0, $next),
            default => self::assertNull($next),
        };
    }

    public function test_followed_to_its_end_a_charge_is_right_and_never_over(): void
    {
        foreach ([ChargeHand::cabinet(0.6), ChargeHand::cooler(0.33)] as $hand) {
            $hand->look()->read();
            for ($n = 0; $n < 20; $n++) {
                $next = $hand->work()->charging()->next();
                if ($next === null) {
                    break;
                }
                $hand->add($next)->read(Reading::ReceiverLevel);
                self::assertLessThan(1.06 * $hand->machine->charge, $hand->in());
            }
            self::assertEqualsWithDelta($hand->machine->charge, $hand->in(), 0.05 * $hand->machine->charge);
            self::assertGreaterThan(1, $n, 'not in one go');
        }
    }

    public function test_with_a_receiver_small_steps_lead_to_the_glass_and_the_margin_comes_then(): void
    {
        $hand = ChargeHand::cooler(0.3)->look()->read(Reading::ReceiverLevel);
        $charging = $hand->work()->charging();
        self::assertTrue($charging->isUnsealed());
        self::assertGreaterThan(0.0, $charging->next());
        self::assertLessThan($charging->missing(), $charging->next(), 'the margin waits');
        while ($hand->work()->charging()->isUnsealed()) {
            $hand->add((float) $hand->work()->charging()->next())->read(Reading::ReceiverLevel);
        }
        $sealed = $hand->work()->charging();
        self::assertEqualsWithDelta($sealed->margin(), $sealed->missing(), 0.35 * $sealed->margin());
    }

    public function test_nothing_is_taken_out_of_a_receiver_that_only_buffers(): void
    {
        $hand = ChargeHand::cooler(0.8)->look()->read(Reading::ReceiverLevel);
        for ($n = 0; $n < 4; $n++) {
            $hand->add(0.5)->read(Reading::ReceiverLevel);
        }
        self::assertGreaterThanOrEqual(0.0, $hand->work()->charging()->missing() ?? 0.0);
        $full = ChargeHand::cooler(1.5)->look()->read();
        self::assertLessThan(0.0, $full->work()->charging()->next(), 'one that reads full gives some back');
    }

    public function test_by_the_clear_glass_alone_no_margin_is_added(): void
    {
        $rules = new HouseRules(['charge_end' => 'glass']);
        $stops = self::clearedBy($rules);
        $goesOn = self::clearedBy(new HouseRules());

        self::assertNull($stops);
        self::assertGreaterThan(0.5, $goesOn);
    }

    private static function clearedBy(HouseRules $rules): ?float
    {
        $hand = ChargeHand::cooler(0.3, $rules)->look()->read(Reading::ReceiverLevel);
        while ($hand->work()->charging()->isUnsealed()) {
            $hand->add(0.25)->read(Reading::ReceiverLevel);
        }

        return $hand->work()->charging()->next();
    }

    public function test_a_small_receiver_binds_what_fits_in(): void
    {
        $roomy = ChargeHand::cooler(0.4)->look()->read()->work()->charging()->addition();
        self::assertSame([], $roomy->limits(0.1));
        self::assertNotSame([], $roomy->limits(12.0), 'a receiver over 80 % is named');
        self::assertStringContainsString('%', $roomy->limits(12.0)[0]->in(new Units()));
        self::assertLessThan(12.0, $roomy->room());
        $tight = ChargeHand::cooler(0.6, litres: 7.0)->look()->read()->work()->charging()->addition();
        self::assertLessThan($roomy->room(), $tight->room());
        $holds = 0.8 * 0.007 * 1080;
        self::assertEqualsWithDelta($holds - ChargeHand::cooler(0.6, litres: 7.0)->in(), $tight->room(), 0.6);
    }

    public function test_a_capillary_is_not_topped_up(): void
    {
        $charging = ChargeHand::cabinet(0.8, 'capillary')->look()->read()->work()->charging();

        self::assertSame(ChargingSchool::Capillary, $charging->school);
        self::assertNull($charging->next());
        self::assertGreaterThan(0.0, $charging->missing());
    }

    public function test_the_knee_is_found_beside_where_the_liquid_seals(): void
    {
        $hand = ChargeHand::cabinet(0.62)->look()->read();
        for ($n = 0; $n < 9; $n++) {
            $hand->add(0.06 * $hand->machine->charge)->read();
        }
        $assessment = $hand->work();
        $rows = ChargeLog::of($assessment, PartId::circuit())->rows;
        $knee = Knee::in($rows);

        self::assertNotNull($knee);
        $first = null;
        foreach ($rows as $number => $row) {
            $first ??= ($row->subcooling() ?? 0.0) > 0.5 ? $number : null;
        }
        self::assertNotNull($first);
        self::assertEqualsWithDelta($first, $knee->row, 1.0);
        self::assertNull(Knee::in(array_slice($rows, 0, 3)), 'three rows are no knee');
        self::assertNull(Knee::in(array_slice($rows, 0, 4)), 'nor is superheat that still falls');
        // Further than the knee it is taken back to what the plan's subcooling wants.
        $back = (new NextMove($assessment))->of(Control::Charge, PartId::circuit());
        self::assertNotNull($back);
        $excess = $hand->in() - $hand->machine->charge;
        self::assertEqualsWithDelta(-$excess, $back[0], 0.3 * $excess);
    }

    public function test_another_move_begins_another_log(): void
    {
        $hand = ChargeHand::cabinet(0.7)->look()->read()->add(0.02)->read();
        self::assertCount(2, ChargeLog::of($hand->work(), PartId::circuit())->rows);
        $hand->say(FactKind::Move, new Content(Control::CondenserWashed->value, null, 'done'));
        $hand->wait()->read();
        $log = ChargeLog::of($hand->work(), PartId::circuit());
        self::assertCount(1, $log->rows);
        self::assertFalse($log->isCharging());
    }

    public function test_the_school_follows_the_plant_and_the_house_rule_where_it_fits(): void
    {
        $cabinet = ChargeHand::cabinet(1.0)->machine->circuit;
        $cooler = ChargeHand::cooler(1.0)->machine->circuit;
        self::assertSame(ChargingSchool::Knee, ChargingSchool::for($cabinet, new HouseRules()));
        self::assertSame(ChargingSchool::Receiver, ChargingSchool::for($cooler, new HouseRules()));
        $byPlate = new HouseRules(['charge_end' => 'plate']);
        self::assertSame(ChargingSchool::ByWeight, ChargingSchool::for($cabinet, $byPlate));
        self::assertSame(ChargingSchool::Receiver, ChargingSchool::for($cooler, $byPlate), 'no plate');
        $byKnee = new HouseRules(['charge_end' => 'knee']);
        self::assertSame(ChargingSchool::Receiver, ChargingSchool::for($cooler, $byKnee), 'a receiver hides the knee');
        foreach (ChargingSchool::cases() as $school) {
            self::assertNotSame('', $school->why($cooler)[1]);
        }
    }

    public function test_a_plain_shortage_opens_the_gate(): void
    {
        $gate = self::gate(ChargeHand::cabinet(0.62)->look()->read());

        self::assertTrue($gate->isOpen(), implode('; ', self::shut($gate)));
    }

    /** @return iterable<string, array{callable(ChargeHand): mixed, string}> */
    public static function shuts(): iterable
    {
        $see = static fn (Observation $what, Word $word): \Closure => static fn (ChargeHand $hand) => $hand->see(
            $what,
            $word,
        );
        yield 'iced coil' => [$see(Observation::FrostCoil, Word::Blocked), 'thaw first'];
        yield 'coil fans' => [$see(Observation::EvaporatorFans, Word::SomeStopped), 'repair first'];
        yield 'condenser fans' => [$see(Observation::CondenserFans, Word::AllStopped), 'repair first'];
        yield 'condenser dirty' => [$see(Observation::CondenserFace, Word::Dirty), 'clean it first'];
        yield 'coil dirty' => [$see(Observation::EvaporatorFace, Word::Dirty), 'clean it first'];
        yield 'drier' => [
            static function (ChargeHand $hand): void {
                $hand->say(FactKind::Reading, new Content(Reading::DrierInletTemperature->value, 306.0));
                $hand->say(FactKind::Reading, new Content(Reading::DrierOutletTemperature->value, 300.0));
            },
            'restriction, not low charge',
        ];
    }

    /** @param  callable(ChargeHand): mixed  $then */
    #[DataProvider('shuts')]
    public function test_each_thing_in_the_way_shuts_the_gate(callable $then, string $said): void
    {
        $hand = ChargeHand::cabinet(0.62)->look()->read();
        $then($hand);

        self::assertStringContainsString($said, implode('; ', self::shut(self::gate($hand))));
    }

    public function test_what_was_not_looked_at_keeps_the_gate_shut_and_is_named(): void
    {
        $gate = self::gate(ChargeHand::cabinet(0.62)->read());

        self::assertFalse($gate->isOpen());
        self::assertStringContainsString('coil: fans and face', implode('; ', self::shut($gate)));
    }

    public function test_a_full_plant_keeps_the_gate_shut(): void
    {
        $right = self::gate(ChargeHand::cabinet(1.0)->look()->read());
        self::assertStringContainsString('evidence against', implode('; ', self::shut($right)));
        $over = self::gate(ChargeHand::cabinet(1.3)->look()->read());
        self::assertStringContainsString('it is backing up, charge is not low', implode('; ', self::shut($over)));
    }

    public function test_one_sign_alone_asks_for_a_second(): void
    {
        $hand = ChargeHand::cooler(0.3)->look()->read(
            Reading::ReceiverLevel,
            Reading::SuctionTemperatureEvaporator,
            Reading::ReceiverOutletTemperature,
            Reading::CondenserOutletTemperature,
            Reading::DrierInletTemperature,
            Reading::DrierOutletTemperature,
            Reading::ValveInletTemperature,
        );
        $said = implode('; ', self::shut(self::gate($hand)));

        self::assertStringContainsString('only bubbles in the sight glass', $said);
    }

    public function test_each_sign_of_a_shortage_speaks_its_way(): void
    {
        $short = ChargeHand::cooler(0.28)->look()->read()->work();
        $full = ChargeHand::cooler(0.9)->look()->read()->work();
        [$for, $against] = [self::shortage($short), self::shortage($full)];

        self::assertCount(4, $for->for);
        self::assertCount(4, $against->against);
        self::assertTrue($for->isShown());
        self::assertFalse($against->isShown() || $against->isOpen());
    }

    private static function shortage(Assessment $assessment): Shortage
    {
        $chapter = $assessment->present()->chapter;

        return Shortage::of($chapter->findings, $assessment->figures($chapter, PartId::circuit()), $assessment->rules);
    }

    public function test_while_it_is_charged_the_gate_stays_open_until_it_is_right(): void
    {
        $hand = ChargeHand::cabinet(0.62)->look()->read();
        $hand->add(0.25 * $hand->machine->charge)->look()->read();
        self::assertTrue(self::gate($hand)->isOpen(), implode('; ', self::shut(self::gate($hand))));
        $hand->add(0.14 * $hand->machine->charge)->look()->read();
        self::assertStringContainsString('still short', implode('; ', self::shut(self::gate($hand))));
    }

    public function test_confirmed_is_confirmed(): void
    {
        $hand = ChargeHand::cabinet(0.62)->look()->read();
        $hand->say(FactKind::Confirmed, new Content(Fault::Undercharge->value, null, 'yes'));

        self::assertTrue(self::gate($hand)->isOpen());
    }

    public function test_refrigerant_wants_a_reason_as_long_as_the_leak_was_not_searched(): void
    {
        $hand = ChargeHand::cabinet(0.62)->look()->read();
        $may = static fn (ChargeHand $hand): MayMove => new MayMove($hand->work());
        $move = new Content(Control::Charge->value, 0.03);
        self::assertStringContainsString('search first', self::refusal(fn () => $may($hand)->check($move, '')));
        $may($hand)->check($move, 'product cannot wait');
        $may($hand)->check(new Content(Control::Charge->value, -0.03), 'it was put in by mistake');
        $searched = (clone $hand)->say(
            FactKind::Test,
            new Content('nitrogen_or_bubble_search', null, 'no_leak_found'),
        );
        $may($searched)->check($move, '');
        $told = (clone $hand)->add(0.02, [PlantMoved::OVERRULED => 'milk'])->look()->read();
        $may($told)->check($move, '');
        self::assertTrue(true, 'none of them was refused');
    }

    public function test_where_the_house_says_so_no_reason_passes(): void
    {
        $rules = new HouseRules(['add_or_search' => 'refuse']);
        $hand = ChargeHand::cabinet(0.62, rules: $rules)->look()->read();
        $move = new Content(Control::Charge->value, 0.03);
        $may = new MayMove($hand->work());

        self::assertStringContainsString('house rule', self::refusal(fn () => $may->check($move, 'milk')));
        $may->check(new Content(Control::Charge->value, -0.03), 'it was put in by mistake');
    }

    public function test_taking_out_asks_for_the_same_looks_a_clear_glass_warmth_and_a_verdict_of_too_much(): void
    {
        $out = new Content(Control::Charge->value, -0.05);
        $refused = static fn (ChargeHand $hand): string => self::refusal(
            fn () => (new MayMove($hand->work()))->check($out, ''),
        );
        $full = static fn (): ChargeHand => ChargeHand::cabinet(1.3)->look()->read();
        self::assertSame('', $refused($full()));
        self::assertLessThan(0.0, (new NextMove($full()->work()))->of(Control::Charge, PartId::circuit())[0] ?? 0.0);

        $cases = [
            'condenser face' => ChargeHand::cabinet(1.3)->read(),
            'condenser: clean it first' => $full()->see(Observation::CondenserFace, Word::Dirty),
            'condenser fans: repair first' => $full()->see(Observation::CondenserFans, Word::SomeStopped),
            'bubbles' => $full()->see(Observation::SightGlass, Word::Bubbles),
            'overcharge is the most likely fault' => ChargeHand::cabinet(0.6)->look()->read(),
            'wait until it has settled' => $full()->say(
                FactKind::State,
                new Content('state', null, 'pulling_down'),
            ),
        ];
        foreach ($cases as $said => $hand) {
            self::assertStringContainsString($said, $refused($hand));
            $next = (new NextMove($hand->work()))->of(Control::Charge, PartId::circuit())[0] ?? 0.0;
            self::assertGreaterThanOrEqual(0.0, $next, $said.': nothing is taken out');
        }
        $repair = new Content(Control::Charge->value, -0.3, null, [WeighedAmount::PURPOSE => 'repair']);
        (new MayMove($cases['bubbles']->work()))->check($repair, '');
    }

    public function test_in_the_cold_without_head_control_nothing_comes_out(): void
    {
        $words = [
            'kind' => 'walk_in_cooler',
            'refrigerant' => 'R-134a',
            'metering' => 'txv',
            'condenser' => 'air_outdoor',
            'head_pressure_control' => 'none',
            'receiver' => false,
        ];
        $hand = (new ChargeHand(Circuit::fromWords($words, ['nameplate_charge_kg' => 3.0]), 1.3))->look()->read();
        $label = static fn (ChargeHand $hand): array => self::shutLabels($hand);
        self::assertNotContains('weather', $label($hand));
        $cold = $hand->say(FactKind::Reading, new Content('ambient_temperature_c', 275.15));
        self::assertContains('weather', $label($cold));
    }

    /** @return list<string> */
    private static function shutLabels(ChargeHand $hand): array
    {
        $gate = new TakingGate($hand->work(), $hand->work()->judged(), PartId::circuit());

        return array_map(
            static fn (Requirement $one): string => $one->name()->in(new Units()),
            (new Gate($gate->all()))->shut(),
        );
    }

    public function test_head_current_a_full_receiver_and_too_much_stop_an_addition_whatever_the_reason(): void
    {
        $in = new Content(Control::Charge->value, 0.03);
        $short = static fn (): ChargeHand => ChargeHand::cabinet(0.62)->look()->read();
        $read = static fn (string $key, float $si): Content => new Content($key, $si);
        $cases = [
            'of the high-pressure cut-out' => $short()->say(FactKind::Reading, $read('discharge_pressure_kpa', 16.5e5)),
            '% of rated current while running' => $short()->say(FactKind::Reading, $read('compressor_current_a', 3.2)),
            'receiver level is 85 %' => ChargeHand::cooler(0.4)->look()->read()->say(
                FactKind::Reading,
                $read('receiver_level_percent', 0.85),
            ),
            'refrigerant overcharge' => ChargeHand::cabinet(1.3)->look()->read(),
        ];
        foreach ($cases as $said => $hand) {
            $refusal = self::refusal(fn () => (new MayMove($hand->work()))->check($in, 'product cannot wait'));
            self::assertStringContainsString('Not allowed', $refusal, $said);
            self::assertStringContainsString($said, $refusal);
        }
        (new MayMove($short()->work()))->check($in, 'product cannot wait');
    }

    public function test_what_was_weighed_counts_before_what_the_twin_guesses(): void
    {
        $hand = ChargeHand::cabinet(0.0);
        $hand->say(FactKind::Card, new Content('evacuation.done', null, 'holds'));
        $hand->add(0.62 * $hand->machine->charge, [WeighedAmount::PURPOSE => 'commissioning'])->look()->read();
        $assessment = $hand->work();
        self::assertEqualsWithDelta(0.62 * $hand->machine->charge, (float) $assessment->weighedIn()->exact, 1e-9);
        self::assertEqualsWithDelta($hand->in(), (float) $assessment->charging()->in(), 1e-6);
        $estimate = $assessment->charging()->estimate();
        self::assertNotNull($estimate);
        self::assertEqualsWithDelta($hand->in(), $estimate->in(), 0.03 * $hand->in());
        $unweighed = ChargeHand::cabinet(0.62)->look()->read()->work()->charging()->estimate();
        self::assertLessThan($unweighed->deviation ?? 0.0, $estimate->deviation, 'and it is surer');
    }

    public function test_the_book_bounds_what_is_in_and_what_went_in_is_in(): void
    {
        $hand = ChargeHand::cabinet(0.9)->look()->read()->add(0.08)->read();
        $weighed = $hand->work()->weighedIn();
        self::assertSame([null, 0.08, null], [$weighed->exact, $weighed->least, $weighed->most]);
        self::assertSame(0.08, $weighed->among(0.02));
        $book = $hand->work(0.3)->weighedIn();
        self::assertEqualsWithDelta(0.38, (float) $book->most, 1e-9);
        self::assertEqualsWithDelta(0.38, $book->among(0.6), 1e-9);
        self::assertGreaterThan($book->speaks(0.6), $book->speaks(0.35));
        self::assertLessThanOrEqual(0.38 * 1.03, (float) $hand->work(0.3)->charging()->in());
    }

    public function test_two_additions_without_an_answer_end_the_proposal_and_speak_against_a_shortage(): void
    {
        $hand = ChargeHand::cabinet(0.62)->look()->read();
        foreach ([1, 2] as $ignored) {
            // What goes in goes elsewhere: the plant stays as it was.
            $hand->add(0.15 * $hand->machine->charge);
            $hand->lose(0.15 * $hand->machine->charge)->look()->read();
        }
        $charging = $hand->work()->charging();
        self::assertTrue($charging->isSilent());
        self::assertNull($charging->next());
        self::assertStringContainsString('readings respond', implode('; ', self::shut(self::gate($hand))));
    }

    public function test_a_plant_of_unknown_size_gets_no_grams_and_is_asked_for_it(): void
    {
        $words = ['kind' => 'reach_in_cooler', 'refrigerant' => 'R-134a', 'metering' => 'txv', 'receiver' => false];
        $hand = (new ChargeHand(Circuit::fromWords($words, []), 0.62))->look()->read();
        $charging = $hand->work()->charging();
        self::assertFalse($charging->isInKilograms());
        self::assertSame([null, null], [$charging->missing(), $charging->next()]);
        self::assertContains(DesignKey::RatedCurrent, $charging->sizesAsked());
        self::assertTrue(self::gate($hand)->isOpen(), 'it may be charged all the same, by what it shows');

        $rack = ['kind' => 'rack_circuit_medium', 'receiver' => true] + $words;
        $circuit = Circuit::fromWords($rack, ['receiver_volume_l' => 60, 'rated_current_a' => 40]);
        $shared = (new ChargeHand($circuit, 0.6))->look()->read()->work()->charging();
        self::assertSame(
            [null, null],
            [$shared->missing(), $shared->next()],
            'a circuit of a rack never gets its kilograms',
        );
    }

    public function test_the_wait_goes_by_mass_and_plant(): void
    {
        $wait = static fn (ChargeHand $hand, float $kilograms): float => $hand->work()->settling->ofCharge(
            $hand->circuit(),
            $kilograms,
            $hand->machine->charge,
        ) / 60;
        $cabinet = ChargeHand::cabinet(0.6);
        self::assertLessThan(16.0, $wait($cabinet, 0.01));
        self::assertGreaterThan($wait($cabinet, 0.01), $wait($cabinet, 0.08));
        $cooler = ChargeHand::cooler(0.6);
        self::assertGreaterThanOrEqual(20.0, $wait($cooler, 0.1));
        self::assertLessThanOrEqual(45.0, $wait($cooler, 2.0));
        $rack = ['kind' => 'rack_circuit_medium', 'refrigerant' => 'R-448A', 'metering' => 'txv', 'receiver' => true];
        self::assertGreaterThanOrEqual(60.0, $wait(new ChargeHand(Circuit::fromWords($rack, []), 0.6), 1.0));
    }

    public function test_while_the_clock_runs_nothing_is_proposed(): void
    {
        $hand = ChargeHand::cabinet(0.62)->look()->read()->add(0.02, minutes: 2)->look()->read();
        self::assertNull((new NextMove($hand->work()))->of(Control::Charge, PartId::circuit()));
        $hand->wait()->look()->read();
        self::assertNotNull((new NextMove($hand->work()))->of(Control::Charge, PartId::circuit()));
    }

    public function test_it_went_as_foretold_only_where_all_that_was_read_did(): void
    {
        $hand = ChargeHand::cabinet(0.86)->look()->read();
        $assessment = $hand->work();
        $value = 0.05 * $hand->machine->charge;
        $forecast = $assessment->charging()->forecast($value);
        self::assertNotNull($forecast);
        $changes = [];
        foreach ($forecast->figures as $one) {
            $changes[$one->figure->value] = $one->change;
        }
        self::assertSame(MoveOutcome::AsForetold, $forecast->outcome($changes, true));
        $condensing = DerivedFigure::SaturatedCondensing->value;
        self::assertArrayHasKey($condensing, $changes);
        $other = [$condensing => -3.0] + $changes;
        self::assertSame(MoveOutcome::Less, $forecast->outcome($other, true));
        self::assertCount(1, $forecast->missed($other));
        self::assertSame(MoveOutcome::AsForetold, $forecast->outcome($other, false));
        $level = ChargeHand::cooler(0.9)->look()->read()->work()->charging()->forecast(0.5);
        self::assertNotNull($level?->of(Reading::ReceiverLevel), 'the level is foretold where it was read');
    }

    public function test_an_outcome_once_reached_stays_and_what_is_read_later_makes_a_new_one(): void
    {
        $hand = ChargeHand::cabinet(0.7)->look()->read();
        $kept = $hand->work()->charging()->forecast(0.05)?->kept() ?? [];
        $hand->add(0.05, [PlantMoved::FORECAST => $kept])->look()->read();
        $first = $hand->work()->present();
        self::assertSame(MoveOutcome::AsForetold, $first->outcome);
        self::assertNull($first->came->later);
        $hand->lose(0.05)->wait()->read();
        $then = $hand->work()->present();
        self::assertSame(MoveOutcome::AsForetold, $then->outcome);
        self::assertEqualsWithDelta($first->change, $then->change, 1e-9);
        self::assertSame(MoveOutcome::Nothing, $then->came->later);
    }

    public function test_an_addition_is_read_before_the_next(): void
    {
        $hand = ChargeHand::cabinet(0.62)->look()->read()->add(0.02, [PlantMoved::OVERRULED => 'milk']);
        $may = new MayMove($hand->work());

        self::assertTrue($may->isTooSoon(Control::Charge, PartId::circuit()));
        $hand->look()->read();
        self::assertFalse((new MayMove($hand->work()))->isTooSoon(Control::Charge, PartId::circuit()));
    }

    /** @return iterable<string, array{string, bool}> */
    public static function refrigerants(): iterable
    {
        yield 'R-134a' => ['R-134a', true];
        yield 'R-290, A3' => ['R-290', false];
        yield 'R-454C, A2L' => ['R-454C', false];
    }

    #[DataProvider('refrigerants')]
    public function test_what_asks_for_a_licence_of_its_own_stays_shut_until_it_is_confirmed(
        string $refrigerant,
        bool $free,
    ): void {
        $words = ['kind' => 'reach_in_cooler', 'refrigerant' => $refrigerant, 'metering' => 'txv', 'receiver' => false];
        $hand = (new ChargeHand(Circuit::fromWords($words, []), 0.7))->look()->read();
        $refused = static fn (): string => self::refusal(
            fn () => (new MayMove($hand->work()))->check(new Content(Control::Charge->value, 0.02), 'milk'),
        );
        self::assertSame($free ? '' : 'licence', str_contains($refused(), 'licence') ? 'licence' : '');
        $hand->say(FactKind::Card, new Content('licence_and_tools.done', null, 'no_tools'));
        self::assertSame(! $free, str_contains($refused(), 'licence'), 'tools that are not there do not open it');
        $hand->say(FactKind::Card, new Content('licence_and_tools.done', null, 'confirmed'));
        self::assertStringNotContainsString('licence', $refused());
    }

    public function test_a_forecast_of_refrigerant_comes_of_what_is_missing(): void
    {
        $hand = ChargeHand::cabinet(0.86)->look()->read();
        $hand->say(FactKind::Confirmed, new Content(Fault::Undercharge->value, null, 'yes'));
        $before = $hand->work()->charging();
        $value = 0.04 * $hand->machine->charge;
        $told = $before->forecast($value)?->of(DerivedFigure::Subcooling);
        $was = $before->log->last()?->subcooling();
        $is = $hand->add($value)->read()->work()->charging()->log->last()?->subcooling();

        self::assertNotNull($told);
        self::assertGreaterThan(0.3, $told->change);
        self::assertEqualsWithDelta($is - $was, $told->change, 2 * $told->deviation);
    }

    public function test_the_command_line_tells_the_charge(): void
    {
        $hand = ChargeHand::cabinet(0.62)->look()->read();
        $told = WorkAnswer::of($hand->work())['charging'];
        assert(is_array($told));
        self::assertSame(['charge_by_knee', 'open'], [$told['school'], $told['gate']]);
        self::assertGreaterThan(0.1, $told['missing_kg']);
        $over = ChargeHand::cabinet(1.25)->look()->read();
        $answer = WorkAnswer::of($over->work())['charging'];
        assert(is_array($answer));
        self::assertSame('shut', $answer['gate']);
        self::assertLessThan(0.0, $answer['next_kg']);
    }

    private static function gate(ChargeHand $hand): ChargingGate
    {
        $assessment = $hand->work();

        return new ChargingGate($assessment, $assessment->judged(), PartId::circuit());
    }

    /** @return list<string> */
    private static function shut(ChargingGate $gate): array
    {
        $shut = array_filter($gate->all(), static fn (Requirement $one): bool => $one->holding !== Holding::Holds);

        return array_values(array_map(
            static fn (Requirement $one): string => $one->sentence()->in(new Units()),
            $shut,
        ));
    }

    /** @param  callable(): mixed  $tried */
    private static function refusal(callable $tried): string
    {
        try {
            $tried();
        } catch (NotAFact $reason) {
            return $reason->getMessage();
        }

        return '';
    }
}
