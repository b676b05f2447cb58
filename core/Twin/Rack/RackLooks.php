<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Celsius;

/** What a person would see, hear and feel of a rack in a state, and how likely: the plant's own, and a case's. */
final class RackLooks
{
    private const FREEZING = Celsius::ZERO;

    /** Share of looks that find a medium-temperature coil without its frost. */
    private const SHED = 0.3;

    private const HARD_TO_FEEL = 0.2;

    /** @return array<string, array<string, float>> chance of each word, by key of Observation */
    public static function ofPlant(RackState $state): array
    {
        $full = self::risen(($state->level - 0.93) / 0.02);
        $even = min(1.0, self::HARD_TO_FEEL + self::risen((0.05 - $state->level) / 0.02) + $full);
        $hot = self::risen(($state->liquidTemperature - $state->condenserOutlet - 3.0) / 1.0);

        return [
            Observation::SightGlass->value => self::either(
                Word::Bubbles,
                Word::Clear,
                ($state->quality - 0.004) / 0.002,
            ),
            Observation::ReceiverFeel->value => [
                Word::HotterThanCondenserOutlet->value => $hot,
                Word::SameAllOver->value => (1 - $hot) * $even,
                Word::WarmBottomCoolLiquid->value => (1 - $hot) * (1 - $even),
            ],
        ];
    }

    /** @return array<string, array<string, float>> the same of one case */
    public static function ofCase(CircuitState $circuit, CaseState $case): array
    {
        $coldest = min($circuit->saturated, $case->inlet + 1.0);
        $sheds = $case->air > self::FREEZING + 1.5 ? self::SHED : 0.0;
        $frost = (1 - $sheds) * self::risen((self::FREEZING - $coldest) / 0.7);
        $starved = $frost * self::risen(($case->dryShare - 0.4) / 0.06);
        $wet = self::risen((0.8 - $case->superheat) / 0.5);
        $cold = self::risen((self::FREEZING - 0.5 - $case->bulb) / 1.5);

        return [
            Observation::FrostCoil->value => [
                Word::None->value => 1 - $frost,
                Word::InletOnly->value => $starved,
                Word::Even->value => $frost - $starved,
            ],
            Observation::ValveSound->value => self::either(
                Word::HissingGas,
                Word::Steady,
                ($case->valveQuality - 0.015) / 0.005,
            ),
            Observation::FrostSuctionLine->value => [
                Word::ToCompressor->value => 0.8 * $wet * $cold,
                Word::ToCoilOutlet->value => $cold * (1 - 0.8 * $wet),
                Word::None->value => 1 - $cold,
            ],
        ];
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
}
