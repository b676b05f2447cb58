<?php

declare(strict_types=1);

namespace Tests\Core\Knowledge;

use Metrum\Installation\Circuit;
use Metrum\Installation\Design;
use Metrum\Installation\Kind;
use Metrum\Installation\Metering;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Ruling;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Wanted;
use PHPUnit\Framework\TestCase;

final class HouseRulesTest extends TestCase
{
    public function test_every_rule_has_schools_with_reasons_and_a_default_among_them(): void
    {
        foreach (HouseRule::cases() as $rule) {
            $row = $rule->row();
            self::assertGreaterThan(1, count($row->schools), $rule->value);
            self::assertSame($row->default, $row->school($row->default->id), $rule->value);
            foreach ($row->schools as $school) {
                self::assertGreaterThan(10, strlen($school->reason), $rule->value.'/'.$school->id);
                self::assertLessThanOrEqual($school->high, $school->low);
            }
        }
    }

    public function test_bands_are_in_si(): void
    {
        $rules = new HouseRules();
        self::assertEqualsWithDelta(303.15, $rules->band(HouseRule::LeastCondensing)->middle(), 1e-9);
        self::assertEqualsWithDelta(15 * 60.0, $rules->band(HouseRule::SettleStart)->low, 1e-9);
        $own = new HouseRules(['discharge_limit' => [90.0, 100.0]]);
        self::assertEqualsWithDelta(363.15, $own->band(HouseRule::DischargeLimit)->low, 1e-9);
    }

    public function test_a_choice_of_school_or_an_own_band_stands_and_names_itself(): void
    {
        self::assertEqualsWithDelta([4.5, 6.5], self::ends(new HouseRules(), HouseRule::SuperheatMedium), 1e-9);
        self::assertEqualsWithDelta(
            [6.0, 9.0],
            self::ends(new HouseRules(['superheat_medium' => 'high']), HouseRule::SuperheatMedium),
            1e-9,
        );
        $own = new HouseRules(['superheat_medium' => [3.0, 8.0]]);
        self::assertEqualsWithDelta([3.0, 8.0], self::ends($own, HouseRule::SuperheatMedium), 1e-9);
        self::assertSame('house rule, own figure', $own->band(HouseRule::SuperheatMedium)->source);
        self::assertNull($own->schoolOf(HouseRule::SuperheatMedium));
        self::assertStringStartsWith(
            'house rule: ',
            (new HouseRules())->band(HouseRule::SuperheatMedium)->source,
        );
    }

    public function test_a_school_that_no_longer_exists_falls_back_to_the_default(): void
    {
        self::assertEqualsWithDelta(
            [4.5, 6.5],
            self::ends(new HouseRules(['superheat_medium' => 'gone']), HouseRule::SuperheatMedium),
            1e-9,
        );
    }

    public function test_the_plate_goes_before_the_rule(): void
    {
        $plate = new Wanted(
            new Circuit('R-134a', design: new Design(superheat: 8.0, condenserSplit: 15.0)),
            new HouseRules(),
        );
        self::assertSame('design value', $plate->superheat()->source);
        self::assertEqualsWithDelta(8.0, $plate->superheat()->middle(), 1e-9);
        self::assertTrue($plate->condenserSplit()->holds(16.0));
        self::assertFalse((new Wanted(new Circuit('R-134a'), new HouseRules()))->superheat()->holds(8.0));
    }

    public function test_a_freezer_is_wanted_with_less_superheat_and_split(): void
    {
        $rules = new HouseRules();
        $cooler = new Wanted(new Circuit('R-404A', Kind::WalkInCooler), $rules);
        $freezer = new Wanted(new Circuit('R-404A', Kind::WalkInFreezer), $rules);
        self::assertLessThan($cooler->superheat()->middle(), $freezer->superheat()->middle());
        self::assertLessThan($cooler->condenserSplit()->middle(), $freezer->condenserSplit()->middle());
    }

    public function test_a_td_that_glide_makes_impossible_is_raised_and_says_so(): void
    {
        $rules = new HouseRules();
        self::assertSame(
            'design value',
            (new Wanted(
                new Circuit('R-134a', Kind::WalkInCooler, design: new Design(evaporatorTd: 7.0)),
                $rules,
            ))->evaporatorTd()->source,
        );
        $blend = (new Wanted(
            new Circuit('R-407C', Kind::WalkInCooler, design: new Design(evaporatorTd: 4.0)),
            $rules,
        ))->evaporatorTd();
        self::assertStringContainsString('raised for the glide', $blend->source);
        self::assertGreaterThan(7.0, $blend->middle());
    }

    public function test_only_what_can_be_there_is_asked(): void
    {
        $small = new Circuit(
            'R-290',
            Kind::ReachInCooler,
            Metering::Capillary,
            receiver: false,
            regulator: false,
        );
        foreach (
            [
                Reading::ReceiverLevel,
                Observation::ReceiverFeel,
                Test::ValveBulbWarmed,
                Test::ValveScreen,
                Reading::EvaporatorPressure,
                Reading::FreezeTime,
                Test::CircuitIsolated,
            ] as $key
        ) {
            self::assertFalse($key->taking()->fit->asks($small), $key->value);
        }
        // What is not known may be there.
        $unknown = new Circuit('R-404A');
        foreach (
            [
                Reading::ReceiverLevel,
                Observation::DefrostClock,
                Test::ValveBulbWarmed,
                Observation::RegulatorStem,
            ] as $key
        ) {
            self::assertTrue($key->taking()->fit->asks($unknown), $key->value);
        }
        self::assertTrue(Reading::FreezeTime->taking()->fit->asks(new Circuit('R-404A', Kind::IceMachine)));
    }

    /** @return array{float, float} */
    private static function ends(HouseRules $rules, HouseRule $rule): array
    {
        $band = $rules->band($rule);

        return [$band->low, $band->high];
    }

    public function test_a_school_by_which_something_is_done_otherwise_is_one_of_its_rule(): void
    {
        foreach (Ruling::cases() as $choice) {
            self::assertNotNull($choice->rule()->row()->school($choice->school()), $choice->value);
            $rules = new HouseRules([$choice->rule()->value => $choice->school()]);
            self::assertTrue($rules->follow($choice), $choice->value);
            $isDefault = $choice->rule()->row()->default->id === $choice->school();
            self::assertSame($isDefault, (new HouseRules())->follow($choice), $choice->value);
        }
    }
}
