<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Circuit\Asked;
use Metrum\Circuit\Control;
use Metrum\Circuit\HeadPressureControl;
use Metrum\Circuit\HouseRule;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Word;
use Metrum\Diagnosis\Holding;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;

/** What must hold before a control is moved (V-01, R-02, N-01): else it is turned to cure another fault. */
final readonly class Preconditions
{
    /** K of subcooling from which liquid is sure to reach the valve. */
    private const LIQUID = 0.5;

    /** K of box above its set point from which superheat reads high, and beyond which nothing is adjusted. */
    private const NEAR = 2.0;

    private const FAR = 6.0;

    /** K of condensing below which the head is not held. */
    private const LOST_HEAD = 3.0;

    private Figures $figures;

    public function __construct(
        private Findings $findings,
        private HouseRules $rules,
        private Verdict $verdict,
    ) {
        $this->figures = Figures::of($findings, $rules);
    }

    /** @return list<Precondition> */
    public function of(Control $control): array
    {
        return match ($control) {
            Control::ValveTurn => [
                $this->coil(),
                $this->fans(),
                $this->liquid(),
                $this->head(),
                $this->doors(),
                $this->box(),
            ],
            Control::RegulatorTurn => [$this->coil(), $this->fans(), $this->stem(), $this->doors()],
            Control::HeadValveTurn => [$this->coil(), $this->fans()],
            Control::Charge => $this->charge(),
            default => [],
        };
    }

    private function coil(): Precondition
    {
        $seen = $this->findings->observed(Observation::FrostCoil);
        $dirty = $this->findings->saw(Observation::EvaporatorFace, Word::Dirty);

        return match (true) {
            $seen === Word::Blocked => self::fails(
                'coil clear',
                'blocked by ice: clear it first',
                Observation::FrostCoil,
            ),
            $dirty => self::fails('coil clear', 'dirty: clean it first', Observation::EvaporatorFace),
            $seen === null => self::open('coil clear', 'not looked at', Observation::FrostCoil),
            default => self::holds('coil clear', mb_strtolower($seen->label())),
        };
    }

    private function fans(): Precondition
    {
        $seen = $this->findings->observed(Observation::EvaporatorFans);
        $running = $this->findings->reading(Reading::FansRunning);
        $fitted = $this->findings->reading(Reading::FansFitted);
        if ($running !== null && $fitted !== null) {
            $said = sprintf('%d of %d', (int) $running, (int) $fitted);

            return $running < $fitted
                ? self::fails('fans', $said.': put them right first', Reading::FansRunning)
                : self::holds('fans', $said);
        }

        return match (true) {
            $seen === null => self::open('fans', 'not looked at', Observation::EvaporatorFans),
            $seen === Word::AllRunning => self::holds('fans', 'all running'),
            default => self::fails(
                'fans',
                mb_strtolower($seen->label()).': put them right first',
                Observation::EvaporatorFans,
            ),
        };
    }

    private function liquid(): Precondition
    {
        $subcooling = $this->figures->value(Derived::ValveSubcooling) ?? $this->figures->value(Derived::Subcooling);
        $glass = $this->findings->observed(Observation::SightGlass);

        return match (true) {
            $subcooling !== null && $subcooling < self::LIQUID => self::fails(
                'liquid at the valve',
                'no subcooling: the valve gets gas',
                Reading::ValveInletTemperature,
            ),
            $glass === Word::Bubbles => self::fails(
                'liquid at the valve',
                'the glass bubbles',
                Observation::SightGlass,
            ),
            $subcooling !== null => self::holds('liquid at the valve', sprintf('subcooled %.1f K', $subcooling)),
            $glass === Word::Clear => self::holds('liquid at the valve', 'the glass is clear'),
            default => self::open('liquid at the valve', 'not known', Reading::CondenserOutletTemperature),
        };
    }

    private function head(): Precondition
    {
        $condensing = $this->figures->value(Derived::SaturatedCondensing);
        if ($condensing === null) {
            return self::open('head held', 'not read', Reading::DischargePressure);
        }
        $least = $this->rules->band(HouseRule::LeastCondensing)->low;
        $none = $this->findings->circuit->headPressureControl === HeadPressureControl::None;
        $said = sprintf('%.0f °C', $condensing - 273.15);

        return $condensing < $least - self::LOST_HEAD && ! $none
            ? self::fails('head held', "only $said: the valve lacks pressure", Reading::DischargePressure)
            : self::holds('head held', 'at '.$said);
    }

    private function doors(): Precondition
    {
        $seen = $this->findings->observed(Observation::Doors);

        return match (true) {
            $seen === null => self::open('doors shut', 'not looked at', Observation::Doors),
            $seen === Word::ShutAndSealing => self::holds('doors shut', ''),
            default => self::fails('doors shut', mb_strtolower($seen->label()), Observation::Doors),
        };
    }

    private function box(): Precondition
    {
        $above = $this->figures->value(Derived::BoxAboveSetPoint);

        return match (true) {
            $above === null => self::open('box near its set point', 'not read', Reading::BoxTemperature),
            $above > self::FAR => self::fails(
                'box near its set point',
                sprintf('%.1f K above: pull it down first', $above),
                Reading::BoxTemperature,
            ),
            $above > self::NEAR => self::open(
                'box near its set point',
                sprintf('%.1f K above: superheat reads high', $above),
                Reading::BoxTemperature,
            ),
            default => self::holds('box near its set point', ''),
        };
    }

    private function stem(): Precondition
    {
        $seen = $this->findings->observed(Observation::RegulatorStem);

        return match ($seen) {
            null => self::open('stem on automatic', 'not looked at', Observation::RegulatorStem),
            Word::Manual => self::fails(
                'stem on automatic',
                'it stands on manual: the regulator is out of action',
                Observation::RegulatorStem,
            ),
            default => self::holds('stem on automatic', ''),
        };
    }

    /** @return list<Precondition> of the charge gate (N-01) */
    private function charge(): array
    {
        $all = [];
        foreach ($this->verdict->charge->requirements as $one) {
            if (! $one->holds()) {
                $by = $one->settledBy[0] ?? null;
                $all[] = new Precondition($one->holding, 'refrigerant may be added', $one->why, $by);
            }
        }

        return $all === [] ? [self::holds('refrigerant may be added', 'all was looked at')] : $all;
    }

    private static function holds(string $label, string $detail): Precondition
    {
        return new Precondition(Holding::Holds, $label, $detail);
    }

    private static function open(string $label, string $detail, Asked $by): Precondition
    {
        return new Precondition(Holding::NotKnown, $label, $detail, $by);
    }

    private static function fails(string $label, string $detail, Asked $by): Precondition
    {
        return new Precondition(Holding::Fails, $label, $detail, $by);
    }
}
