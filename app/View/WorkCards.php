<?php

namespace App\View;

use Metrum\Card\Card;
use Metrum\Card\Cards;
use Metrum\Diagnosis\Remedy;
use Metrum\Diagnosis\Verdict;
use Metrum\Installation\Circuit;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Metering;
use Metrum\Knowledge\Control;
use Metrum\Work\Assessment;

/** What can be moved at a plant, and what a suspect asks for. */
final readonly class WorkCards
{
    public function __construct(private Circuit $circuit)
    {
    }

    /** What was moved last, else the move by which the leading suspect is put right; null where none is. */
    public function asked(Assessment $assessment, Verdict $verdict): ?Control
    {
        $last = $assessment->present()->chapter->began?->content;
        $asked = $last === null ? $this->remedy($verdict)?->move : Control::from($last->key);

        return in_array($asked, $this->all(), true) ? $asked : null;
    }

    /** The card of work by which the leading suspect is put right; null where none is, or it is not for this plant. */
    public function card(Verdict $verdict): ?Card
    {
        $card = Cards::find((string) $this->remedy($verdict)?->card);

        return $card?->fit->asks($this->circuit) === true ? $card : null;
    }

    private function remedy(Verdict $verdict): ?Remedy
    {
        return $verdict->blank ? null : $verdict->first()->entry()->remedy;
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
