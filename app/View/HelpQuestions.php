<?php

namespace App\View;

use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Installation\LoadKind;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Station;
use Metrum\Knowledge\Test;

/** What a help line or a colleague asks for of a system, by heading. */
final class HelpQuestions
{
    /** Of ice machines. */
    private const ICE = [
        'Site' => [
            Reading::AmbientTemperature,
            Reading::WaterTemperature,
            Reading::SupplyVoltage,
            Reading::CyclesSinceStart,
        ],
        'Ice' => [
            Reading::IceInQuarter,
            Reading::IceMoisture,
            Reading::GearboxCurrent,
            Reading::FreezeTime,
            Reading::HarvestTime,
            Reading::IcePerCycle,
            Reading::MeasuredBridge,
            Observation::IcePattern,
            Observation::Harvest,
            Observation::FreezeEnded,
        ],
        'Water' => [
            Reading::WaterPerCycle,
            Reading::SumpTemperature,
            Observation::WaterFlow,
            Observation::WaterInletInFreeze,
            Observation::WaterLevel,
            Observation::DumpValve,
            Observation::Scale,
        ],
        'Refrigerant' => [
            Reading::SuctionBegin,
            Reading::SuctionEnd,
            Reading::DischargeEnd,
            Reading::SuctionHarvest,
            Reading::DischargeHarvest,
            Reading::SuctionTemperatureEvaporator,
            Reading::DischargeTemperature,
            Reading::CondenserOutletTemperature,
            Reading::CompressorCurrent,
            Observation::HotGasLineInFreeze,
            Test::HotGasValveCalled,
            Observation::CondenserFans,
            Observation::CondenserFace,
            Observation::CondenserWater,
        ],
    ];

    /** Stations at which other systems are read and looked at. */
    private const STATIONS = [Station::Box, Station::Unit, Station::Gauges];

    private function __construct()
    {
    }

    /** @return array<string, list<Reading|Observation|Test>> of such a system; of other than ice machines, as found */
    public static function of(Circuit $circuit, Findings $findings): array
    {
        $asked = $circuit->cools(LoadKind::IceMachine) ? self::ICE : self::byStation($findings);

        return array_map(static fn (array $all): array => array_values(array_filter(
            $all,
            static fn (Asked $one): bool => $one->taking()->isAskedAt($circuit),
        )), $asked);
    }

    /** @return array<string, list<Reading|Observation|Test>> all readings; of looks and tests those that were made */
    private static function byStation(Findings $findings): array
    {
        $made = array_flip([...array_keys($findings->observations), ...array_keys($findings->tests)]);
        $asked = [];
        foreach (self::STATIONS as $station) {
            $asked[$station->label()] = array_values(array_filter(
                [...Reading::cases(), ...Observation::cases()],
                static fn (Reading|Observation $one): bool => self::station($one) === $station &&
                    ($one instanceof Reading || isset($made[$one->value])),
            ));
        }
        $tests = array_filter(Test::cases(), static fn (Test $one): bool => isset($made[$one->value]));

        return array_filter([...$asked, 'Tests' => array_values($tests)]);
    }

    /** Where it belongs; null: nowhere on the walk. */
    private static function station(Reading|Observation $asked): ?Station
    {
        return Station::tryFrom((string) array_key_first($asked->taking()->stations));
    }
}
