<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Knowledge\Reading;
use Metrum\Refrigerant\OutsideTable;

/**
 * One figure measured by another of the same plant: what needs no design values, since the plant is its own yardstick.
 */
enum Share: string
{
    case SuperheatOfTd = 'superheat_of_td';
    case SubcoolingOfSplit = 'subcooling_of_split';
    case AirDropOfTd = 'air_drop_of_td';
    case AirRiseOfSplit = 'air_rise_of_split';
    case GainOfDifference = 'gain_of_difference';
    case DischargeOverIdeal = 'discharge_over_ideal';
    case LeastSubcooling = 'least_subcooling';
    case GreatestSubcooling = 'greatest_subcooling';
    case ReceiverOverCondenser = 'receiver_over_condenser';
    case LineFall = 'line_fall';
    case Ratio = 'ratio';
    case Lift = 'lift';

    /** K below which a difference is too small to divide by. */
    private const LEAST = 1.5;

    public function label(): string
    {
        return match ($this) {
            self::SuperheatOfTd => 'Superheat, % of TD',
            self::SubcoolingOfSplit => 'Subcooling, % of condenser split',
            self::AirDropOfTd => 'Coil air drop, % of TD',
            self::AirRiseOfSplit => 'Condenser air rise, % of split',
            self::GainOfDifference => 'Suction gas warm-up toward ambient, %',
            self::DischargeOverIdeal => 'Discharge above isentropic',
            self::LeastSubcooling => 'Lowest subcooling along the liquid line',
            self::GreatestSubcooling => 'Highest subcooling along the liquid line',
            self::ReceiverOverCondenser => 'Receiver outlet above condenser outlet, % of split',
            self::LineFall => 'Largest drop along the liquid line',
            self::Ratio => 'Compression ratio',
            self::Lift => 'Condensing minus evaporating',
        };
    }

    /** K; else a plain share. */
    public function isDifference(): bool
    {
        return in_array(
            $this,
            [
                self::DischargeOverIdeal,
                self::LeastSubcooling,
                self::GreatestSubcooling,
                self::LineFall,
                self::Lift,
            ],
            true,
        );
    }

    /** @param  Findings  $findings  while the plant runs */
    public function of(Findings $findings, Figures $figures): ?float
    {
        $figure = $figures->value(...);
        $first = $figure(DerivedFigure::CondenserSubcooling) ?? $figure(DerivedFigure::Subcooling);

        return match ($this) {
            self::SuperheatOfTd => self::quotient(
                $figure(DerivedFigure::EvaporatorSuperheat),
                self::less($findings->reading(Reading::BoxTemperature), $figure(DerivedFigure::SaturatedEvaporator)),
            ),
            self::SubcoolingOfSplit => self::quotient($first, $figure(DerivedFigure::CondenserSplit)),
            self::AirDropOfTd => self::quotient(
                $figure(DerivedFigure::CoilAirDrop),
                $figure(DerivedFigure::EvaporatorTd),
            ),
            self::AirRiseOfSplit => self::quotient(
                $figure(DerivedFigure::CondenserAirRise),
                $figure(DerivedFigure::CondenserSplit),
            ),
            self::GainOfDifference => self::quotient(
                $figure(DerivedFigure::SuctionLineGain),
                self::less(
                    $findings->reading(Reading::AmbientTemperature),
                    $findings->reading(Reading::SuctionTemperatureEvaporator),
                ),
            ),
            self::DischargeOverIdeal => self::less(
                $findings->reading(Reading::DischargeTemperature),
                $figure(DerivedFigure::IdealDischarge),
            ),
            self::LeastSubcooling => self::end(-1, self::alongLine($findings)),
            self::GreatestSubcooling => self::end(1, self::alongLine($findings)),
            self::ReceiverOverCondenser => self::quotient(
                self::less(
                    $findings->reading(Reading::ReceiverOutletTemperature) ??
                        $findings->reading(Reading::DrierInletTemperature),
                    $findings->reading(Reading::CondenserOutletTemperature),
                ),
                $figure(DerivedFigure::CondenserSplit),
            ),
            self::LineFall => self::steepest(self::alongLine($findings)),
            self::Ratio => $figure(DerivedFigure::CompressionRatio),
            self::Lift => self::less(
                $figure(DerivedFigure::CondensingMiddle),
                $figure(DerivedFigure::SaturatedEvaporator),
            ),
        };
    }

    private static function less(?float $from, ?float $less): ?float
    {
        return $from === null || $less === null ? null : $from - $less;
    }

    private static function quotient(?float $part, ?float $whole): ?float
    {
        return $part === null || $whole === null || $whole < self::LEAST ? null : $part / $whole;
    }

    /**
     * The greatest of several, or with -1 the least; one alone is neither.
     *
     * @param  list<float>  $values
     */
    private static function end(int $way, array $values): ?float
    {
        return match (true) {
            count($values) < 2 => null,
            $way < 0 => min($values),
            default => max($values),
        };
    }

    /** @param  list<float>  $subcooling  along the line; that it rises by what a place took is a fall of temperature */
    private static function steepest(array $subcooling): ?float
    {
        $falls = [];
        for ($i = 1, $n = count($subcooling); $i < $n; $i++) {
            $falls[] = $subcooling[$i] - $subcooling[$i - 1];
        }

        return $falls === [] ? null : max($falls);
    }

    /** @return list<float> K below bubble at the head, from the receiver's outlet to the valve */
    private static function alongLine(Findings $findings): array
    {
        $pressure =
            $findings->absolute(Reading::ReceiverPressure) ?? $findings->absolute(Reading::DischargePressure);
        try {
            $bubble = $pressure === null ? null : $findings->circuit->fluid()->bubbleTemperature($pressure);
        } catch (OutsideTable) {
            return [];
        }
        $places = [
            Reading::ReceiverOutletTemperature,
            Reading::DrierInletTemperature,
            Reading::DrierOutletTemperature,
            Reading::ValveInletTemperature,
        ];
        $along = [];
        foreach ($places as $place) {
            $one = self::less($bubble, $findings->reading($place));
            if ($one !== null) {
                $along[] = $one;
            }
        }

        return $along;
    }
}
