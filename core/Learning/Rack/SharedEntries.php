<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Diagnosis\Conditions;
use Metrum\Findings\Findings;
use Metrum\Findings\PartFindings;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Installation;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Learning\SpokenAnswers;
use Metrum\Quantity\Celsius;
use Metrum\Twin\Dice;
use Metrum\Twin\PlantState;
use Metrum\Twin\Rack\RackIll;
use Metrum\Twin\Rack\RackLooks;
use Metrum\Twin\Rack\RackMachine;
use Metrum\Twin\Rack\RackSizing;
use Metrum\Twin\Rack\RackState;
use Metrum\Twin\Rack\Store;

/** What is entered of what the circuits of a rack share, and of its compressors. */
final readonly class SharedEntries
{
    /** How often each reading is taken. */
    private const TAKEN = [
        'suction_header_kpa' => 0.97,
        'suction_set_kpa' => 0.8,
        'head_set_kpa' => 0.62,
        'discharge_pressure_kpa' => 0.96,
        'receiver_pressure_kpa' => 0.2,
        'ambient_temperature_c' => 0.96,
        'condenser_air_out_temperature_c' => 0.36,
        'condenser_outlet_temperature_c' => 0.42,
        'receiver_outlet_temperature_c' => 0.55,
        'suction_temperature_compressor_c' => 0.45,
        'discharge_temperature_c' => 0.57,
        'receiver_level_percent' => 0.8,
        'store_temperature_c' => 0.75,
        'store_humidity_percent' => 0.56,
        'oil_pressure_difference_kpa' => 0.1,
    ];

    private const ASKED = [
        'sight_glass' => 0.8,
        'condenser_face' => 0.62,
        'oil_level' => 0.32,
        'oil_stains' => 0.46,
        'receiver_feel' => 0.28,
        'head_pressure_valve_bypass_line' => 0.25,
        'condenser_washed' => 0.08,
        'nitrogen_or_bubble_search' => 0.05,
        'non_condensable_check' => 0.05,
        'circuit_isolated' => 0.03,
    ];

    private const LEVEL = 0.04;

    /** Pa by which gauges are off, low and high side. */
    private const LOW = 3e3;

    private const HIGH = 8e3;

    /** Share of people who read the air where it enters the condenser, not in the open. */
    private const AT_THE_FACE = 0.65;

    /** Share of head controls that hold too little because they are set so. */
    private const SET_LOW = 0.25;

    /** Net oil pressure where the oil returns, Pa. */
    private const OIL = 220e3;

    private RackInstruments $instruments;

    public function __construct(private Dice $dice, private Installation $plant, private Store $store)
    {
        $this->instruments = new RackInstruments($dice);
    }

    public function of(RackSick $sick): PartFindings
    {
        $now = $sick->now;
        $own = $sick->ill->circuit === null ? $sick->ill : RackIll::none();
        [$running, $fitted] = $this->running($sick->machine, $now);
        [$turning, $fans] = $this->fans($now, $own);
        $readings = array_filter(
            $this->readings($sick, $own),
            fn (string $key): bool => $this->dice->chance(self::TAKEN[$key]),
            ARRAY_FILTER_USE_KEY,
        );
        if ($this->dice->chance(0.91)) {
            $readings[Reading::CompressorsRunning->value] = (float) $running;
            $readings[Reading::CompressorsFitted->value] = (float) $fitted;
        }
        if ($this->dice->chance(0.7)) {
            $readings[Reading::CondenserFansRunning->value] = (float) $turning;
            $readings[Reading::CondenserFansFitted->value] = (float) $fans;
        }
        [$observations, $tests] = $this->answers($now, $own, $turning / $fans);

        return new PartFindings($readings, $observations, $tests, State::RunningSettled);
    }

    /** @return array<string, PartFindings> of the compressors, by part */
    public function compressors(RackSick $sick): array
    {
        $dice = $this->dice;
        [$built, $now, $ill] = [$sick->machine, $sick->now, $sick->ill];
        [$running] = $this->running($built, $now);
        $found = [];
        $on = 0;
        $shares = 0.0;
        foreach ($built->groups[0]->compressors as $one) {
            $shares += $one->isOut ? 0.0 : $one->share;
        }
        foreach ($this->plant->groups[0]->compressors as $place => $unit) {
            $one = $built->groups[0]->compressors[$place];
            $isOn = ! $one->isOut && $on < $running;
            $on += $isOn ? 1 : 0;
            $readings = $words = [];
            $wear = 1 - 0.45 * $one->wear;
            $power = ($now->power / max(0.05, $now->first()->running * $shares)) * $one->share * $wear;
            if ($isOn && $dice->chance(0.4)) {
                $readings[Reading::CompressorCurrent->value] = ($power / (1.732 * 400 * 0.82)) * $dice->factor(0.05);
            }
            if ($isOn && $dice->chance(0.28)) {
                $more = $wear / (1 - 0.75 * $one->wear) - 1;
                $readings[Reading::DischargeTemperature->value] = $this->instruments->clamp(
                    $now->first()->discharge + 0.7 * $more * ($now->first()->discharge - $now->first()->returnGas),
                    $this->store->ambient,
                );
            }
            if ($dice->chance(0.5)) {
                $words[Observation::Compressor->value] = $this->said($isOn, $one->isOut, $ill);
            }
            $found[$unit->part->value] = new PartFindings($readings, $words);
        }

        return $found;
    }

    private function said(bool $isOn, bool $isOut, RackIll $ill): Word
    {
        $dice = $this->dice;
        $trip = $ill->fault === Fault::OilReturnPoor && $dice->chance(0.4) ? Word::OffOnOil : null;

        return match (true) {
            $dice->chance(0.04) => $dice->one([Word::Running, Word::ShortCycling, Word::OffNotCalled]),
            $isOut => $dice->one([Word::OffOnOverload, Word::OffOnHighPressure, Word::OffOnOil, Word::WillNotStart]),
            $trip !== null => $trip,
            $isOn => $dice->chance(0.07) ? Word::ShortCycling : Word::Running,
            default => Word::OffNotCalled,
        };
    }

    /** @return array{int, int} compressors running and fitted */
    private function running(RackMachine $built, RackState $now): array
    {
        $on = 0;
        $share = 0.0;
        $able = array_filter($built->groups[0]->compressors, static fn ($one): bool => ! $one->isOut);
        $whole = array_sum(array_map(static fn ($one): float => $one->delivers(), $able));
        foreach ($able as $one) {
            if ($now->first()->allRun || $share < $now->first()->running * $whole - 0.02) {
                $on++;
                $share += $one->delivers();
            }
        }

        return [max(1, $on), count($built->groups[0]->compressors)];
    }

    /** @return array{int, int} condenser fans running and fitted */
    private function fans(RackState $now, RackIll $ill): array
    {
        $fitted = 2 + (int) floor(7 * fmod(abs($now->held['liquid']) * 97.0, 1.0));
        $cycles = $this->plant->highSide->headPressureControl === HeadPressureControl::FanCycling;
        $on = $cycles ? (int) round($fitted * $now->fans) : $fitted;
        $isStopped = $ill->fault === Fault::CondenserAirflowLow && $ill->cause === Cause::CondenserFansStopped;

        return [max(0, $on - ($isStopped ? (int) ceil(0.6 * $ill->severity * $on) : 0)), $fitted];
    }

    /** @return array<string, float> */
    private function readings(RackSick $sick, RackIll $ill): array
    {
        $dice = $this->dice;
        [$machine, $now] = [$sick->machine, $sick->now];
        $tools = $this->instruments;
        $air = $this->store->air->pressure;
        $isEntering = $dice->chance(self::AT_THE_FACE);
        $ambient = $isEntering ? $sick->entering : $this->store->ambient;
        $fluid = $machine->fluid();
        $standing = $now->condensing + $machine->high->inert;
        // What its control is set to; one that fails holds less than that.
        $head = ($dice->chance(self::SET_LOW) ? $machine : $sick->built)->high->head;
        $setting = $head->setting - RackSizing::heldBelow($head->kind);
        $hunts = $fluid->warmer($now->first()->suction, $now->first()->allRun ? 0.0 : $dice->around(0.0, 0.35));

        return array_filter([
            Reading::SuctionHeader->value => $tools->gauge($hunts, $air, self::LOW),
            Reading::SuctionSet->value => $machine->groups[0]->setSuction - $air,
            Reading::HeadSet->value => $this->plant->highSide->headPressureControl === HeadPressureControl::None
                ? null
                : $fluid->bubblePressure(min($setting, $fluid->saturation->highest - 5.0)) - $air,
            Reading::DischargePressure->value => $tools->gauge($standing, $air, self::HIGH),
            Reading::ReceiverPressure->value => $tools->gauge($now->condensing, $air, self::HIGH),
            Reading::AmbientTemperature->value => $tools->air($ambient) + ($dice->chance(0.1) ? 1.0 : 0.0),
            Reading::CondenserAirOutTemperature->value => $tools->air($now->airOut),
            Reading::CondenserOutletTemperature->value => $tools->clamp($now->condenserOutlet, $sick->entering),
            Reading::ReceiverOutletTemperature->value => $tools->clamp($now->liquidTemperature, Celsius::ZERO + 20.0),
            Reading::SuctionTemperatureCompressor->value => $tools->clamp(
                $now->first()->returnGas,
                Celsius::ZERO + 20.0,
            ),
            Reading::DischargeTemperature->value => $tools->clamp($now->first()->discharge, $ambient),
            Reading::ReceiverLevel->value => max(0.0, min(1.0, $dice->around($now->level, self::LEVEL))),
            Reading::StoreTemperature->value => $tools->air($this->store->air->temperature),
            Reading::StoreHumidity->value => max(0.1, min(0.95, $dice->around($this->store->air->humidity, 0.03))),
            Reading::OilPressureDifference->value => self::OIL * $dice->factor(0.2) *
                ($ill->fault === Fault::OilReturnPoor ? 1 - 0.75 * $ill->severity : 1.0),
        ], static fn (?float $one): bool => $one !== null);
    }

    /** @return array{array<string, Word>, array<string, Word>} observations and tests */
    private function answers(RackState $now, RackIll $ill, float $turning): array
    {
        $dice = $this->dice;
        $first = $this->plant->circuit($this->plant->branches[0]->part);
        $conditions = new Conditions(new Findings($first, State::RunningSettled), $this->isCold());
        $said = new SpokenAnswers($dice, $conditions);
        $looks = PlantState::looking(RackLooks::ofPlant($now));
        $ills = $ill->fault === Fault::NoFault ? [] : [[$ill->fault, $ill->cause, $ill->severity]];
        $observations = $tests = [];
        foreach (self::ASKED as $key => $often) {
            $asked = Observation::tryFrom($key) ?? Test::from($key);
            if (! $dice->chance($often) || ! $asked->taking()->isAskedAt($first)) {
                continue;
            }
            $word = $said->answer($asked, $looks, $ills);
            if ($asked instanceof Observation) {
                $observations[$key] = $word;
            } else {
                $tests[$key] = $word;
            }
        }
        if ($dice->chance(0.6)) {
            $observations[Observation::CondenserFans->value] = match (true) {
                $turning < 0.02 => Word::AllStopped,
                $turning < 0.98 => $dice->chance(0.9) ? Word::SomeStopped : Word::AllRunning,
                default => $dice->chance(0.97) ? Word::AllRunning : Word::SomeStopped,
            };
        }
        if ($dice->chance(0.45) || $this->store->reclaims) {
            $on = $this->store->reclaims ? Word::On : Word::Off;
            $observations[Observation::HeatReclaim->value] = $dice->chance(0.97) ? $on : Word::Off;
        }

        return [$observations, $tests];
    }

    private function isCold(): bool
    {
        return $this->store->ambient < Celsius::ZERO + 10.0;
    }
}
