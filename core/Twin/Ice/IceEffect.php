<?php

declare(strict_types=1);

namespace Metrum\Twin\Ice;

/** What a fault changes at plate, water or harvest of an ice machine. */
enum IceEffect: string
{
    /** Resistance of scale, of that of the bare plate. */
    case Scaled = 'scaled';

    /** Share by which the ice is thicker when its freeze ends; below 0 thinner. */
    case Thicker = 'thicker';

    /** Water that runs in during the freeze, and out of the sump: kg/s by kg of a batch. */
    case Inflow = 'inflow';
    case Outflow = 'outflow';

    /** Share of the water that is missing. */
    case WaterShort = 'water_short';

    /** Share of the plate's conductance that is lost to uneven water, and of the batch. */
    case Film = 'film';

    /** Share of the hot gas that is missing. */
    case HotGasShort = 'hot_gas_short';

    /** The same with a head that has fallen by so many kelvin. */
    case HeadFallen = 'head_fallen';

    /** Share of the batch that stays on the plate. */
    case Left = 'left';

    /** How many numbers it takes. */
    public function takes(): int
    {
        return match ($this) {
            self::Film, self::HeadFallen => 2,
            self::Scaled,
            self::Thicker,
            self::Inflow,
            self::Outflow,
            self::WaterShort,
            self::HotGasShort,
            self::Left => 1,
        };
    }
}
