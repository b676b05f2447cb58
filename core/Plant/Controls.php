<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Circuit\BoxControl;
use Metrum\Circuit\DefrostKind;
use Metrum\Circuit\Fault;

/** What switches a plant, and where. SI. */
final readonly class Controls
{
    /**
     * @param  float  $setPoint  K of box air
     * @param  float  $differential  K above the set point at which cooling begins again
     * @param  float  $sensorError  K that the thermostat reads too low
     * @param  bool  $pumpsDown  the thermostat shuts the liquid, the low-pressure control stops the compressor
     * @param  float  $cutOut  Pa abs at which the low-pressure control opens
     * @param  float  $cutIn  Pa abs at which it closes
     * @param  float  $highCutOut  Pa abs
     * @param  float  $leastOff  s that the compressor stays off
     * @param  int  $defrosts  a day
     * @param  float  $longest  s of one defrost at most
     * @param  float  $terminate  K of the coil that ends a defrost
     * @param  float  $drip  s
     * @param  ?float  $fanDelay  K of the coil at which the fans start after a defrost; null: at once
     * @param  float  $heater  W into the coil while defrosting
     * @param  float  $refreezes  share of the melt water that freezes again
     */
    public function __construct(
        public float $setPoint,
        public float $differential,
        public float $sensorError,
        public bool $pumpsDown,
        public float $cutOut,
        public float $cutIn,
        public float $highCutOut,
        public float $leastOff,
        public DefrostKind $defrost,
        public int $defrosts,
        public float $longest,
        public float $terminate,
        public float $drip,
        public ?float $fanDelay,
        public float $heater,
        public float $refreezes,
    ) {
    }

    /** As such a plant is usually set. */
    public static function for(Machine $machine): self
    {
        $circuit = $machine->circuit;
        $fluid = $machine->fluid;
        $dew = $fluid->dewTemperature($machine->design->evaporating);
        $low = $circuit->isLowTemperature();
        $kind = $circuit->defrost ?? ($low ? DefrostKind::Electric : DefrostKind::OffCycle);
        $heated = $kind === DefrostKind::Electric || $kind === DefrostKind::HotGas;
        $cutOut = max(
            $circuit->atmosphere->absolute(10e3),
            $fluid->dewPressure(max($fluid->saturation->lowest + 1, $dew - 14.0)),
        );

        return new self(
            $circuit->design->boxSetPoint ?? $machine->design->box,
            2.0,
            0.0,
            $circuit->boxControl !== BoxControl::Thermostat &&
                $machine->feed->kind !== \Metrum\Circuit\Metering::Capillary,
            $cutOut,
            max($fluid->dewPressure($dew - 3.0), 1.12 * $cutOut),
            $fluid->dewPressure(min($fluid->saturation->highest - 5, 334.0)),
            180.0,
            $kind,
            $heated ? 4 : 0,
            $kind === DefrostKind::HotGas ? 1200.0 : 2100.0,
            283.15,
            150.0,
            $low ? 269.15 : null,
            ($kind === DefrostKind::HotGas ? 1.6 : 1.1) * $machine->design->cooling,
            0.0,
        );
    }

    /** @param  float  $severity  0 … 1 */
    public function with(Fault $fault, float $severity, Machine $machine): self
    {
        return match ($fault) {
            Fault::ThermostatWrong => $this->changed(sensorError: $this->sensorError + 6.0 * $severity),
            Fault::LowPressureControlWrong => $this->cuttingOutAt(
                $this->cutOut +
                    min(1.0, 0.25 + 0.85 * $severity) * max(0.0, $machine->design->evaporating - $this->cutOut),
            ),
            Fault::DefrostHeaterFailed => $this->changed(heater: $this->heater * (1 - $severity)),
            Fault::DefrostNotTerminating => $this->changed(
                terminate: 373.15,
                longest: $this->longest * (1 + 1.5 * $severity),
            ),
            Fault::DefrostClockWrong => $this->changed(defrosts: $severity > 0.3 ? 0 : $this->defrosts),
            Fault::DefrostTooFew => $this->changed(
                defrosts: (int) round($this->defrosts * (1 - 0.8 * $severity)),
            ),
            Fault::DrainBlocked => $this->changed(refreezes: 0.8 * $severity),
            Fault::FanDelayHolding => $this->changed(fanDelay: ($this->fanDelay ?? 273.15) - 25.0 * $severity),
            default => $this,
        };
    }

    private function cuttingOutAt(float $pressure): self
    {
        return $this->changed(cutOut: $pressure, cutIn: max($this->cutIn, 1.1 * $pressure));
    }

    private function changed(
        ?float $sensorError = null,
        ?float $cutOut = null,
        ?float $cutIn = null,
        ?int $defrosts = null,
        ?float $longest = null,
        ?float $terminate = null,
        ?float $fanDelay = null,
        ?float $heater = null,
        ?float $refreezes = null,
    ): self {
        return new self(
            $this->setPoint,
            $this->differential,
            $sensorError ?? $this->sensorError,
            $this->pumpsDown,
            $cutOut ?? $this->cutOut,
            $cutIn ?? $this->cutIn,
            $this->highCutOut,
            $this->leastOff,
            $this->defrost,
            $defrosts ?? $this->defrosts,
            $longest ?? $this->longest,
            $terminate ?? $this->terminate,
            $this->drip,
            $fanDelay ?? $this->fanDelay,
            $heater ?? $this->heater,
            $refreezes ?? $this->refreezes,
        );
    }
}
