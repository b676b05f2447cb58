<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Share;

/**
 * Where a number stands between the knots of its curve. Curves are straight from knot to knot and level beyond the
 * ends, so that a reading that moves a little moves the verdict a little.
 */
final class Scale
{
    /** Deviations from what a sound plant would show. */
    public const DEVIATIONS = [-10.0, -6.0, -3.5, -2.0, -1.0, 0.0, 1.0, 2.0, 3.5, 6.0, 10.0];

    /** By share, figure, or kind of feature where it is one alone. */
    private const OWN = [
        FeatureKind::Ambient->value => [-4.0, -2.5, -1.5, -0.5, 0.5, 1.5, 2.3],
        Share::SuperheatOfTd->value => [-0.1, 0.1, 0.25, 0.4, 0.55, 0.7, 0.85, 1.0],
        Share::SubcoolingOfSplit->value => [-0.3, -0.1, 0.0, 0.1, 0.2, 0.35, 0.5, 0.7, 0.9],
        Share::AirDropOfTd->value => [0.1, 0.25, 0.4, 0.55, 0.7, 0.85, 1.05],
        Share::AirRiseOfSplit->value => [0.1, 0.25, 0.4, 0.55, 0.7, 0.85, 1.05],
        Share::GainOfDifference->value => [-0.1, 0.05, 0.12, 0.2, 0.3, 0.45, 0.65, 0.85],
        Share::DischargeOverIdeal->value => [-15.0, -5.0, 0.0, 5.0, 10.0, 16.0, 24.0, 35.0, 50.0],
        Share::LeastSubcooling->value => [-6.0, -3.0, -1.5, 0.0, 1.0, 2.5, 5.0, 8.0, 12.0],
        Share::GreatestSubcooling->value => [-4.0, -1.0, 0.0, 1.0, 2.5, 5.0, 8.0, 12.0, 18.0],
        Share::ReceiverOverCondenser->value => [-0.6, -0.2, -0.05, 0.05, 0.2, 0.4, 0.7],
        Share::LineFall->value => [-3.0, 0.0, 1.0, 2.0, 3.5, 6.0, 10.0],
        Share::Ratio->value => [1.5, 2.5, 3.5, 5.0, 7.0, 10.0, 14.0],
        Share::Lift->value => [12.0, 20.0, 28.0, 36.0, 45.0, 55.0, 70.0],
        DerivedFigure::EvaporatorSuperheat->value => [-4.0, -1.0, 0.5, 2.0, 3.5, 5.5, 8.0, 12.0, 18.0],
        DerivedFigure::CompressorSuperheat->value => [-4.0, 0.0, 3.0, 6.0, 10.0, 15.0, 22.0, 32.0, 45.0],
        DerivedFigure::SuctionLineGain->value => [-4.0, -1.0, 1.0, 3.0, 6.0, 10.0, 16.0, 25.0],
        DerivedFigure::SaturatedEvaporator->value => [-42.0, -34.0, -28.0, -22.0, -14.0, -8.0, -3.0, 2.0, 8.0],
        DerivedFigure::EvaporatorTd->value => [0.0, 3.0, 5.0, 7.0, 9.0, 12.0, 16.0, 22.0, 30.0],
        DerivedFigure::CoilAirDrop->value => [-0.5, 1.0, 2.0, 3.0, 4.5, 6.5, 9.0, 13.0],
        DerivedFigure::BoxAboveSetPoint->value => [-4.0, -2.0, -0.5, 0.5, 2.0, 4.0, 7.0, 11.0, 16.0],
        DerivedFigure::CondensingMiddle->value => [8.0, 16.0, 22.0, 28.0, 34.0, 40.0, 46.0, 53.0, 62.0],
        DerivedFigure::CondenserSplit->value => [2.0, 6.0, 9.0, 12.0, 15.0, 19.0, 25.0, 34.0, 45.0],
        DerivedFigure::CondenserApproach->value => [-1.5, 0.5, 2.5, 5.0, 8.0, 11.0, 15.0, 21.0, 30.0],
        DerivedFigure::CondenserAirRise->value => [0.5, 2.5, 4.5, 6.5, 9.0, 12.0, 17.0],
    ];

    /** K of subcooling, wherever along the liquid line. */
    private const SUBCOOLING = [-6.0, -2.0, -0.5, 0.7, 2.0, 3.5, 5.5, 8.0, 12.0, 18.0];

    private const SUBCOOLINGS = [
        DerivedFigure::CondenserSubcooling,
        DerivedFigure::ReceiverSubcooling,
        DerivedFigure::Subcooling,
        DerivedFigure::ValveSubcooling,
    ];

    /** @return non-empty-list<float> */
    public static function knots(string $feature): array
    {
        $one = Feature::named($feature);
        $key = match (true) {
            $one->of instanceof Share, $one->of instanceof DerivedFigure => $one->of->value,
            default => $one->kind->value,
        };
        $isSubcooling = in_array($one->of, self::SUBCOOLINGS, true);

        return self::OWN[$key] ?? ($isSubcooling ? self::SUBCOOLING : self::DEVIATIONS);
    }

    /**
     * The knot below a value and how far it stands on the way to the next, 0 … 1.
     *
     * @return array{int, float}
     */
    public static function place(string $feature, float $value): array
    {
        $knots = self::knots($feature);
        $last = count($knots) - 2;
        $i = 0;
        while ($i < $last && $value >= $knots[$i + 1]) {
            $i++;
        }
        $way = ($value - $knots[$i]) / ($knots[$i + 1] - $knots[$i]);

        return [$i, max(0.0, min(1.0, $way))];
    }
}
