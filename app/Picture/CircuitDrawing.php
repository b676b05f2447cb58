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

/** View data of the circuit drawing: part states and pipe colours; the component knows the layout. */
final readonly class CircuitDrawing
{
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

    /** @return array<string, float> shares of parts, for the component's rectangles */
    public function shares(): array
    {
        return [
            'flooded' => min(1.0, $this->state->flooded),
            'level' => $this->state->level,
            'wet' => 1 - $this->state->dryShare,
            'opening' => $this->state->opening,
            'gas' => $this->state->valveQuality,
        ];
    }

    /** The same in words. */
    public function sentence(): string
    {
        if (! $this->runs) {
            return ucfirst((string) $this->state->stopped?->sentence()).'.';
        }
        $percent = static fn (float $share): string => round(100 * $share).' %';

        return 'Condenser '.
            $percent(min(1.0, $this->state->flooded)).
            ' full of liquid'.
            ($this->receiver ? ', receiver '.$percent($this->state->level) : '').
            ', '.
            ($this->state->valveQuality > 0.002
                ? $percent($this->state->valveQuality).' gas before the valve'
                : 'solid liquid before the valve').
            ', valve '.
            $percent($this->state->opening).
            ' open, coil wet over '.
            $percent(1 - $this->state->dryShare).
            '.';
    }

    /** "37 g/s", "4.9 lb/min" */
    private static function flowing(float $massFlow, Units $units): string
    {
        return $units->mass === Unit::Pound
            ? Format::number(60 * Unit::Pound->fromSi($massFlow), 1).' lb/min'
            : Format::number(1e3 * $massFlow, $massFlow < 0.01 ? 1 : 0).' g/s';
    }
}
