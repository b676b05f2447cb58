<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Data\Knowledge;
use Metrum\Quantity\Field;
use Metrum\Quantity\QuantityKind as Quantity;

/** A design value: of the plate, the plan or the maker. Its name, kind and span stand in data/design.json. */
enum DesignKey: string
{
    case BoxSetPoint = 'box_set_point_c';
    case EvaporatorTd = 'evaporator_td_k';
    case CondenserSplit = 'condenser_split_k';
    case Superheat = 'superheat_k';
    case Subcooling = 'subcooling_k';
    case RatedCurrent = 'rated_current_a';
    case ColdestAmbient = 'coldest_ambient_c';
    case ReceiverVolume = 'receiver_volume_l';
    case CondenserVolume = 'condenser_volume_l';
    case NameplateCharge = 'nameplate_charge_kg';
    case LiquidLineLength = 'liquid_line_length_m';
    case LiquidLineBore = 'liquid_line_bore_mm';
    case IcePerCycle = 'ice_per_cycle_kg';
    case IcePerDay = 'ice_per_day_kg';
    case IcePerDayHot = 'ice_per_day_hot_kg';
    case BridgeThickness = 'bridge_thickness_mm';

    /** The property of Design. */
    public function property(): string
    {
        return lcfirst($this->name);
    }

    /** Whether it belongs to what circuits of one plant share. */
    public function isShared(): bool
    {
        return Knowledge::file('design')->row($this->value)->flag('shared');
    }

    /** Whether it is planned for such a load: an ice machine has no box, and nothing else is rated by its ice. */
    public function isOf(?LoadKind $load): bool
    {
        $isIce = $load === LoadKind::IceMachine;

        return match ($this) {
            self::IcePerCycle, self::IcePerDay, self::IcePerDayHot, self::BridgeThickness => $isIce,
            self::BoxSetPoint, self::EvaporatorTd => ! $isIce,
            self::CondenserSplit,
            self::Superheat,
            self::Subcooling,
            self::RatedCurrent,
            self::ColdestAmbient,
            self::ReceiverVolume,
            self::CondenserVolume,
            self::NameplateCharge,
            self::LiquidLineLength,
            self::LiquidLineBore => true,
        };
    }

    /** @throws BrokenData */
    public function field(): Field
    {
        return self::fieldOf($this->value);
    }

    /**
     * Of any design value that stands in data/design.json.
     *
     * @throws BrokenData
     */
    public static function fieldOf(string $key): Field
    {
        return Knowledge::once(
            'design '.$key,
            static fn (): Field => self::read($key, Knowledge::file('design')->row($key)),
        );
    }

    private static function read(string $key, DataRow $row): Field
    {
        [$least, $most] = $row->span('span');

        return Field::inFileUnit(
            $key,
            $row->text('label'),
            $row->word('kind', Quantity::class),
            $least,
            $most,
        );
    }
}
