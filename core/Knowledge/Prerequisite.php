<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** What must hold before something is done to a plant, by its name in the files of moves and cards. */
enum Prerequisite: string
{
    case CoilClear = 'coil_clear';
    case FansOn = 'fans_on';
    case LiquidAtValve = 'liquid_at_valve';
    case HeadHeld = 'head_held';
    case DoorsShut = 'doors_shut';
    case BoxNear = 'box_near_set_point';
    case StemAutomatic = 'stem_automatic';
    case MayCharge = 'may_charge';
    case Running = 'running';
    case Settled = 'settled';
    case LiquidWarmerThanAir = 'liquid_warmer_than_air';
    case Licence = 'licence';
    case LeakSearched = 'leak_searched';
    case RightCircuit = 'right_circuit';
}
