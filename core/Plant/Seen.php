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
    public static function in(Loop $loop): array
    {
        $machine = $loop->machine;
        $seen = [
            Observation::Compressor->value => Word::Running,
            Observation::LiquidSolenoid->value => Word::EnergisedOpen,
            Observation::SightGlass->value => $loop->line->quality > 0.004 ||
                ($loop->line->drierDrop > 40e3 && $loop->line->valveQuality > 0.004)
                    ? Word::Bubbles
                    : Word::Clear,
            Observation::FrostCoil->value => match (true) {
                $loop->evaporating->dew > self::FREEZING && $loop->coil->inlet > self::FREEZING - 1 => Word::None,
                $loop->coil->dryShare > 0.45 => Word::InletOnly,
                default => Word::Even,
            },
            Observation::FrostSuctionLine->value => match (true) {
                $loop->suction->dew + $loop->suction->superheat < self::FREEZING - 0.5 => Word::ToCompressor,
                $loop->coil->outlet < self::FREEZING - 0.5 => Word::ToCoilOutlet,
                default => Word::None,
            },
            Observation::ValveSound->value => $loop->line->valveQuality > 0.015 ? Word::HissingGas : Word::Steady,
            Observation::LiquidLineFeel->value => match (true) {
                $loop->line->temperature - $loop->line->drierOutlet > 2.0 => Word::ColdAfterDrier,
                $loop->line->temperature > $loop->around->ambient + 24.0 => Word::Hot,
                default => Word::NoChange,
            },
            Observation::OilLevel->value => $loop->suction->superheat < 1.0 ? Word::Foaming : Word::Normal,
        ];
        if ($machine->hasReceiver()) {
            $seen[Observation::ReceiverFeel->value] = match (true) {
                $loop->line->temperature > $loop->condenser->outlet + 3.0 => Word::HotterThanCondenserOutlet,
                $loop->level < 0.06 || $loop->level > 0.94 => Word::SameAllOver,
                default => Word::WarmBottomCoolLiquid,
            };
        }
        if ($machine->head->kind === HeadPressureControl::FloodingValve) {
            $seen[Observation::HeadPressureValveBypassLine->value] =
                $loop->condenser->bypassed > 0.01 ? Word::Hot : Word::Cold;
        }
        if ($machine->hotGas > 0.02 * $machine->design->massFlow) {
            $seen[Observation::SuctionLineAfterHotGasValve->value] = Word::Hot;
        }

        return $seen;
    }

    /** @return array<string, Word> */
    public static function stopped(Stop $why, Machine $machine): array
    {
        return [
            Observation::Compressor->value => $why->seen(),
            Observation::LiquidSolenoid->value => $machine->solenoidOpen
                ? Word::EnergisedOpen
                : Word::EnergisedShut,
            Observation::ValveSound->value => Word::Silent,
        ];
    }
}
