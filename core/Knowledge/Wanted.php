<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Installation\Circuit;
use Metrum\Installation\LoadKind;

/**
 * The bands a healthy plant keeps: the plate's figure where one is given, else the house rule. SI (K, and K for
 * temperatures).
 */
final readonly class Wanted
{
    public function __construct(private Circuit $circuit, private HouseRules $rules)
    {
    }

    public function superheat(): Band
    {
        $given = $this->circuit->design->superheat;
        if ($given !== null) {
            return new Band(max(1.0, $given - 1.5), $given + 1.5, 'design value');
        }

        return $this->rules->band(
            $this->circuit->isLowTemperature() ? HouseRule::SuperheatLow : HouseRule::SuperheatMedium,
        );
    }

    public function compressorSuperheat(): Band
    {
        return $this->rules->band(HouseRule::CompressorSuperheat);
    }

    /** At the receiver outlet where there is a receiver, at the condenser outlet where there is none. */
    public function subcooling(): Band
    {
        $given = $this->circuit->design->subcooling;
        if (! $this->circuit->hasReceiver()) {
            return $given !== null
                ? new Band(max(0.5, $given - 2), $given + 2, 'design value')
                : $this->rules->band(HouseRule::SubcoolingNoReceiver);
        }
        $band = $this->rules->band(HouseRule::SubcoolingReceiver);

        return $given !== null && $given + 2 > $band->high
            ? new Band(min($band->low, $given), $given + 2, 'design value')
            : $band;
    }

    public function evaporatorTd(): Band
    {
        $given = $this->circuit->design->evaporatorTd;
        if ($given !== null) {
            return $this->aboveGlide(new Band($given - 1.5, $given + 1.5, 'design value'));
        }
        $rule = match ($this->circuit->kind?->load()) {
            LoadKind::Air => HouseRule::TdAirConditioner,
            LoadKind::Cabinet, LoadKind::IceMachine, LoadKind::DisplayCase => HouseRule::TdSmall,
            LoadKind::Room, null => $this->circuit->isLowTemperature() ? HouseRule::TdFreezer : HouseRule::TdCooler,
        };

        return $this->aboveGlide($this->rules->band($rule));
    }

    /**
     * A blend's gas must still be warmed above dew by air that is warmer than it: judged at mid-glide, the TD is at
     * least half the coil's glide plus the superheat over 0.9. Figures given without that in mind are raised to it.
     */
    private function aboveGlide(Band $band): Band
    {
        $floor = $this->leastTd();
        if ($band->middle() >= $floor) {
            return $band;
        }
        $raise = $floor - $band->middle();

        $source = $band->source.', raised for the '.$this->whyRaised();

        return new Band($band->low + $raise, $band->high + $raise, $source);
    }

    /** What takes the room: on a single fluid there is no glide. */
    private function whyRaised(): string
    {
        $glides = $this->rules->judgesAtMidGlide() && count($this->circuit->fluid()->composition) > 1;

        return $glides ? 'glide' : 'superheat';
    }

    /** The smallest TD (K) that leaves room for the wanted superheat in this refrigerant. */
    public function leastTd(): float
    {
        $glide = 0.0;
        if ($this->rules->judgesAtMidGlide()) {
            $fluid = $this->circuit->fluid();
            $glide =
                count($fluid->composition) > 1
                    ? 0.7 *
                        $fluid->glide($fluid->dewPressure($this->circuit->isLowTemperature() ? 245.0 : 267.0))
                    : 0.0;
        }

        return $this->superheat()->middle() / 0.9 + $glide / 2;
    }

    public function condenserSplit(): Band
    {
        $given = $this->circuit->design->condenserSplit;
        if ($given !== null) {
            return new Band($given - 2, $given + 2, 'design value');
        }

        return $this->rules->band(
            match (true) {
                $this->circuit->cools(LoadKind::Air) => HouseRule::SplitAirConditioner,
                $this->circuit->isLowTemperature() => HouseRule::SplitLow,
                default => HouseRule::SplitMedium,
            },
        );
    }

    /** Saturated condensing (K) that head pressure control keeps at least; null where nothing holds it. */
    public function leastCondensing(): ?float
    {
        return $this->circuit->holdsHead() ? $this->rules->band(HouseRule::LeastCondensing)->middle() : null;
    }

    public function lineGain(): Band
    {
        return new Band(
            0.0,
            $this->rules->band(HouseRule::LineGain)->high,
            $this->rules->band(HouseRule::LineGain)->source,
        );
    }

    public function drierDrop(): Band
    {
        return $this->rules->band(HouseRule::DrierDrop);
    }

    /** Discharge line, K: warn at the low end, stop at the high end. */
    public function dischargeLimit(): Band
    {
        return $this->rules->band(HouseRule::DischargeLimit);
    }
}
