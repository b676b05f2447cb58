<?php

declare(strict_types=1);

namespace Metrum\Work\Compressor;

/** Why a compressor trips on oil, in the order in which it is looked for. */
enum OilCause: string
{
    case LiquidReturn = 'liquid_return';
    case OilSystem = 'oil_system';
    case Wear = 'wear';

    public function label(): string
    {
        return match ($this) {
            self::LiquidReturn => 'Liquid return',
            self::OilSystem => 'Oil system',
            self::Wear => 'Wear',
        };
    }

    /** What is done where it is that. */
    public function does(): string
    {
        return match ($this) {
            self::LiquidReturn => 'Close the expansion valve in small steps, check coil airflow and crankcase heater, '.
                'then watch the trips for several days.',
            self::OilSystem => 'Find where the oil has collected, clean filter and pick-up, check the oil line; '.
                'then watch the trips for several days.',
            self::Wear => 'Confirm with the crankcase test before anything is replaced.',
        };
    }
}
