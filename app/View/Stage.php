<?php

namespace App\View;

use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Test;

/** The stations of a visit, in the order of the work; each can be skipped or come back to. */
enum Stage: string
{
    case Complaint = 'complaint';
    case Box = 'box';
    case Unit = 'unit';
    case Gauges = 'gauges';
    case Verdict = 'verdict';
    case Leave = 'leave';

    public function label(): string
    {
        return match ($this) {
            self::Complaint => 'Complaint',
            self::Box => 'At the box',
            self::Unit => 'At the unit',
            self::Gauges => 'Gauges & clamps',
            self::Verdict => 'Verdict & tests',
            self::Leave => 'Leave it',
        };
    }

    public function short(): string
    {
        return match ($this) {
            self::Box => 'Box',
            self::Unit => 'Unit',
            self::Gauges => 'Gauges',
            self::Verdict => 'Verdict',
            self::Leave => 'Leave',
            default => $this->label(),
        };
    }

    /** @return list<Observation> */
    public function observations(): array
    {
        return match ($this) {
            self::Box => [
                Observation::FrostCoil,
                Observation::EvaporatorFans,
                Observation::EvaporatorFace,
                Observation::Doors,
                Observation::Product,
                Observation::Drain,
                Observation::ValveSound,
                Observation::FrostValveOutlet,
                Observation::LiquidSolenoid,
                Observation::LastDefrost,
                Observation::DefrostClock,
                Observation::RegulatorStem,
            ],
            self::Unit => [
                Observation::Compressor,
                Observation::CondenserFans,
                Observation::CondenserFace,
                Observation::SightGlass,
                Observation::ReceiverFeel,
                Observation::LiquidLineFeel,
                Observation::FrostSuctionLine,
                Observation::OilLevel,
                Observation::OilStains,
                Observation::HeadPressureValveBypassLine,
                Observation::SuctionLineAfterHotGasValve,
            ],
            default => [],
        };
    }

    /** @return list<Reading> the cells of the station, in the order in which refrigerant passes them */
    public function readings(): array
    {
        return match ($this) {
            self::Box => [
                Reading::BoxTemperature,
                Reading::SupplyAirTemperature,
                Reading::FansRunning,
                Reading::FansFitted,
            ],
            self::Unit => [
                Reading::AmbientTemperature,
                Reading::CondenserAirOutTemperature,
                Reading::CompressorCurrent,
                Reading::SupplyVoltage,
                Reading::ReceiverLevel,
                Reading::MinutesSinceDisturbance,
            ],
            self::Gauges => [
                Reading::DischargePressure,
                Reading::DischargeTemperature,
                Reading::CondenserOutletTemperature,
                Reading::ReceiverOutletTemperature,
                Reading::DrierInletTemperature,
                Reading::DrierOutletTemperature,
                Reading::ValveInletTemperature,
                Reading::SuctionPressure,
                Reading::SuctionTemperatureEvaporator,
                Reading::SuctionTemperatureCompressor,
                Reading::AmbientTemperature,
                Reading::BoxTemperature,
                Reading::SupplyAirTemperature,
                Reading::CondenserAirOutTemperature,
                Reading::EvaporatorPressure,
                Reading::ReceiverPressure,
                Reading::ReceiverLevel,
                Reading::CompressorCurrent,
            ],
            default => [],
        };
    }

    /** @return list<Reading> cells that are seldom needed, folded away */
    public function moreReadings(): array
    {
        if ($this !== self::Gauges) {
            return [];
        }
        $shown = array_merge(self::Box->readings(), self::Unit->readings(), $this->readings());

        return array_values(
            array_filter(
                Reading::cases(),
                static fn (Reading $reading): bool => ! in_array($reading, $shown, true),
            ),
        );
    }

    /** @return list<Test> */
    public function tests(): array
    {
        return $this === self::Verdict ? Test::cases() : [];
    }

    public function next(): ?self
    {
        return self::cases()[(int) array_search($this, self::cases(), true) + 1] ?? null;
    }

    public static function of(Reading|Observation|Test $key): self
    {
        if ($key instanceof Test) {
            return self::Verdict;
        }
        foreach ([self::Box, self::Unit] as $stage) {
            if (
                in_array($key, $stage->observations(), true) ||
                ($key instanceof Reading && in_array($key, $stage->readings(), true))
            ) {
                return $stage;
            }
        }

        return self::Gauges;
    }
}
