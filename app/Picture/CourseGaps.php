<?php

namespace App\Picture;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Knowledge\Band;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Wanted;
use Metrum\Quantity\Celsius;
use Metrum\Twin\Expectation;

/** The gaps that are judged, each by what this plant should show here and now, within the limits that hold anywhere. */
final readonly class CourseGaps
{
    /** K of the discharge pipe below which nothing running is, where no twin says it. */
    private const COOLEST_DISCHARGE = Celsius::ZERO + 30.0;

    /** Deviations of the expected discharge that are fine. */
    private const USUAL = 1.5;

    /** K that the pipe after a drier may read warmer: two clamps. */
    private const TWO_CLAMPS = -0.9;

    private Wanted $wanted;

    private bool $settled;

    public function __construct(
        private Findings $findings,
        private Figures $figures,
        HouseRules $rules,
        private Expectation $expectation,
    ) {
        $this->wanted = new Wanted($findings->circuit, $rules);
        $this->settled = $findings->isSettled();
    }

    /** @return list<Gap> in the order of the circuit; none of a plant that stands */
    public function all(): array
    {
        if ($this->findings->isOff()) {
            return [];
        }
        $wanted = $this->wanted;
        $atCoil = $this->findings->reading(Reading::EvaporatorPressure) !== null;
        $gaps = [
            $this->discharge(),
            $this->gap(GapName::Split, DerivedFigure::CondenserSplit, Sign::Split, $wanted->condenserSplit(), 3.0),
            $this->gap(GapName::Subcooling, DerivedFigure::Subcooling, Sign::Subcooling, $wanted->subcooling(), 2.0),
            $this->drier(),
            $this->gap(
                GapName::Td,
                DerivedFigure::EvaporatorTd,
                $atCoil ? Sign::TdCoil : Sign::TdSuction,
                $wanted->evaporatorTd(),
                3.0,
            ),
            $this->gap(
                GapName::Superheat,
                DerivedFigure::EvaporatorSuperheat,
                $atCoil ? Sign::Superheat : Sign::SuperheatSuction,
                $wanted->superheat(),
                2.0,
            ),
            $this->gap(GapName::LineGain, DerivedFigure::SuctionLineGain, Sign::LineGain, $wanted->lineGain(), 6.0)
                ?->upwardOnly(),
            $this->atCompressor(),
        ];

        return array_values(array_filter($gaps));
    }

    /** By what this plant should show; where nothing tells that, by what is wanted. */
    private function gap(GapName $name, DerivedFigure $key, Sign $sign, Band $wanted, float $near): ?Gap
    {
        $value = $this->figures->value($key);
        if ($value === null) {
            return null;
        }
        $expected = $this->expectation->healthy($sign);

        return $expected === null
            ? Gap::difference($name, $value, $wanted, $near, $this->settled)
            : Gap::ofPlant($name, $value, $expected, $this->expectation->by(), $wanted, $this->settled);
    }

    /** Whatever the plant usually shows: below the floor liquid may reach the compressor. */
    private function atCompressor(): ?Gap
    {
        $wanted = $this->wanted->compressorSuperheat();
        $gap = $this->gap(
            GapName::AtCompressor,
            DerivedFigure::CompressorSuperheat,
            Sign::SuperheatFar,
            $wanted,
            5.0,
        );

        return $gap?->notBelow($wanted->low, 'at least '.$wanted->source, $this->settled);
    }

    private function drier(): ?Gap
    {
        $rule = $this->wanted->drierDrop();
        $band = new Band(self::TWO_CLAMPS, $rule->low, $rule->source);
        $value = $this->figures->value(DerivedFigure::DrierDrop);

        return $value === null
            ? null
            : Gap::difference(GapName::DrierDrop, $value, $band, $rule->high - $rule->low, $this->settled);
    }

    private function discharge(): ?Gap
    {
        $pipe = $this->findings->reading(Reading::DischargeTemperature);
        if ($pipe === null) {
            return null;
        }
        $limit = $this->wanted->dischargeLimit();
        $expected = $this->expectation->healthy(Sign::DischargeLevel);
        $width = self::USUAL * ($expected->deviation ?? 0.0);
        $low = $expected === null ? self::COOLEST_DISCHARGE : $expected->value - $width;
        $high = $expected === null ? $limit->low : min($limit->low, $expected->value + $width);
        $band = new Band($low, $high, $limit->source);

        return Gap::temperature(
            GapName::Discharge,
            $pipe,
            $band,
            max(1.0, $limit->low - $high),
            $this->settled,
        );
    }
}
