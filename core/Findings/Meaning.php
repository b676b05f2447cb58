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
            self::TakenAtCompressor => 'Taken at the compressor: the coil is warmer by what the suction line loses.',
            self::LiquidLeaves => 'Negative, down to the glide: liquid is leaving there, or a reading is wrong.',
            self::BeyondRefrigerant => 'Negative beyond what the refrigerant can show: '.
                'wrong refrigerant, clamp or pressure.',
            self::NoLiquidSeal => 'Negative: no liquid seal there, gas or a mixture in the pipe, '.
                'heat reaching the liquid, or a wrong reading.',
            self::ReadsHighBehindRestriction => 'By the pressure at the start of the line: '.
                'a restriction on the way makes it read high.',
        };
    }
}
