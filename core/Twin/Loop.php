<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Refrigerant\OutsideTable;
use Metrum\Refrigerant\Saturation;
use Metrum\Twin\Walk\CoilWalk;
use Metrum\Twin\Walk\Compression;
use Metrum\Twin\Walk\CondenserWalk;
use Metrum\Twin\Walk\LiquidLine;
use Metrum\Twin\Walk\PhaseChange;
use Metrum\Twin\Walk\SuctionLine;

/**
 * One walk around the circuit for a guess of its unknowns, and how far the guess misses.
 *
 * Unknowns: logarithms of coil pressure, condensing pressure and mass flow, the liquid's enthalpy after the receiver,
 * and the fill z of the charge: below 0 vapour reaches the liquid line, 0 … 1 is the receiver's level, above 1 liquid
 * backs up into the condenser (without a receiver: above 0). Misses: compressor against valve flow, valve flow against
 * the guess, condenser area, liquid enthalpy, charge. Every balance is of refrigerant against air, zone by zone. Five
 * steps follow each other along the circuit; each keeps what it found, and a solved loop is read from them.
 */
final class Loop
{
    /** kg/s that a shut solenoid lets pass, so that the loop still closes. */
    private const SHUT = 1e-7;

    public readonly PhaseChange $condensing;

    public readonly PhaseChange $evaporating;

    public readonly LiquidLine $line;

    public readonly CoilWalk $coil;

    public readonly SuctionLine $suction;

    public readonly Compression $compression;

    public readonly CondenserWalk $condenser;

    /** kg/s through the valve, J/kg after the receiver and the fill: as guessed. */
    public float $massFlow = 0.0;

    public float $liquid = 0.0;

    public float $fill = 0.0;

    /** J/(kg K) of the condensed liquid. */
    public float $liquidHeat = 0.0;

    /** Of the valve, 0 … 1. */
    public float $opening = 0.0;

    /** Of the receiver, 0 … 1. */
    public float $level = 0.0;

    /** kg of refrigerant in all parts. */
    public float $mass = 0.0;

    public function __construct(public Machine $machine, public Surroundings $around)
    {
        $table = $machine->fluid->saturation;
        $this->condensing = new PhaseChange($table);
        $this->evaporating = new PhaseChange($table);
        $this->line = new LiquidLine();
        $this->coil = new CoilWalk();
        $this->suction = new SuctionLine(1.0001 * $table->bubblePressure($table->lowest));
        $this->compression = new Compression();
        $this->condenser = new CondenserWalk();
    }

    /** The same loop under other surroundings, and where parts have changed (frost), with those. */
    public function meet(Surroundings $around, ?Machine $machine = null): void
    {
        $this->around = $around;
        $this->machine = $machine ?? $this->machine;
    }

    /**
     * @param  array{float, float, float, float, float}  $guess  ln Pa, ln Pa, ln kg/s, 10 kJ/kg, z
     * @param  ?float  $opening  of the valve where it is given (in time), null where it follows the superheat
     * @return array{float, float, float, float, float} misses, dimensionless
     *
     * @throws OutsideTable
     */
    public function walk(array $guess, ?float $opening = null): array
    {
        $this->evaporating->at(exp($guess[0]));
        $this->condensing->at(exp($guess[1]));
        $this->massFlow = exp($guess[2]);
        $this->liquid = $guess[3] * 1e4;
        $this->fill = $guess[4];
        $this->liquidHeat = $this->heatOfLiquid();

        $this->line->walk($this);
        $this->coil->walk($this);
        $this->opening = $opening ?? $this->machine->feed->opening($this->coil->felt);
        $this->suction->walk($this);
        $this->compression->walk($this);
        $this->condenser->walk($this);
        $this->level = $this->machine->hasReceiver() ? max(0.0, min(1.0, $this->fill)) : 0.0;
        $this->mass = $this->inventory();

        return $this->misses();
    }

    /**
     * As one branch of a plant whose high side is known: liquid as it comes from there.
     *
     * @param  float  $liquid  J/kg
     *
     * @throws OutsideTable
     */
    public function drawOn(float $condensing, float $liquid): void
    {
        $this->condensing->at($condensing);
        $this->liquid = $liquid;
        $this->liquidHeat = $this->heatOfLiquid();
    }

    /**
     * The branch alone, at its coil's pressure and a guess of its flow.
     *
     * @param  float  $massFlow  kg/s
     * @return float kg/s that the valve would feed then
     *
     * @throws OutsideTable
     */
    public function fed(float $massFlow): float
    {
        $this->massFlow = $massFlow;
        $this->line->walk($this);
        $this->coil->walk($this);
        $this->opening = $this->machine->feed->opening($this->coil->felt);
        $over = $this->line->valvePressure - $this->evaporating->pressure;

        return $this->machine->feed->massFlow($this->opening, $this->line->valveDensity, $over);
    }

    /** J/(kg K) of what condensed. */
    private function heatOfLiquid(): float
    {
        $point = $this->condensing;

        return ($point->liquid - $point->table->at(Saturation::LIQUID_ENTHALPY, $point->bubble - 10.0)) / 10.0;
    }

    /** W that the lines take up from the air around, that a rack's other gas brings, and leaked gas. */
    public function lineHeat(): float
    {
        return $this->coil->returnFlow * ($this->suction->gain + $this->suction->mixed) -
            $this->line->lost -
            $this->coil->leak * ($this->compression->enthalpy - $this->coil->hot);
    }

    /** kg/m³ of all that is in the coil. */
    public function densityInCoil(): float
    {
        $coil = $this->coil;
        $flooding = $coil->wet > 1.0 ? 0.5 * (1 - $coil->outletQuality) : 0.0;
        $liquidShare = $coil->wetShare * (0.14 * (1 - $coil->inletQuality) + $flooding);

        return $this->evaporating->light + $liquidShare * ($this->evaporating->heavy - $this->evaporating->light);
    }

    private function inventory(): float
    {
        $machine = $this->machine;
        $inCoil = $this->densityInCoil();
        $inReceiver = $this->level * $this->condensing->heavy + (1 - $this->level) * $this->condensing->light;

        return $this->condenser->mass($this) +
            $machine->receiverVolume * $inReceiver +
            $machine->lineVolume * $this->line->density +
            $machine->coilVolume * $inCoil +
            $machine->suctionVolume * $this->suction->density;
    }

    /** @return array{float, float, float, float, float} */
    private function misses(): array
    {
        $machine = $this->machine;
        $condenser = $this->condenser;
        $over = $this->line->valvePressure - $this->evaporating->pressure;
        $fed = $machine->solenoidOpen
            ? $machine->feed->massFlow($this->opening, $this->line->valveDensity, $over)
            : self::SHUT;
        // What backs up beyond the condenser still counts in the balance.
        $beyond = $machine->condenserVolume * $this->condensing->heavy * max(0.0, $condenser->flooded - 1.0);

        return [
            $machine->groupSuction === null
                ? log($this->compression->pumped / $this->coil->returnFlow)
                : log($this->suction->pressure / $machine->groupSuction),
            log(max(1e-9, $fed) / $this->massFlow),
            1 - $condenser->desuperheating - $condenser->condensing - $condenser->blocked - $condenser->flooded,
            ($condenser->afterReceiver - $this->liquid) / $this->condensing->latent,
            ($this->mass + $beyond - $machine->charge) / ($machine->charge + 0.02),
        ];
    }
}
