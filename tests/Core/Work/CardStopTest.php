<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Card\Card;
use Metrum\Card\Cards;
use Metrum\Installation\Circuit;
use Metrum\Knowledge\HouseRules;
use Metrum\Log\FactKind;
use Metrum\Work\Cards\BegunCards;
use Metrum\Work\OpenTouches;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What stops a piece of work stops it at once: before the next hand's turn, not at the end of the card. */
final class CardStopTest extends TestCase
{
    private const SURE = ['scale' => 'free', 'hoses' => 'low_loss'];

    /**
     * @return iterable<string, array{string, array<string, float|string|list<float>>, string, string, 4?: array<string,
     *     string>, 5?: string}> card, answers so far, stop, a step behind it, house rules, refrigerant
     */
    public static function stops(): iterable
    {
        yield 'oxygen' => ['nitrogen_test', ['recovered' => 'noted', 'gas' => 'oxygen'], 'oxygen', 'at'];
        yield 'compressed air' => ['nitrogen_test', ['recovered' => 'noted', 'gas' => 'air'], 'air', 'at'];
        yield 'refrigerant still in it' => ['nitrogen_test', ['recovered' => 'still_in'], 'first_recover', 'gas'];
        yield 'no regulator' => [
            'nitrogen_test',
            ['recovered' => 'noted', 'gas' => 'nitrogen', 'regulator' => 'none'],
            'no_regulator',
            'at',
        ];
        $nitrogen = ['recovered' => 'noted', 'gas' => 'nitrogen', 'regulator' => 'fitted', 'plate' => 1200];
        yield 'a regulator set past the plate' => ['nitrogen_test', $nitrogen + ['set' => 1500], 'over_set', 'at'];
        yield 'a pressure past the plate' => [
            'nitrogen_test',
            $nitrogen + ['set' => 1100, 'at' => 1300],
            'over',
            'after',
        ];
        yield 'a receiver warmed without its plate' => ['receiver_level', ['how' => 'warmed'], 'no_plate', 'wall'];
        yield 'a wall too hot' => [
            'receiver_level',
            ['plug' => 72, 'how' => 'warmed', 'wall' => [38, 47]],
            'too_hot',
            'receiver_level_percent',
        ];
        yield 'a fused core' => ['core_change', ['near' => 'hot'], 'fused', 'tool'];
        yield 'a port below the atmosphere' => ['core_change', ['near' => 'cool', 'pressure' => -5], 'vacuum', 'tool'];
        yield 'another refrigerant in the bottle' => ['recovery', ['bottle' => 'other'], 'mixed', 'opened'];
        $bottle = ['bottle' => 'same', 'tested' => 'yes', 'before' => 20];
        yield 'a bottle that is full' => ['recovery', $bottle + ['limit' => 18], 'full_before', 'opened'];
        yield 'a bottle over its limit' => [
            'recovery',
            $bottle + ['limit' => 28, 'opened' => 'yes', 'after' => 29],
            'full',
            'low',
        ];
        yield 'a pilot line open at one end' => [
            'pilot_line',
            ['serves' => 'one', 'ends' => 'one'],
            'not_isolated',
            'held',
        ];
        yield 'a large plant filled by its mark' => ['winter_fill', ['small' => 'large'], 'large', 'down'];
        yield 'a charge that does not fit' => [
            'winter_fill',
            ['small' => 'small', 'whole' => 40, 'receiver' => 10],
            'cannot',
            'down',
        ];
        yield 'weighing in onto what is there' => ['charge_by_weight', ['empty' => 'partly'], 'not_empty', 'leaves'];
        yield 'a capillary topped up' => [
            'charge_capillary',
            ['plate' => 0.2, 'before' => 'topped'],
            'topped',
            'leaves',
        ];
        yield 'air in the hoses' => [
            'charge_by_weight',
            ['empty' => 'evacuated', 'hoses' => 'neither'],
            'hoses',
            'leaves',
        ];
        yield 'hoses bled against the rule' => [
            'charge_by_weight',
            ['empty' => 'evacuated', 'plate' => 3, 'hoses' => 'bled'],
            'bled',
            'leaves',
        ];
        yield 'a blend as vapour' => [
            'charge_with_receiver',
            self::SURE + ['leaves' => 'vapour'],
            'blend_as_vapour',
            'cold',
        ];
        yield 'vapour against the rule' => [
            'charge_with_receiver',
            self::SURE + ['leaves' => 'vapour'],
            'always_liquid',
            'cold',
            ['liquid_or_vapour' => 'liquid'],
            'R-134a',
        ];
        yield 'a full receiver' => [
            'charge_with_receiver',
            self::SURE + ['leaves' => 'liquid', 'sight_glass' => 'bubbles', 'receiver_level_percent' => 88],
            'full',
            'cold',
        ];
        foreach (['will_not_start', 'off_on_low_pressure', 'off_on_thermostat', 'short_cycling'] as $word) {
            yield "liquid into one that is $word" => ['liquid_into_suction', ['compressor' => $word], 'stands', 'gas'];
        }
        yield 'liquid that comes back' => [
            'liquid_into_suction',
            ['compressor' => 'running', 'suction' => 260, 'suction_pressure_kpa' => 200, 'gas' => 1],
            'wet',
            '',
        ];
        $pump = ['kind' => 'piston', 'stem' => 'sound', 'shut' => 'yes'];
        yield 'deeper than the rule lets it' => [
            'pump_down_floor',
            $pump + ['fall' => [80, 30, 9]],
            'too_deep',
            'took',
        ];
        yield 'longer than the rule lets it' => [
            'pump_down_floor',
            $pump + ['fall' => [90, 80, 75, 72, 70, 69, 68]],
            'too_long',
            'took',
        ];
        yield 'a scroll into vacuum' => [
            'pump_down_floor',
            ['kind' => 'scroll'],
            'scroll',
            'shut',
            ['vacuum_floor' => 'short'],
        ];
        yield 'leak-back of a scroll' => ['leak_back', ['kind' => 'scroll'], 'not_for_it', 'seat'];
        yield 'blow-by of a scroll' => ['blow_by', ['kind' => 'scroll'], 'not_for_it', 'seat'];
        foreach (['thaw' => 'off', 'wash_test' => 'off'] as $card => $behind) {
            $before = $card === 'thaw' ? [] : self::WASH;
            yield "$card: live parts" => [
                $card,
                $before + ['switch' => 'alone', 'isolated' => 'not_yet'],
                'live',
                $behind,
            ];
            yield "$card: others on the switch" => [
                $card,
                $before + ['switch' => 'more', 'shared' => 'may_not'],
                'others',
                $behind,
            ];
        }
        yield 'leads on live parts' => [
            'solenoid',
            ['pull' => 'no', 'switch' => 'alone', 'isolated' => 'not_yet'],
            'live',
            'volts',
        ];
    }

    private const WASH = ['condenser_face' => 'dirty', 'discharge_pressure_kpa' => 1400, 'ambient_temperature_c' => 25];

    /**
     * @param  array<string, float|string|list<float>>  $answers
     * @param  array<string, string>  $rules
     */
    #[DataProvider('stops')]
    public function test_it_stops_at_once_and_what_is_behind_stays_shut(
        string $key,
        array $answers,
        string $stop,
        string $behind,
        array $rules = [],
        string $refrigerant = '',
    ): void {
        $walker = self::walker($key, $rules, $refrigerant)->all($answers);
        $run = $walker->run();

        self::assertSame($stop, $run->stop()?->key());
        self::assertSame($stop, $run->outcome()?->key, 'it is what the card comes to');
        $step = $behind === '' ? null : $run->card->step($behind);
        self::assertSame($behind === '', $step === null);
        self::assertTrue($step === null || $run->isShut($step));
        self::assertStringContainsString($run->stop()->does, $run->says($run->outcome()));
        self::assertStringNotContainsString('not known', $run->says($run->outcome()));
        $last = array_key_last($answers);
        self::assertNull(
            self::walker($key, $rules, $refrigerant)->all(array_slice($answers, 0, -1))->run()->stop(),
            "only $last stops it",
        );
    }

    public function test_a_step_behind_one_that_may_stop_is_shut_until_that_is_answered(): void
    {
        $walker = self::walker('nitrogen_test');
        $at = $walker->run()->card->step('at');
        self::assertNotNull($at);
        self::assertTrue($walker->run()->isShut($at));
        self::assertSame('recovered', $walker->run()->awaited()?->key);
        $walker->all(['recovered' => 'noted', 'gas' => 'nitrogen', 'regulator' => 'fitted', 'plate' => 1200]);
        self::assertTrue($walker->run()->isShut($at), 'the setting of the regulator comes first');
        self::assertFalse($walker->answer('set', 1000)->run()->isShut($at));
    }

    public function test_what_was_touched_before_a_stop_can_be_put_back(): void
    {
        $walker = self::walker('recovery')->all(
            ['bottle' => 'same', 'tested' => 'yes', 'before' => 20, 'limit' => 28, 'opened' => 'yes', 'after' => 29],
        );
        $off = $walker->run()->card->step('off');
        self::assertNotNull($off);
        self::assertFalse($walker->run()->isShut($off));
        self::assertSame(['solenoid held open by a magnet'], OpenTouches::of($walker->log())->keys());
        self::assertSame([], OpenTouches::of($walker->answer('off')->log())->keys());
        self::assertSame('full', $walker->run()->stop()?->key(), 'put back it is stopped all the same');
    }

    public function test_put_right_and_answered_anew_it_goes_on(): void
    {
        $walker = self::walker('nitrogen_test')->all(['recovered' => 'noted', 'gas' => 'oxygen'])->end();
        self::assertSame('oxygen', $walker->run()->progress->done()?->content->word);
        self::assertCount(1, BegunCards::of($walker->log())->stopped());

        $walker->answer('gas', 'nitrogen');
        self::assertNull($walker->run()->stop());
        self::assertSame('regulator', $walker->nextKey());
        self::assertCount(1, BegunCards::of($walker->log())->open());
    }

    public function test_a_reason_passes_a_house_rule_and_never_what_harms(): void
    {
        $bled = ['empty' => 'evacuated', 'plate' => 3, 'hoses' => 'bled'];
        $walker = self::walker('charge_by_weight')->all($bled);
        self::assertTrue($walker->run()->stop()?->canBePassed);
        $walker->say(FactKind::Card, 'charge_by_weight.passed', word: 'bled');
        self::assertNull($walker->run()->stop());
        self::assertSame('leaves', $walker->nextKey());

        foreach (Cards::all() as $card) {
            foreach ($card->stops() as $stop) {
                $isOfHouse = in_array($stop->key(), ['bled', 'always_liquid', 'does_not_fit', 'others'], true);
                self::assertTrue($isOfHouse || ! $stop->canBePassed, "$card->key: {$stop->key()}");
            }
        }
    }

    public function test_where_the_house_warms_nothing_no_warmth_is_offered(): void
    {
        $keys = static fn (CardWalker $one): array => array_map(
            static fn ($step): string => $step->key,
            $one->run()->steps(),
        );
        self::assertContains('how', $keys(self::walker('receiver_level')));
        $cold = $keys(self::walker('receiver_level', ['receiver_heat' => 'none']));
        self::assertNotContains('how', $cold);
        self::assertNotContains('wall', $cold);
        self::assertContains('receiver_level_percent', $cold);
    }

    public function test_a_card_left_without_result_is_open_no_more(): void
    {
        $walker = self::walker('leak_back')->answer('kind', 'piston')->answer('seat');
        self::assertCount(1, BegunCards::of($walker->log())->open());
        $walker->say(FactKind::Card, 'leak_back.no_result', word: 'yes');
        self::assertSame([], BegunCards::of($walker->log())->open());
        $open = OpenTouches::of($walker->log())->keys();
        self::assertSame(['suction service valve'], $open, 'what is touched stays so');
    }

    /** @param  array<string, string>  $rules */
    private static function walker(string $key, array $rules = [], string $refrigerant = ''): CardWalker
    {
        $card = Cards::find($key);
        assert($card instanceof Card);
        $words = ['kind' => 'walk_in_cooler', 'refrigerant' => $refrigerant ?: 'R-448A', 'metering' => 'txv'];
        $receiver = $words + ['receiver' => true];
        $capillary = ['metering' => 'capillary', 'receiver' => false, 'refrigerant' => 'R-134a'] + $words;
        $circuit = Circuit::fromWords($card->fit->asks(Circuit::fromWords($receiver, [])) ? $receiver : $capillary, []);

        return new CardWalker($card, $circuit, new HouseRules($rules));
    }
}
