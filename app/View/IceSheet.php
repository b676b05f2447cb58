<?php

namespace App\View;

use App\Models\Visit;
use App\Picture\IceCyclePicture;
use App\Picture\IceTrendPicture;
use App\Records\IceHistory;
use App\Records\JudgedVisit;
use Metrum\Findings\Findings;
use Metrum\Findings\IceSignals;
use Metrum\Findings\Sign;
use Metrum\Installation\Design;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Twin\Expected;
use Metrum\Twin\Ice\IceExpectation;

/** One page of a batch ice machine: what a cycle makes and takes, beside what this machine should in this weather. */
final readonly class IceSheet
{
    /** Deviations from which a figure is called off. */
    private const OFF = 2.0;

    /** The cycle from which on it counts after a start, a move or a cleaning. */
    private const COUNTS = 3.0;

    /** kg by whose unit those of a day are told. */
    private const OF_A_DAY = 100.0;

    public IceCyclePicture $picture;

    private function __construct(
        private Visit $visit,
        private Findings $findings,
        private IceExpectation $expectation,
        private Units $units,
    ) {
        $this->picture = new IceCyclePicture($expectation, $findings, $units);
    }

    /** Null where it makes no batches, or no such machine can be simulated. */
    public static function of(JudgedVisit $judged, Units $units): ?self
    {
        return $judged->expectation instanceof IceExpectation
            ? new self($judged->visit, $judged->present(), $judged->expectation, $units)
            : null;
    }

    /** "284 kg a day"; empty where it was not timed and weighed. */
    public function perDay(): string
    {
        $made = IceSignals::measured(Sign::IceDay, $this->findings);

        return $made === null ? '' : $this->whole($made).' a day';
    }

    /** "expected 380 ± 25 kg a day at air 24 °C, water 14 °C" */
    public function expected(): string
    {
        $day = $this->expectation->perDay();
        $weather = $this->expectation->weather;

        return sprintf(
            'expected %s ± %s a day at air %s, water %s',
            Format::number($this->units->ofMass(self::OF_A_DAY)->fromSi($day->value), 0),
            $this->whole($day->deviation),
            $this->units->text($weather->air, QuantityKind::Temperature),
            $this->units->text($weather->water, QuantityKind::Temperature),
        ).$this->assumed();
    }

    /** Of a day: to whole units. */
    private function whole(float $kilograms): string
    {
        $unit = $this->units->ofMass(self::OF_A_DAY);

        return Format::number($unit->fromSi($kilograms), 0).' '.$unit->symbol();
    }

    /** What of it was not read. */
    private function assumed(): string
    {
        $missing = array_keys(array_filter([
            'air' => $this->findings->reading(Reading::AmbientTemperature) === null,
            'water' => $this->findings->reading(Reading::WaterTemperature) === null,
        ]));

        return $missing === [] ? '' : ' (assumed: '.implode(', ', $missing).')';
    }

    /** What of one cycle is as it should be, in one sentence; empty where nothing was timed or weighed. */
    public function sentence(): string
    {
        $said = array_filter([
            $this->told(Sign::IceCycle, 'the batch is right', 'the batch is too heavy', 'the batch is too light'),
            $this->told(Sign::FreezeTime, 'the freeze is right', 'the freeze is slow', 'the freeze is short'),
            $this->told(Sign::HarvestTime, 'the harvest is right', 'the harvest is slow', 'the harvest is quick'),
        ]);

        return $said === [] ? '' : ucfirst(implode(', ', $said)).'.';
    }

    private function told(Sign $sign, string $right, string $high, string $low): string
    {
        $off = $this->off($sign);

        return match (true) {
            $off === null => '',
            $off > self::OFF => $high,
            $off < -self::OFF => $low,
            default => $right,
        };
    }

    /** Deviations by which it is off; null where it was not measured. */
    private function off(Sign $sign): ?float
    {
        $measured = IceSignals::measured($sign, $this->findings);
        $expected = $this->expectation->healthy($sign);

        return $measured === null || $expected === null ? null : ($measured - $expected->value) / $expected->deviation;
    }

    /** @return list<array{name: string, mark: string, value: string, expected: string}> times and weight of a cycle */
    public function figures(): array
    {
        return array_map($this->figure(...), [
            [Sign::FreezeTime, 'Freeze', Reading::FreezeTime],
            [Sign::HarvestTime, 'Harvest', Reading::HarvestTime],
            [Sign::IceCycle, 'Ice per cycle', Reading::IcePerCycle],
        ]);
    }

    /**
     * @param  array{Sign, string, Reading}  $one
     * @return array{name: string, mark: string, value: string, expected: string}
     */
    private function figure(array $one): array
    {
        [$sign, $name, $reading] = $one;
        $measured = $this->findings->reading($reading);
        $off = $this->off($sign);
        $expected = $this->expectation->healthy($sign);

        return [
            'name' => $name,
            'mark' => match (true) {
                $off === null => '',
                abs($off) > self::OFF => '●',
                default => '○',
            },
            'value' => $measured === null ? 'not measured' : $this->amount($measured, $reading),
            'expected' => $expected === null ? '' : $this->range($expected, $reading),
        ];
    }

    private function amount(float $si, Reading $reading): string
    {
        return $reading->quantity() === QuantityKind::Duration
            ? Format::number($si / 60, 1).' min'
            : $this->units->text($si, $reading->quantity());
    }

    private function range(Expected $expected, Reading $reading): string
    {
        $low = $expected->value - $expected->deviation;
        $high = $expected->value + $expected->deviation;

        return $reading->quantity() === QuantityKind::Duration
            ? Format::number($low / 60, 1).' to '.Format::number($high / 60, 1).' min'
            : $this->units->number($low, $reading->quantity()).' to '.$this->amount($high, $reading);
    }

    /** "third cycle, counts"; empty where nobody counted. */
    public function cycle(): string
    {
        $cycles = $this->findings->reading(Reading::CyclesSinceStart);
        if ($cycles === null) {
            return '';
        }

        return $cycles >= self::COUNTS
            ? 'Cycle '.Format::number($cycles, 0).' since start: counts.'
            : 'Cycle '.Format::number($cycles, 0).' since start: only the third counts.';
    }

    /** By what the machine is expected to be as it is. */
    public function basis(): string
    {
        return self::basedOn($this->findings->circuit->design);
    }

    public static function basedOn(Design $design): string
    {
        return match (true) {
            $design->icePerDay !== null && $design->icePerDayHot !== null => 'by both rated points',
            $design->icePerDay !== null || $design->icePerDayHot !== null => 'by one rated point',
            default => 'no rated production entered: wide',
        };
    }

    /** Ice of a day against the water, over its visits; null where none was measured. */
    public function trend(): ?IceTrendPicture
    {
        $made = IceSignals::measured(Sign::IceDay, $this->findings);

        return IceTrendPicture::of(
            $this->expectation->perDayWith(...),
            IceHistory::of($this->visit),
            $made === null ? null : [$this->expectation->weather->water, $made],
            $this->units,
        );
    }
}
