<?php

namespace App\View;

use Metrum\Circuit\Circuit;
use Metrum\Circuit\Control;
use Metrum\Circuit\Fault;
use Metrum\Circuit\HeadPressureControl;
use Metrum\Circuit\Metering;
use Metrum\Work\Work;

/** What can be moved at a plant, and what a suspect asks for. */
final readonly class WorkCards
{
    /** Which card a suspect asks for. */
    private const ASKED = [
        Fault::CondenserAirflowLow->value => Control::CondenserWashed,
        Fault::EvaporatorAirflowLow->value => Control::CoilCleaned,
        Fault::EvaporatorIced->value => Control::CoilThawed,
        Fault::Undercharge->value => Control::Charge,
        Fault::WinterUndercharge->value => Control::Charge,
        Fault::Overcharge->value => Control::Charge,
        Fault::RegulatorSetHigh->value => Control::RegulatorTurn,
        Fault::RegulatorSetLow->value => Control::RegulatorTurn,
        Fault::HeadPressureLow->value => Control::HeadValveTurn,
        Fault::DrainBlocked->value => Control::DrainCleared,
        Fault::ThermostatWrong->value => Control::ThermostatSet,
        Fault::FanDelayHolding->value => Control::FanDelaySet,
        Fault::LowPressureControlWrong->value => Control::LowCutOutSet,
        Fault::ExcessLoad->value => Control::DoorMended,
    ];

    public function __construct(private Circuit $circuit)
    {
    }

    /** What was moved last, else what the leading suspect asks for. */
    public function asked(Work $work, Fault $first): Control
    {
        $last = $work->present()->chapter->began?->content;
        $asked = $last === null ? self::ASKED[$first->value] ?? Control::ValveTurn : Control::from($last->key);

        return in_array($asked, $this->all(), true) ? $asked : $this->all()[0];
    }

    /** @return non-empty-list<Control> that this plant has, in the order of the work */
    public function all(): array
    {
        $has = [
            Control::CondenserWashed->value => true,
            Control::CoilCleaned->value => true,
            Control::CoilThawed->value => true,
            Control::ValveTurn->value => in_array($this->circuit->metering, [null, Metering::Txv], true),
            Control::RegulatorTurn->value => $this->circuit->regulator === true,
            Control::HeadValveTurn->value => $this->circuit->headPressureControl === HeadPressureControl::FloodingValve,
        ];
        $order = [
            Control::ValveTurn,
            Control::RegulatorTurn,
            Control::HeadValveTurn,
            Control::Charge,
            Control::CondenserWashed,
            Control::CoilCleaned,
            Control::CoilThawed,
            Control::FanMended,
            Control::BulbRemounted,
            Control::PartReplaced,
            Control::DoorMended,
            Control::DrainCleared,
            Control::LowCutOutSet,
            Control::LowCutInSet,
            Control::ThermostatSet,
            Control::FanDelaySet,
            Control::DefrostCountSet,
            Control::DefrostLengthSet,
            Control::DefrostEndSet,
            Control::DripTimeSet,
            Control::ValveShut,
            Control::ValveOpened,
        ];

        return array_values(array_filter($order, static fn (Control $one): bool => $has[$one->value] ?? true));
    }

    /** @return array<string, list<Control>> the same, by what is done to them */
    public function groups(): array
    {
        $groups = [];
        foreach ($this->all() as $control) {
            $group = match (true) {
                in_array($control, [Control::Charge, Control::ValveShut, Control::ValveOpened], true) => 'Refrigerant',
                $control->hasPosition() => 'Turn or set',
                default => 'Put right',
            };
            $groups[$group][] = $control;
        }

        return $groups;
    }
}
