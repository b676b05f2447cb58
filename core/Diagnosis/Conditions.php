<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\BoxState;
use Metrum\Findings\Findings;
use Metrum\Installation\Condition;
use Metrum\Installation\Fit;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\State;

/** What is true, false or not known of one plant in its weather. */
final readonly class Conditions
{
    public function __construct(private Findings $findings, private ?bool $cold)
    {
    }

    public function holds(Condition $condition): ?bool
    {
        return match ($condition) {
            // A glass flashes for a while after every start (U-02).
            Condition::Unsettled => self::isUnsettled($this->findings->stateOf(Observation::SightGlass)),
            Condition::InDefrost => $this->findings->stateOf(Observation::EvaporatorFans) === State::InDefrost,
            // After a defrost the coil's fans wait until it is cold.
            Condition::FansRest => in_array(
                $this->findings->stateOf(Observation::EvaporatorFans),
                [State::InDefrost, State::AfterDefrost],
                true,
            ),
            Condition::Calling => BoxState::calls($this->findings),
            Condition::Content => BoxState::isContent($this->findings),
            Condition::Cold,
            Condition::ColdFlooding,
            Condition::FloodingValve,
            Condition::Outdoor,
            Condition::AirCooled,
            Condition::Regulator,
            Condition::Receiver,
            Condition::NoReceiver,
            Condition::HotGas,
            Condition::Electric,
            Condition::HasDefrost,
            Condition::HeatedDefrost,
            Condition::IceMachine,
            Condition::AirConditioner,
            Condition::Capillary,
            Condition::CapillaryOfBox,
            Condition::Batches,
            Condition::Flakes,
            Condition::FloatFill,
            Condition::NoFloat,
            Condition::ThermostaticValve,
            Condition::Shared,
            Condition::SharedSuction,
            Condition::LowTemperature,
            Condition::ThermostatControl,
            Condition::RatedCurrent,
            Condition::SetPoint,
            Condition::RackBoard => $condition->holds($this->findings->circuit, $this->cold),
        };
    }

    public function fits(Fit $fit): bool
    {
        return $fit->asks($this->findings->circuit);
    }

    private static function isUnsettled(?State $state): bool
    {
        return in_array($state, [State::Starting, State::PullingDown, State::AfterDefrost], true);
    }
}
