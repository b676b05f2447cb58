<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Knowledge\Reading;
use Metrum\Quantity\QuantityKind;
use Metrum\Twin\Dice;
use Metrum\Twin\PlantState;

/** A plant's state as people's instruments give it: gauges with gain and offset, clamps drawn toward the air around. */
final readonly class InstrumentReadings
{
    /** Share of dial gauges among all. */
    private const DIALS = 0.2;

    /** Readings of pipes inside the box; all others lie in the air around the unit. */
    private const IN_THE_BOX = [
        Reading::SuctionTemperatureEvaporator,
        Reading::CoilInletTemperature,
        Reading::ValveInletTemperature,
    ];

    public function __construct(private Dice $dice)
    {
    }

    /** @return array<string, float> by key of Reading, SI */
    public function of(PlantState $state): array
    {
        $low = $this->gauge(2.5e3, 9e3);
        $high = $this->gauge(5e3, 30e3);
        $read = [];
        foreach ($state->readings as $key => $value) {
            $reading = Reading::from($key);
            $read[$key] = match (true) {
                $reading->quantity() === QuantityKind::GaugePressure => $this->onGauge(
                    $value,
                    $this->isHigh($reading) ? $high : $low,
                ),
                $reading->quantity() === QuantityKind::Temperature => $this->onPipe($reading, $value, $state),
                $reading === Reading::CompressorCurrent => $value * $this->dice->factor(0.025),
                $reading === Reading::SupplyVoltage => $value * $this->dice->factor(0.02),
                $reading === Reading::ReceiverLevel => max(0.0, min(1.0, $this->dice->around($value, 0.07))),
                $reading === Reading::DrierDrop => max(0.0, $this->dice->around($value, 4e3)),
                default => $value,
            };
        }

        return $read;
    }

    /**
     * @param  float  $digital  offset of a digital gauge, Pa, and of a dial
     * @return array{float, float} gain and offset
     */
    private function gauge(float $digital, float $dial): array
    {
        $byDial = $this->dice->chance(self::DIALS);

        return [
            $this->dice->factor($byDial ? 0.012 : 0.006),
            $this->dice->around(0.0, $byDial ? $dial : $digital),
        ];
    }

    /** @param  array{float, float}  $gauge */
    private function onGauge(float $pressure, array $gauge): float
    {
        return $gauge[0] * $pressure + $gauge[1];
    }

    private function isHigh(Reading $reading): bool
    {
        return $reading === Reading::DischargePressure || $reading === Reading::ReceiverPressure;
    }

    private function onPipe(Reading $reading, float $kelvin, PlantState $state): float
    {
        $air = match (true) {
            in_array($reading, [Reading::AmbientTemperature, Reading::BoxTemperature], true),
            in_array($reading, [Reading::SupplyAirTemperature, Reading::CondenserAirOutTemperature], true) => $kelvin,
            in_array($reading, self::IN_THE_BOX, true) => $state->readings[Reading::BoxTemperature->value],
            default => $state->readings[Reading::AmbientTemperature->value],
        };
        $drawn = abs($this->dice->around(0.0, 0.025));
        $noise = $reading === Reading::DischargeTemperature ? 1.6 : ($air === $kelvin ? 0.5 : 0.65);

        return $kelvin + $drawn * ($air - $kelvin) + $this->dice->around(0.0, $noise);
    }
}
