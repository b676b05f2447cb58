<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\DesignKey;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Refrigerant\Refrigerant;

/** Works the figures of coil and suction line. Superheat uses dew; the coil is judged at mid-glide by default. */
final readonly class LowSideFigures
{
    /** Share of vapour behind the valve where nothing is known of the liquid before it. */
    private const USUAL_QUALITY = 0.25;

    /** K below bubble that liquid before the valve is taken at where only the head is known. */
    private const USUAL_SUBCOOLING = 3.0;

    private Refrigerant $fluid;

    /** The coil's own pressure where it was measured, else the compressor's; null where neither was. */
    private ?Reading $coilReading;

    public function __construct(private Findings $findings, private HouseRules $rules, private Figures $figures)
    {
        $this->fluid = $findings->circuit->fluid();
        $this->coilReading = match (true) {
            $findings->reading(Reading::EvaporatorPressure) !== null => Reading::EvaporatorPressure,
            $findings->reading(Reading::SuctionPressure) !== null => Reading::SuctionPressure,
            default => null,
        };
    }

    public function work(): void
    {
        $this->suction();
        if ($this->coilReading !== null) {
            $this->coil($this->coilReading, (float) $this->findings->absolute($this->coilReading));
        }
        $this->superheats();
        $this->airSide();
    }

    private function suction(): void
    {
        $suction = $this->findings->absolute(Reading::SuctionPressure);
        if ($suction !== null) {
            $this->figures->work(
                DerivedFigure::SaturatedSuction,
                'dew temperature at the %1$s (absolute)',
                [Reading::SuctionPressure],
                fn (): float => $this->fluid->dewTemperature($suction),
            );
        }
    }

    private function coil(Reading $at, float $coil): void
    {
        $meaning = $at === Reading::SuctionPressure ? static fn (): Meaning => Meaning::TakenAtCompressor : null;
        $this->figures->work(
            DerivedFigure::SaturatedEvaporator,
            'dew temperature at the %1$s (absolute)',
            [$at],
            fn (): float => $this->fluid->dewTemperature($coil),
            $meaning,
        );
        $this->figures->work(
            DerivedFigure::CoilInlet,
            'from quality after the expansion valve: '.
                'enthalpy of the liquid before it, at the coil\'s pressure',
            [$at],
            fn (): float => $this->inletTemperature($coil),
        );
        $this->figures->work(
            DerivedFigure::CoilMiddle,
            'mean of dew and the coil\'s inlet temperature',
            [$at],
            fn (): float => ($this->fluid->dewTemperature($coil) + $this->inletTemperature($coil)) / 2,
            $meaning,
        );
        $suction = $this->findings->absolute(Reading::SuctionPressure);
        if ($at === Reading::EvaporatorPressure && $suction !== null) {
            $this->figures->work(
                DerivedFigure::SuctionLineDrop,
                'coil pressure − suction pressure',
                [$at, Reading::SuctionPressure],
                static fn (): float => $coil - $suction,
            );
        }
    }

    private function superheats(): void
    {
        $bulb = Reading::SuctionTemperatureEvaporator;
        $pipe = Reading::SuctionTemperatureCompressor;
        $this->superheat(DerivedFigure::EvaporatorSuperheat, $bulb, $this->coilReading);
        $this->superheat(DerivedFigure::CompressorSuperheat, $pipe, Reading::SuctionPressure);
        $this->difference(
            DerivedFigure::SuctionLineGain,
            $pipe,
            $bulb,
            'suction line at the compressor − line at the bulb',
        );
    }

    private function superheat(DerivedFigure $key, Reading $pipe, ?Reading $pressure): void
    {
        $temperature = $this->findings->reading($pipe);
        $absolute = $pressure === null ? null : $this->findings->absolute($pressure);
        if ($pressure === null || $temperature === null || $absolute === null) {
            return;
        }
        $this->figures->work(
            $key,
            '%1$s − dew temperature at the %2$s',
            [$pipe, $pressure],
            fn (): float => $temperature - $this->fluid->dewTemperature($absolute),
            fn (float $value): ?Meaning => match (true) {
                $value >= -1.0 => null,
                $value >= -$this->fluid->glide($absolute) - 1.0 => Meaning::LiquidLeaves,
                default => Meaning::BeyondRefrigerant,
            },
        );
    }

    private function airSide(): void
    {
        $box = $this->findings->reading(Reading::BoxTemperature);
        if ($box === null) {
            return;
        }
        $middle = $this->rules->judgesAtMidGlide();
        $coil = $this->figures->value($middle ? DerivedFigure::CoilMiddle : DerivedFigure::SaturatedEvaporator);
        if ($coil !== null && $this->coilReading !== null) {
            $this->figures->work(
                DerivedFigure::EvaporatorTd,
                $middle
                    ? 'air entering the coil − evaporating in the middle of the coil'
                    : 'air entering the coil − evaporating at dew',
                [Reading::BoxTemperature, $this->coilReading],
                static fn (): float => $box - $coil,
            );
        }
        $this->difference(
            DerivedFigure::CoilAirDrop,
            Reading::BoxTemperature,
            Reading::SupplyAirTemperature,
            'air entering − air leaving the coil',
        );
        $set = $this->findings->circuit->design->boxSetPoint;
        if ($set !== null) {
            $this->figures->work(
                DerivedFigure::BoxAboveSetPoint,
                'box air − set point',
                [Reading::BoxTemperature, DesignKey::BoxSetPoint],
                static fn (): float => $box - $set,
            );
        }
    }

    private function difference(DerivedFigure $key, Reading $from, Reading $less, string $formula): void
    {
        $a = $this->findings->reading($from);
        $b = $this->findings->reading($less);
        if ($a !== null && $b !== null) {
            $this->figures->work($key, $formula, [$from, $less], static fn (): float => $a - $b);
        }
    }

    /** K where the coil begins: by the vapour share that throttling leaves, straight between bubble and dew. */
    private function inletTemperature(float $coil): float
    {
        $bubble = $this->fluid->bubbleTemperature($coil);
        $dew = $this->fluid->dewTemperature($coil);
        $liquid = $this->liquidTemperature();
        $quality = self::USUAL_QUALITY;
        if ($liquid !== null) {
            $low = $this->fluid->liquidEnthalpy($bubble);
            $latent = $this->fluid->vapourEnthalpy($dew) - $low;
            $quality = ($this->fluid->liquidEnthalpy($liquid) - $low) / $latent;
        }

        return $bubble + max(0.0, min(1.0, $quality)) * ($dew - $bubble);
    }

    /** K of the liquid before the valve, nearest clamp first; null where nothing tells it. */
    private function liquidTemperature(): ?float
    {
        $clamps = [
            Reading::ValveInletTemperature,
            Reading::DrierOutletTemperature,
            Reading::ReceiverOutletTemperature,
            Reading::CondenserOutletTemperature,
        ];
        $table = $this->fluid->saturation;
        foreach ($clamps as $reading) {
            $value = $this->findings->reading($reading);
            if ($value !== null && $value > $table->lowest && $value < $table->highest) {
                return $value;
            }
        }
        $bubble = $this->figures->value(DerivedFigure::SaturatedCondensing);

        return $bubble === null ? null : $bubble - self::USUAL_SUBCOOLING;
    }
}
