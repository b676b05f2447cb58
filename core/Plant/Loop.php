<?php

declare(strict_types=1);

namespace Metrum\Plant;

/**
 * One walk around the circuit for a guess of its unknowns, and how far the guess misses.
 *
 * Unknowns: logarithms of coil pressure, condensing pressure and mass flow, the liquid's enthalpy after the receiver, and
 * the fill z of the charge: below 0 vapour reaches the liquid line, 0 … 1 is the receiver's level, above 1 liquid backs up
 * into the condenser (without a receiver: above 0). Misses: compressor against valve flow, valve flow against the guess,
 * condenser area, liquid enthalpy, charge. Every balance is of refrigerant against air, zone by zone. The properties are
 * those of the last walk: a solved loop is read from them.
 */
final class Loop
{
    /** z over which the condenser's own liquid drains before vapour leaves it. */
    private const DRAINING = 0.15;

    public float $coilPressure = 0.0;

    public float $suctionPressure = 0.0;

    public float $condensingPressure = 0.0;

    public float $valvePressure = 0.0;

    public float $massFlow = 0.0;

    public float $returnFlow = 0.0;

    public float $opening = 0.0;

    public float $dew = 0.0;

    public float $coilInlet = 0.0;

    /** Above dew at the coil's outlet, K; below 0 where liquid leaves. */
    public float $superheat = 0.0;

    public float $coilOutlet = 0.0;

    public float $outletEnthalpy = 0.0;

    public float $outletQuality = 1.0;

    public float $dryShare = 0.0;

    public float $coilHeat = 0.0;

    public float $condenserHeat = 0.0;

    /** The same heat from the air's side: zone by zone, share × conductance × difference. */
    public float $condenserAir = 0.0;

    public float $lineHeat = 0.0;

    public float $shaft = 0.0;

    public float $suctionEnthalpy = 0.0;

    public float $suctionDew = 0.0;

    public float $suctionSuperheat = 0.0;

    public float $dischargeEnthalpy = 0.0;

    public float $ratio = 1.0;

    public float $bubble = 0.0;

    public float $condensingDew = 0.0;

    public float $flooded = 0.0;

    public float $bypassed = 0.0;

    public float $condenserOutlet = 0.0;

    /** Enthalpies after the receiver and before the valve, J/kg. */
    public float $atReceiver = 0.0;

    public float $atValve = 0.0;

    public float $outletLiquid = 0.0;

    public float $liquidTemperature = 0.0;

    public float $lineQuality = 0.0;

    public float $drierOutlet = 0.0;

    public float $drierDrop = 0.0;

    public float $valveTemperature = 0.0;

    public float $valveQuality = 0.0;

    public float $inletQuality = 0.0;

    public float $level = 0.0;

    public float $mass = 0.0;

    public float $airFlow = 1.0;

    public float $regulatorDrop = 0.0;

    /** Pa below which the table knows nothing; a suction pumped lower than that is drawn there. */
    private readonly float $floor;

    public function __construct(private Machine $machine, private Surroundings $around)
    {
        $this->floor = 1.0001 * $machine->fluid->bubblePressure($machine->fluid->saturation->lowest);
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
     */
    public function walk(array $guess, ?float $opening = null): array
    {
        $machine = $this->machine;
        $fluid = $machine->fluid;
        $sat = $fluid->saturation;
        $ambient = $this->around->ambient;
        $this->coilPressure = exp($guess[0]);
        $this->condensingPressure = exp($guess[1]);
        $flow = $this->massFlow = exp($guess[2]);
        $liquid = $guess[3] * 1e4;
        $fill = $guess[4];

        // Condensing side, saturated.
        $bubble = $this->bubble = $sat->bubbleTemperature($this->condensingPressure);
        $dewC = $this->condensingDew = $sat->dewTemperature($this->condensingPressure);
        $liquidC = $sat->at($sat::LIQUID_ENTHALPY, $bubble);
        $vapourC = $sat->at($sat::VAPOUR_ENTHALPY, $dewC);
        $latentC = $vapourC - $liquidC;
        $heavyC = $sat->at($sat::LIQUID_DENSITY, $bubble);
        $lightC = $sat->at($sat::VAPOUR_DENSITY, $dewC);
        $heatC = ($liquidC - $sat->at($sat::LIQUID_ENTHALPY, $bubble - 10.0)) / 10.0;

        // Liquid line: friction, drier, lift, heat to the air around, flash.
        $quality = $this->lineQuality = max(0.0, ($liquid - $liquidC) / $latentC);
        $cold = ($liquidC - $liquid) / $heatC;
        $temperature = $this->liquidTemperature =
            $quality > 0.0
                ? $bubble + min(1.0, $quality) * ($dewC - $bubble)
                : $bubble - $cold * (1 + 0.0012 * $cold);
        $density =
            $quality > 0.0
                ? 1 / ($quality / $lightC + (1 - min(1.0, $quality)) / $heavyC)
                : $heavyC * (1 + 0.003 * $cold);
        $this->drierDrop = ($machine->drierFriction * $flow * $flow) / $density;
        $drop =
            $this->drierDrop +
            ($machine->liquidFriction * $flow * $flow) / $density +
            $density * 9.81 * $machine->lift;
        $valvePressure = $this->valvePressure = max(
            $this->condensingPressure - $drop,
            1.05 * $this->coilPressure,
        );
        $lost = $machine->liquidLoss * ($temperature - $ambient);
        $atValve = $liquid - $lost / $flow;

        // Coil, saturated.
        $dew = $this->dew = $sat->dewTemperature($this->coilPressure);
        $bubbleE = $sat->bubbleTemperature($this->coilPressure);
        $liquidE = $sat->at($sat::LIQUID_ENTHALPY, $bubbleE);
        $vapourE = $sat->at($sat::VAPOUR_ENTHALPY, $dew);
        $latentE = $vapourE - $liquidE;
        $heavyE = $sat->at($sat::LIQUID_DENSITY, $bubbleE);
        $lightE = $sat->at($sat::VAPOUR_DENSITY, $dew);

        $saved = 0.0;
        if ($machine->exchanger > 0.0) {
            $saved = $machine->exchanger * 700.0 * max(0.0, $temperature - $dew - max(0.0, $this->superheat));
            $atValve -= $saved;
        }
        $this->atReceiver = $liquid;
        $this->atValve = $atValve;
        $bubbleV = $sat->bubbleTemperature($valvePressure);
        $liquidV = $sat->at($sat::LIQUID_ENTHALPY, $bubbleV);
        $dewV = $sat->dewTemperature($valvePressure);
        $flash = $this->valveQuality = max(
            0.0,
            min(1.0, ($atValve - $liquidV) / ($sat->at($sat::VAPOUR_ENTHALPY, $dewV) - $liquidV)),
        );
        $this->valveTemperature =
            $flash > 0.0
                ? $bubbleV + $flash * ($dewV - $bubbleV)
                : min($bubbleV, $temperature - ($lost / $flow + $saved) / $heatC);
        $before =
            $flash > 0.0
                ? 1 /
                    ($flash / $sat->at($sat::VAPOUR_DENSITY, $dewV) +
                        (1 - $flash) / $sat->at($sat::LIQUID_DENSITY, $bubbleV))
                : $density;
        $afterDrier = $sat->bubbleTemperature(
            max($this->condensingPressure - $this->drierDrop, $valvePressure),
        );
        $this->drierOutlet = min($temperature, max($afterDrier, $this->valveTemperature));

        // Coil: a two-phase and a superheating zone share the face.
        $hot = $vapourC + 20e3;
        $leak =
            $machine->hotGas *
            sqrt(
                max(0.0, $this->condensingPressure - $this->coilPressure) /
                    ($machine->design->condensing - $machine->design->evaporating),
            );
        $return = $this->returnFlow = $flow + $leak;
        $inlet = $this->inletQuality = max(0.0, min(0.98, ($atValve - $liquidE) / $latentE));
        $this->coilInlet = $bubbleE + $inlet * ($dew - $bubbleE);
        $middle = ($this->coilInlet + $dew) / 2;
        $air = $this->around->box;
        $conductance = $machine->coil->conductance();
        $available = $conductance * max(0.05, $air - $middle);
        $needed = $flow * ($vapourE - $atValve) - $leak * ($hot - $vapourE);
        $wet = $needed / $available;
        $wetShare = max(0.0, min(1.0, $wet));
        $this->dryShare = 1 - $wetShare;
        [$lightOut, $hotter] = $fluid->vapourState($dew, 8.0);
        $specific = ($hotter - $vapourE) / 8.0;
        if ($wet < 1.0) {
            $this->superheat =
                max(0.0, $air - $dew) *
                (1 - exp((-(1 - $wetShare) * $machine->coil->conductance(0.45)) / ($return * $specific)));
            $this->outletEnthalpy = $vapourE + $specific * $this->superheat;
            $this->outletQuality = 1.0;
            $this->coilOutlet = $dew + $this->superheat;
            $outDensity = $lightE * (1 + (($lightOut / $lightE - 1) * $this->superheat) / 8.0);
            $felt = $this->superheat;
        } else {
            $this->outletEnthalpy = ($available + $flow * $atValve + $leak * $hot) / $return;
            $this->outletQuality = max(0.0, min(1.0, ($this->outletEnthalpy - $liquidE) / $latentE));
            $this->coilOutlet = $bubbleE + $this->outletQuality * ($dew - $bubbleE);
            $this->superheat = $this->coilOutlet - $dew;
            $outDensity = 1 / ($this->outletQuality / $lightE + (1 - $this->outletQuality) / $heavyE);
            $felt = $this->superheat - 25.0 * (1 - $this->outletQuality);
        }
        $this->coilHeat = $return * $this->outletEnthalpy - $flow * $atValve - $leak * $hot;

        // Valve.
        $this->opening = $opening ?? $machine->feed->opening($felt);
        $fed = $machine->solenoidOpen
            ? $machine->feed->massFlow($this->opening, $before, $valvePressure - $this->coilPressure)
            : 1e-7;

        // Regulator and suction line.
        $this->regulatorDrop = 0.0;
        if ($machine->regulatorSetting !== null) {
            $open = max(
                0.08,
                min(
                    1.0,
                    0.5 +
                        ($this->coilPressure - $machine->regulatorSetting) /
                            (0.1 * $machine->design->evaporating),
                ),
            );
            $this->regulatorDrop =
                ($machine->regulatorFriction * $return * $return) / ($outDensity * $open * $open);
        }
        $pressure = $this->suctionPressure = max(
            $this->floor,
            0.12 * $this->coilPressure,
            $this->coilPressure -
                $this->regulatorDrop -
                ($machine->suctionFriction * $return * $return) / $outDensity,
        );
        $gain =
            $this->around->returnGain !== null
                ? $specific * $this->around->returnGain
                : $specific *
                    ($ambient - $this->coilOutlet) *
                    (1 - exp(-$machine->suctionGain / ($return * $specific)));
        $this->suctionEnthalpy = $this->outletEnthalpy + $gain + ($saved * $flow) / $return;
        $dewS = $this->suctionDew = $sat->dewTemperature($pressure);
        $vapourS = $sat->at($sat::VAPOUR_ENTHALPY, $dewS);
        if ($this->suctionEnthalpy >= $vapourS) {
            $guess8 = min(110.0, ($this->suctionEnthalpy - $vapourS) / $specific);
            [$gas, $enthalpy, $entropy] = $fluid->vapourState($dewS, $guess8);
            $miss = $this->suctionEnthalpy - $enthalpy;
            $this->suctionSuperheat = $guess8 + $miss / $specific;
            $gas *= ($dewS + $guess8) / ($dewS + $this->suctionSuperheat);
            $entropy += $miss / ($dewS + $guess8);
        } else {
            $latentS = $vapourS - $sat->at($sat::LIQUID_ENTHALPY, $sat->bubbleTemperature($pressure));
            $dryness = max(0.3, 1 - ($vapourS - $this->suctionEnthalpy) / $latentS);
            $this->suctionSuperheat = ($dryness - 1) * ($dewS - $sat->bubbleTemperature($pressure));
            $gas = $sat->at($sat::VAPOUR_DENSITY, $dewS) / $dryness;
            $entropy = $sat->at($sat::VAPOUR_ENTROPY, $dewS) - ($vapourS - $this->suctionEnthalpy) / $dewS;
        }

        // Compressor: loss-free work by entropy, then the real one.
        $discharge = $this->condensingPressure + $machine->inert;
        $dewD = $machine->inert > 0.0 ? $sat->dewTemperature($discharge) : $dewC;
        $vapourD = $machine->inert > 0.0 ? $sat->at($sat::VAPOUR_ENTHALPY, $dewD) : $vapourC;
        $entropyD = $sat->at($sat::VAPOUR_ENTROPY, $dewD);
        $ratio = $this->ratio = max(1.05, $discharge / $pressure);
        if ($entropy > $entropyD) {
            [, $warm] = $fluid->vapourState($dewD, 25.0);
            $specificD = ($warm - $vapourD) / 25.0;
            $above = min(118.0, $dewD * (exp(($entropy - $entropyD) / $specificD) - 1));
            [, $reached, $entropyAt] = $fluid->vapourState($dewD, $above);
            $ideal = $reached + ($dewD + $above) * ($entropy - $entropyAt) - $this->suctionEnthalpy;
        } else {
            $ideal = $vapourD - $dewD * ($entropyD - $entropy) - $this->suctionEnthalpy;
        }
        $work = $machine->compressor->work(max(2e3, $ideal), $ratio);
        $this->shaft = $return * $work;
        $this->dischargeEnthalpy = $this->suctionEnthalpy + $work * (1 - $machine->compressor->shellLoss());
        $pumped = $machine->compressor->massFlow($gas, $ratio);

        // Condenser: desuperheating, condensing and liquid share its face; inert gas blocks some of it.
        $valveFlooded = $machine->head->flooded($bubble);
        $base = min(HeadControl::MOST_FLOODED, $machine->freeShare + $valveFlooded);
        $top = $machine->hasReceiver() ? 1.0 : 0.0;
        $short = $fill < 0.0 ? -$fill : 0.0;
        $this->flooded = $base * max(0.0, 1 - $short / self::DRAINING) + max(0.0, $fill - $top);
        $vapourLeaving = max(0.0, min(0.9, $short - self::DRAINING));
        $this->airFlow = $machine->head->air($bubble);
        $side = $this->airFlow < 1.0 ? $machine->condenser->with($this->airFlow) : $machine->condenser;
        $through = $flow + $machine->others;
        // Gas that arrives wet has nothing to lose before it condenses.
        $warmth = max(0.0, $this->dischargeEnthalpy - $vapourC);
        $toCondense = min($vapourC, $this->dischargeEnthalpy) - $liquidC - $vapourLeaving * $latentC;
        $specificC = 1000.0;
        $topDifference = max(1.0, $dewC + $warmth / $specificC - $ambient);
        $lowDifference = max(0.5, $dewC - $ambient);
        $mean =
            abs($topDifference - $lowDifference) < 0.1
                ? $lowDifference
                : ($topDifference - $lowDifference) / log($topDifference / $lowDifference);
        $cooling = $side->conductance();
        $blocked = (0.3 * $machine->inert) / $this->condensingPressure;
        $condensate = max(0.0, min(1.0, $this->flooded));
        $coldShare =
            $ambient +
            ($bubble - $ambient) * exp((-$condensate * $side->conductance(0.5)) / ($through * $heatC));
        $this->condenserOutlet =
            $vapourLeaving > 0.0 ? $bubble + $vapourLeaving * ($dewC - $bubble) : $coldShare;
        $this->outletLiquid =
            $vapourLeaving > 0.0
                ? $liquidC + $vapourLeaving * $latentC
                : $liquidC - $heatC * ($bubble - $coldShare);
        $warmed = max(0.0, ($liquidC - $this->outletLiquid) / ($this->dischargeEnthalpy - $this->outletLiquid));
        $this->bypassed = $machine->head->bypassed($valveFlooded, $warmed, $short);
        $through *= 1 - $this->bypassed;
        $warm = max(0.3, ($bubble + $dewC) / 2 - $ambient);
        $desuperheating = ($through * $warmth) / ($side->conductance(0.5) * $mean);
        $condensing = ($through * max(0.0, $toCondense)) / ($cooling * $warm);
        $this->condenserAir =
            (($desuperheating * $side->conductance(0.5) * $mean +
                $condensing * $cooling * $warm +
                ($vapourLeaving > 0.0 ? 0.0 : $through * $heatC * ($bubble - $coldShare))) *
                $flow) /
            ($flow + $machine->others);
        $this->condenserHeat = (1 - $this->bypassed) * $flow * ($this->dischargeEnthalpy - $this->outletLiquid);
        $afterReceiver =
            (1 - $this->bypassed) * $this->outletLiquid + $this->bypassed * $this->dischargeEnthalpy;

        // Charge.
        $this->level = $machine->hasReceiver() ? max(0.0, min(1.0, $fill)) : 0.0;
        $filled = max(0.0, min(1.0, $this->flooded));
        $mixed = min(1 - $filled, max(0.0, $condensing));
        $this->mass =
            $machine->condenserVolume *
                ($filled * $heavyC +
                    $mixed * ($lightC + 0.22 * ($heavyC - $lightC)) +
                    (1 - $filled - $mixed) * $lightC) +
            $machine->receiverVolume * ($this->level * $heavyC + (1 - $this->level) * $lightC) +
            $machine->lineVolume * $density +
            $machine->coilVolume *
                ($lightE +
                    $wetShare *
                        (0.14 * (1 - $inlet) + ($wet > 1.0 ? 0.5 * (1 - $this->outletQuality) : 0.0)) *
                        ($heavyE - $lightE)) +
            $machine->suctionVolume * $gas;
        // What backs up beyond the condenser, or is missing beyond what vapour explains, still counts in the balance.
        $beyond = $machine->condenserVolume * $heavyC * max(0.0, $this->flooded - 1.0);

        $this->lineHeat = $return * $gain - $lost - $leak * ($this->dischargeEnthalpy - $hot);

        return [
            $machine->groupSuction === null ? log($pumped / $return) : log($pressure / $machine->groupSuction),
            log(max(1e-9, $fed) / $flow),
            1 - $desuperheating - $condensing - $blocked - $this->flooded,
            ($afterReceiver - $liquid) / $latentC,
            ($this->mass + $beyond - $machine->charge) / ($machine->charge + 0.02),
        ];
    }
}
