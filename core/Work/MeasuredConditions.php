<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Diagnosis\Requirement;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Installation\HeadPressureControl;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Celsius;

/** What must hold before something is done, told by readings and what follows from them. */
final readonly class MeasuredConditions
{
    /** K of subcooling from which liquid is sure to reach the valve. */
    private const LIQUID = 0.5;

    /** K of box above its set point from which superheat reads high, and beyond which nothing is adjusted. */
    private const NEAR = 2.0;

    private const FAR = 6.0;

    /** K of condensing below which the head is not held. */
    private const LOST_HEAD = 3.0;

    /** @param  Figures  $figures  that follow from the findings */
    public function __construct(private Findings $findings, private Figures $figures, private HouseRules $rules)
    {
    }

    public function liquid(): Requirement
    {
        $subcooling = $this->figures->value(DerivedFigure::ValveSubcooling) ??
            $this->figures->value(DerivedFigure::Subcooling);
        $glass = $this->findings->observed(Observation::SightGlass);

        return match (true) {
            $subcooling !== null && $subcooling < self::LIQUID => Requirement::fails(
                'liquid at the valve',
                'no subcooling: the valve gets gas',
                Reading::ValveInletTemperature,
            ),
            $glass === Word::Bubbles => Requirement::fails(
                'liquid at the valve',
                'the glass bubbles',
                Observation::SightGlass,
            ),
            $subcooling !== null => Requirement::holds(
                'liquid at the valve',
                sprintf('subcooled %.1f K', $subcooling),
            ),
            $glass === Word::Clear => Requirement::holds('liquid at the valve', 'the glass is clear'),
            default => Requirement::open('liquid at the valve', 'not known', Reading::CondenserOutletTemperature),
        };
    }

    public function head(): Requirement
    {
        $condensing = $this->figures->value(DerivedFigure::SaturatedCondensing);
        if ($condensing === null) {
            return Requirement::open('head held', 'not read', Reading::DischargePressure);
        }
        $least = $this->rules->band(HouseRule::LeastCondensing)->low;
        $none = $this->findings->circuit->headPressureControl === HeadPressureControl::None;
        $said = sprintf('%.0f °C', $condensing - Celsius::ZERO);

        return $condensing < $least - self::LOST_HEAD && ! $none
            ? Requirement::fails('head held', "only $said: the valve lacks pressure", Reading::DischargePressure)
            : Requirement::holds('head held', 'at '.$said);
    }

    public function box(): Requirement
    {
        $above = $this->figures->value(DerivedFigure::BoxAboveSetPoint);

        return match (true) {
            $above === null => Requirement::open('box near its set point', 'not read', Reading::BoxTemperature),
            $above > self::FAR => Requirement::fails(
                'box near its set point',
                sprintf('%.1f K above: pull it down first', $above),
                Reading::BoxTemperature,
            ),
            $above > self::NEAR => Requirement::open(
                'box near its set point',
                sprintf('%.1f K above: superheat reads high', $above),
                Reading::BoxTemperature,
            ),
            default => Requirement::holds('box near its set point', ''),
        };
    }

    /** Without it a drop of temperature along the liquid line may come of the air around it. */
    public function liquidWarmerThanAir(): Requirement
    {
        $label = 'liquid warmer than the air';
        $liquid = $this->findings->reading(Reading::DrierInletTemperature) ??
            ($this->findings->reading(Reading::ReceiverOutletTemperature) ??
                $this->findings->reading(Reading::CondenserOutletTemperature));
        $air = $this->findings->reading(Reading::AmbientTemperature);
        if ($liquid === null || $air === null) {
            $missing = $liquid === null ? Reading::DrierInletTemperature : Reading::AmbientTemperature;

            return Requirement::open($label, 'not read', $missing);
        }

        return $liquid > $air
            ? Requirement::holds($label, sprintf('by %.1f K', $liquid - $air))
            : Requirement::fails($label, 'it is not: the drop says nothing now', Reading::DrierInletTemperature);
    }
}
