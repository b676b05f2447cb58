<?php

declare(strict_types=1);

namespace Tests\Core\Work\Replacement;

use Metrum\Installation\Circuit;
use Metrum\Installation\Kind;
use Metrum\Knowledge\Fault;
use Metrum\Quantity\Celsius;
use Metrum\Twin\RandomPlants;
use Metrum\Twin\Room;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;
use Metrum\Twin\Twin;
use Metrum\Work\Replacement\AirOfYear;
use Metrum\Work\Replacement\EnergyOfYear;
use Metrum\Work\Replacement\ExtraEnergy;
use PHPUnit\Framework\TestCase;

/** What a compressor takes in a year by the twin, and what a fault takes on top. */
final class EnergyOfYearTest extends TestCase
{
    private const HOURS = 8760.0;

    public function test_a_year_has_all_its_hours_and_the_means_that_were_given(): void
    {
        $air = new AirOfYear(Celsius::ZERO - 3.0, Celsius::ZERO + 21.0, 5.0);
        $hours = $air->hours();
        self::assertEqualsWithDelta(self::HOURS, array_sum(array_column($hours, 1)), 1e-6);
        $mean = array_sum(array_map(static fn (array $one): float => $one[0] * $one[1], $hours)) / self::HOURS;
        self::assertEqualsWithDelta(Celsius::ZERO + 9.0, $mean, 1e-6);
        // A night of the coldest month is colder than its mean by the day's wave.
        self::assertLessThan(Celsius::ZERO - 5.0, min(array_column($hours, 0)));
        self::assertGreaterThan(Celsius::ZERO + 23.0, max(array_column($hours, 0)));
    }

    public function test_in_air_that_never_changes_a_year_is_the_steady_state_for_its_share_of_the_time(): void
    {
        $machine = Twin::fittedTo(self::cooler())->machine;
        $ambient = Celsius::ZERO + 25.0;
        $year = EnergyOfYear::of($machine, Room::for($machine), new AirOfYear($ambient, $ambient, 0.0));
        $around = new Surroundings($ambient, $machine->design->box, atmosphere: $machine->circuit->atmosphere->pascal);
        $state = (new SteadyState($machine, $around))->find();
        self::assertEqualsWithDelta($state->power * $year->hours / 1e3, $year->kilowattHours, 1.0);
        self::assertEqualsWithDelta(0.0, $year->short, 1e-9);
        // About two thirds of the time on a design day, less in milder air.
        self::assertGreaterThan(0.3 * self::HOURS, $year->hours);
        self::assertLessThan(0.75 * self::HOURS, $year->hours);
    }

    public function test_warmer_places_and_heavier_loads_take_more_at_every_drawn_plant(): void
    {
        $random = new RandomPlants(31);
        $compared = 0;
        for ($i = 0; $i < 12; $i++) {
            $machine = Twin::fittedTo($random->circuit())->machine;
            $mild = new AirOfYear(Celsius::ZERO + 8.0, Celsius::ZERO + 18.0, 3.0);
            $hot = new AirOfYear(Celsius::ZERO + 18.0, Celsius::ZERO + 28.0, 3.0);
            $room = Room::for($machine);
            $usual = EnergyOfYear::of($machine, $room, $mild)->kilowattHours;
            self::assertGreaterThan($usual, EnergyOfYear::of($machine, $room, $hot)->kilowattHours);
            self::assertGreaterThan($usual, EnergyOfYear::of($machine, $room->loaded(0.8), $mild)->kilowattHours);
            $compared++;
        }
        self::assertSame(12, $compared);
    }

    public function test_a_dirty_condenser_takes_more_the_dirtier_it_is_and_a_sound_plant_nothing(): void
    {
        $machine = Twin::fittedTo(self::cooler())->machine;
        $air = AirOfYear::around(self::cooler());
        self::assertSame(0.0, ExtraEnergy::of($machine, null, 0.0, $air)->extra->high);
        $little = ExtraEnergy::of($machine, Fault::CondenserAirflowLow, 0.4, $air);
        $much = ExtraEnergy::of($machine, Fault::CondenserAirflowLow, 0.8, $air);
        self::assertGreaterThan(0.0, $little->extra->likely);
        self::assertGreaterThan($little->extra->likely, $much->extra->likely);
        self::assertLessThan($much->extra->high, $much->extra->low);
        self::assertSame($little->sound->likely, $much->sound->likely);
    }

    public function test_a_plant_that_cannot_carry_its_load_says_in_how_many_hours(): void
    {
        $machine = Twin::fittedTo(self::cooler())->machine;
        $worn = ExtraEnergy::of($machine, Fault::CompressorInefficient, 1.0, AirOfYear::around(self::cooler()));
        self::assertGreaterThan(100.0, $worn->short);
        self::assertLessThanOrEqual(self::HOURS, $worn->short);
    }

    private static function cooler(): Circuit
    {
        return Circuit::plain(Kind::WalkInCooler);
    }
}
