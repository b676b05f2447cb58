<?php

declare(strict_types=1);

namespace Tests\Core\Twin;

use Metrum\Diagnosis\Diagnosis;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\Design;
use Metrum\Installation\DesignKey;
use Metrum\Installation\Kind;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Refrigerant\Library;
use Metrum\Twin\CannotStand;
use Metrum\Twin\Twins;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Circuits described by the ends of what their fields allow: some can be no plant, none takes a verdict down. */
final class ExtremesTest extends TestCase
{
    private const CIRCUITS = 170;

    public function test_every_accepted_circuit_gets_a_verdict_and_a_course(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $refrigerants = array_diff(Library::known()->names(), ['R-717']);
        $twins = new Twins();
        $rules = new HouseRules();
        $impossible = 0;
        for ($i = 0; $i < self::CIRCUITS; $i++) {
            $kind = Kind::cases()[$i % count(Kind::cases())];
            $refrigerant = array_values($refrigerants)[$i % count($refrigerants)];
            $circuit = self::extreme($random, $kind, $refrigerant);
            $about = "$i: $kind->value, $refrigerant";
            $findings = self::findings($random, $circuit);
            $expectation = $twins->expectation($findings, $rules);
            $verdict = (new Diagnosis($rules, $twins))->of($findings, checks: 2, expectation: $expectation);
            self::assertEqualsWithDelta(
                1.0,
                array_sum(array_column($verdict->suspects, 'probability')),
                1e-6,
                $about,
            );
            foreach ($expectation->run() as $place => $one) {
                self::assertTrue(is_finite($one->value) && $one->deviation > 0.0, "$about, $place");
            }
            $impossible += $twins->whyNone($circuit, $rules) === null ? 0 : 1;
            $twins->keep();
        }
        self::assertGreaterThan(5, $impossible, 'the ends are far enough');
        self::assertLessThan(self::CIRCUITS / 2, $impossible);
    }

    public function test_it_says_which_value_stands_in_the_way(): void
    {
        $freezer = self::plain(Kind::WalkInFreezer, 'R-449A', CondenserPlace::AirOutdoor);
        try {
            (new Twins())->of(
                $freezer->with($freezer->design->with(DesignKey::Superheat, 40.0)),
                new HouseRules(),
            );
            self::fail('It was built.');
        } catch (CannotStand $reason) {
            self::assertSame(DesignKey::Superheat, $reason->culprit);
            self::assertStringContainsString('40', $reason->getMessage());
            self::assertStringContainsString('R-449A', $reason->getMessage());
        }
        self::assertNull((new Twins())->whyNone($freezer, new HouseRules()));
    }

    private static function extreme(Randomizer $random, Kind $kind, string $refrigerant): Circuit
    {
        $design = new Design();
        foreach (DesignKey::cases() as $key) {
            $chance = $random->getInt(0, 5);
            if ($chance < 2) {
                $field = $key->field();
                $design = $design->with($key, $chance === 0 ? $field->least : $field->most);
            }
        }
        $condenser = CondenserPlace::cases()[$random->getInt(0, count(CondenserPlace::cases()) - 1)];

        return self::plain($kind, $refrigerant, $condenser)->with($design);
    }

    private static function plain(Kind $kind, string $refrigerant, CondenserPlace $condenser): Circuit
    {
        $usual = $kind->usual();

        return Circuit::fromWords(
            ['refrigerant' => $refrigerant, 'condenser' => $condenser->value] + $usual->system,
            $usual->design,
        );
    }

    private static function findings(Randomizer $random, Circuit $circuit): Findings
    {
        $readings = [];
        foreach (Reading::cases() as $reading) {
            if ($random->getInt(0, 2) === 0) {
                $field = $reading->field($circuit->atmosphere);
                $readings[$reading->value] =
                    $field->least + (($field->most - $field->least) * $random->getInt(0, 100)) / 100;
            }
        }

        return new Findings($circuit, state: State::cases()[$random->getInt(0, 6)], readings: $readings);
    }
}
