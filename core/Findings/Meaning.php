<?php

declare(strict_types=1);

namespace Metrum\Findings;

/** What a figure means where that is not plain. */
enum Meaning
{
    case TakenAtCompressor;
    case LiquidLeaves;
    case BeyondRefrigerant;
    case NoLiquidSeal;
    case ReadsHighBehindRestriction;

    public function sentence(): string
    {
        return match ($this) {
            self::TakenAtCompressor => 'Measured at the compressor. The coil is warmer by the suction line pressure '.
                'drop.',
            self::LiquidLeaves => 'Negative within the glide: liquid is leaving the coil, or a reading is wrong.',
            self::BeyondRefrigerant => 'Negative beyond what the refrigerant can show: '.
                'wrong refrigerant, clamp or pressure.',
            self::NoLiquidSeal => 'Negative: no liquid seal. Gas or a mixture in the line, '.
                'heat reaching the liquid, or a wrong reading.',
            self::ReadsHighBehindRestriction => 'Based on pressure at the start of the line; '.
                'a restriction on the way makes it read high.',
        };
    }
}
