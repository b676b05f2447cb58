<?php

namespace App\Picture;

/** The parts of a circuit as the course lays them out. */
enum Zone: string
{
    case Compressor = 'compressor';
    case Condenser = 'condenser';
    case LiquidLine = 'liquid line';
    case Coil = 'coil';
    case SuctionLine = 'suction line';
}
