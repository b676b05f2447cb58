<?php

namespace Tests\Feature;

use App\Picture\ChargePicture;
use App\Picture\LedgerPicture;
use App\Picture\WinterPicture;
use Metrum\Findings\DerivedFigure;
use Metrum\Knowledge\ChargePurpose;
use Metrum\Quantity\Units;
use Metrum\Twin\WinterCurve;
use Metrum\Work\Ledger\Ledger;
use Metrum\Work\Ledger\Movement;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/**
 * The pictures of refrigerant are drawn to scale: what is heavier is longer, what is later stands further right.
 *
 * @phpstan-import-type WinterPoint from WinterCurve
 */
#[Group('figures')]
final class RefrigerantPicturesTest extends TestCase
{
    public function test_the_ledger_steps_with_each_movement_and_losses_are_as_long_as_they_are_heavy(): void
    {
        $picture = new LedgerPicture(
            Ledger::of([
                $this->moved('2022-01-01', 10.0, ChargePurpose::Commissioning),
                $this->moved('2023-01-01', 1.0, ChargePurpose::Leak),
                $this->moved('2024-01-01', 4.0, ChargePurpose::Leak),
                $this->moved('2025-01-01', -5.0, ChargePurpose::Repair),
            ], 10.0),
            new \DateTimeImmutable('2026-01-01'),
            new Units(),
        );

        self::assertCount(2, $picture->losses);
        $lengths = array_map(
            static fn (array $one): float => $one['to'] - $picture->lossesFrom(),
            $picture->losses,
        );
        self::assertEqualsWithDelta(4.0, $lengths[1] / $lengths[0], 1e-6);
        self::assertLessThan($picture->losses[1]['x'], $picture->losses[0]['x']);
        self::assertSame(['2022', '2023', '2024', '2025', '2026'], array_column($picture->years, 1));
        self::assertEqualsWithDelta($picture->losses[0]['x'], $picture->years[1][0], 1.0, 'a loss stands in its year');

        [$first, $repair] = $picture->marks;
        self::assertEqualsWithDelta((float) $picture->fullAt, $first['y'], 1e-6, 'full after the first charge');
        self::assertGreaterThan($first['y'], $repair['y'], 'what is taken out lies lower');
        $empty = $picture->line[0][1];
        self::assertEqualsWithDelta(0.5, ($empty - $repair['y']) / ($empty - $first['y']), 1e-6, 'half as high');
    }

    public function test_a_full_charge_that_nobody_knows_draws_losses_alone(): void
    {
        $losses = [$this->moved('2024-05-01', 0.5, ChargePurpose::Leak)];
        $picture = new LedgerPicture(Ledger::of($losses, null), new \DateTimeImmutable('2026-01-01'), new Units());

        self::assertNull($picture->fullAt);
        self::assertSame('', $picture->full);
        self::assertSame('', $picture->path());
        self::assertCount(1, $picture->losses);
    }

    public function test_the_winter_is_drawn_from_the_coldest_day_and_says_where_the_seal_is_lost(): void
    {
        $now = [
            $this->point(253.15, 0.1, 0.8),
            $this->point(273.15, 0.4, 0.5),
            $this->point(293.15, 0.7, 0.1),
        ];
        $summer = [
            $this->point(253.15, 0.0, 0.8, false),
            $this->point(273.15, 0.0, 0.5, false),
            $this->point(293.15, 0.1, 0.1),
        ];
        $picture = new WinterPicture($now, $summer, new Units());

        self::assertEqualsWithDelta(WinterPicture::BOTTOM, $picture->y(0.0), 1e-9);
        self::assertEqualsWithDelta(WinterPicture::TOP, $picture->y(1.0), 1e-9);
        self::assertLessThan($picture->y(0.5), $picture->full());
        $receiver = $this->corners($picture->paths()['receiver']);
        $condenser = $this->corners($picture->paths()['condenser']);
        self::assertLessThan($receiver[0][1], $receiver[2][1], 'the receiver fills as it gets warm');
        self::assertGreaterThan($condenser[0][1], $condenser[2][1], 'the condenser empties');
        self::assertEqualsWithDelta(0.1, (WinterPicture::BOTTOM - $receiver[0][1]) / 230.0, 1e-3);
        $lost = $picture->lost();
        self::assertNotNull($lost);
        self::assertSame('liquid seal lost below 0.0 °C', $lost['text']);
        self::assertEqualsWithDelta($receiver[1][0], WinterPicture::LEFT + $lost['width'], 0.06);
        self::assertNull((new WinterPicture($now, $now, new Units()))->lost());
    }

    public function test_names_at_the_end_of_the_winter_stand_apart(): void
    {
        $same = [$this->point(253.15, 0.3, 0.3), $this->point(293.15, 0.02, 0.02)];
        $heights = array_column((new WinterPicture($same, $same, new Units()))->names(), 'y');

        self::assertCount(3, $heights);
        self::assertGreaterThanOrEqual(12.0, $heights[1] - $heights[0]);
        self::assertGreaterThanOrEqual(12.0, $heights[2] - $heights[1]);
        self::assertLessThanOrEqual(WinterPicture::BOTTOM + 5.0, $heights[2]);
    }

    public function test_a_charge_is_drawn_to_scale_and_the_twin_runs_through_it(): void
    {
        $visit = $this->starved();
        $charge = fn (string $much) => $this->enter(
            $visit,
            'move',
            'charge',
            $much,
            ['stage' => 'put_right', 'overruled' => 'product cannot wait'],
        );
        foreach (['100 g', '300 g'] as $much) {
            $charge($much)->assertOk();
            $this->travel(30)->minutes();
            $this->read($visit, [
                'suction_pressure_kpa' => '218 kPa',
                'suction_temperature_evaporator_c' => '1.5',
                'discharge_pressure_kpa' => '1420 kPa',
                'receiver_outlet_temperature_c' => '32.6',
            ]);
        }
        $picture = new ChargePicture($this->judged($visit)->assessment->charging(), new Units(), 720.0);
        $superheats = $picture->superheats();

        self::assertCount(3, $superheats);
        [$found, $first, $second] = array_column($superheats, 'x');
        self::assertEqualsWithDelta(3.0, ($second - $first) / ($first - $found), 1e-6, '300 g are three times 100 g');
        self::assertLessThan($superheats[2]['y'], $superheats[0]['y'], 'more superheat stands higher');
        self::assertSame('as found', $picture->amounts()[0]['text']);
        $course = $this->corners($picture->course(DerivedFigure::EvaporatorSuperheat));
        self::assertGreaterThan(20, count($course));
        self::assertGreaterThanOrEqual($course[0][1], $course[count($course) - 1][1], 'superheat falls as it fills');
        $aimed = $picture->aimed();
        self::assertNotNull($aimed);
        self::assertGreaterThanOrEqual($aimed['from'], $aimed['x']);
        self::assertLessThanOrEqual($aimed['from'] + $aimed['width'], $aimed['x']);
    }

    /** @return list<array{float, float}> of "M1.0 2.0 L3.0 4.0" */
    private function corners(string $path): array
    {
        preg_match_all('/(-?[\d.]+) (-?[\d.]+)/', $path, $found, PREG_SET_ORDER);

        return array_map(static fn (array $one): array => [(float) $one[1], (float) $one[2]], $found);
    }

    private function moved(string $on, float $kilograms, ChargePurpose $purpose): Movement
    {
        return new Movement($on, new \DateTimeImmutable($on), $kilograms, $purpose);
    }

    /** @return WinterPoint */
    private function point(float $ambient, float $level, float $condenser, bool $sealed = true): array
    {
        return [
            'ambient' => $ambient,
            'level' => $level,
            'condenser' => $condenser,
            'runs' => true,
            'sealed' => $sealed,
            'receiver_kg' => 10 * $level,
            'condenser_kg' => 5 * $condenser,
        ];
    }
}
