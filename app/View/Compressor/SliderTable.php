<?php

namespace App\View\Compressor;

use App\Records\JudgedVisit;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Twin\WhatIf;
use Metrum\Work\Compressor\OperatingPoint;
use Metrum\Work\Compressor\PointKind;
use Metrum\Work\Compressor\SliderRun;
use Metrum\Work\Compressor\Sliders;
use Metrum\Work\Compressor\SliderTwin;

/** What five sliders do to a compressor: flow, discharge, capacity and current, as it stands and as tried. */
final readonly class SliderTable
{
    /** Name, label and step of each, in its own unit: percent or K. */
    private const SLIDERS = [
        'dirt' => ['Dirt on the condenser', 0.05],
        'air' => ['Air missing at the coil', 0.05],
        'superheat' => ['Superheat setting', 0.5],
        'gain' => ['Suction line gain', 1.0],
        'head' => ['Head pressure', 0.5],
    ];

    public ?SliderRun $base;

    public ?SliderRun $tried;

    private function __construct(private Sliders $set, SliderTwin $twin, private Units $units)
    {
        $this->base = $twin->base();
        $this->tried = $this->base === null ? null : $twin->tried($set);
    }

    /** Null where the system has no twin of its own to try on. */
    public static function of(JudgedVisit $judged, Sliders $set, Units $units): ?self
    {
        $expectation = $judged->twin();
        if ($expectation === null || $judged->visit->isOfRack()) {
            return null;
        }
        $whatIf = new WhatIf(
            $expectation->twin,
            $expectation->around,
            $judged->findings,
            $judged->rules,
            $judged->verdict->leading(),
        );
        $self = new self($set, new SliderTwin($whatIf->machine(), $whatIf->around, $whatIf->now()), $units);

        return $self->base === null ? null : $self;
    }

    /** Where it would run; null where it stands as it is, or would not run. */
    public function point(): ?OperatingPoint
    {
        return $this->tried === null || $this->set->areAtRest()
            ? null
            : new OperatingPoint(PointKind::Tried, $this->tried->evaporating, $this->tried->condensing);
    }

    /**
     * @return list<array{
     *     name: string, label: string, least: float, most: float, step: float, at: float, said: string
     * }>
     */
    public function sliders(): array
    {
        $at = get_object_vars($this->set);
        $sliders = [];
        foreach (self::SLIDERS as $name => [$label, $step]) {
            [$least, $most] = Sliders::SPANS[$name];
            $sliders[] = [
                'name' => $name,
                'label' => $label,
                'least' => $least,
                'most' => $most,
                'step' => $step,
                'at' => $at[$name],
                'said' => $this->said($name, $at[$name]),
            ];
        }

        return $sliders;
    }

    /** "40 %", "+3.0 K" */
    private function said(string $name, float $at): string
    {
        $isShare = $name === 'dirt' || $name === 'air';
        $text = $this->units->text($at, $isShare ? QuantityKind::Share : QuantityKind::Difference);

        return ($isShare || $at <= 0.0 ? '' : '+').$text;
    }

    /** @return list<array{name: string, now: string, then: string, change: string}> */
    public function rows(): array
    {
        $rows = [];
        foreach (
            [
                ['Mass flow', static fn (SliderRun $one): float => $one->massFlow, null],
                ['Discharge line', static fn (SliderRun $one): float => $one->discharge, QuantityKind::Temperature],
                ['Capacity', static fn (SliderRun $one): float => $one->capacity, QuantityKind::Power],
                ['Current', static fn (SliderRun $one): float => $one->current, QuantityKind::Current],
                ['Evaporating', static fn (SliderRun $one): float => $one->evaporating, QuantityKind::Temperature],
                ['Condensing', static fn (SliderRun $one): float => $one->condensing, QuantityKind::Temperature],
            ] as [$name, $of, $kind]
        ) {
            $now = $this->base === null ? null : $of($this->base);
            $then = $this->tried === null ? null : $of($this->tried);
            $rows[] = [
                'name' => $name,
                'now' => $this->text($now, $kind),
                'then' => $this->set->areAtRest() ? '' : $this->text($then, $kind),
                'change' => $now === null || $then === null ? '' : $this->change($now, $then, $kind),
            ];
        }

        return $rows;
    }

    /** @param  ?QuantityKind  $kind  null: of a flow, kg/s */
    private function text(?float $si, ?QuantityKind $kind): string
    {
        return match (true) {
            $si === null => 'does not run',
            $kind === null => $this->flow($si),
            default => $this->units->text($si, $kind),
        };
    }

    /** "205 kg/h" @param  float  $si  kg/s */
    private function flow(float $si): string
    {
        $unit = $this->units->of(QuantityKind::Mass);

        return Format::number($unit->fromSi(3600.0 * $si), 0).' '.$unit->symbol().'/h';
    }

    /** Of a temperature its difference, of all else its share. */
    private function change(float $now, float $then, ?QuantityKind $kind): string
    {
        $isTemperature = $kind === QuantityKind::Temperature;
        $change = $isTemperature ? $then - $now : $then / max(1e-9, $now) - 1;
        $text = $this->units->text($change, $isTemperature ? QuantityKind::Difference : QuantityKind::Share);

        return $then === $now ? '' : ($change > 0.0 ? '+' : '').$text;
    }
}
