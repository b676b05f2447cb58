<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Data\BrokenData;
use Metrum\Data\Knowledge;

/** A setting on which the trade disagrees. Its schools and their reasons stand in data/house-rules.json. */
enum HouseRule: string
{
    case SuperheatMedium = 'superheat_medium';
    case SuperheatLow = 'superheat_low';
    case CompressorSuperheat = 'compressor_superheat';
    case SubcoolingReceiver = 'subcooling_receiver';
    case SubcoolingNoReceiver = 'subcooling_no_receiver';
    case TdCooler = 'td_cooler';
    case TdFreezer = 'td_freezer';
    case TdSmall = 'td_small';
    case TdAirConditioner = 'td_air_conditioner';
    case SplitMedium = 'split_medium';
    case SplitAirConditioner = 'split_air_conditioner';
    case SplitLow = 'split_low';
    case LeastCondensing = 'least_condensing';
    case DischargeLimit = 'discharge_limit';
    case LineGain = 'line_gain';
    case DrierDrop = 'drier_drop';
    case GlideReference = 'glide_reference';
    case SettleStart = 'settle_start';
    case SettleValve = 'settle_valve';
    case SettleRegulator = 'settle_regulator';
    case SettleCharge = 'settle_charge';
    case SettleWash = 'settle_wash';
    case SettleDefrost = 'settle_defrost';
    case CompressorSuperheatFloor = 'compressor_superheat_floor';
    case AirToCoil = 'air_to_coil';
    case LeakTool = 'leak_tool';
    case BulbWarm = 'bulb_warm';
    case BulbAnswer = 'bulb_answer';
    case VacuumFloor = 'vacuum_floor';
    case PumpDownTime = 'pump_down_time';
    case LeakBack = 'leak_back';
    case ForeignGas = 'foreign_gas';
    case Equalise = 'equalise';
    case SupplyImbalance = 'supply_imbalance';
    case CurrentLow = 'current_low';
    case SameTemperature = 'same_temperature';
    case TwoAgree = 'two_agree';
    case SamePlace = 'same_place';
    case PullDownTeaches = 'pull_down_teaches';
    case FanDelay = 'fan_delay';
    case LowCutOut = 'low_cut_out';
    case Isolated = 'isolated';
    case ReceiverHeat = 'receiver_heat';
    case ChargeEnd = 'charge_end';
    case AddOrSearch = 'add_or_search';
    case WinterCharge = 'winter_charge';
    case ReceiverFill = 'receiver_fill';
    case HosePurge = 'hose_purge';
    case LiquidOrVapour = 'liquid_or_vapour';
    case OverPlate = 'over_plate';
    case LeakThreshold = 'leak_threshold';
    case CylinderFill = 'cylinder_fill';
    case LevelCheck = 'level_check';
    case PhaseDown = 'phase_down';
    case ServiceLife = 'service_life';
    case GoodsMeat = 'goods_meat';
    case GoodsPoultry = 'goods_poultry';
    case GoodsFish = 'goods_fish';
    case GoodsDairy = 'goods_dairy';
    case GoodsReadyToEat = 'goods_ready_to_eat';
    case GoodsProduce = 'goods_produce';
    case GoodsFrozen = 'goods_frozen';
    case GoodsHours = 'goods_hours';

    /** @throws BrokenData */
    public function row(): HouseRuleRow
    {
        return Knowledge::once(
            'house rule '.$this->value,
            fn (): HouseRuleRow => HouseRuleRow::of(Knowledge::file('house-rules')->row($this->value), $this->value),
        );
    }
}
