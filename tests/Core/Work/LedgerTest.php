<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Knowledge\ChargePurpose;
use Metrum\Knowledge\Control;
use Metrum\Log\Content;
use Metrum\Log\Kinds\WeighedAmount;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use Metrum\Work\Ledger\Cylinder;
use Metrum\Work\Ledger\Ledger;
use Metrum\Work\Ledger\Movement;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What went into a plant and out of it, what leaks a year, and what a cylinder may hold. */
final class LedgerTest extends TestCase
{
    public function test_sums_running_charge_and_losses(): void
    {
        $ledger = Ledger::of([
            self::moved('2020-01-10', 10.0, ChargePurpose::Commissioning),
            self::moved('2020-02-10', 3.0, ChargePurpose::Seasonal),
            self::moved('2022-05-01', 1.0, ChargePurpose::Leak),
            self::moved('2023-06-01', -4.0, ChargePurpose::Repair),
            self::moved('2023-06-02', 4.5, ChargePurpose::Repair),
            self::moved('2024-01-01', -0.4, ChargePurpose::Correction),
        ], 13.0);

        self::assertEqualsWithDelta(18.5, $ledger->added(), 1e-9);
        self::assertEqualsWithDelta(4.4, $ledger->recovered(), 1e-9);
        $running = array_map(static fn (?float $one): float => round((float) $one, 6), $ledger->running());
        self::assertSame([10.0, 13.0, 13.0, 9.0, 13.0, 12.6], $running, 'a loss made good changes nothing');
        self::assertEqualsWithDelta(12.6, (float) $ledger->now(), 1e-9);
        self::assertSame([1.0, 0.5], array_map(static fn (array $one): float => round($one[1], 6), $ledger->losses()));
        self::assertEqualsWithDelta(0.5, $ledger->byPurpose()['repair'], 1e-9);
    }

    public function test_the_last_day_is_what_an_invoice_is_of(): void
    {
        $ledger = Ledger::of([
            self::moved('2022-05-01', 1.0, ChargePurpose::Leak),
            self::moved('2023-06-01', -4.0, ChargePurpose::Repair),
            self::moved('2023-06-01', 4.5, ChargePurpose::Repair),
        ], 13.0);

        self::assertEqualsWithDelta(4.5, $ledger->lastDay()->added(), 1e-9);
        self::assertEqualsWithDelta(4.0, $ledger->lastDay()->recovered(), 1e-9);
        self::assertSame([], Ledger::of([], 13.0)->lastDay()->movements);
    }

    public function test_a_first_charge_in_the_book_is_the_full_charge_where_no_plate_says(): void
    {
        $first = self::moved('2020-01-10', 10.0, ChargePurpose::Commissioning);
        self::assertSame(10.0, Ledger::of([$first], null)->full);
        self::assertNull(Ledger::of([self::moved('2020-01-10', 1.0, ChargePurpose::Leak)], null)->full);
        self::assertSame([null], Ledger::of([self::moved('2020-01-10', 1.0, ChargePurpose::Leak)], null)->running());
    }

    public function test_the_rate_by_the_last_loss_counts_the_days_since_the_one_before(): void
    {
        // 1 kg of 10 after 73 days is half a charge a year; with none before, 365 days are taken; more count as 365.
        $one = self::moved('2025-01-01', 0.8, ChargePurpose::Leak);
        $years = new \DateTimeImmutable('2020-01-01');
        self::assertEqualsWithDelta(0.08, (float) Ledger::of([$one], 10.0, $years)->annualised(), 1e-9);
        $soon = Ledger::of([$one, self::moved('2025-03-15', 1.0, ChargePurpose::Leak)], 10.0);
        self::assertEqualsWithDelta(0.1 * 365 / 73, (float) $soon->annualised(), 1e-6);
        $late = Ledger::of([$one, self::moved('2028-03-15', 1.0, ChargePurpose::Leak)], 10.0);
        self::assertEqualsWithDelta(0.1, (float) $late->annualised(), 1e-9);
        self::assertNull(Ledger::of([$one], null)->annualised());
        self::assertNull(Ledger::of([], 10.0)->annualised());
    }

    public function test_a_rate_a_year_wants_thirty_days_of_record(): void
    {
        $one = self::moved('2025-01-01', 0.8, ChargePurpose::Leak);
        self::assertNull(Ledger::of([$one], 10.0)->annualised(), 'nothing is known of the time before');
        self::assertNull(Ledger::of([$one], 10.0)->rolling(new \DateTimeImmutable('2025-01-20')));
        self::assertNotNull(Ledger::of([$one], 10.0)->rolling(new \DateTimeImmutable('2025-03-01')));
        // Two topped up ten days apart are one loss since the one before.
        $soon = [
            $one,
            self::moved('2025-07-01', 0.5, ChargePurpose::Leak),
            self::moved('2025-07-11', 0.5, ChargePurpose::Leak),
        ];
        self::assertEqualsWithDelta(0.1 * 365 / 191, (float) Ledger::of($soon, 10.0)->annualised(), 1e-6);
    }

    public function test_portions_of_one_visit_are_one_loss_and_a_first_charge_is_none(): void
    {
        $at = static fn (string $when, float $kg): Movement => new Movement(
            $when,
            new \DateTimeImmutable($when),
            $kg,
            ChargePurpose::Leak,
            visit: 'one visit',
        );
        $one = [$at('2025-05-01 09:00', 0.2), $at('2025-05-01 23:50', 0.3), $at('2025-05-02 00:20', 0.1)];
        $portions = Ledger::of($one, 10.0);
        self::assertCount(1, $portions->losses());
        self::assertEqualsWithDelta(0.6, $portions->losses()[0][1], 1e-9);
        // Nobody said what it was for, and it is most of a charge into a plant with no record.
        $first = Ledger::of([$at('2025-05-01', 8.0)], 10.0);
        self::assertSame([], $first->losses());
        self::assertNull($first->annualised());
    }

    public function test_the_rolling_rate_takes_twelve_months_and_no_first_or_winter_charge(): void
    {
        $ledger = Ledger::of([
            self::moved('2025-01-01', 10.0, ChargePurpose::Commissioning),
            self::moved('2025-01-20', 1.0, ChargePurpose::Leak),
            self::moved('2025-06-01', 0.6, ChargePurpose::Leak),
            self::moved('2025-11-01', 2.0, ChargePurpose::Seasonal),
        ], 10.0);

        self::assertEqualsWithDelta(0.16, (float) $ledger->rolling(new \DateTimeImmutable('2025-12-31')), 1e-9);
        self::assertEqualsWithDelta(0.06, (float) $ledger->rolling(new \DateTimeImmutable('2026-03-01')), 1e-9);
        self::assertEqualsWithDelta(0.0, (float) $ledger->rolling(new \DateTimeImmutable('2027-03-01')), 1e-9);
    }

    public function test_what_comes_twice_counts_once_and_order_does_not_matter(): void
    {
        $all = [
            self::moved('2025-01-20', 1.0, ChargePurpose::Leak),
            self::moved('2020-01-01', 10.0, ChargePurpose::Commissioning),
        ];
        $ledger = Ledger::of([...$all, ...$all], null);

        self::assertCount(2, $ledger->movements);
        self::assertEqualsWithDelta(11.0, $ledger->added(), 1e-9);
        self::assertSame(ChargePurpose::Commissioning, $ledger->movements[0]->purpose);
    }

    public function test_what_nobody_said_is_taken_for_a_loss_made_good_or_a_correction(): void
    {
        $of = static fn (float $kg): Movement => Movement::of(
            'id',
            new \DateTimeImmutable(),
            new Content(Control::Charge->value, $kg, null, [
                WeighedAmount::CYLINDER => 'C',
                WeighedAmount::BEFORE => 9,
                WeighedAmount::AFTER => 8.5,
            ]),
            '',
            '',
            'R-134a',
        );
        self::assertSame(ChargePurpose::Leak, $of(0.5)->purpose);
        self::assertSame(ChargePurpose::Correction, $of(-0.5)->purpose);
        self::assertSame(['C', 9.0, 8.5], [$of(0.5)->cylinder, $of(0.5)->before, $of(0.5)->after]);
    }

    public function test_a_cylinder_may_be_filled_to_eighty_per_cent_of_liquid(): void
    {
        $cylinder = new Cylinder('id', 'T-1', 'R-134a', 9.0, 0.0134, false, 6.2);
        // R-134a at 25 °C: 1207 kg/m³; at 45 °C: 1125.
        self::assertEqualsWithDelta(9.0 + 0.8 * 0.0134 * 1207, $cylinder->limit(298.15), 0.02);
        self::assertEqualsWithDelta(15.2, $cylinder->gross(), 1e-9);
        self::assertEqualsWithDelta(6.2 / (0.0134 * 1207), $cylinder->fill(298.15), 0.002);
        self::assertGreaterThan($cylinder->fill(298.15), $cylinder->fill(318.15), 'hot liquid is larger');
        self::assertLessThan($cylinder->limit(298.15), $cylinder->limit(318.15));
    }

    /** @return iterable<string, array{string, float, ?string}> */
    public static function pours(): iterable
    {
        yield 'some out of it' => ['R-134a', -2.0, null];
        yield 'some into it' => ['R-134a', 2.0, null];
        yield 'another refrigerant' => ['R-404A', -0.1, 'a, the system R'];
        yield 'more than is in it' => ['R-134a', -7.0, 'cannot come from it'];
        yield 'more than fits' => ['R-134a', 9.0, '80 % liquid'];
    }

    #[DataProvider('pours')]
    public function test_what_cannot_be_is_refused_with_figures(string $refrigerant, float $into, ?string $said): void
    {
        $cylinder = new Cylinder('id', 'T-1', 'R-134a', 9.0, 0.0134, false, 6.2);
        $refusal = $cylinder->refusal($refrigerant, $into, 298.15, new Units());

        $said === null
            ? self::assertNull($refusal)
            : self::assertStringContainsString($said, (string) $refusal);
    }

    public function test_masses_are_said_as_a_scale_says_them(): void
    {
        $metric = new Units();
        $imperial = new Units(mass: Unit::Pound);

        self::assertSame(['265 g', '1.25 kg'], [$metric->mass(0.265), $metric->mass(1.25)]);
        self::assertSame(['9.3 oz', '2.76 lb'], [$imperial->mass(0.265), $imperial->mass(1.25)]);
    }

    private static function moved(string $day, float $kilograms, ChargePurpose $purpose): Movement
    {
        return new Movement($day.' '.$kilograms, new \DateTimeImmutable($day), $kilograms, $purpose);
    }
}
