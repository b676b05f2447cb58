<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Sign;

/** With which sign a figure that tells as it stands is told: it is one thing that was found, and said once. */
final class SameThing
{
    private const SIGNS = [
        DerivedFigure::EvaporatorSuperheat->value => [Sign::Superheat, Sign::SuperheatSuction],
        DerivedFigure::CompressorSuperheat->value => [Sign::SuperheatFar],
        DerivedFigure::SuctionLineGain->value => [Sign::LineGain],
        DerivedFigure::SaturatedEvaporator->value => [Sign::TdCoil, Sign::TdSuction],
        DerivedFigure::EvaporatorTd->value => [Sign::TdCoil, Sign::TdSuction],
        DerivedFigure::CoilAirDrop->value => [Sign::AirDrop],
        DerivedFigure::BoxAboveSetPoint->value => [Sign::Box],
        DerivedFigure::CondensingMiddle->value => [Sign::Split],
        DerivedFigure::CondenserSplit->value => [Sign::Split],
        DerivedFigure::CondenserAirRise->value => [Sign::AirRise],
        DerivedFigure::CondenserSubcooling->value => [Sign::SubcoolingCondenser],
        DerivedFigure::ReceiverSubcooling->value => [Sign::Subcooling],
        DerivedFigure::Subcooling->value => [Sign::Subcooling],
        DerivedFigure::ValveSubcooling->value => [Sign::ValveSubcooling],
    ];

    /**
     * The first of those that were measured, by feature without its setting; null where the thing stands alone.
     *
     * @param  array<string, Evidence>  $pieces  by feature without its setting
     */
    public static function of(string $feature, array $pieces): ?string
    {
        foreach (self::SIGNS[Feature::named($feature)->of->value ?? ''] ?? [] as $sign) {
            $name = Feature::of($sign)->name();
            if (isset($pieces[$name])) {
                return $name;
            }
        }

        return null;
    }
}
