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
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Quantity\Magnitude;

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
                Reason::LiquidAtValve,
                Reason::NoSubcooling,
                Reading::ValveInletTemperature,
            ),
            $glass === Word::Bubbles => Requirement::fails(
                Reason::LiquidAtValve,
                Reason::GlassBubbles,
                Observation::SightGlass,
            ),
            $subcooling !== null => Requirement::holds(
                Reason::LiquidAtValve,
                Sentence::of(Reason::Subcooled, by: Magnitude::difference($subcooling)),
            ),
            $glass === Word::Clear => Requirement::holds(Reason::LiquidAtValve, Reason::GlassClear),
            default => Requirement::open(Reason::LiquidAtValve, Reason::NotKnown, Reading::CondenserOutletTemperature),
        };
    }

    public function head(): Requirement
    {
        $condensing = $this->figures->value(DerivedFigure::SaturatedCondensing);
        if ($condensing === null) {
            return Requirement::open(Reason::HeadHeld, Reason::NotRead, Reading::DischargePressure);
        }
        $least = $this->rules->band(HouseRule::LeastCondensing)->low;
        $none = $this->findings->circuit->headPressureControl === HeadPressureControl::None;
        $at = Magnitude::temperature($condensing)->whole();

        return $condensing < $least - self::LOST_HEAD && ! $none
            ? Requirement::fails(Reason::HeadHeld, Sentence::of(Reason::HeadLost, at: $at), Reading::DischargePressure)
            : Requirement::holds(Reason::HeadHeld, Sentence::of(Reason::StandsAt, at: $at));
    }

    public function box(): Requirement
    {
        $above = $this->figures->value(DerivedFigure::BoxAboveSetPoint);

        return match (true) {
            $above === null => Requirement::open(Reason::BoxNear, Reason::NotRead, Reading::BoxTemperature),
            $above > self::FAR => Requirement::fails(
                Reason::BoxNear,
                Sentence::of(Reason::PullDownFirst, above: Magnitude::difference($above)),
                Reading::BoxTemperature,
            ),
            $above > self::NEAR => Requirement::open(
                Reason::BoxNear,
                Sentence::of(Reason::ReadsHigh, above: Magnitude::difference($above)),
                Reading::BoxTemperature,
            ),
            default => Requirement::holds(Reason::BoxNear),
        };
    }

    /** Without it a drop of temperature along the liquid line may come of the air around it. */
    public function liquidWarmerThanAir(): Requirement
    {
        $label = Reason::LiquidWarmerThanAir;
        $liquid = $this->findings->reading(Reading::DrierInletTemperature) ??
            ($this->findings->reading(Reading::ReceiverOutletTemperature) ??
                $this->findings->reading(Reading::CondenserOutletTemperature));
        $air = $this->findings->reading(Reading::AmbientTemperature);
        if ($liquid === null || $air === null) {
            $missing = $liquid === null ? Reading::DrierInletTemperature : Reading::AmbientTemperature;

            return Requirement::open($label, Reason::NotRead, $missing);
        }

        return $liquid > $air
            ? Requirement::holds($label, Sentence::of(Reason::WarmerBy, by: Magnitude::difference($liquid - $air)))
            : Requirement::fails($label, Reason::DropSaysNothing, Reading::DrierInletTemperature);
    }
}
