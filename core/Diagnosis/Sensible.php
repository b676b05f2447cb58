<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Findings;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Effort;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Celsius;

/** What a skilled hand would do now, and what would be silly: done already, not to be had, or not yet allowed. */
final readonly class Sensible
{
    /** K above freezing that a bulb's pipe must be for ice to tell anything. */
    private const ICE_COOLS = Celsius::ZERO + 5.0;

    /** Air, heaters, clocks and the box: what can be measured while no pressure means anything. */
    private const APART_FROM_PRESSURE = [
        Reading::BoxTemperature,
        Reading::SupplyAirTemperature,
        Reading::CoilInletTemperature,
        Reading::HeaterCurrent,
        Reading::HeaterRatedCurrent,
        Reading::SupplyVoltage,
        Reading::FanDelaySensor,
        Reading::FanDelaySet,
        Reading::PullDownRate,
        Reading::MinutesSinceDisturbance,
        Reading::AmbientTemperature,
        Reading::WaterTemperature,
        Reading::CondenserAirOutTemperature,
    ];

    /** What shows only while the compressor runs. */
    private const WHILE_RUNNING = [
        Observation::SightGlass,
        Observation::ValveSound,
        Observation::FrostSuctionLine,
        Observation::FrostValveOutlet,
        Observation::LiquidLineFeel,
        Observation::HeadPressureValveBypassLine,
        Observation::SuctionLineAfterHotGasValve,
        Observation::CondenserFans,
        Test::ValveBulbWarmed,
        Test::ValveBulbIced,
        Reading::SuctionTemperatureEvaporator,
        Reading::SuctionTemperatureCompressor,
        Reading::DischargeTemperature,
        Reading::CondenserOutletTemperature,
        Reading::ReceiverOutletTemperature,
        Reading::DrierInletTemperature,
        Reading::DrierOutletTemperature,
        Reading::ValveInletTemperature,
        Reading::CoilInletTemperature,
        Reading::CondenserAirOutTemperature,
        Reading::CompressorCurrent,
        Reading::SuperheatSwing,
        Reading::SuperheatLowest,
        Reading::PullDownRate,
        Reading::OilPressureDifference,
    ];

    private bool $noPressures;

    /** @param  list<Asked>  $doubted  what is to be taken again anyhow */
    public function __construct(
        private Findings $findings,
        private KnownAnswers $told,
        private array $doubted,
        WithheldFigures $withheld,
    ) {
        $this->noPressures = $withheld->ofCircuit() || $findings->saw(Observation::FrostCoil, Word::Blocked);
    }

    public function is(Asked $key): bool
    {
        return ! $this->isAnswered($key) &&
            ! in_array($key, $this->doubted, true) &&
            $key->taking()->isAskedAt($this->findings->circuit) &&
            ! $this->told->is($key) &&
            ! ($this->findings->isOff() && in_array($key, self::WHILE_RUNNING, true)) &&
            $this->isAllowed($key) &&
            $this->tells($key);
    }

    /** Whether all that it takes makes sense now. */
    public function isToBeHad(Check $check): bool
    {
        foreach ($check->readings as $reading) {
            if (! $this->is($reading)) {
                return false;
            }
        }

        return true;
    }

    private function isAnswered(Asked $key): bool
    {
        return match (true) {
            $key instanceof Observation => $this->findings->observed($key) !== null,
            $key instanceof Test => $this->findings->tested($key) !== null,
            $key instanceof Reading => $this->findings->reading($key) !== null,
            default => false,
        };
    }

    /** No gauge, and nothing felt at a pipe, while the coil has no air or the plant is in passing. */
    private function isAllowed(Asked $key): bool
    {
        return ! $this->noPressures ||
            ($key instanceof Reading
                ? in_array($key, self::APART_FROM_PRESSURE, true)
                : $key->taking()->effort !== Effort::Intervention);
    }

    /** What is tried only where something else was seen before. */
    private function tells(Asked $key): bool
    {
        return match ($key) {
            Test::CondenserWashed => $this->findings->saw(Observation::CondenserFace, Word::Dirty),
            Test::ValveBulbIced => ($this->findings->reading(Reading::SuctionTemperatureEvaporator) ?? 0.0) >
                self::ICE_COOLS,
            default => true,
        };
    }

    /** Whether nothing is turned, stopped or opened for it. */
    public static function isLook(Asked $key): bool
    {
        return $key->taking()->effort !== Effort::Intervention;
    }
}
