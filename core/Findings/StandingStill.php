<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;

/** What stays as it was found whatever is moved elsewhere: plates, weather, supply, dirt, doors and clocks. */
final class StandingStill
{
    /** @return list<string> keys of readings and observations */
    public static function keys(): array
    {
        return [
            Reading::AmbientTemperature->value,
            Reading::SupplyVoltage->value,
            Reading::FansFitted->value,
            Reading::FansRunning->value,
            Reading::HeaterRatedCurrent->value,
            Reading::HeaterCurrent->value,
            Reading::LowCutOut->value,
            Reading::LowCutIn->value,
            Reading::FanDelaySet->value,
            Reading::WaterTemperature->value,
            Reading::SuctionSet->value,
            Reading::HeadSet->value,
            Reading::CompressorsFitted->value,
            Reading::CondenserFansFitted->value,
            Reading::StoreTemperature->value,
            Reading::StoreHumidity->value,
            Reading::Added->value,
            Observation::EvaporatorFans->value,
            Observation::EvaporatorFace->value,
            Observation::CondenserFans->value,
            Observation::CondenserFace->value,
            Observation::OilStains->value,
            Observation::Doors->value,
            Observation::Product->value,
            Observation::Drain->value,
            Observation::DefrostClock->value,
            Observation::LastDefrost->value,
            Observation::RegulatorStem->value,
            Observation::HeatReclaim->value,
            Observation::NightCover->value,
            Observation::AirCurtain->value,
            Observation::CircuitShut->value,
        ];
    }
}
