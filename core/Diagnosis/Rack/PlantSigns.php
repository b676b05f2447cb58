<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Installation\CompressorUnit;
use Metrum\Installation\HeadPressureControl;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;

/** Numbers that tell of what all circuits of a plant share. SI by RackSign; what was not read is not among them. */
final readonly class PlantSigns
{
    /** K by which a header that is held swings above its set point. */
    private const HUNTS = 0.3;

    /** Share of the condenser's air from which its rise tells of its heat: throttled air rises as it likes. */
    private const FULL = 0.9;

    /** Share by which a level is read wrong. */
    private const LEVEL = 0.04;

    /** K over the set point from which a circuit is called warm. */
    private const WARM = 1.5;

    private Figures $figures;

    public function __construct(private RackExamination $examined)
    {
        $this->figures = Figures::of($examined->shared(), new HouseRules());
    }

    /** @return array<string, float> SI by RackSign */
    public function all(): array
    {
        return array_filter(
            [...$this->charge(), ...$this->suction(), ...$this->head(), ...$this->compressors(), ...$this->circuits()],
            static fn (?float $one): bool => $one !== null && is_finite($one),
        );
    }

    /** @return array<string, ?float> */
    private function charge(): array
    {
        $level = $this->read(Reading::ReceiverLevel);
        $expected = $this->examined->level;

        return [
            RackSign::Level->value => $level,
            RackSign::LevelOff->value => $level === null || $expected === null
                ? null
                : ($level - $expected->value) / hypot($expected->deviation, self::LEVEL),
            RackSign::CondenserSubcooling->value => $this->figure(DerivedFigure::CondenserSubcooling),
            RackSign::ReceiverSubcooling->value => $this->figure(DerivedFigure::ReceiverSubcooling),
            RackSign::Oil->value => $this->read(Reading::OilPressureDifference),
        ];
    }

    /** @return array<string, ?float> */
    private function suction(): array
    {
        $header = $this->examined->dew($this->read(Reading::SuctionHeader));
        $set = $this->examined->dew($this->read(Reading::SuctionSet));
        $planned = $this->examined->found->plant->highSide->rack->suction;
        $needs = $this->examined->needs;
        $least = $needs === [] ? null : $this->examined->twin->machine->fluid()->dewTemperature(min($needs));

        return [
            RackSign::HeaderOverSet->value => self::less($header, $set),
            RackSign::SetOffPlan->value => self::less($set, $planned),
            RackSign::SetOverNeed->value => self::less($set, $least),
        ];
    }

    /** @return array<string, ?float> */
    private function head(): array
    {
        $now = $this->examined->now;
        $fluid = $this->examined->twin->machine->fluid();
        $ambient = $this->read(Reading::AmbientTemperature);
        $split = $this->figure(DerivedFigure::CondenserSplit);
        $bubble = $this->examined->bubble($this->read(Reading::DischargePressure));
        $held = $this->examined->found->plant->highSide->headPressureControl;
        $set = $held === HeadPressureControl::None ? null : $this->examined->bubble($this->read(Reading::HeadSet));
        $middle = $now === null || $ambient === null
            ? null
            : ($fluid->bubbleTemperature($now->condensing) + $fluid->dewTemperature($now->condensing)) / 2 - $ambient;

        return [
            RackSign::SplitOff->value => self::less($split, $middle),
            RackSign::HeadOff->value => self::less($bubble, $set),
            RackSign::ApproachOff->value => self::less(
                self::less($this->read(Reading::CondenserOutletTemperature), $ambient),
                self::less($now?->condenserOutlet, $ambient),
            ),
            RackSign::AirRiseOff->value => $this->fansExpected() < self::FULL ? null : self::less(
                self::less($this->read(Reading::CondenserAirOutTemperature), $ambient),
                self::less($now?->airOut, $ambient),
            ),
            RackSign::FansOff->value => self::less($this->fans(), $this->fansExpected()),
            RackSign::DischargeOff->value => self::less(
                $this->read(Reading::DischargeTemperature),
                $this->figure(DerivedFigure::ExpectedDischarge),
            ),
            RackSign::Ambient->value => $ambient,
        ];
    }

    /** Share of the condenser's fans that turn. */
    private function fans(): ?float
    {
        return self::share(
            $this->read(Reading::CondenserFansRunning),
            $this->read(Reading::CondenserFansFitted),
        );
    }

    /** The same as its control would have it. */
    public function fansExpected(): ?float
    {
        $control = $this->examined->found->plant->highSide->headPressureControl;

        return $control === HeadPressureControl::FanCycling ? $this->examined->now?->fans : 1.0;
    }

    /** @return array<string, ?float> */
    private function compressors(): array
    {
        $running = self::share(
            $this->read(Reading::CompressorsRunning),
            $this->read(Reading::CompressorsFitted),
        );
        $currents = $discharges = [];
        $units = $this->examined->found->plant->groups[0]->compressors;
        $isRated = ! in_array(
            null,
            array_map(static fn (CompressorUnit $one): ?float => $one->ratedCurrent, $units),
            true,
        );
        foreach ($units as $unit) {
            $found = $this->examined->found->of($unit->part);
            $current = $found->reading(Reading::CompressorCurrent);
            $by = $isRated ? $unit->ratedCurrent : $unit->capacity;
            if ($current !== null && $by !== null && $current > 0.0) {
                $currents[] = $current / $by;
            }
            $discharge = $found->reading(Reading::DischargeTemperature);
            $discharges = $discharge === null ? $discharges : [...$discharges, $discharge];
        }

        return [
            RackSign::RunningOff->value => self::less($running, $this->examined->now?->running),
            RackSign::StandingThough->value => $this->standingThough($running),
            RackSign::CurrentApart->value => count($currents) < 2
                ? null
                : 1 - min($currents) / self::besides($currents, min($currents)),
            RackSign::DischargeApart->value => count($discharges) < 2
                ? null
                : max($discharges) - self::besides($discharges, max($discharges)),
        ];
    }

    /** Share of the compressors that stand although the header lies above its set point, the less the nearer it is. */
    private function standingThough(?float $running): ?float
    {
        $over = $this->suction()[RackSign::HeaderOverSet->value];

        return $running === null || $over === null ? null : (1 - $running) * max(0.0, min(1.0, $over - self::HUNTS));
    }

    /** @param  list<float>  $all  two at least @return float the median of all but one */
    private static function besides(array $all, float $one): float
    {
        unset($all[(int) array_search($one, $all, true)]);

        return RackExamination::median(array_values($all));
    }

    /** @return array<string, ?float> */
    private function circuits(): array
    {
        $over = $superheats = [];
        foreach ($this->examined->found->plant->branches as $branch) {
            if (! $this->examined->found->cools($branch)) {
                continue;
            }
            $above = $this->examined->found->above($branch);
            $over = $above === [] ? $over : [...$over, max($above)];
            $superheats = [...$superheats, ...(new CircuitSigns($this->examined, $branch))->superheats()];
        }
        $warm = array_filter($over, static fn (float $one): bool => $one > self::WARM);

        return [
            RackSign::WarmShare->value => $over === [] ? null : count($warm) / count($over),
            RackSign::MedianOver->value => $over === [] ? null : RackExamination::median($over),
            RackSign::WorstOver->value => $over === [] ? null : max($over),
            RackSign::Starved->value => $superheats === [] ? null : RackExamination::median($superheats),
        ];
    }

    private function read(Reading $reading): ?float
    {
        return $this->examined->found->shared->reading($reading);
    }

    private function figure(DerivedFigure $key): ?float
    {
        return $this->figures->value($key);
    }

    public static function less(?float $one, ?float $other): ?float
    {
        return $one === null || $other === null ? null : $one - $other;
    }

    private static function share(?float $part, ?float $whole): ?float
    {
        return $part === null || $whole === null || $whole <= 0.0 ? null : min(1.0, $part / $whole);
    }
}
