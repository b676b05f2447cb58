<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;

/** The figures that are worked out of readings. */
enum DerivedFigure: string
{
    case SaturatedSuction = 'saturated_suction_c';
    case SaturatedEvaporator = 'saturated_evaporator_c';
    case CoilInlet = 'saturated_coil_inlet_c';
    case CoilMiddle = 'saturated_coil_middle_c';
    case SaturatedCondensing = 'saturated_condensing_c';
    case CondensingDew = 'condensing_dew_c';
    case CondensingMiddle = 'condensing_middle_c';
    case EvaporatorSuperheat = 'evaporator_superheat_k';
    case CompressorSuperheat = 'compressor_superheat_k';
    case Subcooling = 'subcooling_k';
    case CondenserSubcooling = 'condenser_subcooling_k';
    case ReceiverSubcooling = 'receiver_subcooling_k';
    case ValveSubcooling = 'valve_subcooling_k';
    case EvaporatorTd = 'evaporator_td_k';
    case CondenserSplit = 'condenser_split_k';
    case CondenserApproach = 'condenser_approach_k';
    case CondenserAirRise = 'condenser_air_rise_k';
    case CoilAirDrop = 'coil_air_drop_k';
    case CompressionRatio = 'compression_ratio';
    case DrierDrop = 'drier_drop_k';
    case SuctionLineGain = 'suction_line_gain_k';
    case SuctionLineDrop = 'suction_line_drop_kpa';
    case IdealDischarge = 'ideal_discharge_c';
    case ExpectedDischarge = 'expected_discharge_c';
    case BoxAboveSetPoint = 'box_above_set_point_k';
    case CurrentShare = 'current_share_percent';

    /** Whether it takes a walk through the compressor's tables. */
    public function needsCompression(): bool
    {
        return in_array($this, [self::CompressionRatio, self::IdealDischarge, self::ExpectedDischarge], true);
    }

    public function quantity(): QuantityKind
    {
        return match (true) {
            $this === self::CompressionRatio => QuantityKind::Ratio,
            $this === self::CurrentShare => QuantityKind::Share,
            $this === self::SuctionLineDrop => QuantityKind::PressureDifference,
            str_ends_with($this->value, '_k') => QuantityKind::Difference,
            default => QuantityKind::Temperature,
        };
    }

    public function fileUnit(): Unit
    {
        return $this->quantity()->units()[0];
    }

    /** Its key in the glossary; null where its name says all. */
    public function word(): ?string
    {
        return match ($this) {
            self::SaturatedSuction => 'saturated_suction',
            self::SaturatedEvaporator, self::CoilMiddle => 'evaporating',
            self::SaturatedCondensing, self::CondensingDew, self::CondensingMiddle => 'condensing',
            self::EvaporatorSuperheat, self::CompressorSuperheat => 'superheat',
            self::Subcooling,
            self::CondenserSubcooling,
            self::ReceiverSubcooling,
            self::ValveSubcooling => 'subcooling',
            self::EvaporatorTd => 'td',
            self::CondenserSplit => 'split',
            self::CondenserApproach => 'approach',
            self::CondenserAirRise => 'air_rise',
            self::SuctionLineGain => 'line_gain',
            self::IdealDischarge => 'isentropic',
            self::CoilInlet,
            self::CoilAirDrop,
            self::CompressionRatio,
            self::DrierDrop,
            self::SuctionLineDrop,
            self::ExpectedDischarge,
            self::BoxAboveSetPoint,
            self::CurrentShare => null,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::SaturatedSuction => 'Saturated suction temperature (dew)',
            self::SaturatedEvaporator => 'Evaporating temperature (dew)',
            self::CoilInlet => 'Evaporating at the coil\'s inlet',
            self::CoilMiddle => 'Evaporating temperature (mean)',
            self::SaturatedCondensing => 'Condensing temperature (bubble)',
            self::CondensingDew => 'Condensing temperature (dew)',
            self::CondensingMiddle => 'Condensing temperature (mean)',
            self::EvaporatorSuperheat => 'Superheat at the bulb',
            self::CompressorSuperheat => 'Superheat at the compressor',
            self::Subcooling => 'Subcooling',
            self::CondenserSubcooling => 'Subcooling at the condenser outlet',
            self::ReceiverSubcooling => 'Subcooling at the receiver outlet',
            self::ValveSubcooling => 'Subcooling at the expansion valve',
            self::EvaporatorTd => 'Coil TD',
            self::CondenserSplit => 'Condenser split',
            self::CondenserApproach => 'Condenser approach (liquid out above air in)',
            self::CondenserAirRise => 'Condenser air temperature rise',
            self::CoilAirDrop => 'Coil air temperature drop',
            self::CompressionRatio => 'Compression ratio',
            self::DrierDrop => 'Drier drop',
            self::SuctionLineGain => 'Suction line gain',
            self::SuctionLineDrop => 'Suction line pressure drop',
            self::IdealDischarge => 'Discharge, isentropic',
            self::ExpectedDischarge => 'Discharge line, expected',
            self::BoxAboveSetPoint => 'Box above set point',
            self::CurrentShare => 'Current, % of rated',
        };
    }
}
