<?php

declare(strict_types=1);

namespace Tests\Core\Twin;

use Metrum\Installation\Circuit;
use Metrum\Installation\Kind;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Twin\AirSide;
use Metrum\Twin\Disorder;
use Metrum\Twin\Feed;
use Metrum\Twin\Machine;
use Metrum\Twin\PlantState;
use Metrum\Twin\Sizing;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The same fault by another cause has other arrows; and what the twin's parts do when they fail. */
final class CausesTest extends TestCase
{
    private const AMBIENT = 303.15;

    public function test_a_bypassing_head_pressure_valve_holds_liquid_back_and_does_not_starve(): void
    {
        $machine = self::machine(['head_pressure_control' => 'flooding_valve']);
        $sound = self::state($machine);
        $sick = self::state(Disorder::in($machine, Fault::HeadPressureValveBypassing, 0.7));

        self::assertGreaterThan($sound->flooded + 0.2, $sick->flooded);
        self::assertGreaterThan(
            self::read($sound, Reading::DischargePressure),
            self::read($sick, Reading::DischargePressure),
        );
        self::assertGreaterThan(
            self::read($sick, Reading::CondenserOutletTemperature) + 5.0,
            self::read($sick, Reading::ReceiverOutletTemperature),
        );
        self::assertLessThan($sound->level, $sick->level);
        // The receiver keeps its seal, so the valve keeps its liquid.
        self::assertGreaterThan(0.9 * $sound->cooling, $sick->cooling);
    }

    public function test_more_air_through_fewer_fins_moves_the_same_heat_with_a_smaller_drop(): void
    {
        $side = new AirSide(1000.0, 1100.0);
        $more = $side->moving(1.4);

        self::assertEqualsWithDelta($side->conductance(), $more->conductance(), 1e-6);
        self::assertGreaterThan($side->capacity, $more->capacity);
        self::assertLessThan($side->transfer, $more->transfer);
        // Never less air than the exchange itself needs.
        self::assertGreaterThan($side->conductance(), $side->moving(0.1)->capacity);
    }

    public function test_the_power_with_which_transfer_follows_the_air_can_be_another(): void
    {
        $side = new AirSide(1000.0, 1100.0);
        self::assertEqualsWithDelta(1100.0 * 0.5 ** 0.5, $side->with(0.5)->transfer, 1e-9);
        self::assertEqualsWithDelta(1100.0 * 0.5 ** 0.8, $side->obeying(0.8)->with(0.5)->transfer, 1e-9);
    }

    public function test_a_racks_compressors_draw_all_circuits_gas(): void
    {
        $machine = self::machine([], Kind::RackCircuitMedium);
        $cold = self::state($machine->with(groupSuperheat: 6.0));
        $warm = self::state($machine->with(groupSuperheat: 22.0));

        self::assertGreaterThan(
            self::read($cold, Reading::SuctionTemperatureCompressor) + 8.0,
            self::read($warm, Reading::SuctionTemperatureCompressor),
        );
        self::assertGreaterThan(
            self::read($cold, Reading::DischargeTemperature) + 5.0,
            self::read($warm, Reading::DischargeTemperature),
        );
        // At the bulb nothing of it is felt.
        self::assertEqualsWithDelta(
            self::read($cold, Reading::SuctionTemperatureEvaporator),
            self::read($warm, Reading::SuctionTemperatureEvaporator),
            0.3,
        );
        self::assertLessThan(1e-3, $warm->energyResidual);
    }

    public function test_a_weakened_bulb_opens_late_and_never_far(): void
    {
        $valve = new Feed(\Metrum\Installation\Metering::Txv, 1e-6, 2.0, 6.0);
        $weak = $valve->weakened(0.4);

        self::assertSame(1.0, $valve->opening(30.0));
        self::assertSame(0.4, $weak->opening(30.0));
        self::assertLessThan($valve->opening(5.0), $weak->opening(5.0));
    }

    /** @return iterable<string, array{Cause, Reading, Reading}> cause, pipe before it, pipe after it */
    public static function restrictions(): iterable
    {
        yield 'before the drier' => [
            Cause::OutletValvePartShut,
            Reading::CondenserOutletTemperature,
            Reading::DrierInletTemperature,
        ];
        yield 'in the drier' => [
            Cause::DrierClogged,
            Reading::DrierInletTemperature,
            Reading::DrierOutletTemperature,
        ];
        yield 'after the drier' => [
            Cause::SolenoidHalfOpen,
            Reading::DrierOutletTemperature,
            Reading::ValveInletTemperature,
        ];
    }

    #[DataProvider('restrictions')]
    public function test_the_pipe_turns_cold_where_it_is_throttled(
        Cause $cause,
        Reading $before,
        Reading $after,
    ): void {
        $machine = self::machine();
        $sick = self::state(Disorder::in($machine, Fault::LiquidLineRestriction, 0.8, $cause));
        $falls = [];
        foreach (self::restrictions() as [, $from, $to]) {
            $falls[$to->value] = self::read($sick, $from) - self::read($sick, $to);
        }
        arsort($falls);

        self::assertSame($after->value, array_key_first($falls), $before->value);
        self::assertGreaterThan(4.0, $falls[$after->value]);
    }

    public function test_a_valve_set_shut_still_follows_its_superheat_and_a_plugged_one_does_not(): void
    {
        $machine = self::machine();
        $shut = Disorder::in($machine, Fault::ValveUnderfeeding, 0.5, Cause::SetTooFarIn);
        $plugged = Disorder::in($machine, Fault::ValveUnderfeeding, 0.5, Cause::ScreenPlugged);

        self::assertLessThan(0.9, $shut->feed->opening(9.0));
        self::assertSame(1.0, $plugged->feed->opening(20.0));
        foreach ([$shut, $plugged] as $sick) {
            self::assertLessThan(
                self::read(self::state($machine), Reading::SuctionPressure),
                self::read(self::state($sick), Reading::SuctionPressure),
            );
        }
    }

    public function test_words_do_not_switch_at_a_figure(): void
    {
        $machine = self::machine();
        $before = 1.0;
        foreach ([0.0, 0.2, 0.3, 0.4, 0.5, 0.7, 0.9] as $severity) {
            $state = self::state(Disorder::in($machine, Fault::Undercharge, $severity));
            $clear = $state->chances[Observation::SightGlass->value][Word::Clear->value];
            self::assertLessThanOrEqual($before + 1e-9, $clear, (string) $severity);
            $before = $clear;
            foreach ($state->chances as $asked => $words) {
                self::assertEqualsWithDelta(1.0, array_sum($words), 1e-9, $asked);
                self::assertGreaterThanOrEqual(0.0, min($words), $asked);
            }
        }
        self::assertLessThan(0.1, $before);
    }

    public function test_a_stopped_fan_leaves_the_others_their_air(): void
    {
        $machine = self::machine();
        $fan = Disorder::in($machine, Fault::EvaporatorAirflowLow, 0.6, Cause::FansStopped)->coil;
        $dirt = Disorder::in($machine, Fault::EvaporatorAirflowLow, 0.6, Cause::FaceDirty)->coil;

        $units = static fn (AirSide $side): float => $side->transfer / $side->capacity;
        self::assertEqualsWithDelta($units($machine->coil), $units($fan), 1e-9);
        self::assertGreaterThan($units($machine->coil), $units($dirt));
    }

    /** @param  array<string, mixed>  $system */
    private static function machine(array $system = [], Kind $kind = Kind::WalkInCooler): Machine
    {
        $usual = $kind->usual();
        $circuit = Circuit::fromWords($system + $usual->system + ['refrigerant' => 'R-134a'], $usual->design);

        return (new Sizing($circuit))->machine();
    }

    private static function state(Machine $machine): PlantState
    {
        $state = (new SteadyState($machine, new Surroundings(self::AMBIENT, $machine->design->box)))->find();
        self::assertTrue($state->runs(), (string) $state->stopped?->sentence());

        return $state;
    }

    private static function read(PlantState $state, Reading $reading): float
    {
        return $state->reading($reading) ?? self::fail($reading->value);
    }
}
