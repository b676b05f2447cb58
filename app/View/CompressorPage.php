<?php

namespace App\View;

use App\Models\Visit;
use App\Picture\EnvelopePicture;
use App\Records\JudgedVisit;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\CompressorClass;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Wanted;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Compressor\CompressorCourse;
use Metrum\Work\Compressor\OperatingPoint;
use Metrum\Work\Compressor\PointKind;

/** One page of a compressor: where it runs in its envelope, its figures, what must be answered before another one. */
final readonly class CompressorPage
{
    /** K by which it is hotter inside than its discharge pipe. */
    private const INSIDE = [30.0, 40.0];

    /** Reasons for which compressors fail, and what any of it answers. */
    private const REASONS = [
        'Liquid return' => [Reading::SuctionTemperatureCompressor, Reading::SuperheatLowest],
        'Oil' => [Observation::OilLevel, Reading::OilPressureDifference],
        'Overheating' => [Reading::DischargeTemperature],
        'Electrical supply' => [Reading::SupplyVoltage],
        'Dirty condenser' => [Observation::CondenserFace],
        'Trips and short cycling' => [Observation::Compressor],
    ];

    public Visit $visit;

    public CompressorClass $class;

    public EnvelopePicture $picture;

    /** @var list<OperatingPoint> */
    private array $course;

    private Findings $findings;

    private Figures $figures;

    /** @param  ?string  $class  as it was chosen; null: as is usual for such a plant */
    public function __construct(private JudgedVisit $judged, private Units $units, ?string $class)
    {
        $this->visit = $judged->visit->loadMissing('circuit.site');
        $this->findings = $judged->present();
        $this->figures = Figures::of($this->findings, $judged->rules);
        $this->class = CompressorClass::tryFrom((string) $class) ?? CompressorClass::usual($this->findings->circuit);
        $this->course = (new CompressorCourse($judged->assessment))->points();
        $this->picture = new EnvelopePicture($this->class->envelope(), $this->course, $units);
    }

    /** @return list<array{name: string, at: string, said: string, isOutside: bool}> whether it may run so */
    public function points(): array
    {
        return array_map(fn (OperatingPoint $one): array => [
            'name' => $one->kind->label().($one->ambient === null ? '' : ', air '.$this->degrees($one->ambient)),
            'at' => 'evaporating '.$this->degrees($one->evaporating).', condensing '.$this->degrees($one->condensing),
            'said' => $this->said($one),
            'isOutside' => ! $this->class->envelope()->holds($one->evaporating, $one->condensing),
        ], $this->course);
    }

    private function said(OperatingPoint $one): string
    {
        $envelope = $this->class->envelope();
        $zone = $envelope->zoneAt($one->evaporating, $one->condensing);

        return match (true) {
            ! $envelope->holds($one->evaporating, $one->condensing) => $one->kind === PointKind::PumpDown
                ? 'outside: for minutes only'
                : 'outside',
            $zone !== null => "inside, needs $zone",
            default => 'inside',
        };
    }

    private function degrees(float $kelvin): string
    {
        return $this->units->text($kelvin, QuantityKind::Temperature);
    }

    /** @return list<array{name: string, value: string, said: string, mark: string}> what tells of it */
    public function figures(): array
    {
        return array_values(array_filter([
            $this->ratio(),
            $this->discharge(),
            $this->expectedDischarge(),
            $this->superheat(),
            $this->returnGas(),
            $this->current(),
            $this->oil(),
        ]));
    }

    /** @return ?array{name: string, value: string, said: string, mark: string} */
    private function ratio(): ?array
    {
        $ratio = $this->figures->value(DerivedFigure::CompressionRatio);

        return $ratio === null ? null : [
            'name' => 'Compression ratio',
            'value' => Format::number($ratio, 1),
            'said' => match (true) {
                $ratio > 12.0 => 'out of bounds for single stage without injection',
                $ratio > 10.0 => 'high: check head pressure, then suction',
                default => 'ordinary',
            },
            'mark' => $ratio > 10.0 ? '●' : '○',
        ];
    }

    /** @return ?array{name: string, value: string, said: string, mark: string} */
    private function discharge(): ?array
    {
        $pipe = $this->findings->reading(Reading::DischargeTemperature);
        if ($pipe === null) {
            return null;
        }
        $limit = (new Wanted($this->findings->circuit, $this->judged->rules))->dischargeLimit();
        $inside = array_map(fn (float $more): string => $this->degrees($pipe + $more), self::INSIDE);

        return [
            'name' => 'Discharge line',
            'value' => $this->degrees($pipe),
            'said' => "inside about $inside[0] to $inside[1], if clamped close by on the clean line; ".match (true) {
                $pipe >= $limit->high => 'stop: find the cause',
                $pipe >= $limit->low => 'high: oil is breaking down',
                default => 'below the limit of '.$this->degrees($limit->low),
            },
            'mark' => $pipe >= $limit->low ? '●' : '○',
        ];
    }

    /** @return ?array{name: string, value: string, said: string, mark: string} */
    private function expectedDischarge(): ?array
    {
        $pipe = $this->findings->reading(Reading::DischargeTemperature);
        $expected = $this->figures->value(DerivedFigure::ExpectedDischarge);
        $apart = $pipe === null || $expected === null ? 0.0 : $pipe - $expected;

        return $expected === null ? null : [
            'name' => 'Discharge expected at this compression',
            'value' => $this->degrees($expected),
            'said' => match (true) {
                $pipe === null => 'discharge line not measured',
                $apart > 15.0 => 'measured far above: worn valves or little gas',
                $apart < -15.0 => 'measured far below: liquid in the gas, or the clamp too far away',
                default => 'as measured',
            },
            'mark' => abs($apart) > 15.0 ? '●' : '○',
        ];
    }

    /** @return ?array{name: string, value: string, said: string, mark: string} */
    private function superheat(): ?array
    {
        $superheat = $this->figures->value(DerivedFigure::CompressorSuperheat);
        if ($superheat === null) {
            return null;
        }
        $floor = $this->judged->rules->band(HouseRule::CompressorSuperheatFloor);
        $aim = (new Wanted($this->findings->circuit, $this->judged->rules))->compressorSuperheat();

        return [
            'name' => 'Superheat at the compressor',
            'value' => $this->units->text($superheat, QuantityKind::Difference),
            'said' => match (true) {
                $superheat < $floor->low => 'danger: liquid may be returning',
                $superheat < $floor->high => 'below the minimum: watch it',
                $superheat > $aim->high => 'hot return gas',
                default => 'safe',
            }.', target '.$this->units->span($aim->low, $aim->high, QuantityKind::Difference).' '.
                $this->units->symbol(QuantityKind::Difference),
            'mark' => $superheat < $floor->high || $superheat > $aim->high ? '●' : '○',
        ];
    }

    /** @return ?array{name: string, value: string, said: string, mark: string} */
    private function returnGas(): ?array
    {
        $pipe = $this->findings->reading(Reading::SuctionTemperatureCompressor);

        return $pipe === null ? null : [
            'name' => 'Return gas',
            'value' => $this->degrees($pipe),
            'said' => 'a cold line alone is no cool compressor: little gas cools little',
            'mark' => '',
        ];
    }

    /** @return ?array{name: string, value: string, said: string, mark: string} */
    private function current(): ?array
    {
        $share = $this->figures->value(DerivedFigure::CurrentShare);

        return $share === null ? null : [
            'name' => 'Current, of rated',
            'value' => $this->units->text($share, QuantityKind::Share),
            'said' => $share > 1.0 ? 'above rated: voltage, head pressure, load' : 'within rated',
            'mark' => $share > 1.0 ? '●' : '○',
        ];
    }

    /** @return ?array{name: string, value: string, said: string, mark: string} */
    private function oil(): ?array
    {
        $word = $this->findings->observed(Observation::OilLevel);

        return $word === null ? null : [
            'name' => 'Oil',
            'value' => lcfirst($word->label()),
            'said' => '',
            'mark' => '',
        ];
    }

    /** @return list<array{string, bool}> what must be answered before another one is put in, and whether it is */
    public function beforeReplacing(): array
    {
        $open = [];
        $known = $this->findings->readings + $this->findings->observations;
        foreach (self::REASONS as $text => $asked) {
            $told = array_filter($asked, static fn (Reading|Observation $one): bool => isset($known[$one->value]));
            $open[] = [$text, $told !== []];
        }
        foreach (FaultCatalogue::entry(Fault::CompressorInefficient)->beforeReplacing as $one) {
            if ($one->fits($this->findings)) {
                $open[] = [$one->text, $one->isDone($this->findings)];
            }
        }

        return $open;
    }

    public function isExplained(): bool
    {
        return ! in_array(false, array_column($this->beforeReplacing(), 1), true);
    }

    /** @return array<string, string> by word */
    public function classes(): array
    {
        $labels = [];
        foreach (CompressorClass::cases() as $class) {
            $labels[$class->value] = $class->label();
        }

        return $labels;
    }
}
