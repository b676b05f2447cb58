<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Installation\Condition;
use Metrum\Installation\HeadPressureControl;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Celsius;

/**
 * What a person would see, hear and feel of a plant in a state, and how likely. Only what follows from the state
 * itself.
 *
 * No eye switches at a figure: between one word and the next lies a width in which some say this and some that.
 */
final class PlantLooks
{
    private const FREEZING = Celsius::ZERO;

    /** Share of looks that find a medium-temperature coil without its frost. */
    private const SHED = 0.35;

    /** Share of hands that feel no level where there is one. */
    private const HARD_TO_FEEL = 0.25;

    /** Pa over drier and first pipe from which gas that forms there reaches the glass behind. */
    private const SHOWN_AT_GLASS = 20e3;

    /**
     * @param  array<string, array<string, float>>  $chances
     * @return array<string, Word> the likeliest word of each, by key of Observation
     */
    public static function likeliest(array $chances): array
    {
        return array_map(static function (array $words): Word {
            arsort($words);

            return Word::from((string) array_key_first($words));
        }, $chances);
    }

    /** @return array<string, array<string, float>> chance of each word, by key of Observation */
    public static function chances(Loop $loop): array
    {
        return [
            Observation::Compressor->value => [Word::Running->value => 1.0],
            Observation::LiquidSolenoid->value => [Word::EnergisedOpen->value => 1.0],
            ...self::liquid($loop),
            ...self::frost($loop),
            Observation::OilLevel->value => self::either(
                Word::Foaming,
                Word::Normal,
                (1.0 - $loop->suction->superheat) / 1.0,
            ),
            ...self::receiver($loop),
            ...self::hotPipes($loop),
        ];
    }

    /** @return array<string, array<string, float>> */
    private static function liquid(Loop $loop): array
    {
        $line = $loop->line;
        $machine = $loop->machine;
        $before = $line->drierDrop + $line->outletDrop;
        $gas = $before > self::SHOWN_AT_GLASS ? max($line->quality, $line->valveQuality) : $line->quality;
        $along = max($line->temperature - $line->drierInlet, $line->drierOutlet - $line->valveTemperature);
        $cold = self::risen(($line->drierInlet - $line->drierOutlet - 2.3) / 0.7);
        $elsewhere = (1 - $cold) * self::risen(($along - 4.0) / 1.0);
        $hot =
            (1 - $cold - $elsewhere) * self::risen(($line->temperature - $loop->around->ambient - 24.0) / 2.5);

        return [
            Observation::SightGlass->value => self::either(Word::Bubbles, Word::Clear, ($gas - 0.005) / 0.0025),
            Observation::ValveSound->value => self::either(
                Word::HissingGas,
                Word::Steady,
                ($line->valveQuality - 0.015) / 0.005,
            ),
            Observation::LiquidLineFeel->value => [
                Word::ColdAfterDrier->value => $cold,
                Word::ColdAfterRestriction->value => $elsewhere,
                Word::Hot->value => $hot,
                Word::NoChange->value => 1 - $cold - $elsewhere - $hot,
            ],
        ];
    }

    /** @return array<string, array<string, float>> */
    private static function frost(Loop $loop): array
    {
        $coil = $loop->coil;
        $coldest = min($loop->evaporating->dew, $coil->inlet + 1.0);
        // Between cycles a coil above freezing air sheds its frost.
        $sheds = $loop->around->box > self::FREEZING + 1.5 ? self::SHED : 0.0;
        $frost = (1 - $sheds) * self::risen((self::FREEZING - $coldest) / 0.7);
        $starved = $frost * self::risen(($coil->dryShare - 0.45) / 0.06);
        $pipe = $loop->suction->dew + $loop->suction->superheat;
        $far = self::risen((self::FREEZING - 0.5 - $pipe) / 1.5);
        $near = (1 - $far) * self::risen((self::FREEZING - 0.5 - $coil->outlet) / 1.5);

        return [
            Observation::FrostCoil->value => [
                Word::None->value => 1 - $frost,
                Word::InletOnly->value => $starved,
                Word::Even->value => $frost - $starved,
            ],
            Observation::FrostSuctionLine->value => [
                Word::ToCompressor->value => $far,
                Word::ToCoilOutlet->value => $near,
                Word::None->value => 1 - $far - $near,
            ],
        ];
    }

    /** @return array<string, array<string, float>> */
    private static function receiver(Loop $loop): array
    {
        if (! $loop->machine->hasReceiver()) {
            return [];
        }
        $hot = self::risen(($loop->line->temperature - $loop->condenser->outlet - 3.0) / 1.0);
        // A middling level is hard to feel: many a hand finds the shell the same all over.
        $even =
            self::HARD_TO_FEEL +
            self::risen((0.07 - $loop->level) / 0.02) +
            self::risen(($loop->level - 0.93) / 0.02);

        return [
            Observation::ReceiverFeel->value => [
                Word::HotterThanCondenserOutlet->value => $hot,
                Word::SameAllOver->value => (1 - $hot) * min(1.0, $even),
                Word::WarmBottomCoolLiquid->value => (1 - $hot) * max(0.0, 1 - $even),
            ],
        ];
    }

    /** @return array<string, array<string, float>> */
    private static function hotPipes(Loop $loop): array
    {
        $machine = $loop->machine;
        $seen = [];
        if ($machine->head->kind === HeadPressureControl::FloodingValve) {
            $seen[Observation::HeadPressureValveBypassLine->value] = self::either(
                Word::Hot,
                Word::Cold,
                ($loop->condenser->bypassed - 0.012) / 0.004,
            );
        }
        if (Condition::HotGas->holds($machine->circuit) === true) {
            $seen[Observation::SuctionLineAfterHotGasValve->value] = self::either(
                Word::Hot,
                Word::Cold,
                ($machine->hotGas / $machine->design->massFlow - 0.025) / 0.008,
            );
        }

        return $seen;
    }

    /** @return array<string, float> */
    private static function either(Word $word, Word $other, float $beyond): array
    {
        $chance = self::risen($beyond);

        return [$word->value => $chance, $other->value => 1 - $chance];
    }

    /** Logistic: 0.5 at 0, nearly 0 or 1 at four widths. */
    private static function risen(float $widths): float
    {
        return 1 / (1 + exp(-max(-30.0, min(30.0, $widths))));
    }

    /** @return array<string, Word> */
    public static function stopped(Standstill $why, Machine $machine): array
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
