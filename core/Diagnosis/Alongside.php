<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Derived;
use Metrum\Findings\Sign;

/** With which sign a figure that tells as it stands is told: it is one thing that was found, and said once. */
final class Alongside
{
    private const SIGNS = [
        Derived::EvaporatorSuperheat->value => [Sign::Superheat, Sign::SuperheatSuction],
        Derived::CompressorSuperheat->value => [Sign::SuperheatFar],
        Derived::SuctionLineGain->value => [Sign::LineGain],
        Derived::SaturatedEvaporator->value => [Sign::TdCoil, Sign::TdSuction],
        Derived::EvaporatorTd->value => [Sign::TdCoil, Sign::TdSuction],
        Derived::CoilAirDrop->value => [Sign::AirDrop],
        Derived::BoxAboveSetPoint->value => [Sign::Box],
        Derived::CondensingMiddle->value => [Sign::Split],
        Derived::CondenserSplit->value => [Sign::Split],
        Derived::CondenserAirRise->value => [Sign::AirRise],
        Derived::CondenserSubcooling->value => [Sign::SubcoolingCondenser],
        Derived::ReceiverSubcooling->value => [Sign::Subcooling],
        Derived::Subcooling->value => [Sign::Subcooling],
        Derived::ValveSubcooling->value => [Sign::ValveSubcooling],
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
