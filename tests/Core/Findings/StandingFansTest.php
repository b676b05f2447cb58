<?php

declare(strict_types=1);

namespace Tests\Core\Findings;

use Metrum\Findings\StandingFans;
use Metrum\Knowledge\HouseRules;
use Metrum\Work\Charging\Obstacles;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** Fans that their control lets stand, because the head is low, are in nobody's way; others are. */
final class StandingFansTest extends TestCase
{
    /** @param  array<string, mixed>  $system */
    #[DataProvider('plants')]
    public function test_condenser_fans_stand_rightly_where_their_control_holds_a_low_head(
        array $system,
        ?float $head,
        string $seen,
        bool $isWrong,
    ): void {
        $findings = Visits::cooler(['discharge_pressure_kpa' => $head], [
            'system' => $system + Visits::COOLER['system'],
            'observations' => ['condenser_fans' => $seen],
        ]);
        $rules = new HouseRules();
        self::assertSame($isWrong, StandingFans::in($findings, $rules)->ofCondenser);
        self::assertCount($isWrong ? 1 : 0, Obstacles::seen($findings, $rules), 'and is in the way of refrigerant');
    }

    /** @return iterable<string, array{array<string, mixed>, ?float, string, bool}> */
    public static function plants(): iterable
    {
        yield 'short of refrigerant, the head low' => [[], 1000.0, 'all_stopped', false];
        yield 'one of two, the head low' => [[], 1000.0, 'some_stopped', false];
        yield 'by their speed' => [['head_pressure_control' => 'fan_speed'], 1000.0, 'all_stopped', false];
        yield 'the head high' => [[], 2300.0, 'all_stopped', true];
        yield 'nobody read the head' => [[], null, 'all_stopped', true];
        yield 'no control that stops them' => [['head_pressure_control' => 'none'], 1000.0, 'all_stopped', true];
        yield 'a valve holds the head' => [['head_pressure_control' => 'flooding_valve'], 1000.0, 'all_stopped', true];
        yield 'they run' => [[], 1000.0, 'all_running', false];
    }

    public function test_fans_of_a_coil_have_no_such_control(): void
    {
        $findings = Visits::cooler([], ['observations' => ['evaporator_fans' => 'all_stopped']]);
        self::assertTrue(StandingFans::in($findings, new HouseRules())->ofCoil);
    }
}
