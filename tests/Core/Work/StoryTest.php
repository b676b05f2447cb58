<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Exchange\VisitReader;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Band;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\HouseRules;
use Metrum\Language\Sentence;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use Metrum\Twin\Twins;
use Metrum\Work\Assessment;
use Metrum\Work\Charging\ChargeStory;
use Metrum\Work\Charging\ChargingCircumstances;
use Metrum\Work\Desk\Story;
use PHPUnit\Framework\TestCase;

/** What came of the work, as it is told to whoever reads it. */
final class StoryTest extends TestCase
{
    private const FOUND = [
        'ambient_temperature_c' => 26,
        'box_temperature_c' => 2,
        'discharge_pressure_kpa' => 880,
        'condenser_outlet_temperature_c' => 35,
        'suction_pressure_kpa' => 133,
        'suction_temperature_evaporator_c' => 1,
    ];

    public function test_a_move_that_was_not_read_again_says_so_and_what_to_read(): void
    {
        $story = self::story([self::turn(-0.25, 5)]);

        self::assertSame(['Expansion valve ¼ out: not re-read yet.'], self::said($story->outcomes()));
        self::assertSame(['suction pressure', 'suction line at the bulb'], array_slice($story->toRead(), 0, 2));
        self::assertSame([], self::story([])->toRead(), 'nothing was moved');
    }

    public function test_what_came_of_a_move_stands_beside_what_was_foretold(): void
    {
        $story = self::story([self::turn(-0.25, 5), ...self::again(-1)]);
        [$told] = self::said($story->outcomes());

        self::assertMatchesRegularExpression(
            '/^Expansion valve ¼ out: [a-z ]+\. Superheat [a-z ]+ −2\.0 K \(predicted −\d+\.\d K ± \d+\.\d K\)\./u',
            $told,
        );
        self::assertSame([], $story->toRead());
        [$line] = self::said($story->lines());
        self::assertMatchesRegularExpression(
            '/^09:05 Expansion valve ¼ out: [a-z ]+, superheat [a-z ]+ −2\.0 K \(predicted −/u',
            $line,
        );
    }

    public function test_the_same_is_told_in_the_readers_units(): void
    {
        $story = self::story([self::turn(-0.25, 5), ...self::again(-1)]);
        $imperial = new Units(temperature: Unit::Fahrenheit, pressure: Unit::Psi, mass: Unit::Pound);
        [$told] = array_map(static fn (Sentence $one): string => $one->in($imperial), $story->outcomes());

        self::assertStringContainsString('−3.6', $told, 'two kelvin are 3.6 degrees Fahrenheit');
        self::assertDoesNotMatchRegularExpression('/\d K\b/', $told);
    }

    public function test_moves_before_anything_was_read_are_told_together(): void
    {
        $story = self::story([
            ['kind' => 'move', 'key' => 'condenser_washed', 'at' => self::at(5)],
            ['data' => ['forecast' => ['evaporator_superheat_k' => [9.0, -1.0, 0.3]]]] + self::turn(-0.25, 6),
            ...self::again(-1),
        ]);
        $told = implode(' ', self::said($story->outcomes()));

        self::assertStringContainsString(', together with ', $told);
        self::assertStringContainsString('it is not known which one had the effect', $told);
    }

    public function test_why_it_was_moved_all_the_same_and_which_one_stand_in_the_line(): void
    {
        $story = self::story([['subject' => 'coil 2', 'data' => ['overruled' => 'it hunts']] + self::turn(0.5, 5)]);

        self::assertSame(
            ['09:05 Expansion valve of coil 2 ½ in, despite open conditions, because it hunts'],
            self::said($story->lines()),
        );
    }

    public function test_turned_back_is_warned_of_play_and_overshot_of_half_as_far(): void
    {
        $back = self::story([self::turn(-0.25, 5), self::turn(0.25, 30)]);
        $past = self::story([self::turn(-0.25, 5), ...self::again(-4)]);
        $wanted = new Band(4.0, 6.0, 'here');

        self::assertStringContainsString('Direction reversed', implode(' ', self::said(
            $back->warnings(Control::ValveTurn, PartId::circuit(), null),
        )));
        self::assertStringContainsString('go back half as far, then wait', implode(' ', self::said(
            $past->warnings(Control::ValveTurn, PartId::circuit(), $wanted),
        )));
        self::assertSame([], self::story([])->warnings(Control::ValveTurn, PartId::circuit(), $wanted));
        self::assertSame([], $past->warnings(Control::Charge, PartId::circuit(), $wanted), 'nothing is turned');
    }

    public function test_a_response_counts_its_moves(): void
    {
        $one = self::story([self::turn(-0.25, 5), ...self::again(-1)]);

        self::assertStringContainsString(
            'per turn in',
            (string) $one->response(Control::ValveTurn, PartId::circuit())?->in(new Units()),
        );
        self::assertNull(self::story([])->response(Control::ValveTurn, PartId::circuit()));
    }

    public function test_what_a_charge_did_is_said_of_the_readers_mass(): void
    {
        $hand = ChargeHand::cabinet(0.62)->look()->read()->add(0.05, minutes: 2)->wait()->look()->read();
        $response = (new Story($hand->work()))->response(Control::Charge, PartId::circuit());
        self::assertNotNull($response);

        self::assertMatchesRegularExpression(
            '/^Measured here: [−\d.]+ ± [\d.]+ K per 1 kg \(1 change\)/u',
            $response->in(new Units()),
        );
        self::assertStringContainsString(' K per 2.2 lb (1 change)', $response->in(new Units(mass: Unit::Pound)));
    }

    public function test_a_charge_is_told_with_what_is_missing_and_where_the_knee_is(): void
    {
        $hand = ChargeHand::cabinet(0.62)->look()->read();
        $told = self::charge($hand)->missing()->in(new Units());

        self::assertMatchesRegularExpression('/^Twin estimate: \d+ g ± \d+ g short \(\d+ % of the charge\)\.$/', $told);
        self::assertNull(self::charge($hand)->knee(), 'nothing was added yet');
        $full = self::charge(ChargeHand::cabinet(1.0)->look()->read())->missing()->in(new Units());
        self::assertStringStartsWith('Twin estimate: charge is correct within', $full);
    }

    private static function charge(ChargeHand $hand): ChargeStory
    {
        $assessment = $hand->work();
        $charging = $assessment->charging(PartId::circuit());

        return new ChargeStory($assessment, $charging, new ChargingCircumstances($assessment, $charging));
    }

    /** @param  list<array<string, mixed>>  $log  after what was found */
    private static function story(array $log): Story
    {
        $file = VisitReader::visit(json_encode([
            'format' => 'metrum-visit',
            'version' => 1,
            'taken_at' => self::at(0),
            'system' => [
                'kind' => 'walk_in_cooler',
                'refrigerant' => 'R-134a',
                'metering' => 'txv',
                'receiver' => true,
            ],
            'design' => ['box_set_point_c' => 2],
            'state' => 'running_settled',
            'log' => [...self::read(self::FOUND, 1), ...$log],
        ], JSON_THROW_ON_ERROR));
        self::assertNotNull($file->told);

        return new Story(new Assessment($file->told, new HouseRules(), new Twins()));
    }

    /** @return array<string, mixed> */
    private static function turn(float $turns, int $minute): array
    {
        return ['kind' => 'move', 'key' => 'valve_turn', 'value' => $turns, 'at' => self::at($minute)];
    }

    /** @return list<array<string, mixed>> the coil's outlet read again when the clock has run down */
    private static function again(float $celsius): array
    {
        return self::read(['suction_pressure_kpa' => 133, 'suction_temperature_evaporator_c' => $celsius], 40);
    }

    /**
     * @param  array<string, float|int>  $readings
     * @return list<array<string, mixed>>
     */
    private static function read(array $readings, int $minute): array
    {
        return array_map(
            static fn (string $key, float|int $value): array => [
                'kind' => 'reading',
                'key' => $key,
                'value' => $value,
                'at' => self::at($minute),
            ],
            array_keys($readings),
            $readings,
        );
    }

    private static function at(int $minute): string
    {
        return sprintf('2026-07-01T09:%02d:00Z', $minute);
    }

    /**
     * @param  list<Sentence>  $sentences
     * @return list<string>
     */
    private static function said(array $sentences): array
    {
        return array_map(static fn (Sentence $one): string => $one->in(new Units()), $sentences);
    }
}
