<?php

namespace App\Picture;

use Metrum\Circuit\Band;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Wanted;
use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Plant\Expectation;

/** The gaps that are judged, each with its band: the plate's where one is given, the house rule's else. */
final readonly class CourseGaps
{
    /** K of the discharge pipe below which nothing running is, where no twin says it. */
    private const COOLEST_DISCHARGE = 303.15;

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
        $gaps = [
            $this->discharge(),
            $this->split(),
            $this->gap(GapName::Subcooling, Derived::Subcooling, $wanted->subcooling(), 2.0),
            $this->drier(),
            $this->gap(GapName::Td, Derived::EvaporatorTd, $wanted->evaporatorTd(), 3.0),
            $this->gap(GapName::Superheat, Derived::EvaporatorSuperheat, $wanted->superheat(), 2.0),
            $this->lineGain(),
            $this->gap(
                GapName::AtCompressor,
                Derived::CompressorSuperheat,
                $wanted->compressorSuperheat(),
                5.0,
            ),
        ];

        return array_values(array_filter($gaps));
    }

    private function gap(GapName $name, Derived $key, Band $band, float $near): ?Gap
    {
        $value = $this->figures->value($key);

        return $value === null ? null : Gap::difference($name, $value, $band, $near, $this->settled);
    }

    private function lineGain(): ?Gap
    {
        $value = $this->figures->value(Derived::SuctionLineGain);

        return $value === null
            ? null
            : Gap::upward(GapName::LineGain, $value, $this->wanted->lineGain(), 6.0, $this->settled);
    }

    private function drier(): ?Gap
    {
        $rule = $this->wanted->drierDrop();
        $band = new Band(self::TWO_CLAMPS, $rule->low, $rule->source);

        return $this->gap(GapName::DrierDrop, Derived::DrierDrop, $band, $rule->high - $rule->low);
    }

    /** Where head pressure control has to hold, the split is no longer judged by its band. */
    private function split(): ?Gap
    {
        $band = $this->wanted->condenserSplit();
        $expected = $this->expectation->healthy(Sign::Split);
        if ($this->findings->circuit->holdsHead() && $expected !== null && $expected->value > $band->high) {
            $source = $band->source.', head held up in the cold';
            $band = new Band($band->low, $expected->value + $expected->deviation, $source);
        }

        return $this->gap(GapName::Split, Derived::CondenserSplit, $band, 3.0);
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
