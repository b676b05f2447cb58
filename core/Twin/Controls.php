<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Installation\BoxControl;
use Metrum\Installation\DefrostKind;
use Metrum\Installation\Metering;
use Metrum\Knowledge\Fault;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Copies;

/** What switches a plant, and where. SI. */
final readonly class Controls
{
    use Copies;

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
            setPoint: $circuit->design->boxSetPoint ?? $machine->design->box,
            differential: 2.0,
            sensorError: 0.0,
            pumpsDown: $circuit->boxControl !== BoxControl::Thermostat &&
                $machine->feed->kind !== Metering::Capillary,
            cutOut: $cutOut,
            cutIn: max($fluid->dewPressure($dew - 3.0), 1.12 * $cutOut),
            highCutOut: $fluid->dewPressure(min($fluid->saturation->highest - 5, 334.0)),
            leastOff: 180.0,
            defrost: $kind,
            defrosts: $heated ? 4 : 0,
            longest: $kind === DefrostKind::HotGas ? 1200.0 : 2100.0,
            terminate: (Celsius::ZERO + 10.0),
            drip: 150.0,
            fanDelay: $low ? (Celsius::ZERO - 4.0) : null,
            heater: ($kind === DefrostKind::HotGas ? 1.6 : 1.1) * $machine->design->cooling,
            refreezes: 0.0,
        );
    }

    /** @param  float  $severity  0 … 1 */
    public function with(Fault $fault, float $severity, Machine $machine): self
    {
        $ailment = Ailment::of($fault);

        return $ailment->time === null ? $this : $this->changed($ailment->time, $ailment->by, $severity, $machine);
    }

    /** @param  list<float>  $by  as the effect takes them */
    private function changed(TimeEffect $effect, array $by, float $severity, Machine $machine): self
    {
        [$first, $second] = [...$by, 0.0, 0.0];

        return match ($effect) {
            // More heat is the room's affair.
            TimeEffect::Burden => $this,
            TimeEffect::SensorError => $this->but(sensorError: $this->sensorError + $first * $severity),
            TimeEffect::CutOutRaised => $this->cuttingOutAt(
                $this->cutOut +
                    min(1.0, $first + $second * $severity) * max(0.0, $machine->design->evaporating - $this->cutOut),
            ),
            TimeEffect::HeatLost => $this->but(heater: $this->heater * (1 - $severity)),
            TimeEffect::NotTerminating => $this->but(
                terminate: (Celsius::ZERO + 100.0),
                longest: $this->longest * (1 + $first * $severity),
            ),
            TimeEffect::ClockStopped => $this->but(defrosts: $severity > $first ? 0 : $this->defrosts),
            TimeEffect::FewerDefrosts => $this->but(
                defrosts: (int) round($this->defrosts * (1 - $first * $severity)),
            ),
            TimeEffect::Refreezing => $this->but(refreezes: $first * $severity),
            TimeEffect::FanDelayLowered => $this->but(
                fanDelay: ($this->fanDelay ?? Celsius::ZERO) - $first * $severity,
            ),
        };
    }

    private function cuttingOutAt(float $pressure): self
    {
        return $this->but(cutOut: $pressure, cutIn: max($this->cutIn, 1.1 * $pressure));
    }
}
