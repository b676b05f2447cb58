<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Share;
use Metrum\Findings\Sign;
use Metrum\Installation\Condition;
use Metrum\Knowledge\Reading;

/**
 * Where a figure means something else than it usually does, it is a figure of its own: on a rack the suction side is
 * the group's, in the cold the high side is what head control makes of it.
 */
final class Setting
{
    /** Features of the suction side. */
    private const SUCTION = [
        Sign::TdSuction,
        Sign::TdCoil,
        Sign::Superheat,
        Sign::SuperheatSuction,
        Sign::SuperheatFar,
        Sign::Discharge,
        Sign::DischargeLevel,
        Sign::RegulatorDrop,
        Sign::LineLoss,
        Sign::LineGain,
        Sign::Current,
        Sign::CurrentResidual,
        Reading::SuctionPressure,
        Reading::SuctionTemperatureCompressor,
        Reading::EvaporatorPressure,
        Reading::CompressorCurrent,
        Share::DischargeOverIdeal,
        Share::Ratio,
        Share::Lift,
        DerivedFigure::CompressorSuperheat,
        DerivedFigure::SuctionLineGain,
    ];

    /** Features of the high side. */
    private const HEAD = [
        Sign::Split,
        Sign::Subcooling,
        Sign::SubcoolingCondenser,
        Sign::ValveSubcooling,
        Sign::OverCondenser,
        Sign::Level,
        Sign::AirRise,
        Sign::Drier,
        Sign::LiquidLineDrop,
        Reading::DischargePressure,
        Reading::CondenserOutletTemperature,
        Reading::ReceiverOutletTemperature,
        Reading::DrierInletTemperature,
        Reading::DrierOutletTemperature,
        Reading::ValveInletTemperature,
        Reading::CondenserAirOutTemperature,
        Share::AirRiseOfSplit,
        Share::SubcoolingOfSplit,
        Share::LeastSubcooling,
        Share::GreatestSubcooling,
        Share::ReceiverOverCondenser,
    ];

    /** The condition under which a feature is one of its own; null where it is the same everywhere. */
    public static function of(Feature $feature): ?Condition
    {
        return match (true) {
            in_array($feature->of, self::SUCTION, true) => Condition::Shared,
            in_array($feature->of, self::HEAD, true) => Condition::Cold,
            default => null,
        };
    }

    /** What a feature is at such a plant in its weather. */
    public static function at(Feature $feature, Conditions $conditions): Feature
    {
        $setting = self::of($feature);

        return $setting !== null && $conditions->holds($setting) === true ? $feature->under($setting) : $feature;
    }

    /** @return list<string> all names of a feature */
    public static function names(Feature $feature): array
    {
        $setting = self::of($feature);

        return $setting === null ? [$feature->name()] : [$feature->name(), $feature->under($setting)->name()];
    }

    /** The name of a feature without its setting. */
    public static function plain(string $name): string
    {
        return explode('/', $name)[0];
    }
}
