<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Card\Card;
use Metrum\Card\Cards;
use Metrum\Installation\Circuit;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Prerequisite;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the cards of refrigerant, recovery and leaks come to: each of their words and limits, in its direction. */
final class RefrigerantCardsTest extends TestCase
{
    private const RECOVERY = [
        'bottle' => 'same',
        'tested' => 'yes',
        'before' => 12.0,
        'limit' => 30.0,
        'opened' => 'yes',
        'after' => 15.5,
        'low' => 5.0,
        'minutes' => 10.0,
        'off' => 'yes',
    ];

    private const NITROGEN = [
        'recovered' => 'noted',
        'gas' => 'nitrogen',
        'regulator' => 'fitted',
        'plate' => 1200.0,
        'set' => 1000.0,
        'at' => 1000.0,
        'air_then' => 20.0,
        'after' => 998.0,
        'air_after' => 20.0,
    ];

    private const CORE = [
        'near' => 'cool',
        'pressure' => 300.0,
        'tool' => 'yes',
        'oiled' => 'yes',
        'torque' => 0.45,
        'bubbled' => 'tight',
    ];

    private const KNEE = [
        'scale' => 'free',
        'hoses' => 'low_loss',
        'leaves' => 'liquid',
        'suction_pressure_kpa' => 150.0,
        'suction_temperature_evaporator_c' => 6.0,
        'discharge_pressure_kpa' => 900.0,
        'condenser_outlet_temperature_c' => 37.0,
    ];

    private const RECEIVER = [
        'scale' => 'free',
        'hoses' => 'low_loss',
        'leaves' => 'liquid',
        'sight_glass' => 'bubbles',
        'discharge_pressure_kpa' => 1500.0,
        'receiver_outlet_temperature_c' => 33.0,
        'cold' => 'proven',
    ];

    private const PILOT = [
        'serves' => 'one',
        'ends' => 'both',
        'held' => 'yes',
        'insert' => 'yes',
        'open' => 'yes',
        'bubbled' => 'tight',
    ];

    private const WINTER = [
        'stands' => 'outdoors',
        'coldest' => -14.0,
        'split' => 10.0,
        'volume' => 7.0,
        'ambient_temperature_c' => 12.0,
        'running' => 100.0,
    ];

    private const FILL = [
        'small' => 'small',
        'whole' => 6.0,
        'receiver' => 10.0,
        'down' => 'yes',
        'level' => 60.0,
        'open' => 'yes',
        'mark' => 'yes',
    ];

    /** @return iterable<string, array{string, array<string, float|string>, string, string}> */
    public static function ends(): iterable
    {
        $of = static fn (string $card, array $usual, array $other, string $end, string $says): array => [
            $card,
            array_replace($usual, $other),
            $end,
            $says,
        ];
        yield 'recovered' => $of('recovery', self::RECOVERY, [], 'done', 'Log it as recovered, with its cylinder');
        yield 'another refrigerant in the bottle' => $of(
            'recovery',
            self::RECOVERY,
            ['bottle' => 'other'],
            'mixed',
            'One refrigerant',
        );
        yield 'a bottle over its limit' => $of(
            'recovery',
            self::RECOVERY,
            ['after' => 31.0],
            'full',
            'over the limit of 30.00 kg',
        );
        yield 'pressure that comes back' => $of(
            'recovery',
            self::RECOVERY,
            ['low' => 60.0],
            'again',
            'Recover once more',
        );
        yield 'read too soon' => $of('recovery', self::RECOVERY, ['minutes' => 2.0], 'early', 'since it was stopped');
        yield 'oxygen' => $of('nitrogen_test', self::NITROGEN, ['gas' => 'oxygen'], 'oxygen', 'explode');
        yield 'air' => $of('nitrogen_test', self::NITROGEN, ['gas' => 'air'], 'air', 'Dry nitrogen only');
        yield 'refrigerant still in it' => $of(
            'nitrogen_test',
            self::NITROGEN,
            ['recovered' => 'still_in'],
            'first_recover',
            'Recover, weigh',
        );
        yield 'past the plate' => $of(
            'nitrogen_test',
            self::NITROGEN,
            ['at' => 1300.0],
            'over',
            'Release it now and check the nitrogen regulator',
        );
        yield 'tight' => $of('nitrogen_test', self::NITROGEN, [], 'holds', 'corrected for temperature');
        yield 'colder and evacuate' => $of(
            'nitrogen_test',
            self::NITROGEN,
            ['air_after' => 10.0, 'after' => 960.0],
            'holds',
            'evacuate',
        );
        yield 'it leaks' => $of('nitrogen_test', self::NITROGEN, ['after' => 900.0], 'leaks', 'it leaks');
        yield 'core changed' => $of('core_change', self::CORE, [], 'done', 'Re-test after hours at running pressure');
        yield 'a core fused by heat' => $of('core_change', self::CORE, ['near' => 'hot'], 'fused', 'another port');
        yield 'a port in vacuum' => $of('core_change', self::CORE, ['pressure' => -20.0], 'vacuum', 'air would go in');
        yield 'a core finger-tight' => $of('core_change', self::CORE, ['torque' => 0.2], 'loose', 'finger-tight');
        yield 'a core that still leaks' => $of('core_change', self::CORE, ['bubbled' => 'leaks'], 'leaks', 'cap');
        yield 'to the knee' => $of(
            'charge_by_knee',
            self::KNEE,
            [],
            'go',
            'Superheat may rise at first while the condenser fills',
        );
        yield 'a hose that touches' => $of(
            'charge_by_knee',
            self::KNEE,
            ['scale' => 'touching'],
            'scale',
            'Let it hang free and re-zero',
        );
        yield 'air in the hose' => $of(
            'charge_by_knee',
            self::KNEE,
            ['hoses' => 'neither'],
            'hoses',
            'Air in the hose ends up in the condenser',
        );
        yield 'a bubbling glass' => $of('charge_with_receiver', self::RECEIVER, [], 'go', 'expect bubbles again');
        yield 'winter not proven' => $of(
            'charge_with_receiver',
            self::RECEIVER,
            ['cold' => 'open'],
            'winter',
            'The winter charge is calculated separately',
        );
        yield 'a receiver that is full' => $of(
            'charge_with_receiver',
            self::RECEIVER,
            ['receiver_level_percent' => 85.0],
            'full',
            'Receiver level',
        );
        yield 'a pilot line' => $of('pilot_line', self::PILOT, [], 'done', 'Tight at both ends');
        yield 'a pilot line that is not isolated' => $of(
            'pilot_line',
            self::PILOT,
            ['ends' => 'one'],
            'not_isolated',
            'Isolate both ends, or recover',
        );
        yield 'a pilot line that serves more' => $of(
            'pilot_line',
            self::PILOT,
            ['serves' => 'more'],
            'others',
            'serves others too',
        );
        yield 'a heated room' => $of(
            'winter_charge',
            self::WINTER,
            ['stands' => 'heated'],
            'heated',
            'no winter charge',
        );
        yield 'winter on top' => $of('winter_charge', self::WINTER, [], 'add', 'above a clear sight glass');
        yield 'as cold as it gets' => $of(
            'winter_charge',
            self::WINTER,
            ['ambient_temperature_c' => -14.0],
            'none',
            'a clear sight glass now also confirms the winter charge',
        );
        yield 'filled to its mark' => $of('winter_fill', self::FILL, ['level' => 77.0], 'right', 'at its mark');
        yield 'right at its mark' => $of('winter_fill', self::FILL, ['level' => 75.0], 'right', 'at its mark');
        yield 'right at the ceiling' => $of('winter_fill', self::FILL, ['level' => 80.0], 'right', 'at its mark');
        yield 'over the ceiling' => $of('winter_fill', self::FILL, ['level' => 84.0], 'over', 'recover some');
        yield 'below its mark' => $of('winter_fill', self::FILL, [], 'fill', 'add in steps and find the level again');
        yield 'too large for a mark' => $of('winter_fill', self::FILL, ['small' => 'large'], 'large', 'overcharges');
        $blend = ['glides' => 'yes', 'phase' => 'vapour', 'lost' => 50.0, 'times' => 0.0];
        yield 'half a blend lost as vapour' => $of('zeotrope_leak', $blend, [], 'recharge', 'Recover all');
        yield 'half a blend lost as liquid' => $of(
            'zeotrope_leak',
            $blend,
            ['phase' => 'liquid'],
            'top_up',
            '% lost changes it little',
        );
        yield 'a quarter lost as vapour' => $of('zeotrope_leak', $blend, ['lost' => 25.0], 'watch', 'top up as liquid');
        yield 'topped up again and again' => $of(
            'zeotrope_leak',
            $blend,
            ['lost' => 5.0, 'times' => 5.0],
            'often',
            'each loss changed it further',
        );
        yield 'a single fluid' => $of(
            'zeotrope_leak',
            $blend,
            ['glides' => 'no'],
            'single',
            'Composition cannot change',
        );
        $pulses = ['compressor' => 'running', 'suction_pressure_kpa' => 200.0, 'suction' => 260.0, 'gas' => 9.0];
        yield 'pulses as they should be' => $of('liquid_into_suction', $pulses, [], 'right', 'is normal');
        yield 'pulses near the floor' => $of('liquid_into_suction', $pulses, ['gas' => 5.0], 'fast', 'Shorter pulses');
        yield 'pulses that are wet' => $of(
            'liquid_into_suction',
            $pulses,
            ['gas' => 1.0],
            'wet',
            'Close the hose valve, wait, then use shorter pulses',
        );
        yield 'a compressor that stands' => $of(
            'liquid_into_suction',
            $pulses,
            ['compressor' => 'will_not_start'],
            'stands',
            'liquid charged now will damage it at start-up',
        );
        $scale = ['floor' => 'yes', 'hose' => 'free', 'stands' => 'right', 'first' => 15.0, 'second' => 15.01];
        yield 'a scale to be trusted' => $of('scale', $scale, [], 'right', 'use it as the weight before');
        yield 'a hose that pulls' => $of('scale', $scale, ['hose' => 'pulls'], 'pulls', 'free in a loop');
        yield 'a cylinder the other way' => $of(
            'scale',
            $scale,
            ['stands' => 'other'],
            'turned',
            'charge a blend as liquid',
        );
        yield 'a scale that moves' => $of('scale', $scale, ['second' => 15.2], 'moves', '200 g');
        $raise = ['side' => 'low', 'at' => 20.0, 'how' => 'solenoid', 'then' => 420.0];
        yield 'pressure enough' => $of('raise_pressure', $raise, [], 'enough', 'detector and bubbles');
        yield 'pressure for large leaks' => $of(
            'raise_pressure',
            $raise,
            ['then' => 200.0],
            'some',
            'small ones may not',
        );
        yield 'pressure too low' => $of('raise_pressure', $raise, ['then' => 60.0], 'low', 'only after recovery');
        $find = ['by' => 'detector', 'bubble' => 'grows', 'mended' => 'now', 'again' => 'tight'];
        yield 'found and mended' => $of('leak_confirm', $find, [], 'mended', 'after hours');
        yield 'mended in vain' => $of('leak_confirm', $find, ['again' => 'leaks'], 'still', 'another way');
        yield 'no bubble' => $of(
            'leak_confirm',
            ['by' => 'detector', 'bubble' => 'none'],
            [],
            'false',
            'The place counts as searched',
        );
        yield 'out of reach' => $of(
            'leak_confirm',
            ['by' => 'detector', 'bubble' => 'not_reached'],
            [],
            'unproven',
            'uncovered',
        );
        $weigh = ['empty' => 'evacuated', 'plate' => 3.0, 'hoses' => 'low_loss', 'leaves' => 'liquid'];
        yield 'by weight' => $of('charge_by_weight', $weigh, [], 'weigh_in', 'Charge');
        yield 'by weight with longer lines' => $of(
            'charge_by_weight',
            $weigh,
            ['line' => 0.4],
            'weigh_in',
            'Charge',
        );
        yield 'something still in it' => $of(
            'charge_by_weight',
            $weigh,
            ['empty' => 'partly'],
            'not_empty',
            'Recover and weigh it first, or charge by readings',
        );
        $capillary = ['plate' => 0.12, 'before' => 'evacuated', 'hoses' => 'low_loss', 'leaves' => 'liquid'];
        yield 'a capillary' => $of('charge_capillary', $capillary, [], 'weigh_in', '120 g');
        yield 'a capillary topped up' => $of(
            'charge_capillary',
            $capillary,
            ['before' => 'topped'],
            'topped',
            'Recover, evacuate, weigh in',
        );
        $cap = ['cap' => 'yes', 'bubbled' => 'tight'];
        yield 'a fused core, sealed' => $of('fused_core', $cap, [], 'kept', 'next recovery');
        yield 'a fused core that leaks' => $of('fused_core', $cap, ['bubbled' => 'leaks'], 'leaks', 'isolate');
        $licence = ['who' => 'mine', 'tools' => 'rated', 'place' => 'aired'];
        yield 'Licence and tools' => $of(
            'licence_and_tools',
            $licence,
            [],
            'confirmed',
            'Licence, tools and work area confirmed for this visit',
        );
        yield 'no licence' => $of(
            'licence_and_tools',
            $licence,
            ['who' => 'none'],
            'no_licence',
            'Call a licensed technician',
        );
        yield 'other tools' => $of(
            'licence_and_tools',
            $licence,
            ['tools' => 'others'],
            'no_tools',
            'Leave the circuit closed until tools for this class are here',
        );
        yield 'not aired' => $of(
            'licence_and_tools',
            $licence,
            ['place' => 'not_yet'],
            'not_aired',
            'Ventilate and remove ignition sources first',
        );
        $back = ['recovered' => 9.0, 'summer' => 6.0, 'winter' => 2.5, 'receiver' => 14.0];
        yield 'weighed back' => $of('winter_weigh', $back, [], 'back', 'The receiver holds');
        yield 'more than the receiver holds' => $of(
            'winter_weigh',
            $back,
            ['winter' => 9.0],
            'cannot',
            'cannot be pumped down',
        );
    }

    /** @param  array<string, float|string>  $answers */
    #[DataProvider('ends')]
    public function test_each_answer_leads_where_it_should(string $key, array $answers, string $end, string $says): void
    {
        $card = self::card($key);
        $walker = new CardWalker($card, self::circuitFor($card));
        foreach ($card->steps as $step) {
            if (isset($answers[$step->key])) {
                $walker->answer($step->key, $answers[$step->key]);
            }
        }
        $run = $walker->run();
        $outcome = $run->outcome();

        self::assertNotNull($outcome);
        self::assertSame($end, $outcome->key);
        self::assertStringContainsString($says, $run->says($outcome));
    }

    /** One that a card is for, of whose plate nothing is known. */
    private static function circuitFor(Card $card): Circuit
    {
        $words = ['kind' => 'walk_in_cooler', 'refrigerant' => 'R-448A', 'metering' => 'txv', 'receiver' => true];
        $other = ['kind' => 'reach_in_cooler', 'refrigerant' => 'R-134a', 'metering' => 'txv', 'receiver' => false];
        $capillary = ['metering' => 'capillary'] + $other;
        foreach ([$words, $other, $capillary] as $one) {
            $circuit = Circuit::fromWords($one, []);
            if ($card->fit->asks($circuit)) {
                return $circuit;
            }
        }
        self::fail('no plant for '.$card->key);
    }

    /** @return iterable<string, array{string}> */
    public static function opening(): iterable
    {
        $opens = ['charge_by_weight', 'charge_by_knee', 'charge_with_receiver', 'charge_capillary', 'recovery'];
        $more = ['evacuation', 'core_change', 'nitrogen_test', 'pilot_line', 'leak_search', 'leak_confirm', 'scale'];
        $winter = ['winter_charge', 'winter_fill', 'winter_weigh', 'liquid_into_suction', 'zeotrope_leak'];
        foreach ([...$opens, ...$more, ...$winter, 'raise_pressure'] as $key) {
            yield $key => [$key];
        }
    }

    #[DataProvider('opening')]
    public function test_what_opens_the_circuit_asks_for_licence_and_tools(string $key): void
    {
        $card = self::card($key);

        self::assertContains(Prerequisite::Licence, $card->gates);
        foreach ($card->cautions as $caution) {
            self::assertNotSame('', $caution);
        }
    }

    public function test_charging_by_what_is_seen_asks_for_the_gate_and_by_weight_does_not(): void
    {
        self::assertContains(Prerequisite::MayCharge, self::card('charge_by_knee')->gates);
        self::assertContains(Prerequisite::MayCharge, self::card('charge_with_receiver')->gates);
        self::assertNotContains(Prerequisite::MayCharge, self::card('charge_by_weight')->gates);
        self::assertContains(Fault::WinterUndercharge, self::card('winter_charge')->suspects);
    }

    private static function card(string $key): Card
    {
        return Cards::find($key) ?? self::fail('no card '.$key);
    }
}
