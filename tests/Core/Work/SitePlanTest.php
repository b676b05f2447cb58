<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Card\Cards;
use Metrum\Exchange\VisitReader;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\SiteLimit;
use Metrum\Knowledge\Whereabouts;
use Metrum\Quantity\Units;
use Metrum\Twin\Twins;
use Metrum\Work\Assessment;
use Metrum\Work\Desk\Desk;
use Metrum\Work\Site\Obstacle;
use Metrum\Work\Site\SitePlan;
use Metrum\Work\Site\SiteTask;
use Metrum\Work\Site\SiteTime;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What fits into the time at a site: in the order of the diagnosis, within its limits, with a reason for the rest. */
final class SitePlanTest extends TestCase
{
    private const ROOM = [
        'kind' => 'walk_in_cooler', 'refrigerant' => 'R-134a', 'metering' => 'txv', 'receiver' => true,
        'condenser' => 'air_outdoor',
    ];

    private const STARVED = [
        'suction_pressure_kpa' => 133, 'discharge_pressure_kpa' => 880, 'ambient_temperature_c' => 25,
        'box_temperature_c' => 7, 'suction_temperature_evaporator_c' => 4,
    ];

    public function test_without_limits_all_that_is_proposed_fits_one_after_another(): void
    {
        $plan = self::plan([]);
        self::assertFalse($plan->time->isKnown());
        self::assertSame([], $plan->later);
        $spent = 0.0;
        foreach ($plan->fits as [$task, $done]) {
            $spent += $task->seconds;
            self::assertSame($spent, $done);
        }
        self::assertGreaterThan(3, count($plan->fits));
    }

    /** @return iterable<string, array{int}> minutes */
    public static function minutes(): iterable
    {
        foreach ([0, 10, 12, 20, 30, 45, 60, 120, 300] as $minutes) {
            yield "$minutes minutes" => [$minutes];
        }
    }

    #[DataProvider('minutes')]
    public function test_what_fits_is_done_before_the_end_with_time_to_close(int $minutes): void
    {
        $plan = self::plan(['leave_by' => "$minutes min"]);
        foreach ($plan->fits as [, $done]) {
            self::assertLessThanOrEqual(60.0 * $minutes - SitePlan::CLOSING, $done);
        }
        foreach ($plan->later as [$task, $obstacle, $left]) {
            self::assertSame(Obstacle::NoTime, $obstacle);
            self::assertGreaterThan($left, $task->seconds);
        }
        self::assertCount(count(self::plan([])->fits), [...$plan->fits, ...$plan->later]);
        if ($minutes <= 10) {
            self::assertSame([], $plan->fits);
        }
    }

    public function test_more_time_never_fits_less(): void
    {
        $before = 0;
        foreach (self::minutes() as [$minutes]) {
            $fits = count(self::plan(['leave_by' => "$minutes min"])->fits);
            self::assertGreaterThanOrEqual($before, $fits);
            $before = $fits;
        }
    }

    /** @return iterable<string, array{array<string, string>, Obstacle, callable(SiteTask): bool}> */
    public static function limits(): iterable
    {
        $atUnit = static fn (SiteTask $one): bool => $one->where === Whereabouts::Unit;
        $atBox = static fn (SiteTask $one): bool => $one->where === Whereabouts::Box;
        yield 'no access to the unit' => [['no_unit' => 'yes'], Obstacle::NoUnit, $atUnit];
        yield 'no access to the box' => [['no_box' => 'yes'], Obstacle::NoBox, $atBox];
        yield 'dark already' => [['dark_at' => '0 min'], Obstacle::Dark, $atUnit];
        $disturbs = static fn (SiteTask $one): bool => $one->stops || $one->where === Whereabouts::Box;
        yield 'customers come' => [['opens_at' => '0 min'], Obstacle::Open, $disturbs];
    }

    /**
     * @param  array<string, string>  $limits
     * @param  callable(SiteTask): bool  $isHeld
     */
    #[DataProvider('limits')]
    public function test_each_limit_holds_back_what_needs_it_and_nothing_else(
        array $limits,
        Obstacle $why,
        callable $isHeld,
    ): void {
        $plan = self::plan($limits);
        self::assertNotSame([], $plan->later);
        self::assertNotSame([], $plan->fits);
        foreach ($plan->later as [$task, $obstacle]) {
            self::assertTrue($isHeld($task), $task->name);
            self::assertSame($why, $obstacle);
            self::assertNotNull($obstacle->prepare());
        }
        foreach ($plan->fits as [$task]) {
            self::assertFalse($isHeld($task), $task->name);
        }
    }

    public function test_indoors_the_dark_holds_nothing_back(): void
    {
        $indoors = ['condenser' => 'air_indoor'] + self::ROOM;
        self::assertSame([], self::plan(['dark_at' => '0 min'], $indoors)->later);
    }

    public function test_a_system_that_must_keep_running_is_not_stopped(): void
    {
        $begun = ['kind' => 'card', 'key' => 'foreign_gas.begun', 'word' => 'yes'];
        self::assertTrue(Cards::find('foreign_gas')?->stops);
        $plan = static fn (array $limits): SitePlan => self::planOf(self::desk(self::ROOM, [$begun, ...$limits]));
        self::assertSame('foreign_gas', $plan([])->fits[0][0]->key);
        $held = $plan(self::said(['no_stop' => 'yes']))->later;
        self::assertSame(['foreign_gas'], array_map(static fn (array $one): string => $one[0]->key, $held));
        self::assertSame(Obstacle::NoStop, $held[0][1]);
    }

    public function test_a_leak_is_searched_before_it_is_confirmed_or_anything_is_replaced(): void
    {
        $plan = self::planOf(self::desk(self::ROOM, [
            ['kind' => 'observation', 'key' => 'sight_glass', 'word' => 'bubbles'],
            ['kind' => 'reading', 'key' => 'receiver_level_percent', 'value' => 2],
            ['kind' => 'reading', 'key' => 'receiver_outlet_temperature_c', 'value' => 34],
            ['kind' => 'observation', 'key' => 'evaporator_fans', 'word' => 'all_running'],
            ['kind' => 'observation', 'key' => 'frost_coil', 'word' => 'inlet_only'],
        ]));
        $keys = array_map(static fn (array $one): string => $one[0]->key, $plan->fits);
        self::assertContains('leak_search', $keys);
        self::assertSame([], array_intersect(['leak_confirm', 'core_change', 'charge_with_receiver'], $keys));
    }

    /** @return iterable<string, array{string, float}> as typed at nine, and hours that are left */
    public static function times(): iterable
    {
        yield 'this afternoon' => ['16:30', 7.5];
        yield 'over already' => ['06:00', 0.0];
        yield 'tonight' => ['20:45', 11.75];
        yield 'last night' => ['22:00', 0.0];
        yield 'so long' => ['1.5 h', 1.5];
        yield 'with its day' => ['2026-07-02 08:00', 23.0];
    }

    #[DataProvider('times')]
    public function test_a_time_of_the_day_is_the_nearest_one(string $typed, float $hours): void
    {
        $now = new \DateTimeImmutable('2026-07-01T09:00:00Z');
        $said = ['kind' => 'site', 'key' => 'leave_by', 'data' => ['at' => $typed], 'at' => '2026-07-01T09:00:00Z'];
        $desk = self::desk(self::ROOM, [$said]);
        $left = SiteTime::of($desk->assessment->log, $now)->until(SiteLimit::LeaveBy);
        self::assertEqualsWithDelta($hours, $left / 3600.0, 0.05);
    }

    public function test_reasons_are_said_in_words(): void
    {
        $why = Obstacle::NoTime->why(2700.0, 600.0)->in(new Units());
        self::assertSame('takes 45 min, 10 min left', $why);
        self::assertNull(Obstacle::NoTime->prepare());
    }

    public function test_what_was_said_is_taken_back(): void
    {
        $log = [...self::said(['no_unit' => 'yes']), ['kind' => 'site', 'key' => 'no_unit', 'word' => 'no']];
        $desk = self::desk(self::ROOM, $log);
        $time = SiteTime::of($desk->assessment->log, new \DateTimeImmutable('2026-07-01T09:00:00Z'));
        self::assertFalse($time->isShut(SiteLimit::NoUnit));
        self::assertFalse($time->isKnown());
    }

    /**
     * @param  array<string, string>  $limits
     * @param  array<string, mixed>  $system
     */
    private static function plan(array $limits, array $system = self::ROOM): SitePlan
    {
        return self::planOf(self::desk($system, self::said($limits)));
    }

    private static function planOf(Desk $desk): SitePlan
    {
        $now = $desk->assessment->log->lastTold();

        return SitePlan::of($desk, SiteTime::of($desk->assessment->log, \DateTimeImmutable::createFromInterface($now)));
    }

    /**
     * @param  array<string, string>  $limits
     * @return list<array<string, mixed>>
     */
    private static function said(array $limits): array
    {
        $said = [];
        foreach ($limits as $key => $value) {
            $said[] = SiteLimit::from($key)->isTime()
                ? ['kind' => 'site', 'key' => $key, 'data' => ['at' => $value]]
                : ['kind' => 'site', 'key' => $key, 'word' => $value];
        }

        return $said;
    }

    /**
     * @param  array<string, mixed>  $system
     * @param  list<array<string, mixed>>  $more
     */
    private static function desk(array $system, array $more): Desk
    {
        $read = array_map(
            static fn (string $key, float|int $value): array => ['kind' => 'reading', 'key' => $key, 'value' => $value],
            array_keys(self::STARVED),
            self::STARVED,
        );
        $file = VisitReader::visit(json_encode([
            'format' => 'metrum-visit', 'version' => 1, 'taken_at' => '2026-07-01T09:00:00Z', 'system' => $system,
            'design' => ['box_set_point_c' => 2], 'state' => 'running_settled', 'log' => [...$read, ...$more],
        ], JSON_THROW_ON_ERROR));
        self::assertNotNull($file->told);
        $assessment = new Assessment($file->told, new HouseRules(), new Twins());

        return new Desk($assessment, $assessment->checked(4));
    }
}
