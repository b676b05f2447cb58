<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Rack\RackExamination;
use Metrum\Diagnosis\Rack\RackJudge;
use Metrum\Diagnosis\Requirement;
use Metrum\Installation\PartId;
use Metrum\Knowledge\HouseRules;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Log\Source;
use Metrum\Quantity\Units;
use Metrum\Work\Charging\RackChargingGate;
use PHPUnit\Framework\TestCase;
use Tests\Core\Racks;

/** Each thing that must hold before refrigerant goes into a rack shuts the gate where it does not. */
final class RackChargingGateTest extends TestCase
{
    private const EMPTY = ['receiver_level_percent' => 0, 'discharge_pressure_kpa' => 1330];

    private const SEEN = ['sight_glass' => 'bubbles', 'heat_reclaim' => 'off'];

    public function test_a_low_level_and_bubbles_open_it(): void
    {
        self::assertSame([], self::shut(self::gate(self::EMPTY, self::SEEN)));
    }

    public function test_without_level_or_weather_nothing_is_known(): void
    {
        $shut = self::said(self::gate(['receiver_level_percent' => null] + self::EMPTY, self::SEEN));
        self::assertStringContainsString('receiver level', $shut);
        $shut = self::said(self::gate(['ambient_temperature_c' => null] + self::EMPTY, self::SEEN));
        self::assertStringContainsString('air entering the condenser', $shut);
    }

    public function test_whether_heat_is_reclaimed_must_be_said(): void
    {
        $shut = self::said(self::gate(self::EMPTY, ['sight_glass' => 'bubbles']));
        self::assertStringContainsString('reclaim', $shut);
    }

    public function test_one_sign_is_not_enough(): void
    {
        $clear = self::said(self::gate(self::EMPTY, ['sight_glass' => 'clear', 'heat_reclaim' => 'off']));
        self::assertStringContainsString('two signs of low charge: only receiver 0', $clear);
        $unseen = self::gate(self::EMPTY, ['heat_reclaim' => 'off']);
        self::assertStringContainsString('sight glass', self::said($unseen));
    }

    public function test_a_level_as_expected_shuts_it(): void
    {
        $level = ['receiver_level_percent' => 52] + self::EMPTY;
        self::assertStringContainsString('low charge is the most likely', self::said(self::gate($level, self::SEEN)));
    }

    public function test_a_full_receiver_is_never_filled(): void
    {
        $gate = self::gate(['receiver_level_percent' => 88] + self::EMPTY, self::SEEN);
        self::assertNotSame([], (new Gate($gate->all()))->firm());
    }

    public function test_what_did_not_answer_is_not_followed_by_more(): void
    {
        $log = [
            self::fact(FactKind::Reading, 'receiver_level_percent', 0.05),
            self::fact(FactKind::Move, 'charge', 15.0),
            self::fact(FactKind::Reading, 'receiver_level_percent', 0.06),
        ];
        $level = ['receiver_level_percent' => 6] + self::EMPTY;
        $shut = self::said(self::gate($level, self::SEEN, $log));
        self::assertStringContainsString('did not rise', $shut);
        $log[2] = self::fact(FactKind::Reading, 'receiver_level_percent', 0.42);
        $shut = self::said(self::gate(['receiver_level_percent' => 42] + self::EMPTY, self::SEEN, $log));
        self::assertStringNotContainsString('did not rise', $shut);
    }

    public function test_a_circuit_that_gave_back_too_much_is_asked_about_first(): void
    {
        $log = [
            self::fact(FactKind::Reading, 'receiver_level_percent', 0.05),
            self::fact(FactKind::Observation, 'shut', null, 'by_us', 'circuit 2'),
            self::fact(FactKind::Reading, 'receiver_level_percent', 0.45),
        ];
        $shut = self::said(self::gate(['receiver_level_percent' => 45] + self::EMPTY, self::SEEN, $log));
        self::assertStringContainsString('Deli gave back more', $shut);
    }

    /**
     * @param  array<string, float|int|null>  $readings
     * @param  array<string, string>  $observations
     * @param  list<Fact>  $log
     */
    private static function gate(array $readings, array $observations, array $log = []): RackChargingGate
    {
        $found = Racks::of($readings, $observations);
        $verdict = (new RackJudge())->of(RackExamination::of($found));

        return new RackChargingGate($verdict, $found, new Log($log), new HouseRules());
    }

    /** @return list<Requirement> */
    private static function shut(RackChargingGate $gate): array
    {
        return (new Gate($gate->all()))->shut();
    }

    private static function said(RackChargingGate $gate): string
    {
        $said = array_map(
            static fn (Requirement $one): string => $one->sentence()->in(new Units()),
            self::shut($gate),
        );

        return implode('; ', $said);
    }

    private static int $count = 0;

    private static function fact(
        FactKind $kind,
        string $key,
        ?float $value,
        ?string $word = null,
        string $part = 'plant',
    ): Fact {
        self::$count++;

        return new Fact(
            sprintf('01J%023d', self::$count),
            $kind,
            new Content($key, $value, $word),
            new \DateTimeImmutable('@'.self::$count),
            Source::Hand,
            'somebody',
            '',
            PartId::of($part),
        );
    }
}
