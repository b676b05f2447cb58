<?php

namespace App\Picture;

use Metrum\Installation\HeadPressureControl;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use Metrum\Twin\Machine;
use Metrum\Twin\PlantState;

/** View data of the circuit drawing: how full its parts are drawn, and the colours of its pipes. */
final readonly class CircuitDrawing
{
    /** Where the parts that fill stand in the drawing. */
    private const CONDENSER = ['right' => 232.0, 'width' => 140.0];

    private const COIL = ['right' => 252.0, 'width' => 124.0];

    private const RECEIVER = ['bottom' => 126.0, 'height' => 60.0];

    /** The uppermost bubble of at most so many. */
    private const BUBBLE = ['x' => 322.0, 'y' => 136.0];

    private const BUBBLES = 4;

    public bool $runs;

    public bool $receiver;

    public bool $headValve;

    public bool $regulator;

    /** @var array<string, string> colours of the pipes by name */
    public array $pipes;

    /** @var array<string, string> temperatures by place */
    public array $texts;

    /** "37 g/s" */
    public string $massFlow;

    /** Thickness of the pipes by mass flow against design, 1.5 … 7. */
    public float $flow;

    public function __construct(Machine $machine, public PlantState $state, Units $units)
    {
        $this->runs = $state->runs();
        $this->receiver = $machine->hasReceiver();
        $this->headValve = $machine->head->kind === HeadPressureControl::FloodingValve;
        $this->regulator = $machine->regulatorSetting !== null;
        $this->massFlow = self::flowing($state->massFlow, $units);
        $this->flow = $this->runs
            ? max(1.5, min(7.0, (4.5 * $state->massFlow) / $machine->design->massFlow))
            : 1.5;
        $places = [
            'discharge' => Reading::DischargeTemperature,
            'condensed' => Reading::CondenserOutletTemperature,
            'liquid' => Reading::DrierInletTemperature,
            'valve' => Reading::ValveInletTemperature,
            'coil' => Reading::CoilInletTemperature,
            'outlet' => Reading::SuctionTemperatureEvaporator,
            'suction' => Reading::SuctionTemperatureCompressor,
        ];
        $pipes = $texts = [];
        foreach ($places as $name => $reading) {
            $value = $state->reading($reading);
            $pipes[$name] = TemperatureColour::of(
                $value ?? (float) $state->reading(Reading::AmbientTemperature),
            );
            $texts[$name] = $value === null ? '' : $units->number($value, QuantityKind::Temperature);
        }
        $this->pipes = $pipes;
        $this->texts = $texts;
    }

    /** @return array{x: float, width: float, text: string} liquid in the condenser, from its right end */
    public function flooded(): array
    {
        return self::fromRight(self::CONDENSER, min(1.0, $this->state->flooded));
    }

    /** @return array{x: float, width: float, text: string} where the coil is wet, from its right end */
    public function wet(): array
    {
        return self::fromRight(self::COIL, 1 - $this->state->dryShare);
    }

    /** @return array{y: float, height: float, text: string} liquid in the receiver */
    public function level(): array
    {
        $height = round(self::RECEIVER['height'] * $this->state->level, 1);

        return [
            'y' => self::RECEIVER['bottom'] - $height,
            'height' => $height,
            'text' => self::percent($this->state->level),
        ];
    }

    /** How far the valve is open. */
    public function opening(): string
    {
        return self::percent($this->state->opening);
    }

    /** @return list<array{x: float, y: float}> the more gas there is before the valve, the more of them */
    public function bubbles(): array
    {
        $bubbles = [];
        for ($i = 0; $i < self::BUBBLES && $this->state->valveQuality * 40 > $i + 0.1; $i++) {
            $bubbles[] = ['x' => self::BUBBLE['x'] + ($i % 2 === 1 ? 2 : -2), 'y' => self::BUBBLE['y'] + 8 * $i];
        }

        return $bubbles;
    }

    /** Thickness of what goes round the condenser. */
    public function bypass(): float
    {
        return 1.5 + 5 * min(1.0, $this->state->bypassed);
    }

    /** "1.25 kW" that the compressor takes */
    public function power(): string
    {
        return Format::number($this->state->power / 1e3, 2, true).' kW';
    }

    /** "3.10 kW" that the coil takes up */
    public function cooling(): string
    {
        return Format::number($this->state->cooling / 1e3, 2, true).' kW';
    }

    /**
     * @param  array{right: float, width: float}  $part
     * @return array{x: float, width: float, text: string}
     */
    private static function fromRight(array $part, float $share): array
    {
        $width = round($part['width'] * $share, 1);

        return ['x' => $part['right'] - $width, 'width' => $width, 'text' => self::percent($share)];
    }

    private static function percent(float $share): string
    {
        return round(100 * $share).' %';
    }

    /** The same in words. */
    public function sentence(): string
    {
        if (! $this->runs) {
            return ucfirst((string) $this->state->stopped?->sentence()).'.';
        }

        return 'Condenser '.
            $this->flooded()['text'].
            ' flooded'.
            ($this->receiver ? ', receiver '.$this->level()['text'] : '').
            ', '.
            ($this->state->valveQuality > 0.002
                ? self::percent($this->state->valveQuality).' flash gas at the valve'
                : 'full liquid at the valve').
            ', expansion valve '.
            $this->opening().
            ' open, coil '.
            $this->wet()['text'].
            ' wetted.';
    }

    /** "37 g/s", "4.9 lb/min" */
    private static function flowing(float $massFlow, Units $units): string
    {
        return $units->mass === Unit::Pound
            ? Format::number(60 * Unit::Pound->fromSi($massFlow), 1).' lb/min'
            : Format::number(1e3 * $massFlow, $massFlow < 0.01 ? 1 : 0).' g/s';
    }
}
