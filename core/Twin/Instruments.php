<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Installation\UsualCompressor;
use Metrum\Knowledge\Reading;
use Metrum\Refrigerant\OutsideTable;

/** Reads a solved loop as instruments would, with the balances and figures behind. SI, gauge Pa for pressures. */
final readonly class Instruments
{
    /** √3, and the power factor at the rated current, as plates are worked. */
    private const THREE_PHASES = 1.732;

    private const POWER_FACTOR = 0.85;

    /** K above dew up to which the vapour table is asked. */
    private const MOST_SUPERHEAT = 120.0;

    /** J/(kg K) of the gas where there is none to tell. */
    private const GAS_HEAT = 800.0;

    private Machine $machine;

    private Surroundings $around;

    public function __construct(private Loop $loop)
    {
        $this->machine = $loop->machine;
        $this->around = $loop->around;
    }

    /**
     * @param  array{float, float, float, float, float}  $solution
     * @param  float  $massMiss  of the charge's balance
     */
    public function state(array $solution, float $massMiss): PlantState
    {
        $loop = $this->loop;
        $compressor = $this->machine->compressor;
        $electric = $compressor->electricPower($loop->compression->shaft);
        $shaft = $loop->compression->shaft * (1 - UsualCompressor::SHELL_LOSS);
        $seen = PlantLooks::chances($loop);
        $energyMiss = $loop->coil->heat + $shaft + $loop->lineHeat() - $loop->condenser->heat;

        return new PlantState(
            readings: $this->readings($electric),
            observations: PlantLooks::likeliest($seen),
            stopped: null,
            massFlow: $loop->massFlow,
            cooling: $loop->coil->heat,
            power: $electric,
            flooded: min(1.0, $loop->condenser->flooded),
            level: $loop->level,
            valveQuality: $loop->line->valveQuality,
            dryShare: $loop->coil->dryShare,
            charge: $loop->mass,
            energyResidual: abs($energyMiss) / max(1.0, $loop->coil->heat),
            massResidual: abs($massMiss),
            coilAirHeat: $this->coilAir(),
            condenserAirHeat: $loop->condenser->airHeat,
            condenserHeat: $loop->condenser->heat,
            opening: $loop->opening,
            bypassed: $loop->condenser->bypassed,
            chances: $seen,
            solution: $solution,
            cycle: $this->cycle(),
        );
    }

    /** @return array<string, float> */
    private function readings(float $electric): array
    {
        return [
            ...$this->pressures(),
            ...$this->air(),
            ...$this->pipes(),
            Reading::CompressorCurrent->value => $this->current($electric),
            Reading::SupplyVoltage->value => $this->machine->compressor->volts,
            Reading::DrierDrop->value => $this->loop->line->drierDrop,
            ...$this->receiver(),
        ];
    }

    /** @return array<string, float> */
    private function pressures(): array
    {
        $air = $this->around->atmosphere;

        return [
            Reading::SuctionPressure->value => $this->loop->suction->pressure - $air,
            Reading::EvaporatorPressure->value => $this->loop->evaporating->pressure - $air,
            Reading::DischargePressure->value => $this->head() - $air,
        ];
    }

    /** @return array<string, float> */
    private function air(): array
    {
        $loop = $this->loop;
        $moving = $loop->condenser->airFlow;
        $side = $moving < 1.0 ? $this->machine->condenser->with($moving) : $this->machine->condenser;
        $given = ($loop->condenser->heat * ($loop->massFlow + $this->machine->others)) / $loop->massFlow;

        $taken = $loop->coil->heat / $this->machine->coil->capacity;

        return [
            Reading::AmbientTemperature->value => $this->around->ambient,
            Reading::CondenserAirOutTemperature->value => $this->around->ambient + $given / $side->capacity,
            Reading::BoxTemperature->value => $this->around->box,
            Reading::SupplyAirTemperature->value => $this->around->box - $taken,
        ];
    }

    /** @return array<string, float> */
    private function pipes(): array
    {
        $loop = $this->loop;
        $gas = $this->gasTemperature();

        return [
            Reading::SuctionTemperatureEvaporator->value => $loop->coil->outlet,
            Reading::SuctionTemperatureCompressor->value => $loop->suction->dew + $loop->suction->superheat,
            Reading::DischargeTemperature->value => UsualCompressor::pipeTemperature($gas, $this->around->ambient),
            Reading::CondenserOutletTemperature->value => $loop->condenser->outlet,
            Reading::DrierInletTemperature->value => $loop->line->drierInlet,
            Reading::DrierOutletTemperature->value => $loop->line->drierOutlet,
            Reading::ValveInletTemperature->value => $loop->line->valveTemperature,
            Reading::CoilInletTemperature->value => $loop->coil->inlet,
        ];
    }

    /** @return array<string, float> */
    private function receiver(): array
    {
        return ! $this->machine->hasReceiver()
            ? []
            : [
                Reading::ReceiverPressure->value => $this->head() - $this->around->atmosphere,
                Reading::ReceiverOutletTemperature->value => $this->loop->line->temperature,
                Reading::ReceiverLevel->value => $this->loop->level,
            ];
    }

    private function current(float $electric): float
    {
        $compressor = $this->machine->compressor;
        $rated = self::THREE_PHASES * $compressor->volts * $this->machine->ratedCurrent * self::POWER_FACTOR;
        $share = ($electric / $rated) * ($compressor->phases === 3 ? 1.0 : self::THREE_PHASES);

        return $compressor->current($electric, $share);
    }

    /** Pa abs at the discharge: what condenses, and what foreign gas adds. */
    private function head(): float
    {
        return $this->loop->condensing->pressure + $this->machine->inert;
    }

    private function gasTemperature(): float
    {
        $fluid = $this->machine->fluid;
        $dew = $fluid->dewTemperature($this->head());
        try {
            return $dew + $fluid->superheatOfEnthalpy($dew, $this->loop->compression->enthalpy);
        } catch (OutsideTable) {
            return $dew + self::MOST_SUPERHEAT;
        }
    }

    /** Heat that the air gives to the coil, W, from its own side: zone by zone, share × conductance × difference. */
    private function coilAir(): float
    {
        $box = $this->around->box;
        $face = $this->machine->coil;
        $coil = $this->loop->coil;
        $dew = $this->loop->evaporating->dew;
        $twoPhase = (1 - $coil->dryShare) * $face->conductance() * ($box - ($coil->inlet + $dew) / 2);
        if ($coil->superheat <= 0.0) {
            return $twoPhase;
        }
        $specific =
            $coil->superheat > 0.01
                ? ($coil->outletEnthalpy - $this->loop->evaporating->vapour) / $coil->superheat
                : self::GAS_HEAT;
        $capacity = $coil->returnFlow * $specific;
        $warms = max(0.0, $box - $dew) - $coil->entering;

        return $twoPhase +
            $capacity * $warms * (1 - exp((-$coil->dryShare * $face->conductance(0.45)) / $capacity));
    }

    /** @return list<array{float, float}> */
    private function cycle(): array
    {
        $loop = $this->loop;
        $condensing = $loop->condensing->pressure;
        $coil = $loop->evaporating->pressure;

        return [
            [$loop->suction->enthalpy, $loop->suction->pressure],
            [$loop->compression->enthalpy, $this->head()],
            [$loop->condenser->outletEnthalpy, $condensing],
            [$loop->liquid, $condensing],
            [$loop->line->enthalpy, $loop->line->valvePressure],
            [$loop->line->enthalpy, $coil],
            [$loop->coil->outletEnthalpy, $coil],
        ];
    }
}
