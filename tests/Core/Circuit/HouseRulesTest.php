<?php

declare(strict_types=1);

namespace Tests\Core\Circuit;

use Metrum\Circuit\Circuit;
use Metrum\Circuit\Design;
use Metrum\Circuit\Fitted;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Kind;
use Metrum\Circuit\Metering;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Test;
use Metrum\Circuit\Wanted;
use PHPUnit\Framework\TestCase;

final class HouseRulesTest extends TestCase
{
    public function test_every_rule_has_schools_with_reasons_and_a_default_among_them(): void
    {
        foreach (HouseRules::all() as $key => $rule) {
            self::assertContains($rule['default'], array_column($rule['schools'], 'id'), $key);
            foreach ($rule['schools'] as $school) {
                self::assertGreaterThan(10, strlen($school['reason']), $key.'/'.$school['id']);
                self::assertLessThanOrEqual($school['band'][1], $school['band'][0]);
            }
        }
    }

    public function test_a_choice_of_school_or_an_own_band_stands_and_names_itself(): void
    {
        self::assertSame([4.5, 6.5], self::ends(new HouseRules(), 'superheat_medium'));
        self::assertSame(
            [6.0, 9.0],
            self::ends(new HouseRules(['superheat_medium' => 'high']), 'superheat_medium'),
        );
        $own = new HouseRules(['superheat_medium' => [3.0, 8.0]]);
        self::assertSame([3.0, 8.0], self::ends($own, 'superheat_medium'));
        self::assertSame('house rule, own figure', $own->band('superheat_medium')->source);
        self::assertNull($own->schoolOf('superheat_medium'));
        self::assertStringStartsWith('house rule: ', (new HouseRules())->band('superheat_medium')->source);
    }

    public function test_a_school_that_no_longer_exists_falls_back_to_the_default(): void
    {
        self::assertSame(
            [4.5, 6.5],
            self::ends(new HouseRules(['superheat_medium' => 'gone']), 'superheat_medium'),
        );
    }

    public function test_an_unknown_rule_is_refused(): void
    {
        $this->expectException(\OutOfBoundsException::class);
        (new HouseRules())->band('colour_of_hoses');
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
            self::assertFalse(Fitted::asks($small, $key), $key->value);
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
            self::assertTrue(Fitted::asks($unknown, $key), $key->value);
        }
        self::assertTrue(Fitted::asks(new Circuit('R-404A', Kind::IceMachine), Reading::FreezeTime));
    }

    /** @return array{float, float} */
    private static function ends(HouseRules $rules, string $rule): array
    {
        $band = $rules->band($rule);

        return [$band->low, $band->high];
    }
}
