<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** A school of a house rule by which something is done otherwise; the schools of all others are figures alone. */
enum Ruling: string
{
    case JudgedAtEnds = 'glide_reference/ends';
    case NothingBeforeSearch = 'add_or_search/refuse';
    case ChargedByPlate = 'charge_end/plate';
    case ChargedToKnee = 'charge_end/knee';
    case ChargedToSubcooling = 'charge_end/subcooling';
    case ChargedToMargin = 'charge_end/margin';
    case ChargedToGlass = 'charge_end/glass';
    case BubblesLead = 'leak_tool/bubbles';
    case WinterComputed = 'winter_charge/computed';
    case WinterFilled = 'winter_charge/filled';
    case WinterWeighed = 'winter_charge/weighed';
    case AlwaysLiquid = 'liquid_or_vapour/liquid';

    public function rule(): HouseRule
    {
        return HouseRule::from(explode('/', $this->value)[0]);
    }

    /** Its id in data/house-rules.json. */
    public function school(): string
    {
        return explode('/', $this->value)[1];
    }
}
