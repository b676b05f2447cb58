<?php

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Installation\Kind;
use Metrum\Installation\Metering;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Learning\PlantAsBuilt;
use Metrum\Quantity\Unanswerable;
use Metrum\Twin\ChargeCurve;
use Metrum\Twin\Dice;
use Metrum\Twin\Machine;
use Metrum\Twin\PlantState;
use Metrum\Twin\RandomPlants;
use Metrum\Twin\Sizing;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;
use Metrum\Work\Charging\ChargeModel;

/** A plant that differs from its twin, with the charge that is right for it, and what is known of it. */
final readonly class ChargedPlant
{
    /** Share of the plants whose plate says the charge; a receiver always says its volume. */
    private const PLATES = 0.5;

    /** @param  Circuit  $circuit  as the technician knows it  @param  float  $right  kg */
    private function __construct(
        public Circuit $circuit,
        public Machine $machine,
        public Surroundings $around,
        public float $right,
    ) {
    }

    /** @return ?self null where the dice give none that can be built */
    public static function drawn(Dice $dice, RandomPlants $plants, ?bool $receiver = null): ?self
    {
        $kinds = [Kind::WalkInCooler, Kind::WalkInFreezer, Kind::CaseMedium, Kind::ReachInCooler, Kind::ReachInFreezer];
        $circuit = $plants->circuit($dice->one($kinds));
        $isOther = $receiver !== null && $circuit->hasReceiver() !== $receiver;
        if ($circuit->metering === Metering::Capillary || $isOther) {
            return null;
        }
        try {
            $planned = (new Sizing($circuit))->machine();
            $built = (new PlantAsBuilt($dice))->of($planned, false);
            $right = self::right($planned, $built);
        } catch (Unanswerable) {
            return null;
        }
        if ($right === null) {
            return null;
        }
        $design = $circuit->design;
        if ($dice->chance(self::PLATES)) {
            $design = $design->with(Metrum\Installation\DesignKey::NameplateCharge, $right);
        }
        if ($built->hasReceiver()) {
            $design = $design->with(Metrum\Installation\DesignKey::ReceiverVolume, $built->receiverVolume);
        }
        // A plant whose size nobody said is asked for it: the current stands on its compressor.
        if ($design->nameplateCharge === null && $design->ratedCurrent === null) {
            $design = $design->with(Metrum\Installation\DesignKey::RatedCurrent, $built->ratedCurrent);
        }
        $around = new Surroundings(
            $built->design->ambient + $dice->between(-6.0, 4.0),
            $built->design->box + $dice->between(0.0, 3.0),
            null,
            $circuit->atmosphere->pascal,
        );

        return new self($circuit->with($design), $built->with(charge: $right), $around, $right);
    }

    /** kg with which the built plant shows what it was planned for: its subcooling, or the level of its receiver. */
    private static function right(Machine $planned, Machine $built): ?float
    {
        // Weather of the plan.
        $air = $built->circuit->atmosphere->pascal;
        $point = new Surroundings($built->design->ambient, $built->design->box, null, $air);
        $shows = static function (PlantState $state) use ($built): float {
            $readings = new Findings($built->circuit, readings: $state->readings);

            return $built->hasReceiver()
                ? $state->level
                : Figures::of($readings, new HouseRules())->value(DerivedFigure::Subcooling) ?? 0.0;
        };
        $plan = (new SteadyState($planned, $point))->find();
        if (! $plan->runs()) {
            return null;
        }
        $wanted = $shows($plan);
        [$low, $high, $state] = [0.5 * $planned->charge, 1.6 * $planned->charge, $plan];
        for ($round = 0; $round < 14; $round++) {
            $middle = ($low + $high) / 2;
            $state = (new SteadyState($built->with(charge: $middle), $point))->find($state->solution);
            if (! $state->runs() && $state->solution === null && $middle > $planned->charge) {
                $high = $middle;
            } elseif ($state->runs() && $shows($state) > $wanted) {
                $high = $middle;
            } else {
                $low = $middle;
            }
        }

        return $state->runs() ? ($low + $high) / 2 : null;
    }

    /** kg from which liquid alone leaves its receiver in this weather. */
    public function sealed(): float
    {
        $model = ChargeModel::of(ChargeCurve::of($this->machine, $this->around), new HouseRules());

        return min($this->right, $model->sealed ?? $this->right);
    }

    public static function sees(PlantUnderHand $hand): void
    {
        $state = $hand->stands();
        $glass = $state?->observed(Observation::SightGlass);
        if ($glass !== null) {
            $hand->see(Observation::SightGlass, $glass);
        }
    }
}
