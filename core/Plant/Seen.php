<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Circuit\HeadPressureControl;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Word;

/** What a person would see, hear and feel of a plant in a state. Only what follows from the state itself. */
final class Seen
{
    private const FREEZING = 273.15;

    /** @return array<string, Word> by key of Observation */
    public static function in(Loop $loop, Machine $machine, Surroundings $around): array
    {
        $seen = [
            Observation::Compressor->value => Word::Running,
            Observation::LiquidSolenoid->value => Word::EnergisedOpen,
            Observation::SightGlass->value => $loop->lineQuality > 0.004 || ($loop->drierDrop > 40e3 && $loop->valveQuality > 0.004)
                    ? Word::Bubbles
                    : Word::Clear,
            Observation::FrostCoil->value => match (true) {
                $loop->dew > self::FREEZING && $loop->coilInlet > self::FREEZING - 1 => Word::None,
                $loop->dryShare > 0.45 => Word::InletOnly,
                default => Word::Even,
            },
            Observation::FrostSuctionLine->value => match (true) {
                $loop->suctionDew + $loop->suctionSuperheat < self::FREEZING - 0.5 => Word::ToCompressor,
                $loop->coilOutlet < self::FREEZING - 0.5 => Word::ToCoilOutlet,
                default => Word::None,
            },
            Observation::ValveSound->value => $loop->valveQuality > 0.015 ? Word::HissingGas : Word::Steady,
            Observation::LiquidLineFeel->value => match (true) {
                $loop->liquidTemperature - $loop->drierOutlet > 2.0 => Word::ColdAfterDrier,
                $loop->liquidTemperature > $around->ambient + 24.0 => Word::Hot,
                default => Word::NoChange,
            },
            Observation::OilLevel->value => $loop->suctionSuperheat < 1.0 ? Word::Foaming : Word::Normal,
        ];
        if ($machine->hasReceiver()) {
            $seen[Observation::ReceiverFeel->value] = match (true) {
                $loop->liquidTemperature > $loop->condenserOutlet + 3.0 => Word::HotterThanCondenserOutlet,
                $loop->level < 0.06 || $loop->level > 0.94 => Word::SameAllOver,
                default => Word::WarmBottomCoolLiquid,
            };
        }
        if ($machine->head->kind === HeadPressureControl::FloodingValve) {
            $seen[Observation::HeadPressureValveBypassLine->value] =
                $loop->bypassed > 0.01 ? Word::Hot : Word::Cold;
        }
        if ($machine->hotGas > 0.02 * $machine->design->massFlow) {
            $seen[Observation::SuctionLineAfterHotGasValve->value] = Word::Hot;
        }

        return $seen;
    }

    /** @return array<string, Word> */
    public static function stopped(string $why, Machine $machine): array
    {
        return [
            Observation::Compressor->value => str_contains($why, 'high pressure')
                ? Word::OffOnHighPressure
                : Word::OffOnLowPressure,
            Observation::LiquidSolenoid->value => $machine->solenoidOpen
                ? Word::EnergisedOpen
                : Word::EnergisedShut,
            Observation::ValveSound->value => Word::Silent,
        ];
    }
}
