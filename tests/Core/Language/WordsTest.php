<?php

declare(strict_types=1);

namespace Tests\Core\Language;

use Metrum\Bench\Calculator;
use Metrum\Card\Cards;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Grade;
use Metrum\Findings\DerivedFigure;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\MoveOutcome;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Station;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Wording\BannedWords;
use Tests\Wording\Texts;

/** One voice: plain trade English, one word for each concept, short enough for its place. */
final class WordsTest extends TestCase
{
    /** @return iterable<string, array{\Closure(): iterable<string, string>, int}> texts; how many at least */
    public static function sources(): iterable
    {
        yield 'data' => [Texts::data(...), 1500];
        yield 'code' => [Texts::code(...), 500];
        yield 'views and scripts' => [Texts::views(...), 700];
    }

    /** @param  \Closure(): iterable<string, string>  $texts */
    #[DataProvider('sources')]
    public function test_no_text_says_what_another_word_says_better(\Closure $texts, int $least): void
    {
        $wrong = [];
        $read = 0;
        foreach ($texts() as $place => $text) {
            $read++;
            foreach (BannedWords::of($text) as $word) {
                $wrong[] = "$place: $word";
            }
        }
        self::assertSame([], $wrong);
        self::assertGreaterThan($least, $read, 'all of them are read');
    }

    /** @return iterable<array{string}> */
    public static function archaic(): iterable
    {
        foreach ([
            'The plant is off.', 'as foretold', 'Work them anew', 'Nobody knows what is in it', 'the clock still runs',
            'Look at the drier', 'It is proved by bubbles', 'pipe after the valve', 'the glass is clear',
            'turn the regulator', 'Drop over the bottle', 'a number is wanted', 'possible is 1 to 3',
            'Speaks against it', 'Put it right first', 'its maker', 'The label field is required.',
        ] as $text) {
            yield [$text];
        }
    }

    #[DataProvider('archaic')]
    public function test_the_check_shuts(string $text): void
    {
        self::assertNotSame([], BannedWords::of($text));
    }

    public function test_it_lets_pass_what_a_technician_says(): void
    {
        foreach ([
            'Switch off, lock out and prove dead.', 'Set the defrost clock.', 'Fit the nitrogen regulator.',
            'evaporator pressure regulator', 'sight glass clear', 'Turn clockwise.', 'R-290 shutdown', 'a small tube',
        ] as $text) {
            self::assertSame([], BannedWords::of($text));
        }
        self::assertLessThanOrEqual(10, count(BannedWords::RIGHT), 'few are excepted');
    }

    public function test_each_text_fits_its_place(): void
    {
        $long = [];
        $check = static function (string $text, int $most) use (&$long): void {
            if (mb_strlen($text) > $most) {
                $long[] = "$text (".mb_strlen($text)." of $most)";
            }
        };
        foreach (Reading::cases() as $reading) {
            $check($reading->short(), 16);
        }
        foreach (Station::cases() as $station) {
            $check($station->short(), 9);
        }
        foreach (Cards::all() as $card) {
            $check($card->name, 36);
        }
        foreach (Calculator::cases() as $calculator) {
            $check($calculator->title(), 36);
        }
        foreach (Fault::cases() as $fault) {
            $check(FaultCatalogue::entry($fault)->name, 36);
        }
        foreach (Texts::data() as $place => $text) {
            $check($text, str_starts_with($place, 'cautions.json') ? 120 : 400);
        }
        self::assertSame([], $long);
    }

    /** @return iterable<string, array{string, string}> concept => what the house calls it, and the one word */
    public static function concepts(): iterable
    {
        foreach (Station::cases() as $i => $station) {
            yield 'station '.$station->value => [$station->label(), [
                'Complaint', 'At the box', 'At the unit', 'Gauges & clamps', 'Diagnosis & tests', 'Repair & adjust',
                'Verify', 'Close out',
            ][$i]];
        }
        yield 'no fault' => [Fault::NoFault->label(), 'No fault, normal operation'];
        yield 'undercharged' => [Fault::Undercharge->label(), 'Low refrigerant charge'];
        yield 'air in the system' => [Fault::NonCondensables->label(), 'Non-condensables'];
        yield 'cold coil held warm' => [Fault::RegulatorSetHigh->label(), 'EPR holding coil too warm'];
        yield 'effect of a fault' => [Grade::Mild->label(), 'slight'];
        yield 'planned change came true' => [MoveOutcome::AsForetold->label(), 'as predicted'];
        yield 'head' => [Reading::DischargePressure->short(), 'Head pressure'];
        yield 'volts' => [Reading::SupplyVoltage->short(), 'Voltage'];
        yield 'air leaving the coil' => [Reading::SupplyAirTemperature->short(), 'Air off coil'];
        yield 'line at the bulb' => [Reading::SuctionTemperatureEvaporator->short(), 'Line at bulb'];
        yield 'evaporating' => [DerivedFigure::SaturatedEvaporator->label(), 'Evaporating temperature (dew)'];
        yield 'no-loss discharge' => [DerivedFigure::IdealDischarge->label(), 'Discharge, isentropic'];
        yield 'charge' => [Control::Charge->label(), 'Refrigerant charge'];
        yield 'leak rate' => [HouseRule::LeakThreshold->row()->label, 'Annual leak rate: legal limit / check from'];
    }

    #[DataProvider('concepts')]
    public function test_a_concept_has_its_word(string $called, string $word): void
    {
        self::assertSame($word, $called);
    }
}
