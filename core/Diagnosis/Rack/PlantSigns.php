<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Installation\Branch;
use Metrum\Installation\CompressorUnit;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\SuctionGroup;
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

    /** @return array<string, float> SI by RackSign, of a plant with one suction group */
    public function all(): array
    {
        $plant = $this->examined->found->plant;

        return [...$this->ofAll(), ...$this->ofGroup($plant->groups[0]), ...$this->ofCircuits($plant->branches)];
    }

    /** @return array<string, float> the same of what is one for all of its groups: charge and head */
    public function ofAll(): array
    {
        return self::known([...$this->charge(), ...$this->head()]);
    }

    /** @return array<string, float> the same of one group's header and compressors */
    public function ofGroup(SuctionGroup $group): array
    {
        return self::known([
            ...$this->suction($group),
            ...$this->discharge($group),
            ...$this->compressors($group),
        ]);
    }

    /**
     * @param  list<Branch>  $branches
     * @return array<string, float> the same of what circuits show together
     */
    public function ofCircuits(array $branches): array
    {
        return self::known($this->circuits($branches));
    }

    /**
     * @param  array<string, ?float>  $signs
     * @return array<string, float>
     */
    private static function known(array $signs): array
    {
        return array_filter($signs, static fn (?float $one): bool => $one !== null && is_finite($one));
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
    private function suction(SuctionGroup $group): array
    {
        $found = $this->examined->found->ofGroup($group);
        $set = $this->examined->dew($found->reading(Reading::SuctionSet));
        $planned = $this->examined->found->plant->plannedSuction($group);
        $needs = $this->examined->needsOf($group);
        $least = $needs === [] ? null : $this->examined->twin->machine->fluid()->dewTemperature(min($needs));

        return [
            RackSign::HeaderOverSet->value => $this->overSet($group),
            RackSign::SetOffPlan->value => self::less($set, $planned),
            RackSign::SetOverNeed->value => self::less($set, $least),
        ];
    }

    /** K by which a header lies above its set point. */
    private function overSet(SuctionGroup $group): ?float
    {
        $found = $this->examined->found->ofGroup($group);

        return self::less(
            $this->examined->dew($found->reading(Reading::SuctionHeader)),
            $this->examined->dew($found->reading(Reading::SuctionSet)),
        );
    }

    /** @return array<string, ?float> */
    private function discharge(SuctionGroup $group): array
    {
        $figures = Figures::of($this->examined->group($group), new HouseRules());

        return [
            RackSign::DischargeOff->value => self::less(
                $this->examined->found->ofGroup($group)->reading(Reading::DischargeTemperature),
                $figures->value(DerivedFigure::ExpectedDischarge),
            ),
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
    private function compressors(SuctionGroup $group): array
    {
        $own = $this->examined->found->ofGroup($group);
        $running = self::share($own->reading(Reading::CompressorsRunning), $own->reading(Reading::CompressorsFitted));
        $currents = $discharges = [];
        $units = $group->compressors;
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
            RackSign::RunningOff->value => self::less($running, $this->examined->state($group)?->running),
            RackSign::StandingThough->value => $this->standingThough($running, $group),
            RackSign::CurrentApart->value => count($currents) < 2
                ? null
                : 1 - min($currents) / self::besides($currents, min($currents)),
            RackSign::DischargeApart->value => count($discharges) < 2
                ? null
                : max($discharges) - self::besides($discharges, max($discharges)),
        ];
    }

    /** Share of the compressors that stand although the header lies above its set point, the less the nearer it is. */
    private function standingThough(?float $running, SuctionGroup $group): ?float
    {
        $over = $this->overSet($group);

        return $running === null || $over === null ? null : (1 - $running) * max(0.0, min(1.0, $over - self::HUNTS));
    }

    /** @param  list<float>  $all  two at least @return float the median of all but one */
    private static function besides(array $all, float $one): float
    {
        unset($all[(int) array_search($one, $all, true)]);

        return RackExamination::median(array_values($all));
    }

    /**
     * @param  list<Branch>  $branches
     * @return array<string, ?float>
     */
    private function circuits(array $branches): array
    {
        $over = $superheats = [];
        foreach ($branches as $branch) {
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
