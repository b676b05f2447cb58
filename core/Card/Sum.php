<?php

declare(strict_types=1);

namespace Metrum\Card;

use Metrum\Bench\Calculation;

/** Sums that only cards need; the rest is the bench's. */
enum Sum: string
{
    case Difference = 'difference';
    case PressureDifference = 'pressure_difference';
    case SaturatedChange = 'saturated_change';
    case Rise = 'rise';
    case FirstColder = 'first_colder';
    case HiddenDrop = 'hidden_drop';
    case Imbalance = 'imbalance';
    case Legs = 'legs';
    case CutOut = 'cut_out';
    case CutIn = 'cut_in';
    case HigherOf = 'higher_of';
    case Trace = 'trace';
    case FallRate = 'fall_rate';
    case PullDownEnd = 'pull_down_end';
    case WeighIn = 'weigh_in';
    case MassOff = 'mass_off';
    case VacuumHold = 'vacuum_hold';
    case PressureHeld = 'pressure_held';
    case FloodedShare = 'flooded_share';
    case WinterExtra = 'winter_extra';
    case ShareShort = 'share_short';
    case CompressorSuperheat = 'compressor_superheat';
    case BulbMoves = 'bulb_moves';
    case ValveShare = 'valve_share';
    case BypassShare = 'bypass_share';
    case FlakeDay = 'flake_day';
    case IceMoisture = 'ice_moisture';

    public function does(): Calculation
    {
        return match ($this) {
            self::Difference => new Sums\Difference(),
            self::PressureDifference => new Sums\PressureDifference(),
            self::SaturatedChange => new Sums\SaturatedChange(),
            self::Rise => new Sums\Rise(),
            self::FirstColder => new Sums\FirstColder(),
            self::HiddenDrop => new Sums\HiddenDrop(),
            self::Imbalance => new Sums\Imbalance(),
            self::Legs => new Sums\Legs(),
            self::CutOut => new Sums\CutOut(),
            self::CutIn => new Sums\CutIn(),
            self::HigherOf => new Sums\HigherOf(),
            self::Trace => new Sums\SuperheatTrace(),
            self::FallRate => new Sums\FallRate(),
            self::PullDownEnd => new Sums\PullDownEnd(),
            self::WeighIn => new Sums\WeighIn(),
            self::MassOff => new Sums\MassOff(),
            self::VacuumHold => new Sums\VacuumHold(),
            self::PressureHeld => new Sums\PressureHeld(),
            self::FloodedShare => new Sums\FloodedShare(),
            self::WinterExtra => new Sums\WinterExtra(),
            self::ShareShort => new Sums\ShareShort(),
            self::CompressorSuperheat => new Sums\CompressorSuperheat(),
            self::BulbMoves => new Sums\BulbMoves(),
            self::ValveShare => new Sums\ValveShare(),
            self::BypassShare => new Sums\BypassShare(),
            self::FlakeDay => new Sums\FlakeDay(),
            self::IceMoisture => new Sums\IceMoisture(),
        };
    }
}
