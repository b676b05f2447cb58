<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Reading;
use Metrum\Quantity\Kind;
use Metrum\Refrigerant\Refrigerant;

/** Works the figures of coil and suction line. Superheat uses dew; the coil is judged at the middle of its glide by default. */
final readonly class LowSide
{
    /** Share of vapour behind the valve where nothing is known of the liquid before it. */
    private const USUAL_QUALITY = 0.25;

    private Refrigerant $fluid;

    public function __construct(private Findings $findings, private HouseRules $rules, private Figures $figures)
    {
        $this->fluid = $findings->circuit->fluid();
    }

    public function work(): void
    {
        $this->saturations();
        $this->superheats();
        $this->airSide();
    }

    private function saturations(): void
    {
        $suction = $this->findings->absolute(Reading::SuctionPressure);
        if ($suction !== null) {
            $this->figures->add(
                Derived::SaturatedSuction,
                fn (): float => $this->fluid->dewTemperature($suction),
                'dew temperature at the suction pressure (absolute)',
                $this->input(Reading::SuctionPressure),
            );
        }
        $at = $this->coilReading();
        if ($at === null) {
            return;
        }
        $coil = (float) $this->findings->absolute($at);
        $from = $this->input($at);
        $meaning =
            $at === Reading::SuctionPressure
                ? 'Taken at the compressor: the coil is warmer by what the suction line loses.'
                : null;
        $this->figures->add(
            Derived::SaturatedEvaporator,
            fn (): float => $this->fluid->dewTemperature($coil),
            'dew temperature at the '.mb_strtolower($at->label()).' (absolute)',
            $from,
            $meaning,
        );
        $this->figures->add(
            Derived::CoilInlet,
            fn (): float => $this->inletTemperature($coil),
            'temperature at the quality that the valve leaves: enthalpy of the liquid before it, at the coil\'s pressure',
            $from,
        );
        $this->figures->add(
            Derived::CoilMiddle,
            fn (): float => ($this->fluid->dewTemperature($coil) + $this->inletTemperature($coil)) / 2,
            'mean of dew and the coil\'s inlet temperature',
            $from,
            $meaning,
        );
        if ($at === Reading::EvaporatorPressure && $suction !== null) {
            $this->figures->add(
                Derived::SuctionLineDrop,
                static fn (): float => $coil - $suction,
                'coil pressure − suction pressure',
                $from + $this->input(Reading::SuctionPressure),
            );
        }
    }

    private function superheats(): void
    {
        $this->superheat(
            Derived::EvaporatorSuperheat,
            Reading::SuctionTemperatureEvaporator,
            $this->coilReading(),
        );
        $this->superheat(
            Derived::CompressorSuperheat,
            Reading::SuctionTemperatureCompressor,
            Reading::SuctionPressure,
        );
        $bulb = $this->findings->reading(Reading::SuctionTemperatureEvaporator);
        $pipe = $this->findings->reading(Reading::SuctionTemperatureCompressor);
        if ($bulb !== null && $pipe !== null) {
            $this->figures->add(
                Derived::SuctionLineGain,
                static fn (): float => $pipe - $bulb,
                'suction pipe at the compressor − pipe at the bulb',
                $this->input(Reading::SuctionTemperatureCompressor) +
                    $this->input(Reading::SuctionTemperatureEvaporator),
            );
        }
    }

    private function superheat(Derived $key, Reading $pipe, ?Reading $pressure): void
    {
        $temperature = $this->findings->reading($pipe);
        $absolute = $pressure === null ? null : $this->findings->absolute($pressure);
        if ($pressure === null || $temperature === null || $absolute === null) {
            return;
        }
        $work = fn (): float => $temperature - $this->fluid->dewTemperature($absolute);
        $meaning = null;
        try {
            $value = $work();
            $glide = $this->fluid->glide($absolute);
            $meaning = match (true) {
                $value >= -1.0 => null,
                $value >= -$glide - 1.0 => 'Negative, down to the glide: liquid is leaving there, or a reading is wrong.',
                default => 'Negative beyond what the refrigerant can show: wrong refrigerant, clamp or pressure.',
            };
        } catch (\Metrum\Refrigerant\OutsideTable) {
            // add() names the reason.
        }
        $this->figures->add(
            $key,
            $work,
            mb_strtolower($pipe->label()).' − dew temperature at the '.mb_strtolower($pressure->label()),
            $this->input($pipe) + $this->input($pressure),
            $meaning,
        );
    }

    private function airSide(): void
    {
        $box = $this->findings->reading(Reading::BoxTemperature);
        if ($box === null) {
            return;
        }
        $middle = $this->rules->judgesAtMidGlide();
        $coil = $this->figures->value($middle ? Derived::CoilMiddle : Derived::SaturatedEvaporator);
        $at = $this->coilReading();
        if ($coil !== null && $at !== null) {
            $this->figures->add(
                Derived::EvaporatorTd,
                static fn (): float => $box - $coil,
                'air entering the coil − evaporating '.($middle ? 'in the middle of the coil' : 'at dew'),
                $this->input(Reading::BoxTemperature) + $this->input($at),
            );
        }
        $supply = $this->findings->reading(Reading::SupplyAirTemperature);
        if ($supply !== null) {
            $this->figures->add(
                Derived::CoilAirDrop,
                static fn (): float => $box - $supply,
                'air entering − air leaving the coil',
                $this->input(Reading::BoxTemperature) + $this->input(Reading::SupplyAirTemperature),
            );
        }
        $set = $this->findings->circuit->design->boxSetPoint;
        if ($set !== null) {
            $this->figures->add(
                Derived::BoxAboveSetPoint,
                static fn (): float => $box - $set,
                'box air − set point',
                $this->input(Reading::BoxTemperature) + ['Set point' => [$set, Kind::Temperature]],
            );
        }
    }

    /** The coil's own pressure where it was measured, else the compressor's. */
    private function coilReading(): ?Reading
    {
        return match (true) {
            $this->findings->reading(Reading::EvaporatorPressure) !== null => Reading::EvaporatorPressure,
            $this->findings->reading(Reading::SuctionPressure) !== null => Reading::SuctionPressure,
            default => null,
        };
    }

    /** Temperature (K) where the coil begins: by the vapour share that throttling leaves, straight between bubble and dew. */
    private function inletTemperature(float $coil): float
    {
        $bubble = $this->fluid->bubbleTemperature($coil);
        $dew = $this->fluid->dewTemperature($coil);
        $liquid = $this->liquidTemperature();
        $quality = self::USUAL_QUALITY;
        if ($liquid !== null) {
            $low = $this->fluid->liquidEnthalpy($bubble);
            $quality =
                ($this->fluid->liquidEnthalpy($liquid) - $low) / ($this->fluid->vapourEnthalpy($dew) - $low);
        }

        return $bubble + max(0.0, min(1.0, $quality)) * ($dew - $bubble);
    }

    private function liquidTemperature(): ?float
    {
        foreach (
            [
                Reading::ValveInletTemperature,
                Reading::DrierOutletTemperature,
                Reading::ReceiverOutletTemperature,
                Reading::CondenserOutletTemperature,
            ] as $reading
        ) {
            $value = $this->findings->reading($reading);
            if (
                $value !== null &&
                $value > $this->fluid->saturation->lowest &&
                $value < $this->fluid->saturation->highest
            ) {
                return $value;
            }
        }
        $bubble = $this->figures->value(Derived::SaturatedCondensing);

        return $bubble === null ? null : $bubble - 3.0;
    }

    /** @return array<string, array{float, Kind}> */
    private function input(Reading $reading): array
    {
        return [$reading->label() => [(float) $this->findings->reading($reading), $reading->quantity()]];
    }
}
