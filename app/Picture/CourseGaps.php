<?php

namespace App\Picture;

use Metrum\Circuit\Band;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Wanted;
use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Plant\Expectation;
use Metrum\Quantity\Kind;

/** The gaps that are judged, each with its band: the plate's where one is given, the house rule's else. */
final readonly class CourseGaps
{
    public function __construct(
        private Findings $findings,
        private Figures $figures,
        private HouseRules $rules,
        private Expectation $expectation,
    ) {
    }

    /** @return list<Gap> in the order of the circuit */
    public function all(): array
    {
        $wanted = new Wanted($this->findings->circuit, $this->rules);
        $gaps = [
            $this->discharge($wanted),
            $this->split($wanted),
            $this->gap('subcooling', Derived::Subcooling, $wanted->subcooling(), 2.0),
            $this->gap(
                'drier drop',
                Derived::DrierDrop,
                new Band(-0.9, $wanted->drierDrop()->low, $wanted->drierDrop()->source),
                $wanted->drierDrop()->high - $wanted->drierDrop()->low,
            ),
            $this->gap('TD', Derived::EvaporatorTd, $wanted->evaporatorTd(), 3.0),
            $this->gap('superheat', Derived::EvaporatorSuperheat, $wanted->superheat(), 2.0),
            $this->gap('line gain', Derived::SuctionLineGain, $wanted->lineGain(), 6.0, upperOnly: true),
            $this->gap('at the compressor', Derived::CompressorSuperheat, $wanted->compressorSuperheat(), 5.0),
        ];

        return array_values(array_filter($gaps));
    }

    private function gap(string $name, Derived $key, Band $band, float $near, bool $upperOnly = false): ?Gap
    {
        $value = $this->figures->value($key);

        return $value === null || $this->findings->isOff()
            ? null
            : new Gap($name, $value, $band, Kind::Difference, $this->findings->isSettled(), $near, $upperOnly);
    }

    /** Where head pressure control has to hold, the split is no longer judged by its band. */
    private function split(Wanted $wanted): ?Gap
    {
        $band = $wanted->condenserSplit();
        $expected = $this->expectation->healthy('split');
        if ($this->findings->circuit->holdsHead() && $expected !== null && $expected->value > $band->high) {
            $band = new Band(
                $band->low,
                $expected->value + $expected->deviation,
                $band->source.', head held up in the cold',
            );
        }

        return $this->gap('split', Derived::CondenserSplit, $band, 3.0);
    }

    private function discharge(Wanted $wanted): ?Gap
    {
        $pipe = $this->findings->reading(Reading::DischargeTemperature);
        if ($pipe === null || $this->findings->isOff()) {
            return null;
        }
        $limit = $wanted->dischargeLimit();
        $expected = $this->expectation->healthy('discharge_level');
        $low = $expected === null ? 303.15 : $expected->value - 1.5 * $expected->deviation;
        $high =
            $expected === null ? $limit->low : min($limit->low, $expected->value + 1.5 * $expected->deviation);

        return new Gap(
            'discharge',
            $pipe,
            new Band($low, $high, $limit->source),
            Kind::Temperature,
            $this->findings->isSettled(),
            max(1.0, $limit->low - $high),
        );
    }
}
