<?php

namespace App\View\Compressor;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Installation\CompressorClass;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Taken;
use Metrum\Knowledge\Wanted;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/** The figures that tell of a compressor, each with what it says. */
final readonly class CompressorFigures
{
    /** K by which it is hotter inside than its discharge pipe. */
    private const INSIDE = [30.0, 40.0];

    /** Compression ratios that are usual for a class, and the most of a single stage. */
    private const USUAL_RATIO = [
        'hermetic_small' => [2, 8],
        'semi_hermetic_medium' => [2, 6],
        'semi_hermetic_low' => [4, 10],
        'scroll_medium' => [2, 6],
        'scroll_low' => [4, 10],
    ];

    private const MOST_RATIO = 12.0;

    private Figures $figures;

    public function __construct(
        private Findings $findings,
        private HouseRules $rules,
        private CompressorClass $class,
        private Units $units,
    ) {
        $this->figures = Figures::of($findings, $rules);
    }

    private function degrees(float $kelvin): string
    {
        return $this->units->text($kelvin, QuantityKind::Temperature);
    }

    /** @return list<array{name: string, value: string, said: string, mark: string}> what tells of it */
    public function all(): array
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
        $atDischarge = $this->figures->value(DerivedFigure::CompressionRatio);
        $ratio = $atDischarge ?? $this->ratioAtReceiver();
        if ($ratio === null) {
            return null;
        }
        $usual = self::USUAL_RATIO[$this->class->value];
        $span = "(usual $usual[0] to $usual[1])";
        $port = $atDischarge === null
            ? 'from the liquid port: reads low by what the condenser takes; '
            : '';

        return [
            'name' => 'Compression ratio',
            'value' => Format::number($ratio, 1),
            'said' => $port.match (true) {
                $ratio > self::MOST_RATIO => 'out of bounds for single stage without injection',
                $ratio > $usual[1] => "high for this use $span: head pressure first, then suction",
                $ratio < $usual[0] => "low for this use $span: suction high, or head pressure low",
                default => "usual for this use ($usual[0] to $usual[1])",
            },
            'mark' => $ratio > $usual[1] ? '●' : '○',
        ];
    }

    /** By the pressure after the condenser, where that at the discharge was not read. */
    private function ratioAtReceiver(): ?float
    {
        $high = $this->findings->absolute(Reading::ReceiverPressure);
        $low = $this->findings->absolute(Reading::SuctionPressure);

        return $high === null || $low === null || $low <= 0.0 ? null : $high / $low;
    }

    /** @return ?array{name: string, value: string, said: string, mark: string} */
    private function discharge(): ?array
    {
        $pipe = $this->findings->reading(Reading::DischargeTemperature);
        if ($pipe === null) {
            return null;
        }
        $limit = (new Wanted($this->findings->circuit, $this->rules))->dischargeLimit();

        return [
            'name' => 'Discharge line',
            'value' => $this->degrees($pipe),
            'said' => $this->inside($pipe).'; '.match (true) {
                $pipe >= $limit->high => 'stop: find the cause',
                $pipe >= $limit->low => 'high: oil is breaking down',
                default => 'below the limit of '.$this->degrees($limit->low),
            },
            'mark' => $pipe >= $limit->low ? '●' : '○',
        ];
    }

    /** How hot it is inside, by where and with what the line was taken. */
    private function inside(float $pipe): string
    {
        [$least, $most] = array_map(fn (float $more): string => $this->degrees($pipe + $more), self::INSIDE);

        return match ($this->findings->taken[Reading::DischargeTemperature->value] ?? null) {
            null => "inside about $least to $most. That holds for a clamp about 15 cm away on clean bare line; ".
                'if it was taken otherwise, say so at the reading',
            Taken::InfraredMatt => "inside about $least to $most, by infrared a few kelvin either way",
            Taken::Far => "clamped far away: inside more than $least; clamp it about 15 cm from the compressor",
            Taken::InfraredBare => 'infrared on bare metal says nothing of the inside; tape it or clamp it',
        };
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
        $floor = $this->rules->band(HouseRule::CompressorSuperheatFloor);
        $aim = (new Wanted($this->findings->circuit, $this->rules))->compressorSuperheat();

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
}
