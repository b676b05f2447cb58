<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Card\Card;
use Metrum\Card\Cards;
use Metrum\Card\Origin;
use Metrum\Card\Ref;
use Metrum\Card\Step;
use Metrum\Card\StepKind;
use Metrum\Diagnosis\Cautions;
use Metrum\Findings\DerivedFigure;
use Metrum\Installation\Circuit;
use Metrum\Installation\CircuitWriter;
use Metrum\Installation\DesignKey;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every card of data/cards can be worked to each of its ends, and says then what it has to say. */
final class CardsTest extends TestCase
{
    private const TRIES = 900;

    /** Ends that chance seldom meets: R-134a in a cooler of 2 °C, or air of −1 °C from a coil at 128.5 kPa. */
    private const MET_SELDOM = [
        'head_control' => [
            [
                'has' => 'valve',
                'ambient_temperature_c' => -10,
                'discharge_pressure_kpa' => 660,
                'condenser_outlet_temperature_c' => -14,
                'receiver_outlet_temperature_c' => 29,
                'head_pressure_valve_bypass_line' => 'hot',
                'sight_glass' => 'clear',
                'split' => 12,
            ],
        ],
        'regulator_check' => [
            ['regulator_stem' => 'automatic', 'solenoid' => 'none', 'coil' => 290, 'header' => 286, 'wanted' => 310],
        ],
        'heater_legs' => [
            [
                'phases' => 'three',
                'defrost' => 'yes',
                'heater_rated_current_a' => 10,
                'first' => 0,
                'second' => 0,
                'third' => 0,
                'ended' => 'yes',
            ],
            [
                'phases' => 'three',
                'defrost' => 'yes',
                'heater_rated_current_a' => 10,
                'first' => 8.7,
                'second' => 0,
                'third' => 8.7,
                'volts' => 'all',
                'ended' => 'yes',
            ],
        ],
        'nitrogen_test' => [
            [
                'recovered' => 'noted',
                'gas' => 'nitrogen',
                'regulator' => 'fitted',
                'plate' => 1200,
                'set' => 1000,
                'at' => 1300,
            ],
        ],
        'pump_down_floor' => [
            ['kind' => 'piston', 'stem' => 'sound', 'shut' => 'yes', 'fall' => [90, 80, 75, 72, 70, 69, 68, 67]],
        ],
        'scale' => [
            ['floor' => 'yes', 'hose' => 'free', 'stands' => 'right', 'first' => 15.0, 'second' => 15.01],
        ],
        'regulator_air' => [
            self::REGULATOR + ['evaporator_pressure_kpa' => 128.5, 'cases' => 'one'],
            self::REGULATOR + ['evaporator_pressure_kpa' => 160, 'cases' => 'one'],
            self::REGULATOR + ['evaporator_pressure_kpa' => 160, 'cases' => 'several'],
        ],
        'charge_with_receiver' => [
            self::RECEIVER + ['receiver_outlet_temperature_c' => 20, 'receiver_level_percent' => 40, 'cold' => 'open'],
        ],
        'core_change' => [
            [
                'near' => 'cool',
                'pressure' => 200,
                'tool' => 'yes',
                'oiled' => 'yes',
                'torque' => 0.2,
                'bubbled' => 'tight',
            ],
        ],
        'evacuation' => [
            ['cores' => 'yes', 'level' => 0.05, 'hold' => [0.05, 0.09, 0.13, 0.17, 0.21]],
            ['cores' => 'yes', 'level' => 0.05, 'hold' => [0.05, 0.16, 0.19, 0.195, 0.2]],
            ['cores' => 'yes', 'level' => 0.05, 'hold' => [0.05, 0.055, 0.06, 0.062, 0.063]],
        ],
        'low_pressure_thermostat' => [
            self::THERMOSTAT + ['low_cut_in_kpa' => 280],
            self::THERMOSTAT + ['low_cut_in_kpa' => 232],
        ],
        'low_pressure_pump_down' => [
            ['low_cut_out_kpa' => 20, 'differential' => 120] + self::PUMP_DOWN,
            ['low_cut_out_kpa' => 10, 'differential' => 120] + self::PUMP_DOWN,
            ['low_cut_out_kpa' => 20, 'differential' => 60] + self::PUMP_DOWN,
            ['low_cut_out_kpa' => 20, 'low_cut_in_kpa' => 150, 'differential' => 120] + self::PUMP_DOWN,
        ],
    ];

    private const RECEIVER = [
        'scale' => 'free',
        'hoses' => 'low_loss',
        'leaves' => 'liquid',
        'sight_glass' => 'clear',
        'discharge_pressure_kpa' => 1500,
    ];

    private const REGULATOR = [
        'regulator_stem' => 'automatic',
        'solenoid' => 'none',
        'wanted' => -1,
        'supply_air_temperature_c' => 0,
        'header' => 80,
    ];

    private const PUMP_DOWN = [
        'low_cut_in_kpa' => 80,
        'coldest' => 0,
        'margin' => 2,
        'envelope' => -40,
        'drop' => 5,
    ];

    private const THERMOSTAT = ['low_cut_out_kpa' => 128, 'span' => 3, 'td' => 6, 'drop' => 10];

    /** Longest key that the log's table holds. */
    private const LONGEST_KEY = 48;

    /** @return iterable<string, array{string}> */
    public static function cards(): iterable
    {
        foreach (array_keys(Cards::all()) as $key) {
            yield $key => [$key];
        }
    }

    #[DataProvider('cards')]
    public function test_each_end_of_a_card_can_be_reached_and_told(string $key): void
    {
        $card = self::card($key);
        $chance = new Chance(crc32($key));
        $open = array_fill_keys(array_map(static fn ($one): string => $one->key, $card->ends()), true);
        $known = self::MET_SELDOM[$key] ?? [];
        for ($i = 0; $i < self::TRIES && $open !== []; $i++) {
            $walker = isset($known[$i])
                ? (new CardWalker($card))->all($known[$i])
                : self::workedAtRandom($card, $chance);
            $run = $walker->run();
            $outcome = $run->outcome();
            if ($outcome !== null && isset($open[$outcome->key])) {
                unset($open[$outcome->key]);
                self::assertStringNotContainsString('not known', $run->says($outcome), $key.' '.$outcome->key);
                $run->done();
            }
        }
        self::assertSame([], array_keys($open), 'never reached');
    }

    #[DataProvider('cards')]
    public function test_a_card_names_only_what_is_there(string $key): void
    {
        $card = self::card($key);
        foreach ($card->ends() as $outcome) {
            $next = $outcome->leads;
            self::assertTrue($next === '' || isset(Cards::all()[$next]) || Control::tryFrom($next) !== null, $next);
            self::assertLessThanOrEqual(self::LONGEST_KEY, strlen($outcome->key));
        }
        $cautions = $card->cautions;
        foreach ($card->steps as $step) {
            $name = $step->isOwn() ? $key.'.'.$step->key : '';
            self::assertLessThanOrEqual(self::LONGEST_KEY, strlen($name));
            array_push($cautions, ...$step->cautions);
        }
        self::assertCount(count($cautions), Cautions::words($cautions));
        foreach (self::refs($card) as $ref) {
            $isFigure = $ref->origin === Origin::Figure;
            $isExpected = $ref->origin === Origin::Expected;
            if ($isFigure || $isExpected) {
                $other = Reading::tryFrom($ref->name) ?? DesignKey::tryFrom($ref->name);
                $known = DerivedFigure::tryFrom($ref->name) ?? ($isExpected ? $other : null);
                self::assertNotNull($known, $ref->name);
            }
        }
    }

    /** @return list<Ref> */
    private static function refs(Card $card): array
    {
        $refs = [];
        foreach ($card->steps as $step) {
            array_push($refs, ...array_values($step->with));
        }
        foreach ($card->ends() as $outcome) {
            array_push($refs, ...array_values($outcome->says->refs), ...array_values($outcome->keeps));
        }

        return $refs;
    }

    private static function card(string $key): Card
    {
        $card = Cards::find($key);
        self::assertNotNull($card);

        return $card;
    }

    private static function workedAtRandom(Card $card, Chance $chance): CardWalker
    {
        // Some stops only hold under another school, or for a blend.
        $walker = new CardWalker($card, self::circuitFor($card, $chance), new HouseRules(
            $chance->half() ? [] : ['liquid_or_vapour' => 'liquid', 'vacuum_floor' => 'short'],
        ));
        $chance->anew();
        foreach ($card->steps as $step) {
            $run = $walker->run();
            if (! in_array($step, $run->steps(), true) || $run->isShut($step)) {
                continue;
            }
            if ($step->isOptional && $chance->half()) {
                continue;
            }
            if (self::isTimed($card)) {
                $walker->paced($chance->oneOf([20, 600]));
            }
            if ($step->kind === StepKind::Time) {
                for ($i = 0; $i < $step->least + 2; $i++) {
                    $walker->answer($step->key, $chance->of($step, $i));
                }
            } elseif (! in_array($step->kind, [StepKind::Say, StepKind::Figure], true)) {
                $walker->answer($step->key, self::answer($step, $chance));
            }
        }

        return $walker;
    }

    /** Whether it matters how long it takes from one step to another. */
    private static function isTimed(Card $card): bool
    {
        foreach ($card->outcomes as $outcome) {
            foreach ($outcome->when as $clause) {
                if ($clause->of->origin === Origin::Between) {
                    return true;
                }
            }
        }

        return false;
    }

    /** One that a card is for: as it is usual, or with another refrigerant and its plate known. */
    private static function circuitFor(Card $card, Chance $chance): Circuit
    {
        $usual = CardWalker::circuitFor($card);
        $system = CircuitWriter::system($usual);

        return $chance->half()
            ? $usual
            : Circuit::fromWords(
                array_replace($system, ['refrigerant' => $chance->oneOf(['R-134a', 'R-448A'])]),
                ['nameplate_charge_kg' => 6.0] + CircuitWriter::design($usual),
            );
    }

    private static function answer(Step $step, Chance $chance): float|string
    {
        $words = $step->observation?->words() ?? [];

        return match (true) {
            $words !== [] => $chance->oneOf(array_column($words, 'value')),
            $step->answers !== [] => $chance->oneOf(array_map(strval(...), array_keys($step->answers))),
            $step->reading !== null || $step->field !== null => $chance->of($step),
            default => 'yes',
        };
    }
}
