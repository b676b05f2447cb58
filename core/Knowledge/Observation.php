<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Data\Knowledge;
use Metrum\Installation\PartId;

/** Something looked at, heard or felt; answered by a word. What is known of it stands in data/observations.json. */
enum Observation: string implements Question
{
    case SightGlass = 'sight_glass';
    case FrostCoil = 'frost_coil';
    case FrostSuctionLine = 'frost_suction_line';
    case FrostValveOutlet = 'frost_valve_outlet';
    case EvaporatorFans = 'evaporator_fans';
    case EvaporatorFace = 'evaporator_face';
    case CondenserFans = 'condenser_fans';
    case CondenserFace = 'condenser_face';
    case Compressor = 'compressor';
    case LiquidSolenoid = 'liquid_solenoid';
    case ValveSound = 'valve_sound';
    case ReceiverFeel = 'receiver_feel';
    case LiquidLineFeel = 'liquid_line_feel';
    case SuctionLineAfterHotGasValve = 'suction_line_after_hot_gas_valve';
    case OilLevel = 'oil_level';
    case OilStains = 'oil_stains';
    case Doors = 'doors';
    case Product = 'product';
    case Drain = 'drain';
    case DefrostClock = 'defrost_clock';
    case LastDefrost = 'last_defrost';
    case HeadPressureValveBypassLine = 'head_pressure_valve_bypass_line';
    case RegulatorStem = 'regulator_stem';
    case HeatReclaim = 'heat_reclaim';
    case CircuitShut = 'shut';
    case AirCurtain = 'air_curtain';
    case NightCover = 'night_cover';
    case IcePattern = 'ice_pattern';
    case IceClarity = 'ice_clarity';
    case WaterFlow = 'water_flow';
    case WaterInletInFreeze = 'water_inlet_in_freeze';
    case WaterLevel = 'water_level';
    case DumpValve = 'dump_valve';
    case Scale = 'scale';
    case Harvest = 'harvest';
    case HotGasLineInFreeze = 'hot_gas_line_in_freeze';
    case FreezeEnded = 'freeze_ended';
    case CondenserWater = 'condenser_water';

    public function row(): QuestionRow
    {
        return Knowledge::kept('observations', self::rows(...))[$this->value];
    }

    /** @return array<string, QuestionRow> */
    private static function rows(): array
    {
        $rows = [];
        foreach (self::cases() as $one) {
            $rows[$one->value] = QuestionRow::of(Knowledge::file('observations')->row($one->value));
        }

        return $rows;
    }

    public function label(): string
    {
        return $this->row()->label;
    }

    public function taking(): Taking
    {
        return $this->row()->taking;
    }

    public function words(): array
    {
        return $this->row()->words;
    }

    /** @return list<Word> the same of a part: one of several compressors may also be off because nothing calls it */
    public function wordsAt(PartId $part): array
    {
        return $this === self::Compressor && $part->isCompressor()
            ? [...$this->words(), Word::OffNotCalled]
            : $this->words();
    }
}
