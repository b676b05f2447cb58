<?php

declare(strict_types=1);

namespace Tests\Core\Twin\Rack;

use Metrum\Twin\Rack\BranchState;
use Metrum\Twin\Rack\RackDay;
use Metrum\Twin\Rack\RackMoment;
use Metrum\Twin\Rack\RackTwin;
use Metrum\Twin\Rack\Store;
use PHPUnit\Framework\TestCase;
use Tests\Core\Racks;

/** A rack's day: what defrosts do to level, load and cases, and that heat is neither lost nor made. */
final class RackDayTest extends TestCase
{
    public function test_a_day_without_defrosts_stays_as_it_is(): void
    {
        $day = self::day(static fn (): array => []);
        $levels = array_map(static fn (RackMoment $one): float => $one->state->level, $day);

        self::assertCount(96, $day);
        self::assertLessThan(0.03, max($levels) - min($levels), 'weather alone moves it little');
        self::assertLessThan(0.5, max(array_map(static fn (RackMoment $one): float => $one->over, $day)));
        $noon = self::at($day, 900)->state->power;
        self::assertGreaterThan(self::at($day, 180)->state->power, $noon, 'the afternoon is the dearest');
    }

    public function test_what_a_defrost_leaves_undone_is_done_after_it(): void
    {
        $plain = self::day(static fn (): array => []);
        $day = self::day(self::dairy(...));
        $cooled = static fn (array $of): float => array_sum(
            array_map(static fn (RackMoment $one): float => $one->state->cooling, $of),
        );

        self::assertEqualsWithDelta(1.0, $cooled($day) / $cooled($plain), 0.03);
        self::assertGreaterThan(3.0, self::at($day, 735)->over, 'an open case warms');
        self::assertSame('circuit 1', self::at($day, 735)->warmest);
        self::assertGreaterThan(
            1.15 * self::at($plain, 750)->state->cooling,
            self::at($day, 750)->state->cooling,
            'all of it at once afterwards',
        );
        self::assertLessThan(1.0, self::at($day, 840)->over, 'and is cold again within an hour and a half');
    }

    public function test_emptied_coils_give_their_liquid_and_hot_gas_takes_some(): void
    {
        $plain = self::at(self::day(static fn (): array => []), 720)->state->level;
        $drained = self::at(self::day(self::dairy(...)), 720)->state->level;
        $gas = self::day(static fn (int $minute): array => $minute >= 720 && $minute < 740
            ? ['circuit 4' => BranchState::HotGas]
            : []);

        self::assertGreaterThan($plain + 0.005, $drained);
        self::assertLessThan($plain - 0.005, self::at($gas, 720)->state->level);
    }

    public function test_damp_air_brings_more_load_all_day(): void
    {
        $dry = self::day(static fn (): array => [], Racks::store(20, 22, 35));
        $damp = self::day(static fn (): array => [], Racks::store(20, 22, 65));

        self::assertGreaterThan(1.05 * self::at($dry, 720)->state->cooling, self::at($damp, 720)->state->cooling);
    }

    /** @return array<string, BranchState> */
    private static function dairy(int $minute): array
    {
        return $minute >= 720 && $minute < 750 ? ['circuit 1' => BranchState::Drained] : [];
    }

    /**
     * @param  callable(int): array<string, BranchState>  $states
     * @return list<RackMoment>
     */
    private static function day(callable $states, ?Store $store = null): array
    {
        return RackDay::of(RackTwin::of(Racks::of())->machine, $store ?? Racks::store(20), $states);
    }

    /** @param  list<RackMoment>  $day */
    private static function at(array $day, int $minute): RackMoment
    {
        foreach ($day as $one) {
            if ($one->minute === $minute) {
                return $one;
            }
        }
        throw new \LogicException("no moment at $minute");
    }
}
