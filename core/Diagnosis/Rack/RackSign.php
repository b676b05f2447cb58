<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Data\Knowledge;
use Metrum\Quantity\QuantityKind;

/** What a verdict on a plant of several circuits reads as a number. What is known of each: data/rack-signs.json. */
enum RackSign: string
{
    case Level = 'level';
    case LevelOff = 'level_off';
    case HeaderOverSet = 'header_over_set';
    case SetOffPlan = 'set_off_plan';
    case SetOverNeed = 'set_over_need';
    case SplitOff = 'split_off';
    case HeadOff = 'head_off';
    case ApproachOff = 'approach_off';
    case CondenserSubcooling = 'condenser_subcooling';
    case ReceiverSubcooling = 'receiver_subcooling';
    case AirRiseOff = 'air_rise_off';
    case RunningOff = 'running_off';
    case StandingThough = 'standing_though';
    case FansOff = 'fans_off';
    case DischargeOff = 'discharge_off';
    case DischargeApart = 'discharge_apart';
    case CurrentApart = 'current_apart';
    case WarmShare = 'warm_share';
    case MedianOver = 'median_over';
    case WorstOver = 'worst_over';
    case Starved = 'starved';
    case Oil = 'oil';
    case Ambient = 'ambient';
    case Over = 'over';
    case Under = 'under';
    case Apart = 'apart';
    case Others = 'others';
    case OthersStarved = 'others_starved';
    case SuperheatMost = 'superheat_most';
    case SuperheatLeast = 'superheat_least';
    case SuperheatFar = 'superheat_far';
    case SuperheatApart = 'superheat_apart';
    case CoilOff = 'coil_off';
    case TdOff = 'td_off';
    case LineDrop = 'line_drop';
    case AirDropOff = 'air_drop_off';
    case BulbToAir = 'bulb_to_air';
    case LiquidFall = 'liquid_fall';
    case InletOver = 'inlet_over';
    case Swing = 'swing';
    case FansStopped = 'fans_stopped';
    case ProductOver = 'product_over';
    case Bubbles = 'bubbles';
    case PlantLevel = 'plant_level';
    case PlantHeader = 'plant_header';
    case Regulated = 'regulated';
    case LowTemperature = 'low_temperature';
    case Several = 'several';
    case ByThermostat = 'by_thermostat';
    case AfterDefrost = 'after_defrost';
    case Entries = 'entries';

    public function isOfPlant(): bool
    {
        return Knowledge::file('rack-signs')->row($this->value)->text('of') === 'plant';
    }

    public function label(): string
    {
        return Knowledge::file('rack-signs')->row($this->value)->text('label');
    }

    public function quantity(): QuantityKind
    {
        return Knowledge::file('rack-signs')->row($this->value)->word('kind', QuantityKind::class);
    }

    /** Whether a number is far enough from nothing to be named. */
    public function isNotable(float $si): bool
    {
        $row = Knowledge::file('rack-signs')->row($this->value);

        return $row->has('from') && abs($this->inFileUnit($si)) >= $row->number('from');
    }

    /** What it says where it is high or low; empty where it says nothing by itself. */
    public function said(bool $high): string
    {
        return Knowledge::file('rack-signs')->row($this->value)->text($high ? 'high' : 'low');
    }

    /**
     * Between which its curve is straight, in the unit of the file.
     *
     * @return non-empty-list<float>
     */
    public function knots(): array
    {
        return Knowledge::once('rack knots '.$this->value, function (): array {
            $knots = [];
            foreach ((array) Knowledge::file('rack-signs')->row($this->value)->all()['knots'] as $knot) {
                $knots[] = is_int($knot) || is_float($knot) ? (float) $knot : 0.0;
            }
            assert($knots !== []);

            return $knots;
        });
    }

    /** In the unit of the file. @param  float  $si */
    public function inFileUnit(float $si): float
    {
        return $this->quantity()->units()[0]->fromSi($si);
    }

    /** @return list<self> of a plant, or of a circuit */
    public static function of(bool $plant): array
    {
        return array_values(array_filter(self::cases(), static fn (self $one): bool => $one->isOfPlant() === $plant));
    }
}
