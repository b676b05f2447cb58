<?php

namespace App\Picture;

/** The gaps that a technician judges. */
enum GapName: string
{
    case Discharge = 'discharge';
    case Split = 'split';
    case Subcooling = 'subcooling';
    case DrierDrop = 'drier drop';
    case Td = 'TD';
    case Superheat = 'superheat';
    case LineGain = 'line gain';
    case AtCompressor = 'compressor superheat';
}
