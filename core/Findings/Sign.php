<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Data\BrokenData;
use Metrum\Data\Knowledge;

/** A figure that is judged against what is expected of a sound plant. All its numbers stand in data/signs.json. */
enum Sign: string
{
    case TdCoil = 'td_coil';
    case TdSuction = 'td_suction';
    case Split = 'split';
    case Superheat = 'superheat';
    case SuperheatSuction = 'superheat_suction';
    case SuperheatFar = 'superheat_far';
    case Subcooling = 'subcooling';
    case SubcoolingCondenser = 'subcooling_condenser';
    case ValveSubcooling = 'valve_subcooling';
    case Level = 'level';
    case OverCondenser = 'over_condenser';
    case Discharge = 'discharge';
    case DischargeLevel = 'discharge_level';
    case Current = 'current';
    case CurrentResidual = 'current_residual';
    case LineGain = 'line_gain';
    case LineLoss = 'line_loss';
    case RegulatorDrop = 'regulator_drop';
    case Drier = 'drier';
    case DrierKpa = 'drier_kpa';
    case LiquidLineDrop = 'liquid_line_drop';
    case AirDrop = 'air_drop';
    case AirRise = 'air_rise';
    case Swing = 'swing';
    case Lowest = 'lowest';
    case Box = 'box';
    case Fans = 'fans';
    case PullDown = 'pull_down';
    case Floor = 'floor';
    case Rise = 'rise';
    case Standing = 'standing';
    case CutOut = 'cut_out';
    case CutIn = 'cut_in';
    case Oil = 'oil';
    case FanDelay = 'fan_delay';
    case Heater = 'heater';
    case FreezeTime = 'freeze_time';
    case Water = 'water';
    case Lift = 'lift';
    case HarvestTime = 'harvest_time';
    case IceCycle = 'ice_cycle';
    case IceRate = 'ice_rate';
    case IceDay = 'ice_day';
    case Bridge = 'bridge';
    case WaterCycle = 'water_cycle';
    case SuctionBegin = 'suction_begin';
    case SuctionEnd = 'suction_end';
    case FreezeFall = 'freeze_fall';
    case HeadEnd = 'head_end';
    case Sump = 'sump';
    case SuctionHarvest = 'suction_harvest';
    case HeadHarvest = 'head_harvest';

    /** Of an ice machine's cycle: learned at drawn ice machines alone. */
    public const OF_ICE = [
        self::HarvestTime,
        self::IceCycle,
        self::IceRate,
        self::IceDay,
        self::Bridge,
        self::WaterCycle,
        self::SuctionBegin,
        self::SuctionEnd,
        self::FreezeFall,
        self::HeadEnd,
        self::Sump,
        self::SuctionHarvest,
        self::HeadHarvest,
    ];

    /** @throws BrokenData */
    public function row(): SignRow
    {
        return Knowledge::kept('signs', self::rows(...))[$this->value];
    }

    /** @return array<string, SignRow> */
    private static function rows(): array
    {
        $rows = [];
        foreach (self::cases() as $one) {
            $rows[$one->value] = SignRow::of(Knowledge::file('signs')->row($one->value));
        }

        return $rows;
    }
}
